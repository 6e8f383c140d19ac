/**
 * Many frames made one: the lightest for trails, means and middle values aligned to the stars for points, dark frames taken off, ground from
 * its own frames. Light is linear in sixteen bits and sums are whole numbers, so that the order of frames never matters.
 *
 * <p>How it goes. Each frame is decoded outside and comes in line by line. Where stars are to stay points, every frame's stars are found
 * first ({@link org.halfdusk.frame.points.StarPlaces}) and matched with those of one frame ({@link org.halfdusk.frame.stack.matched.Alignment}): of two
 * pairs of stars that stand equally far apart a turn of the camera follows, the turn that most stars agree with is refined to a linear map
 * of directions, which holds turns, shifts and a tracked drift alike, seen through the lens's own projection. Then each frame is
 * {@linkplain org.halfdusk.frame.stack.matched.Resampled drawn as the first stood}. Sums and lightest pixels need one accumulator whatever the number
 * of frames; middle values and clipped means need all values of a pixel, which lie in a {@link org.halfdusk.frame.stack.held.Shelf} outside.
 * Gaps between trails are {@linkplain org.halfdusk.frame.stack.GapFilling drawn by the sky's own turn}: the frames on both sides are turned
 * about the pole into the gap, and the darker of the two is taken, so that only what both know of is drawn.
 */
@NullMarked
package org.halfdusk.frame.stack;

import org.jspecify.annotations.NullMarked;
