package org.halfdusk.time;

/** The numbers of {@link DeltaT#model()}. */
final class DeltaTTable {
    private static final int FIRST_YEAR = 1950;

    /** ΔT on 1 January of each year, seconds: The Astronomical Almanac, section K; IERS Bulletins from 1972 on. */
    private static final double[] YEARLY = {
        29.15, 29.57, 29.97, 30.36, 30.72, 31.07, 31.35, 31.68, 32.18, 32.68, // 1950
        33.15, 33.59, 34.00, 34.47, 35.03, 35.73, 36.54, 37.43, 38.29, 39.20, // 1960
        40.18, 41.17, 42.23, 43.37, 44.49, 45.48, 46.46, 47.52, 48.53, 49.59, // 1970
        50.54, 51.38, 52.17, 52.96, 53.79, 54.34, 54.87, 55.32, 55.82, 56.30, // 1980
        56.86, 57.57, 58.31, 59.12, 59.98, 60.78, 61.63, 62.29, 62.97, 63.47, // 1990
        63.83, 64.09, 64.30, 64.47, 64.57, 64.69, 64.85, 65.15, 65.46, 65.78, // 2000
        66.07, 66.32, 66.60, 66.91, 67.28, 67.64, 68.10, 68.59, 68.97, 69.22, // 2010
        69.36, 69.36, 69.29, 69.20, 69.18, 69.14, 69.11 // 2020
    };

    private static final double DRIFT_FROM = 2030;
    private static final double HELD_SECONDS = 69.15;
    private static final double DRIFT_SECONDS_PER_YEAR_SQUARED = 0.0045;

    private DeltaTTable() {}

    static double secondsAt(double utDays) {
        double year = 2000 + (utDays + 0.5) / 365.2425;
        double x = year - FIRST_YEAR;
        int last = YEARLY.length - 1;
        if (x < 0) {
            return YEARLY[0];
        }
        if (x < last) {
            int i = (int) x;
            return YEARLY[i] + (x - i) * (YEARLY[i + 1] - YEARLY[i]);
        }
        double held = YEARLY[last] + Math.min(1, x - last) * (HELD_SECONDS - YEARLY[last]);
        double drift = Math.max(0, year - DRIFT_FROM);
        return held + DRIFT_SECONDS_PER_YEAR_SQUARED * drift * drift;
    }
}
