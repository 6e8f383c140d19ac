package org.halfdusk.frame;

/**
 * What spoilt a frame, or stands in it that is not the sky's.
 *
 * @param probability 0 to 1
 * @param where in the frame, in a word or two
 */
public record FrameFault(What what, double probability, String where) {
    /** As people name it. */
    public enum What {
        TRAILED,
        DEFOCUS,
        SHAKE,
        COMA,
        TILT,
        DEW,
        CLOUD,
        CLIPPED,
        DARK,
        AIRCRAFT,
        SATELLITE,
        HEADLAMP,
        HOT_PIXELS
    }

    /** More likely than not. */
    public boolean likely() {
        return probability >= 0.5;
    }
}
