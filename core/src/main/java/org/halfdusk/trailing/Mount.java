package org.halfdusk.trailing;

import org.halfdusk.optics.kit.Support;
import org.halfdusk.time.SiderealTime;

/** What the camera turns with: how fast sky and ground then move over the sensor, in shares of the stars' own rate. */
public enum Mount {
    TRIPOD(0),
    SIDEREAL(SiderealTime.DEGREES_PER_HOUR),
    /** The Moon's mean rate, 14.492″/s; its real one differs by 0.6 to 2.1 %, as {@link org.halfdusk.sky.BodyMotion} computes. */
    LUNAR(14.492),
    /** The Sun's mean rate, 15″/s. */
    SOLAR(15.0),
    /** Half the stars' rate: sky and ground blur alike. */
    HALF(SiderealTime.DEGREES_PER_HOUR / 2);

    /** Rate of the stars, arcsec per second: as many degrees an hour. */
    public static final double SIDEREAL_ARCSEC = SiderealTime.DEGREES_PER_HOUR;

    private final double arcsecPerSecond;

    Mount(double arcsecPerSecond) {
        this.arcsecPerSecond = arcsecPerSecond;
    }

    /** Rate about its axis, arcsec per second. */
    public double arcsecPerSecond() {
        return arcsecPerSecond;
    }

    /** Whether a support of the kit can turn so. */
    public boolean is(Support support) {
        return turns() && support.rates().stream().anyMatch(r -> r.name().equals(name()));
    }

    /** Whether it moves at all. */
    public boolean turns() {
        return this != TRIPOD;
    }

    /** How fast the stars still move, 1 on a tripod, 0 with the stars. */
    public double skyShare() {
        return Math.abs(SIDEREAL_ARCSEC - arcsecPerSecond) / SIDEREAL_ARCSEC;
    }

    /** How fast the ground moves, 0 on a tripod, 1 with the stars. */
    public double groundShare() {
        return arcsecPerSecond / SIDEREAL_ARCSEC;
    }
}
