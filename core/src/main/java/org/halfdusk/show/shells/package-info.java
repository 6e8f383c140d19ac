/** Shells: what they are, when each is fired, how they rise and burst into sparks. */
@NullMarked
package org.halfdusk.show.shells;

import org.jspecify.annotations.NullMarked;
