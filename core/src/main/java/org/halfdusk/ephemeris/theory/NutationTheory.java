package org.halfdusk.ephemeris.theory;

import java.util.List;
import org.halfdusk.angle.Angle;

/**
 * Nutation IAU 2000A_R06, luni-solar terms of 50 µas and more (IERS Conventions 2010, tables 5.3a and 5.3b, arguments
 * 5.43). Neglects the planetary terms: within 3 mas of the whole.
 */
public final class NutationTheory {
    private static final int ARGUMENTS = 5;

    private final int[][] multipliers;
    private final double[][] coefficients;

    private NutationTheory() {
        List<String[]> lines = SeriesTable.lines("nutation.txt");
        multipliers = new int[lines.size()][ARGUMENTS];
        coefficients = new double[lines.size()][6];
        for (int i = 0; i < lines.size(); i++) {
            String[] words = lines.get(i);
            for (int k = 0; k < ARGUMENTS; k++) {
                multipliers[i][k] = Integer.parseInt(words[k]);
            }
            for (int k = 0; k < 6; k++) {
                coefficients[i][k] = Double.parseDouble(words[ARGUMENTS + k]) * 1e-6;
            }
        }
    }

    /** The theory, read on first use. */
    public static NutationTheory instance() {
        return Holder.INSTANCE;
    }

    private static final class Holder {
        static final NutationTheory INSTANCE = new NutationTheory();
    }

    /** Nutation in longitude and obliquity, radians. */
    public record Nutation(double longitudeRad, double obliquityRad) {}

    /** Nutation at t Julian centuries of TT from J2000. */
    public Nutation at(double t) {
        double[] f = arguments(t);
        double psi = 0;
        double eps = 0;
        for (int i = multipliers.length - 1; i >= 0; i--) {
            int[] m = multipliers[i];
            double[] c = coefficients[i];
            double arg = m[0] * f[0] + m[1] * f[1] + m[2] * f[2] + m[3] * f[3] + m[4] * f[4];
            double sin = Math.sin(arg);
            double cos = Math.cos(arg);
            psi += (c[0] + c[2] * t) * sin + c[1] * cos;
            eps += (c[3] + c[5] * t) * cos + c[4] * sin;
        }
        return new Nutation(psi / Angle.ARCSECONDS_PER_RADIAN, eps / Angle.ARCSECONDS_PER_RADIAN);
    }

    /** Longitude of the Moon's ascending node, radians (IERS Conventions 2010, 5.43, F5). */
    public static double nodeRad(double t) {
        return argument(125.04455501, -6962890.5431, 7.4722, 0.007702, -0.00005939, t);
    }

    /** The Moon's mean longitude less that of its node, radians (IERS Conventions 2010, 5.43, F3). */
    public static double latitudeArgumentRad(double t) {
        return argument(93.27209062, 1739527262.8478, -12.7512, -0.001037, 0.00000417, t);
    }

    private static double[] arguments(double t) {
        return new double[] {
            argument(134.96340251, 1717915923.2178, 31.8792, 0.051635, -0.00024470, t),
            argument(357.52910918, 129596581.0481, -0.5532, 0.000136, -0.00001149, t),
            latitudeArgumentRad(t),
            argument(297.85019547, 1602961601.2090, -6.3706, 0.006593, -0.00003169, t),
            nodeRad(t)
        };
    }

    private static double argument(double degrees, double a1, double a2, double a3, double a4, double t) {
        double arcsec = t * (a1 + t * (a2 + t * (a3 + t * a4)));
        return Angle.wrap(Math.toRadians(degrees) + arcsec / Angle.ARCSECONDS_PER_RADIAN);
    }
}
