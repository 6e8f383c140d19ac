/** Kit as rows: cameras, lenses, what belongs to them, rigs. */
@NullMarked
package org.halfdusk.store.kit;

import org.jspecify.annotations.NullMarked;
