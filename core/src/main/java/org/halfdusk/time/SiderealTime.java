package org.halfdusk.time;

import org.halfdusk.angle.Angle;

/** The turning of the Earth against the stars. */
public final class SiderealTime {
    /** Sidereal rotation of the Earth, rad/s (IERS Conventions 2010, table 1.2). */
    public static final double EARTH_RATE_RAD_PER_SECOND = 7.292115e-5;

    /** The same in degrees an hour: what a star trail sweeps. */
    public static final double DEGREES_PER_HOUR = 15.041;

    private SiderealTime() {}

    /**
     * Greenwich mean sidereal time, radians in [0, 2π): Earth rotation angle and the IAU 2006 polynomial (IERS
     * Conventions 2010, eq. 5.14–5.15 and table 5.2e).
     */
    public static double greenwichMeanRad(double utDays, double ttDays) {
        double whole = Math.floor(utDays);
        double turns = 0.7790572732640 + 0.00273781191135448 * utDays + (utDays - whole);
        return Angle.wrap(2 * Math.PI * (turns - Math.floor(turns)) + polynomialRad(ttDays));
    }

    private static double polynomialRad(double ttDays) {
        double t = ttDays / 36_525;
        double arcsec = 0.014506
                + t * (4612.156534 + t * (1.3915817 + t * (-0.00000044 + t * (-0.000029956 - t * 0.0000000368))));
        return arcsec / Angle.ARCSECONDS_PER_RADIAN;
    }
}
