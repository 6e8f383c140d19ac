package org.halfdusk.exposure;

import java.util.List;
import java.util.Locale;
import java.util.stream.DoubleStream;

/** Marks of the aperture ring, in thirds of a stop. */
public final class FNumber {
    private static final double[] MARKS = {
        0.95, 1, 1.1, 1.2, 1.4, 1.6, 1.8, 2, 2.2, 2.5, 2.8, 3.2, 3.5, 4, 4.5, 5, 5.6, 6.3, 7.1, 8, 9, 10, 11, 13, 14,
        16, 18, 20, 22, 25, 29, 32, 36, 40, 45
    };

    private FNumber() {}

    /** What a lens between two f-numbers can be set to: the widest, then the marks after it. */
    public static List<Double> available(double widest, double smallest) {
        return DoubleStream.concat(
                        DoubleStream.of(widest),
                        DoubleStream.of(MARKS).filter(n -> n > widest * 1.03 && n <= smallest * 1.001))
                .boxed()
                .toList();
    }

    /** The mark nearest to a wish, in stops. */
    public static double nearest(double wished, List<Double> marks) {
        return marks.stream()
                .min((a, b) -> Double.compare(Math.abs(Stops.between(a, wished)), Math.abs(Stops.between(b, wished))))
                .orElseThrow();
    }

    /** "f/2", "f/5.6". */
    public static String label(double fNumber) {
        double tenths = Math.round(fNumber * 10) / 10.0;
        return tenths == Math.rint(tenths) || tenths >= 10
                ? "f/" + Math.round(tenths)
                : String.format(Locale.ROOT, "f/%.1f", tenths);
    }
}
