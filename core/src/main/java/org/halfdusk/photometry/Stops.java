package org.halfdusk.photometry;

/** Doublings of light. */
public final class Stops {
    private static final double LN2 = Math.log(2);

    private Stops() {}

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
