/**
 * Eclipses, computed rather than listed.
 *
 * <p>A lunar eclipse is the same for everyone who sees the Moon: its contacts are moments at which the Moon's disc
 * touches the Earth's shadow. A solar eclipse is a local affair: its contacts are moments at which the two discs touch
 * as seen from one spot, so they are found with topocentric places, elevation counted. Both take smooth discs.
 */
@NullMarked
package org.halfdusk.eclipse;

import org.jspecify.annotations.NullMarked;
