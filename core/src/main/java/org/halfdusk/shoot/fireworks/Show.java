package org.halfdusk.shoot.fireworks;

import java.time.Duration;
import org.halfdusk.angle.Azimuth;

/**
 * What is known of a show.
 *
 * @param distanceMetres from the tripod to where shells are launched, 1 to 50,000
 * @param aboveMetres height of the launching ground over the camera's
 * @param smallest and largest shells
 * @param finale at its end, at most its length
 */
public record Show(
        Azimuth azimuth,
        double distanceMetres,
        double aboveMetres,
        Burst smallest,
        Burst largest,
        Duration finale,
        double celsius) {
    /** Seconds from launch to break: 1.5 s and 0.02 s per mm of calibre, as fuses are commonly cut†. */
    private static final double FUSE_SECONDS = 1.5;

    private static final double FUSE_SECONDS_PER_MM = 0.02;

    /** How long stars burn after the break†. */
    private static final double BURN_SECONDS = 1.2;

    private static final double BURN_SECONDS_PER_MM = 0.008;

    public static double breakSeconds(Burst shell) {
        return FUSE_SECONDS + FUSE_SECONDS_PER_MM * shell.calibreMm();
    }

    public static double burnSeconds(Burst shell) {
        return BURN_SECONDS + BURN_SECONDS_PER_MM * shell.calibreMm();
    }

    /** By how much the thump of the launch lags behind its flash, s. */
    public double soundLagSeconds() {
        return Burst.soundLagSeconds(distanceMetres, celsius);
    }

    /** Altitude of the launching ground, degrees. */
    public double footDegrees() {
        return Math.toDegrees(Math.atan2(aboveMetres, distanceMetres));
    }

    /** Altitude of a break, degrees. */
    public double breakDegrees(Burst shell) {
        return Math.toDegrees(Math.atan2(aboveMetres + shell.heightMetres(), distanceMetres));
    }

    /** Altitude of the top of the widest burst, degrees. */
    public double topDegrees(Burst shell) {
        return Math.toDegrees(
                Math.atan2(aboveMetres + shell.heightMetres() + shell.mostWidthMetres() / 2, distanceMetres));
    }

    /** Angles that a burst fills from side to side: least and most. */
    public double leastWidthDegrees(Burst shell) {
        return width(shell, shell.leastWidthMetres());
    }

    public double mostWidthDegrees(Burst shell) {
        return width(shell, shell.mostWidthMetres());
    }

    private double width(Burst shell, double metres) {
        double away = Math.hypot(distanceMetres, aboveMetres + shell.heightMetres());
        return Math.toDegrees(2 * Math.atan(metres / 2 / away));
    }

    /** Whether one stands nearer than the common separation for the largest shell. */
    public boolean tooNear() {
        return distanceMetres < largest.separationMetres();
    }
}
