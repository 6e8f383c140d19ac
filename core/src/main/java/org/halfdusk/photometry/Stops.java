package org.halfdusk.photometry;

/** Doublings of light. */
public final class Stops {
    private static final double LN2 = Math.log(2);

    /** Settings go in thirds: off by so much the wish is still met. */
    private static final double A_THIRD = 0.34;

    /** Half a third: the same mark. */
    private static final double SAME_MARK = 1.0 / 6;

    private Stops() {}

    /** Whether light that is so many stops off is still as wished: within a third. */
    public static boolean met(double stopsOff) {
        return Math.abs(stopsOff) <= A_THIRD;
    }

    /** Whether so many stops are less than marks can tell: under half a third. */
    public static boolean sameMark(double stopsOff) {
        return Math.abs(stopsOff) < SAME_MARK;
    }

    /** How many stops lie between two amounts of light, positive where the first is more. */
    public static double between(double more, double less) {
        return Math.log(more / less) / LN2;
    }

    /** Stops gained in signal-to-noise by the mean of n frames, log2(n)/2: shot noise only. */
    public static double ofAveraging(int frames) {
        return between(frames, 1) / 2;
    }

    /** Exposure value at ISO 100 of a setting: log2(N²/t) − log2(ISO/100). */
    public static double exposureValue(FNumber fNumber, double seconds, Iso iso) {
        return between(fNumber.squared(), seconds) - iso.stopsOver(Iso.HUNDRED);
    }
}
