package org.halfdusk.sequence.camera;

import org.halfdusk.numeric.ErrorFunction;
import org.halfdusk.trailing.Trailing;

/**
 * How a gap between two frames looks in the trail that they add up to: the trail is blurred by lens and pixel, which fills
 * a narrow gap.
 *
 * @param px length of the gap on the sensor
 */
public record TrailGap(double px) {
    public static final TrailGap NONE = new TrailGap(0);

    /** @throws IllegalArgumentException for a gap below 0 px or above all frames */
    public TrailGap {
        if (!(px >= 0 && px < 1e6)) {
            throw new IllegalArgumentException("gap " + px + " px is not 0 or more");
        }
    }

    /** Brightness along the trail at a distance in px from the gap's middle, 1 far from it. */
    public double brightness(double fromMiddlePx) {
        double s = Math.sqrt(2) * Trailing.BLUR_PX;
        return 1 - (ErrorFunction.of((fromMiddlePx + px / 2) / s) - ErrorFunction.of((fromMiddlePx - px / 2) / s)) / 2;
    }

    /** Brightness across the trail at a distance in px from its middle line, 1 on it. */
    public double across(double fromLinePx) {
        return Math.exp(-fromLinePx * fromLinePx / (2 * Trailing.BLUR_PX * Trailing.BLUR_PX));
    }

    /** How it looks, by the one rule of the light that is missing†. */
    public enum Look {
        /** Less than a fifth is missing: under half a pixel. */
        HIDDEN,
        /** Seen by who looks for it. */
        FAINT,
        /** A dark notch. */
        SHOWS
    }

    private static final double FAINT_FROM = 0.2;
    private static final double SHOWS_FROM = 0.4;

    /** By the share of light that is missing in the gap's middle: hidden below 0.2, faint below 0.4. */
    public Look look() {
        return dip() < FAINT_FROM ? Look.HIDDEN : dip() < SHOWS_FROM ? Look.FAINT : Look.SHOWS;
    }

    /** Share of the light that is missing in the gap's middle, 0 to 1. */
    public double dip() {
        return 1 - brightness(0);
    }
}
