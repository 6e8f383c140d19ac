/**
 * What the sky's turning draws on a sensor: the path of a star in a time ({@link org.halfdusk.trailing.Trailing}), over a whole frame
 * as it is aimed and carried ({@link org.halfdusk.trailing.FrameTrails}), how much of it is allowed, and the rules by which people
 * find the longest time ({@link org.halfdusk.trailing.School}).
 *
 * <p>Knows lenses and the sky, and nothing of light: what a time gives in brightness is the exposure's.
 */
@NullMarked
package org.halfdusk.trailing;

import org.jspecify.annotations.NullMarked;
