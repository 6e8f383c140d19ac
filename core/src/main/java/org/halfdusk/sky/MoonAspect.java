package org.halfdusk.sky;

import org.halfdusk.angle.Angle;
import org.halfdusk.angle.Vector;
import org.halfdusk.ephemeris.LunarArguments;

/**
 * How the Moon's disc is turned towards an observer.
 *
 * @param brightLimbDegrees position angle of the middle of the bright limb, from celestial north by east
 * @param librationLongitudeDegrees selenographic longitude of the disc's middle, east positive
 * @param librationLatitudeDegrees its latitude
 * @param axisDegrees position angle of the Moon's north pole, from celestial north by east
 */
public record MoonAspect(
        double brightLimbDegrees,
        double librationLongitudeDegrees,
        double librationLatitudeDegrees,
        double axisDegrees) {
    /** Inclination of the mean lunar equator to the ecliptic (IAU). */
    private static final double INCLINATION_RAD = Math.toRadians(1.54242);

    /**
     * From places of Sun and Moon seen from one point, km, true equator of date. Optical libration and axis after
     * Meeus, Astronomical Algorithms 2nd ed., chapters 48 and 53; the physical libration (up to 0.04°) is neglected.
     */
    public static MoonAspect of(Vector sun, Vector moon, double trueObliquityRad, double ttCenturies) {
        Vector ecliptic = moon.aboutX(trueObliquityRad);
        double node = LunarArguments.nodeRad(ttCenturies);
        double w = ecliptic.longitudeRad() - node;
        double b = ecliptic.latitudeRad();
        double sinI = Math.sin(INCLINATION_RAD);
        double cosI = Math.cos(INCLINATION_RAD);
        double a = Math.atan2(Math.sin(w) * Math.cos(b) * cosI - Math.sin(b) * sinI, Math.cos(w) * Math.cos(b));
        double longitude = Angle.signed(a - LunarArguments.latitudeArgumentRad(ttCenturies));
        double latitude = Math.asin(-Math.sin(w) * Math.cos(b) * sinI - Math.sin(b) * cosI);
        return new MoonAspect(
                brightLimb(sun, moon),
                Math.toDegrees(longitude),
                Math.toDegrees(latitude),
                axis(moon, trueObliquityRad, node));
    }

    private static double brightLimb(Vector sun, Vector moon) {
        return Math.toDegrees(positionAngle(moon, sun));
    }

    /** Position angle at which the Moon's pole lies: the pole's direction seen beside the disc. */
    private static double axis(Vector moon, double obliquity, double node) {
        // The mean lunar pole stands 1.54° from the ecliptic's, in the plane with it and opposite the node (Cassini).
        double longitude = node + Math.PI / 2;
        Vector poleEcliptic = new Vector(
                Math.sin(INCLINATION_RAD) * Math.cos(longitude),
                Math.sin(INCLINATION_RAD) * Math.sin(longitude),
                Math.cos(INCLINATION_RAD));
        return Angle.ofRadians(positionAngle(moon, poleEcliptic.aboutX(-obliquity)))
                .signed()
                .degrees();
    }

    /** Direction from a body to another on the sky, from celestial north by east, radians in [0, 2π). */
    private static double positionAngle(Vector from, Vector to) {
        double ra = from.longitudeRad();
        double dec = from.latitudeRad();
        Vector east = new Vector(-Math.sin(ra), Math.cos(ra), 0);
        Vector north = new Vector(-Math.sin(dec) * Math.cos(ra), -Math.sin(dec) * Math.sin(ra), Math.cos(dec));
        return Angle.wrap(Math.atan2(to.dot(east), to.dot(north)));
    }
}
