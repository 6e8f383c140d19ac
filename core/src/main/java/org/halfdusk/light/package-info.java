/** To come. */
@NullMarked
package org.halfdusk.light;

import org.jspecify.annotations.NullMarked;
