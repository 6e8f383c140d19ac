/** The moon's disc in a frame. */
@NullMarked
package org.halfdusk.frame.disc;

import org.jspecify.annotations.NullMarked;
