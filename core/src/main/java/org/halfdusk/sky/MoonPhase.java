package org.halfdusk.sky;

import org.halfdusk.angle.Vector;

/**
 * How the Moon is lit.
 *
 * @param phaseAngleDegrees angle Sun–Moon–Earth: 0 full, 180 new
 * @param illuminatedFraction (1 + cos phase angle)/2, 0 to 1
 * @param waxing whether the lit part grows
 */
public record MoonPhase(double phaseAngleDegrees, double illuminatedFraction, boolean waxing) {
    /** From the places of Sun and Moon as seen from one point, km, any frame of the equator of date. */
    public static MoonPhase of(Vector sun, Vector moon) {
        double angle = moon.times(-1).separationRad(sun.minus(moon));
        boolean waxing = sun.cross(moon).z() > 0;
        return new MoonPhase(Math.toDegrees(angle), (1 + Math.cos(angle)) / 2, waxing);
    }
}
