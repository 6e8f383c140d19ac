package org.halfdusk.numeric;

import java.util.Arrays;
import java.util.List;

/** What many values agree on, whatever a few of them say; NaN where there are none. */
public final class Robust {
    private Robust() {}

    /** @return the middle value, the mean of the two middle ones, or NaN where there are none */
    public static double median(List<Double> values) {
        double[] sorted = sorted(values);
        int n = sorted.length;
        return n == 0 ? Double.NaN : n % 2 == 1 ? sorted[n / 2] : (sorted[n / 2 - 1] + sorted[n / 2]) / 2;
    }

    /** @return the same values, rising */
    public static double[] sorted(List<Double> values) {
        double[] sorted = values.stream().mapToDouble(Double::doubleValue).toArray();
        Arrays.sort(sorted);
        return sorted;
    }

    /** The value that a share of them lies below. */
    public static double quantile(double[] sorted, double share) {
        int n = sorted.length;
        return n == 0 ? Double.NaN : sorted[(int) Math.min(n - 1, share * n)];
    }

    /** The most frequent: the middle of where half of them lie closest, of these half again, and so on. */
    public static double mode(double[] sorted) {
        int from = 0;
        int n = sorted.length;
        while (n > 2) {
            int half = (n + 1) / 2;
            int best = from;
            for (int i = from; i + half <= from + n; i++) {
                if (sorted[i + half - 1] - sorted[i] < sorted[best + half - 1] - sorted[best]) {
                    best = i;
                }
            }
            from = best;
            n = half;
        }
        return n == 0 ? Double.NaN : (sorted[from] + sorted[from + n - 1]) / 2;
    }
}
