/** To come. */
@NullMarked
package org.halfdusk.shoot;

import org.jspecify.annotations.NullMarked;
