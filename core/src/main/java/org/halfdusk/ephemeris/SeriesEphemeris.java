package org.halfdusk.ephemeris;

import org.halfdusk.angle.Angle;
import org.halfdusk.angle.Rotation;
import org.halfdusk.angle.Vector;
import org.halfdusk.ephemeris.coordinates.EarthMotion;
import org.halfdusk.ephemeris.coordinates.FixedDirection;
import org.halfdusk.ephemeris.theory.EarthTheory;
import org.halfdusk.ephemeris.theory.LunarTheory;
import org.halfdusk.ephemeris.theory.NutationTheory;
import org.halfdusk.ephemeris.theory.Precession;

/**
 * The full theories, summed anew for every question: about 0.1 ms for the Moon, 0.03 ms for the Sun. Against JPL
 * positions within 0.06″ for the Sun and 0.26″ for the Moon, 1960–2060.
 */
public final class SeriesEphemeris implements Ephemeris {
    /** Light time for one astronomical unit, s. */
    private static final double LIGHT_SECONDS_PER_AU = 499.004784;

    private static final double DAY = 86_400;

    @Override
    public Vector apparent(Body body, double ttDays) {
        return switch (body) {
            case SUN -> toDate(ttDays).apply(sunJ2000(ttDays));
            case MOON -> toDate(ttDays).apply(moonJ2000(ttDays));
            default ->
                fixed(
                        body.j2000()
                                .orElseThrow(() -> new IllegalArgumentException(
                                        body + " has no place of its own; it is seen from somewhere")),
                        ttDays);
        };
    }

    @Override
    public EarthMotion earth(double ttDays) {
        double t = ttDays / 36_525;
        NutationTheory.Nutation n = NutationTheory.instance().at(t);
        double obliquity = Precession.meanObliquityRad(t);
        double node = NutationTheory.nodeRad(t);
        // Complementary terms of the equation of the equinoxes: IERS Conventions 2010, table 5.2e, the two largest.
        double complementaryArcsec = 0.00264096 * Math.sin(node) + 0.00006352 * Math.sin(2 * node);
        double equinoxes = n.longitudeRad() * Math.cos(obliquity) + complementaryArcsec / Angle.ARCSECONDS_PER_RADIAN;
        return new EarthMotion(ttDays, n.longitudeRad(), n.obliquityRad(), equinoxes, velocity(ttDays));
    }

    /** Heliocentric velocity over c; the Sun's own motion, at most 5e-8 c (0.01″), is neglected. */
    private static Vector velocity(double ttDays) {
        double h = 0.01;
        Vector before = EarthTheory.instance().heliocentricJ2000(ttDays - h);
        Vector after = EarthTheory.instance().heliocentricJ2000(ttDays + h);
        double kmPerLightSecond = EarthTheory.AU_KM / LIGHT_SECONDS_PER_AU;
        return after.minus(before).times(1 / (2 * h * DAY * kmPerLightSecond));
    }

    /** The Earth one light time ago, seen from the Sun, turned round: this holds light time and aberration at once. */
    private static Vector sunJ2000(double ttDays) {
        EarthTheory theory = EarthTheory.instance();
        double lightDays = theory.radiusAu(ttDays) * LIGHT_SECONDS_PER_AU / DAY;
        return theory.heliocentricJ2000(ttDays - lightDays).times(-1);
    }

    /** The Moon one light time ago; the Earth carries it along, so the annual aberration cancels to 0.001″. */
    private static Vector moonJ2000(double ttDays) {
        LunarTheory theory = LunarTheory.instance();
        // A mean distance serves for the light time: 40,000 km more or less are 0.13 s, in which the Moon moves 0.07″,
        // so one correction with the true distance follows.
        double meanLightDays = 385_000 / 299_792.458 / DAY;
        Vector near = theory.positionJ2000((ttDays - meanLightDays) / 36_525);
        double excessDays = near.length() / 299_792.458 / DAY - meanLightDays;
        return near.minus(motionPerDay(near).times(excessDays));
    }

    /** The Moon's mean motion across the sky, km a day, good to a fifth: enough for a tenth of a second. */
    private static Vector motionPerDay(Vector moon) {
        Vector eclipticPole = new Vector(0, -0.397777, 0.917482);
        return eclipticPole.cross(moon).times(2 * Math.PI / 27.32166);
    }

    private Vector fixed(Vector j2000, double ttDays) {
        EarthMotion earth = earth(ttDays);
        Vector sun = sunJ2000(ttDays);
        return FixedDirection.apparent(
                j2000, sun, sun.length() / EarthTheory.AU_KM, earth.velocity(), earth.fromJ2000());
    }

    private static Rotation toDate(double ttDays) {
        double t = ttDays / 36_525;
        return Precession.fromJ2000(t, NutationTheory.instance().at(t));
    }
}
