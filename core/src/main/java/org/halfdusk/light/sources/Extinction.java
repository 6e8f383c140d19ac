package org.halfdusk.light.sources;

import org.halfdusk.angle.Apparent;

/**
 * Loss of light in the air.
 *
 * @param perAirmass magnitudes at the zenith, V: 0.12–0.17 on mountains, 0.2–0.3 low down
 */
public record Extinction(double perAirmass) {
    /** A clear night near sea level. */
    public static final Extinction CLEAR = new Extinction(0.2);

    private static final Apparent HIGH = Apparent.ofDegrees(60);

    /** @throws IllegalArgumentException outside 0.05 to 2 mag/airmass */
    public Extinction {
        if (!(perAirmass >= 0.05 && perAirmass <= 2)) {
            throw new IllegalArgumentException("extinction " + perAirmass + " mag/airmass is outside 0.05 to 2");
        }
    }

    /**
     * Relative air mass at an apparent altitude, 1 at the zenith, 38 at the horizon (Kasten and Young 1989, Appl.
     * Opt. 28, 4735); within 0.5 % of the standard atmosphere. Below the horizon as at it.
     */
    public static double airmass(Apparent altitude) {
        double h = Math.max(0, altitude.degrees());
        return 1 / (Math.sin(Math.toRadians(h)) + 0.50572 * Math.pow(h + 6.07995, -1.6364));
    }

    /** Stops lost beyond what is lost high up, at 60°, where exposure rules were made. */
    public double stopsBelowHigh(Apparent altitude) {
        return Math.max(0, magnitudes(altitude) - magnitudes(HIGH)) * 0.4 / Math.log10(2);
    }

    /** Magnitudes lost from outside the air at an altitude. */
    public double magnitudes(Apparent altitude) {
        return perAirmass * airmass(altitude);
    }
}
