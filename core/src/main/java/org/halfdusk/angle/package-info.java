/**
 * Angles and directions.
 *
 * <p>A bare number of degrees is how people say an angle and how files hold one; inside, an angle is a type, so that
 * an altitude is never taken for an azimuth and a range is checked once, at the door. Directions in space are
 * {@link org.halfdusk.angle.Vector}s in a right-handed frame that the method which yields them names.
 */
@NullMarked
package org.halfdusk.angle;

import org.jspecify.annotations.NullMarked;
