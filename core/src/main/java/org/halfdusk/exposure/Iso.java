package org.halfdusk.exposure;

import java.util.Arrays;
import java.util.List;

/** Marks of sensitivity, in thirds of a stop. */
public final class Iso {
    private static final int[] MARKS = {
        25, 32, 40, 50, 64, 80, 100, 125, 160, 200, 250, 320, 400, 500, 640, 800, 1000, 1250, 1600, 2000, 2500, 3200,
        4000, 5000, 6400, 8000, 10000, 12800, 16000, 20000, 25600, 32000, 40000, 51200, 64000, 80000, 102400, 204800,
        409600
    };

    private Iso() {}

    /** Marks within a camera's range, lowest first; the range's own ends where no mark lies inside. */
    public static List<Integer> available(int lowest, int highest) {
        List<Integer> marks = Arrays.stream(MARKS)
                .filter(iso -> iso >= lowest && iso <= highest)
                .boxed()
                .toList();
        return marks.isEmpty() ? List.of(lowest) : marks;
    }

    /** The mark nearest to a wish, in stops. */
    public static int nearest(double wished, List<Integer> marks) {
        return marks.stream()
                .min((a, b) -> Double.compare(Math.abs(Stops.between(a, wished)), Math.abs(Stops.between(b, wished))))
                .orElseThrow();
    }
}
