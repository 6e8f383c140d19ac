/** Where a frame looked, by the stars in it, and how bright the sky was there. */
@NullMarked
package org.halfdusk.frame.solved;

import org.jspecify.annotations.NullMarked;
