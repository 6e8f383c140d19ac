package org.halfdusk.frame;

import java.util.OptionalDouble;

/**
 * How a frame was exposed, as far as its file says.
 *
 * @param seconds that the shutter was open
 * @param focalMm focal length
 * @param pitchMicrons from pixel to pixel of this picture, µm
 */
public record Exposed(OptionalDouble seconds, OptionalDouble focalMm, OptionalDouble pitchMicrons) {
    public static final Exposed UNKNOWN =
            new Exposed(OptionalDouble.empty(), OptionalDouble.empty(), OptionalDouble.empty());

    /** The sky turns by this in a second, radians. */
    private static final double TURN = 2 * Math.PI / 86_164.0905;

    /** The longest that a star at the equator can draw in the middle while the camera stands, px. */
    OptionalDouble longestTrailPx() {
        return seconds.isEmpty() || focalMm.isEmpty() || pitchMicrons.isEmpty()
                ? OptionalDouble.empty()
                : OptionalDouble.of(
                        seconds.getAsDouble() * TURN * focalMm.getAsDouble() * 1000 / pitchMicrons.getAsDouble());
    }
}
