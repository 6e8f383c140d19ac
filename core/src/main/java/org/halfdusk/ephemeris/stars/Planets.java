package org.halfdusk.ephemeris.stars;

import org.halfdusk.angle.Angle;
import org.halfdusk.angle.Rotation;
import org.halfdusk.angle.Vector;

/**
 * Where the bright planets stand, from mean elements: E. M. Standish, Keplerian Elements for Approximate Positions of the
 * Major Planets (JPL), table 1, fitted to 1800–2050. Its stated errors seen from the Sun are 15″ Mercury, 20″ Venus, 40″
 * Mars, 400″ Jupiter, 600″ Saturn; from the Earth Venus and Mars near us err three times as much. To 2100 they grow to
 * about twice that. Good to mark a planet in a wide frame, not for its moons.
 */
public final class Planets {
    private static final double OBLIQUITY_J2000_RAD = Math.toRadians(84381.406 / 3600);
    private static final double LIGHT_DAYS_PER_AU = 499.005 / 86_400;

    private Planets() {}

    /**
     * A planet as the Earth sees it.
     *
     * @param asStar its direction, for {@link StarFrame}: mean equator J2000, aberration not counted, with its magnitude
     * @param distanceAu from the Earth
     */
    public record Seen(Star asStar, double distanceAu) {}

    /** @param ttDays days of TT from J2000 */
    public static Seen seen(Planet planet, double ttDays) {
        Vector earth = heliocentric(Planet.EARTH, Planet.EARTH_PER_CENTURY, ttDays);
        Vector from = heliocentric(planet.elements(), planet.perCentury(), ttDays);
        Vector seen = from.minus(earth);
        // Light left the planet so much earlier; once more is within a hundredth of an arcsecond.
        from = heliocentric(planet.elements(), planet.perCentury(), ttDays - seen.length() * LIGHT_DAYS_PER_AU);
        seen = from.minus(earth);
        double phase = Math.toDegrees(from.times(-1).separationRad(seen.times(-1)));
        double magnitude = planet.magnitude(from.length(), seen.length(), phase);
        Vector equator = seen.unit().aboutX(-OBLIQUITY_J2000_RAD);
        Star star = new Star(0, planet.words(), "", "", magnitude, 0.6, equator, new Vector(0, 0, 0), 0);
        return new Seen(star, seen.length());
    }

    /** Ecliptic and equinox J2000, au. */
    private static Vector heliocentric(double[] atEpoch, double[] perCentury, double ttDays) {
        double t = ttDays / 36_525;
        double[] e = new double[6];
        for (int i = 0; i < 6; i++) {
            e[i] = atEpoch[i] + t * perCentury[i];
        }
        double perihelion = Math.toRadians(e[4] - e[5]);
        double mean = Angle.signed(Math.toRadians(e[3] - e[4]));
        double eccentric = eccentricAnomaly(mean, e[1]);
        Vector inOrbit = new Vector(
                e[0] * (Math.cos(eccentric) - e[1]), e[0] * Math.sqrt(1 - e[1] * e[1]) * Math.sin(eccentric), 0);
        return Rotation.aboutZ(-perihelion)
                .then(Rotation.aboutX(-Math.toRadians(e[2])))
                .then(Rotation.aboutZ(-Math.toRadians(e[5])))
                .apply(inOrbit);
    }

    /** Kepler's equation by Newton's method; eccentricities to 0.21 settle in five steps. */
    private static double eccentricAnomaly(double mean, double eccentricity) {
        double e = mean + eccentricity * Math.sin(mean);
        for (int i = 0; i < 6; i++) {
            e -= (e - eccentricity * Math.sin(e) - mean) / (1 - eccentricity * Math.cos(e));
        }
        return e;
    }
}
