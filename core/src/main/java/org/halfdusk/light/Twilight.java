package org.halfdusk.light;

import org.halfdusk.angle.Vector;

/**
 * Sunlight scattered in the air.
 *
 * <p>At the zenith, V, for sun depressions of 5° to 15°: 11.84 + 1.518 p − 0.057 p², p = depression − 5 (Patat et al.
 * 2006, A&A 455, 385); beyond 15° it fades by 1 mag per degree†; above 5° the first slope goes on to daylight, 3.5 at the
 * brightest†. Towards the Sun's azimuth it is brighter near the horizon, by up to 2.5 mag†. († working fits of ours.)
 */
public final class Twilight {
    private static final double DAYLIGHT = 3.5;
    private static final double SUNWARD_MAGNITUDES = 2.5;

    private Twilight() {}

    /** Scattered sunlight at the zenith, mag/arcsec². */
    public static double zenith(double sunAltitudeDegrees) {
        double p = -sunAltitudeDegrees - 5;
        if (p < 0) {
            return Math.max(DAYLIGHT, 11.84 + 1.518 * p);
        }
        double inside = Math.min(10, p);
        return 11.84 + 1.518 * inside - 0.057 * inside * inside + Math.max(0, p - 10);
    }

    /** In a direction (north, east, up). */
    static double flux(Vector direction, Vector sun, double sunAltitudeDegrees) {
        double flat = Math.hypot(sun.x(), sun.y());
        double towards = flat == 0 ? 0 : (direction.x() * sun.x() + direction.y() * sun.y()) / flat;
        double low = 1 - Math.max(0, direction.z());
        double sunward = low * Math.pow((1 + towards) / 2, 2);
        return Magnitudes.flux(zenith(sunAltitudeDegrees) - SUNWARD_MAGNITUDES * sunward);
    }
}
