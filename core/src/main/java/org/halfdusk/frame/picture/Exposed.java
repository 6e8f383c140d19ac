package org.halfdusk.frame.picture;

import java.util.OptionalDouble;
import org.halfdusk.time.SiderealTime;

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

    /** The longest that a star at the equator can draw in the middle while the camera stands, px. */
    public OptionalDouble longestTrailPx() {
        return seconds.isEmpty() || focalMm.isEmpty() || pitchMicrons.isEmpty()
                ? OptionalDouble.empty()
                : OptionalDouble.of(seconds.getAsDouble()
                        * SiderealTime.EARTH_RATE_RAD_PER_SECOND
                        * focalMm.getAsDouble()
                        * 1000
                        / pitchMicrons.getAsDouble());
    }
}
