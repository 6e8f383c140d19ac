/** Frames that were taken, and which planned one each of them is. */
@NullMarked
package org.halfdusk.shoot.review.taken;

import org.jspecify.annotations.NullMarked;
