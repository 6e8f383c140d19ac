package org.halfdusk.light.sources;

/** Light of Sun and sky on level ground. */
public final class Daylight {
    private static final double[] ALTITUDES = {-18, -12, -6, 0, 5, 10, 20, 60};

    /** 0° 700, −6° 3.4 and −12° 0.008 lux of a clear sky; the others are working figures†. */
    private static final double[] LUX = {0.0007, 0.008, 3.4, 700, 4700, 11_000, 31_000, 100_000};

    private Daylight() {}

    /** Lux under a clear sky for the Sun's altitude in degrees; between the figures by their logarithms. */
    public static double lux(double sunAltitudeDegrees) {
        double h = Math.max(ALTITUDES[0], Math.min(ALTITUDES[ALTITUDES.length - 1], sunAltitudeDegrees));
        int i = 1;
        while (h > ALTITUDES[i]) {
            i++;
        }
        double share = (h - ALTITUDES[i - 1]) / (ALTITUDES[i] - ALTITUDES[i - 1]);
        return LUX[i - 1] * Math.pow(LUX[i] / LUX[i - 1], share);
    }
}
