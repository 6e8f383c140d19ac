package org.halfdusk.photometry;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.DoubleStream;
import org.halfdusk.typed.Range;

/**
 * Focal length over the diameter of the entrance pupil. Light goes by its square, so two of them are compared in stops.
 *
 * @param value above 0 and finite; lenses have 0.5 to 128
 */
public record FNumber(double value) implements Comparable<FNumber> {
    /** An aperture as wide as the focal length: what guide values are reckoned for. */
    public static final FNumber ONE = new FNumber(1);

    /** What can be typed or fixed. */
    public static final Range RANGE = Range.of("aperture f/", 0.5, 128);

    /** Marks of the aperture ring, in thirds of a stop. */
    private static final double[] MARKS = {
        0.95, 1, 1.1, 1.2, 1.4, 1.6, 1.8, 2, 2.2, 2.5, 2.8, 3.2, 3.5, 4, 4.5, 5, 5.6, 6.3, 7.1, 8, 9, 10, 11, 13, 14,
        16, 18, 20, 22, 25, 29, 32, 36, 40, 45
    };

    /** Two that are nearer than this cannot be told apart on a lens, stops. */
    private static final double SAME_STOPS = 0.02;

    /** @throws IllegalArgumentException where it is not above 0 or not finite */
    public FNumber {
        if (!(value > 0 && value < Double.POSITIVE_INFINITY)) {
            throw new IllegalArgumentException("aperture f/" + value + " must be above 0");
        }
    }

    /** Focal length over the diameter of the pupil, above 0. */
    public static FNumber of(double value) {
        return new FNumber(value);
    }

    /** What a lens between two f-numbers can be set to: the widest, then the marks after it. */
    public static List<FNumber> available(FNumber widest, FNumber smallest) {
        return DoubleStream.concat(
                        DoubleStream.of(widest.value),
                        DoubleStream.of(MARKS).filter(n -> n > widest.value * 1.03 && n <= smallest.value * 1.001))
                .mapToObj(FNumber::new)
                .toList();
    }

    /** The mark nearest to this, in stops. */
    public FNumber nearest(List<FNumber> marks) {
        return marks.stream()
                .min((a, b) -> Double.compare(Math.abs(a.stopsOver(this)), Math.abs(b.stopsOver(this))))
                .orElseThrow();
    }

    /** The first of several, widest first, that is no wider than this, a hundredth forgiven; nothing where all are. */
    public Optional<FNumber> markFrom(List<FNumber> marks) {
        return marks.stream().filter(n -> n.value >= value * 0.99).findFirst();
    }

    /** Stops of light that this loses against a wider one; negative where this is the wider. */
    public double stopsOver(FNumber wider) {
        return 2 * Stops.between(value, wider.value);
    }

    /** Whether a lens could not tell them apart. */
    public boolean same(FNumber other) {
        return Math.abs(stopsOver(other)) < SAME_STOPS;
    }

    /** Stopped down by so many stops; opened where they are negative. */
    public FNumber stoppedDown(double stops) {
        return new FNumber(value * Math.pow(2, stops / 2));
    }

    /** Kept between two of a lens. */
    public FNumber within(FNumber widest, FNumber smallest) {
        return new FNumber(Math.max(widest.value, Math.min(smallest.value, value)));
    }

    /** The larger number of two: the smaller hole. */
    public FNumber atLeast(FNumber other) {
        return new FNumber(Math.max(value, other.value));
    }

    /** N²: what the time grows with. */
    public double squared() {
        return value * value;
    }

    /** "f/2", "f/5.6". */
    public String label() {
        double tenths = Math.round(value * 10) / 10.0;
        return tenths == Math.rint(tenths) || tenths >= 10
                ? "f/" + Math.round(tenths)
                : String.format(Locale.ROOT, "f/%.1f", tenths);
    }

    @Override
    public int compareTo(FNumber other) {
        return Double.compare(value, other.value);
    }

    /** As {@link #label}. */
    @Override
    public String toString() {
        return label();
    }

    private static final double[] FULL_STOPS = {1, 1.4, 2, 2.8, 4, 5.6, 8, 11, 16, 22, 32};

    /** Whether it is one of the whole stops from f/1 to f/32. */
    public boolean fullStop() {
        return Arrays.stream(FULL_STOPS).anyMatch(n -> same(FNumber.of(n)));
    }
}
