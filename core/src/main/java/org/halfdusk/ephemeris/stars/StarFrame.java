package org.halfdusk.ephemeris.stars;

import org.halfdusk.angle.Rotation;
import org.halfdusk.angle.Vector;
import org.halfdusk.ephemeris.Body;
import org.halfdusk.ephemeris.Ephemeris;
import org.halfdusk.ephemeris.coordinates.EarthMotion;
import org.halfdusk.ephemeris.coordinates.FixedDirection;
import org.halfdusk.ephemeris.theory.EarthTheory;

/** All that stars share at one moment, made once so that thousands of them cost little: rotation, velocity, the Sun. */
public final class StarFrame {
    private static final double JULIAN_YEAR_DAYS = 365.25;

    private final double years;
    private final Rotation toDate;
    private final Vector velocity;
    private final Vector sunAu;

    private StarFrame(double ttDays, EarthMotion earth, Vector sunOfDateKm) {
        this.years = ttDays / JULIAN_YEAR_DAYS;
        this.toDate = earth.fromJ2000();
        this.velocity = earth.velocity();
        this.sunAu = toDate.inverse().apply(sunOfDateKm).times(1 / EarthTheory.AU_KM);
    }

    /** For a time, days of Terrestrial Time from J2000.0. */
    public static StarFrame at(Ephemeris ephemeris, double ttDays) {
        return new StarFrame(ttDays, ephemeris.earth(ttDays), ephemeris.apparent(Body.SUN, ttDays));
    }

    /** Apparent direction in the true equator and equinox of date: space motion, parallax, deflection, aberration. */
    public Vector apparent(Star star) {
        Vector moved = star.j2000().plus(star.motion().times(years)).plus(sunAu.times(star.parallaxRad()));
        return FixedDirection.apparent(moved.unit(), sunAu, sunAu.length(), velocity, toDate);
    }
}
