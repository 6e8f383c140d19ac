package org.halfdusk.photometry;

/**
 * A figure that frames have shown.
 *
 * @param spread half of the span in which two thirds of the frames lie, in the figure's own unit, 0 or more
 * @param frames that showed it, 1 or more
 */
public record Measurement(double value, double spread, int frames) {
    /** @throws IllegalArgumentException for a figure that is not finite, a spread below 0, no frame */
    public Measurement {
        if (!(Double.isFinite(value) && spread >= 0 && Double.isFinite(spread) && frames >= 1)) {
            throw new IllegalArgumentException(
                    "a figure of " + value + " ± " + spread + " from " + frames + " frames is none");
        }
    }
}
