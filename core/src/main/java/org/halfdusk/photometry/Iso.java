package org.halfdusk.photometry;

import java.util.Arrays;
import java.util.List;
import org.halfdusk.typed.Range;

/**
 * Sensitivity by ISO 12232: a mark of a camera, or the exact one that a light would need. Signal goes in proportion, so two of them
 * are compared in stops.
 *
 * @param value above 0 and finite; cameras have 6 to 3,276,800
 */
public record Iso(double value) implements Comparable<Iso> {
    /** One that the formulas are reckoned for. */
    public static final Iso ONE = new Iso(1);

    public static final Iso HUNDRED = new Iso(100);

    /** What can be typed or fixed. */
    public static final int LOWEST = 6;

    public static final int HIGHEST = 3_276_800;

    public static final Range RANGE = Range.of("ISO", LOWEST, HIGHEST);

    /** Marks of sensitivity, in thirds of a stop. */
    private static final int[] MARKS = {
        25, 32, 40, 50, 64, 80, 100, 125, 160, 200, 250, 320, 400, 500, 640, 800, 1000, 1250, 1600, 2000, 2500, 3200,
        4000, 5000, 6400, 8000, 10000, 12800, 16000, 20000, 25600, 32000, 40000, 51200, 64000, 80000, 102400, 204800,
        409600
    };

    /** @throws IllegalArgumentException where it is not above 0 or not finite */
    public Iso {
        if (!(value > 0 && value < Double.POSITIVE_INFINITY)) {
            throw new IllegalArgumentException("ISO " + value + " must be above 0");
        }
    }

    /** The mark of a value; above 0. */
    public static Iso of(double value) {
        return new Iso(value);
    }

    /** Marks within a camera's range, lowest first; the range's lower end where no mark lies inside. */
    public static List<Iso> available(int lowest, int highest) {
        List<Iso> marks = Arrays.stream(MARKS)
                .filter(iso -> iso >= lowest && iso <= highest)
                .mapToObj(Iso::new)
                .toList();
        return marks.isEmpty() ? List.of(new Iso(lowest)) : marks;
    }

    /** The mark nearest to this, in stops. */
    public Iso nearest(List<Iso> marks) {
        return marks.stream()
                .min((a, b) -> Double.compare(Math.abs(a.stopsOver(this)), Math.abs(b.stopsOver(this))))
                .orElseThrow();
    }

    /** Stops by which this brightens against another; negative where it darkens. */
    public double stopsOver(Iso other) {
        return Stops.between(value, other.value);
    }

    /** So many times as sensitive. */
    public Iso times(double factor) {
        return new Iso(value * factor);
    }

    /**
     * The first of several marks, lowest first, that is no lower than this; the highest where all are.
     *
     * @param forgiven share by which a mark may fall short, 0 to 1
     */
    public Iso markFrom(List<Iso> marks, double forgiven) {
        return marks.stream()
                .filter(i -> i.value >= value * (1 - forgiven))
                .findFirst()
                .orElseGet(() -> marks.get(marks.size() - 1));
    }

    /** As cameras show it: a whole number. */
    public int number() {
        return (int) Math.min(Integer.MAX_VALUE, Math.round(value));
    }

    @Override
    public int compareTo(Iso other) {
        return Double.compare(value, other.value);
    }

    /** As {@link #number}. */
    @Override
    public String toString() {
        return Integer.toString(number());
    }
}
