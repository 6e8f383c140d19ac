package org.halfdusk.optics;

import org.halfdusk.photometry.Iso;

/**
 * Noise of reading a pixel by ISO, as classes of sensors have it: what comes before the amplifier, which no ISO takes away, and what comes
 * after it, which counts for less the more is amplified: R² = a² + (b · 100/ISO)². Typical curves†, single sensors differ by two.
 */
public enum ReadNoise {
    /** Quiet electronics behind the amplifier: most sensors of some ten years. */
    STEADY(1.5, 3, Double.POSITIVE_INFINITY, 1),
    /** A second gain from about ISO 640 on, at which the pixel itself is read more finely. */
    TWO_GAINS(1.2, 3.5, 640, 3),
    /** Noisy electronics behind the amplifier: older sensors, which high ISO helps most. */
    NOISY_BEHIND(2.5, 18, Double.POSITIVE_INFINITY, 1);

    private final double before;
    private final double behindAt100;
    private final double secondFrom;
    private final double second;

    ReadNoise(double before, double behindAt100, double secondFrom, double second) {
        this.before = before;
        this.behindAt100 = behindAt100;
        this.secondFrom = secondFrom;
        this.second = second;
    }

    /** Electrons of one pixel. */
    public double electrons(Iso iso) {
        double behind = behindAt100 * 100 / iso.value() / (iso.value() >= secondFrom ? second : 1);
        return Math.hypot(before, behind);
    }
}
