package org.halfdusk.light;

import org.halfdusk.angle.Vector;

/**
 * Sunlight scattered in the air.
 *
 * <p>At the zenith, V, for sun depressions of 5° to 15°: 11.84 + 1.518 p − 0.057 p², p = depression − 5 (Patat et al.
 * 2006, A&A 455, 385), from which their site's night of 21.65† is taken off, since parts are added; beyond 15° it fades by 1 mag per degree†; above 5° the first slope goes on to daylight, 3.5 at the
 * brightest†. Towards the Sun's azimuth it is brighter near the horizon, by up to 2.5 mag†. († working fits of ours.)
 */
public final class Twilight {
    private static final double DAYLIGHT = 3.5;
    private static final double SUNWARD_MAGNITUDES = 2.5;

    private static final double LAST_MEASURED = 15;

    /** The moonless zenith of the fit's site, V mag/arcsec²†. */
    static final double NIGHT = 21.65;

    private Twilight() {}

    /** The measured twilight with the night behind it, V mag/arcsec², sun depression 5° to 15°. */
    private static double measured(double depressionDegrees) {
        double p = depressionDegrees - 5;
        return p < 0 ? Math.max(DAYLIGHT, 11.84 + 1.518 * p) : 11.84 + 1.518 * p - 0.057 * p * p;
    }

    /** Scattered sunlight alone at the zenith, mag/arcsec²: the night sky that the fit holds is taken off. */
    public static double zenith(double sunAltitudeDegrees) {
        double depression = -sunAltitudeDegrees;
        double inside = Math.min(LAST_MEASURED, depression);
        double alone = Magnitudes.of(Magnitudes.flux(measured(inside)) - Magnitudes.flux(NIGHT));
        return alone + Math.max(0, depression - LAST_MEASURED);
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
