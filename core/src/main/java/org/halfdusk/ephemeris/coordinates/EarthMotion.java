package org.halfdusk.ephemeris.coordinates;

import org.halfdusk.angle.Rotation;
import org.halfdusk.angle.Vector;
import org.halfdusk.ephemeris.theory.NutationTheory;
import org.halfdusk.ephemeris.theory.Precession;

/**
 * The Earth's attitude and motion at a moment.
 *
 * @param ttDays days of TT from J2000
 * @param nutationLongitudeRad Δψ
 * @param nutationObliquityRad Δε
 * @param equationOfEquinoxesRad apparent less mean sidereal time
 * @param velocity of the Earth round the Sun in units of the speed of light, mean equator J2000
 */
public record EarthMotion(
        double ttDays,
        double nutationLongitudeRad,
        double nutationObliquityRad,
        double equationOfEquinoxesRad,
        Vector velocity) {

    /** True obliquity of the ecliptic of date, radians. */
    public double trueObliquityRad() {
        return Precession.meanObliquityRad(ttDays / 36_525) + nutationObliquityRad;
    }

    /** From the mean equator and equinox J2000 to the true ones of date. */
    public Rotation fromJ2000() {
        return Precession.fromJ2000(
                ttDays / 36_525, new NutationTheory.Nutation(nutationLongitudeRad, nutationObliquityRad));
    }
}
