package org.halfdusk.exposure.discs;

import org.halfdusk.photometry.FNumber;
import org.halfdusk.photometry.Iso;
import org.halfdusk.photometry.Magnitudes;
import org.halfdusk.photometry.SkyBrightness;

/**
 * Guide values Q of the eclipse tables: t = N²/(ISO · 2^Q) seconds.
 *
 * <p>Solar values are F. Espenak's published ones; lunar ones are working figures, two stops either way in totality, where
 * the shadow's darkness differs from eclipse to eclipse (Danjon 0 very dark to 4 bright).
 */
public final class EclipseGuide {
    /** What of a solar eclipse is exposed for. */
    public enum Solar {
        PARTIAL_ND5(8),
        PARTIAL_ND4(11),
        PROMINENCES(9),
        CORONA_0_1_R(7),
        CORONA_0_2_R(5),
        CORONA_0_5_R(3),
        CORONA_1_R(1),
        CORONA_2_R(0),
        CORONA_4_R(-1),
        CORONA_8_R(-3);

        private final double q;

        Solar(double q) {
            this.q = q;
        }

        /** The guide value Q of the tables. */
        public double q() {
            return q;
        }

        /** Whether it is taken through the filter; the others exist in totality only. */
        public boolean filtered() {
            return this == PARTIAL_ND5 || this == PARTIAL_ND4;
        }
    }

    private static final double FULL_MOON = 8;
    private static final double PENUMBRA = 7;

    /** Umbral magnitude and Q of the part that is still lit. */
    private static final double[][] PARTIAL = {{0, 7}, {0.3, 6}, {0.6, 5}, {0.8, 4}, {0.9, 3}, {0.95, 2}};

    /** Q of totality by Danjon's scale, 0 to 4. */
    private static final double[] TOTALITY = {-9, -7, -5, -3, -1};

    /** Guide value just inside the umbra's edge in an eclipse of Danjon 2, and by how much a class moves it†. */
    private static final double EDGE = 1;

    private static final double EDGE_BY_DANJON = 0.4;

    /** Of a Moon wholly inside whose centre stands 0.4 radii of the umbra from its axis: 0.4² + (0.36)²/2. */
    private static final double USUAL_MEAN_SQUARE = 0.225;

    private static final double FULL_MOON_SURFACE = 3.5;

    private EclipseGuide() {}

    /** Seconds for a guide value. */
    public static double seconds(FNumber fNumber, Iso iso, double q) {
        return fNumber.squared() / (iso.value() * Math.pow(2, q));
    }

    /** Guide value of the Moon outside the shadow. */
    public static double fullMoon() {
        return FULL_MOON;
    }

    /** Guide value of the Moon in the penumbra. */
    public static double penumbra() {
        return PENUMBRA;
    }

    /**
     * Guide value for the lit part at an umbral magnitude, 0 to 1; beyond 0.95 as there.
     *
     * @throws IllegalArgumentException for a magnitude outside 0 to 1
     */
    public static double lunarPartial(double umbralMagnitude) {
        if (!(umbralMagnitude >= 0 && umbralMagnitude <= 1)) {
            throw new IllegalArgumentException("umbral magnitude " + umbralMagnitude + " is outside 0 to 1");
        }
        for (int i = 1; i < PARTIAL.length; i++) {
            if (umbralMagnitude <= PARTIAL[i][0]) {
                double share = (umbralMagnitude - PARTIAL[i - 1][0]) / (PARTIAL[i][0] - PARTIAL[i - 1][0]);
                return PARTIAL[i - 1][1] + share * (PARTIAL[i][1] - PARTIAL[i - 1][1]);
            }
        }
        return PARTIAL[PARTIAL.length - 1][1];
    }

    /**
     * Guide value of a usual totality, Danjon 0 (darkest) to 4.
     *
     * @throws IllegalArgumentException for a Danjon class outside 0 to 4
     */
    public static double lunarTotality(int danjon) {
        if (danjon < 0 || danjon > 4) {
            throw new IllegalArgumentException("Danjon class " + danjon + " is outside 0 to 4");
        }
        return TOTALITY[danjon];
    }

    /**
     * Guide value of the part of the Moon that lies in the umbra, by how deep it lies: darkest on the shadow's axis, some stops
     * brighter along its edge, into which the air bends more of the Sun. A parabola over the distance from the axis†, through
     * Danjon's value where a usual totality has it.
     *
     * @param meanSquare of the distances of that part's points from the axis, in radii of the umbra, 0 to 1
     */
    public static double lunarShadow(double meanSquare, int danjon) {
        double total = lunarTotality(danjon);
        double edge = EDGE - (2 - danjon) * EDGE_BY_DANJON;
        double axis = (total - USUAL_MEAN_SQUARE * edge) / (1 - USUAL_MEAN_SQUARE);
        return axis + Math.max(0, Math.min(1, meanSquare)) * (edge - axis);
    }

    /** Surface of the Moon at a guide value before the air, mag/arcsec²: 3.5 for the full Moon, 13.3 in a totality of Danjon 2. */
    public static SkyBrightness lunarSurface(double q) {
        return SkyBrightness.of(FULL_MOON_SURFACE + (FULL_MOON - q) * Magnitudes.PER_STOP);
    }
}
