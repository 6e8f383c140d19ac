package org.halfdusk.exposure;

/** Film in little light: beyond a second it needs t' = t^p, p 1.2 to 1.4 by stock. */
public final class Reciprocity {
    private Reciprocity() {}

    /** What to expose for a metered time, seconds. */
    public static double exposed(double meteredSeconds, double exponent) {
        return meteredSeconds <= 1 ? meteredSeconds : Math.pow(meteredSeconds, exponent);
    }

    /** The metered time that an exposure stands for: the inverse. */
    public static double metered(double exposedSeconds, double exponent) {
        return exposedSeconds <= 1 ? exposedSeconds : Math.pow(exposedSeconds, 1 / exponent);
    }
}
