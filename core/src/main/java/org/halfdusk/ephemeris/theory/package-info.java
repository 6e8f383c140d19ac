/**
 * The published theories behind the positions, as tables and the sums over them: ELP/MPP02 for the Moon, VSOP87B for
 * the Earth, IAU 2000A nutation (luni-solar terms), IAU 2006 precession. Not exported: the rest of the house asks
 * {@link org.halfdusk.ephemeris.Ephemeris}.
 */
@NullMarked
package org.halfdusk.ephemeris.theory;

import org.jspecify.annotations.NullMarked;
