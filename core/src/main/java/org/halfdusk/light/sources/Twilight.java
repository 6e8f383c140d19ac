package org.halfdusk.light.sources;

import java.util.Arrays;
import java.util.List;
import org.halfdusk.angle.Vector;
import org.halfdusk.numeric.Nodes;
import org.halfdusk.photometry.Magnitudes;
import org.halfdusk.shipped.Shipped;

/**
 * Sunlight scattered in the air, over the whole sky.
 *
 * <ol>
 *   <li>At the zenith, V, for sun depressions of 5° to 15°: 11.84 + 1.518 p − 0.057 p², p = depression − 5 (Patat et al. 2006,
 *       A&amp;A 455, 385), from which their site's night of 21.65† is taken off, since parts are added. Beyond 15° it fades by 1
 *       mag per degree†.
 *   <li>How much brighter or darker other directions are, and the zenith with the Sun higher than −5°, is a computation of ours:
 *       light followed backwards through a spherical air of molecules (0.098 vertical depth at 550 nm, thinning by e over 8 km),
 *       aerosols (0.07, 1.5 km, g = 0.65) and ozone (0.03 about 22 km), scattered up to seven times, by the Monte Carlo method;
 *       133,000 lux outside. It is the file twilight.txt, made by TwilightSky in bench. Against the measured zenith it
 *       stands 0.5 mag too bright at −6°, 0.4 at −9° and −12°; its scatter is 0.1 mag, 0.3 at −15°.
 * </ol>
 *
 * († working figures of ours.)
 */
public final class Twilight {
    private static final double LAST_MEASURED = 15;

    /** Sun's altitude from which on the zenith is measured rather than computed, degrees. */
    private static final double FIRST_MEASURED = -5;

    /** The moonless zenith of the fit's site, V mag/arcsec²†. */
    static final double NIGHT = 21.65;

    private Twilight() {}

    /**
     * The computed sky: magnitudes by the Sun's altitude, the altitude looked at and the angle to the Sun's azimuth.
     *
     * @param suns and zeniths: Sun's altitudes, degrees, falling, and the zenith then
     */
    private record Computed(double[] suns, double[] zeniths, double[][][] magnitudes) {
        static final double[] ALTITUDES = {0, 3, 8, 16, 30, 50, 90};
        static final double[] SIDES = {0, 30, 60, 90, 135, 180};
        static final Computed TABLE = read();

        private static Computed read() {
            return of(Shipped.lines(Twilight.class, "twilight.txt", "the table of twilight").stream()
                    .map(l -> Arrays.stream(l.split(" "))
                            .mapToDouble(Double::parseDouble)
                            .toArray())
                    .toList());
        }

        private static Computed of(List<double[]> rows) {
            double[] suns = rows.stream().mapToDouble(r -> r[0]).toArray();
            double[] zeniths = rows.stream().mapToDouble(r -> r[r.length - 1]).toArray();
            double[][][] all = new double[rows.size()][ALTITUDES.length][SIDES.length];
            for (int i = 0; i < suns.length; i++) {
                for (int a = 0; a < ALTITUDES.length; a++) {
                    for (int s = 0; s < SIDES.length; s++) {
                        boolean overhead = a == ALTITUDES.length - 1;
                        all[i][a][s] = overhead ? zeniths[i] : rows.get(i)[1 + a * SIDES.length + s];
                    }
                }
            }
            return new Computed(suns, zeniths, all);
        }

        /** The row before which a Sun's altitude lies, at least 1; suns fall. */
        private int row(double sun) {
            int i = 1;
            while (i < suns.length - 1 && suns[i] > sun) {
                i++;
            }
            return i;
        }

        private double share(int row, double sun) {
            return Math.max(0, Math.min(1, (suns[row - 1] - sun) / (suns[row - 1] - suns[row])));
        }

        double zenith(double sun) {
            int i = row(sun);
            double share = share(i, sun);
            return zeniths[i - 1] + share * (zeniths[i] - zeniths[i - 1]);
        }

        /** Magnitudes by which a direction is fainter than the zenith; negative brighter. */
        double against(double sun, double altitude, double side) {
            int i = row(sun);
            double share = share(i, sun);
            return (1 - share) * (at(i - 1, altitude, side) - zeniths[i - 1])
                    + share * (at(i, altitude, side) - zeniths[i]);
        }

        private double at(int i, double altitude, double side) {
            int a = Nodes.upper(ALTITUDES, altitude);
            int s = Nodes.upper(SIDES, side);
            double up = Nodes.share(ALTITUDES, a, altitude);
            double aside = Nodes.share(SIDES, s, side);
            double low = magnitudes[i][a - 1][s - 1] * (1 - aside) + magnitudes[i][a - 1][s] * aside;
            double high = magnitudes[i][a][s - 1] * (1 - aside) + magnitudes[i][a][s] * aside;
            return low * (1 - up) + high * up;
        }
    }

    /** The measured twilight with the night behind it, V mag/arcsec², sun depression 5° to 15°. */
    private static double measured(double depressionDegrees) {
        double p = depressionDegrees - 5;
        return 11.84 + 1.518 * p - 0.057 * p * p;
    }

    /** Scattered sunlight alone at the zenith, mag/arcsec²: the night sky that the fit holds is taken off. */
    public static double zenith(double sunAltitudeDegrees) {
        if (sunAltitudeDegrees > FIRST_MEASURED) {
            // Ours from sunset up; between, it is led over to what was measured.
            double over = zenith(FIRST_MEASURED) - Computed.TABLE.zenith(FIRST_MEASURED);
            double share = Math.max(0, Math.min(1, sunAltitudeDegrees / FIRST_MEASURED));
            return Computed.TABLE.zenith(sunAltitudeDegrees) + share * over;
        }
        double depression = -sunAltitudeDegrees;
        double inside = Math.min(LAST_MEASURED, depression);
        double alone = Magnitudes.of(Magnitudes.flux(measured(inside)) - Magnitudes.flux(NIGHT));
        return alone + Math.max(0, depression - LAST_MEASURED);
    }

    /** In a direction (north, east, up); below the horizon as at it. */
    public static double flux(Vector direction, Vector sun, double sunAltitudeDegrees) {
        double altitude = Math.max(0, Math.toDegrees(direction.latitudeRad()));
        double apart = Math.atan2(direction.y(), direction.x()) - Math.atan2(sun.y(), sun.x());
        double side = Math.abs(Math.toDegrees(Math.IEEEremainder(apart, 2 * Math.PI)));
        return Magnitudes.flux(zenith(sunAltitudeDegrees) + Computed.TABLE.against(sunAltitudeDegrees, altitude, side));
    }
}
