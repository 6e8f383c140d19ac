package org.halfdusk.light.sources;

import org.halfdusk.angle.Apparent;

/**
 * Moonlight scattered in the air: Krisciunas and Schaefer 1991 (PASP 103, 1033), V; within 23 % of their measurements for a
 * Moon above 15° or so and phase angles to 100°, about a third beyond.
 */
public final class Moonlight {
    private Moonlight() {}

    /**
     * Brightness in nanolamberts.
     *
     * @param phaseAngleDegrees 0 full to 180 new
     * @param separationDegrees from the Moon to the direction looked at
     * @param moon where it is seen; not up it gives no light
     * @param zenithDegrees of the direction, 0 to 90
     * @param extinction magnitudes per air mass
     */
    public static double nanolamberts(
            double phaseAngleDegrees,
            double separationDegrees,
            Apparent moon,
            double zenithDegrees,
            double extinction) {
        if (!moon.up()) {
            return 0;
        }
        double a = Math.abs(phaseAngleDegrees);
        double source = Math.pow(10, -0.4 * (3.84 + 0.026 * a + 4e-9 * Math.pow(a, 4)));
        double rho = Math.max(0.3, separationDegrees);
        double cos = Math.cos(Math.toRadians(rho));
        double mie = rho < 10 ? 6.2e7 / (rho * rho) : Math.pow(10, 6.15 - rho / 40);
        double scattering = Math.pow(10, 5.36) * (1.06 + cos * cos) + mie;
        double reaching = Math.pow(10, -0.4 * extinction * beamAirmass(moon));
        double scattered = 1 - Math.pow(10, -0.4 * extinction * airmass(zenithDegrees));
        return scattering * source * reaching * scattered;
    }

    /**
     * Air mass of the Moon's beam: the paper's own stops at 5 at the horizon, where the beam crosses 38; so Kasten and Young
     * (1989) below 10°, the paper's above 30°, where it was measured, and a straight mixture between†.
     */
    private static double beamAirmass(Apparent moon) {
        double low = Math.max(0, Math.min(1, (30 - moon.degrees()) / 20));
        return low * Extinction.airmass(moon) + (1 - low) * airmass(90 - moon.degrees());
    }

    /** The paper's own air mass for scattering, (1 − 0.96 sin² Z)^−½. */
    public static double airmass(double zenithDegrees) {
        double s = Math.sin(Math.toRadians(Math.min(90, zenithDegrees)));
        return 1 / Math.sqrt(1 - 0.96 * s * s);
    }

    /**
     * Light of the Moon on level ground, lux: 2.54·10⁻⁶ · 10^(−0.4 m) times sin h, m extinguished; full and high 0.25.
     */
    public static double groundLux(double phaseAngleDegrees, Apparent altitude, Extinction extinction) {
        if (!altitude.up()) {
            return 0;
        }
        double a = Math.abs(phaseAngleDegrees);
        double magnitude = -12.73 + 0.026 * a + 4e-9 * Math.pow(a, 4) + extinction.magnitudes(altitude);
        return 2.54e-6 * Math.pow(10, -0.4 * magnitude) * Math.sin(Math.toRadians(altitude.degrees()));
    }
}
