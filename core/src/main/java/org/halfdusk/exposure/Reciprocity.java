package org.halfdusk.exposure;

import org.halfdusk.optics.Camera;

/** Film in little light: beyond a second it needs t' = t^p, p 1.2 to 1.4 by stock. */
public final class Reciprocity {
    private Reciprocity() {}

    /** What a time counts for in a camera: on film less than it lasts, on a sensor all of it. */
    public static double counts(Camera camera, double seconds) {
        return camera.filmExponent().isPresent()
                ? metered(seconds, camera.filmExponent().getAsDouble())
                : seconds;
    }

    /** How long a camera must be exposed for what a meter says: the inverse. */
    public static double needed(Camera camera, double meteredSeconds) {
        return camera.filmExponent().isPresent()
                ? exposed(meteredSeconds, camera.filmExponent().getAsDouble())
                : meteredSeconds;
    }

    /** What to expose for a metered time, seconds. */
    public static double exposed(double meteredSeconds, double exponent) {
        return meteredSeconds <= 1 ? meteredSeconds : Math.pow(meteredSeconds, exponent);
    }

    /** The metered time that an exposure stands for: the inverse. */
    public static double metered(double exposedSeconds, double exponent) {
        return exposedSeconds <= 1 ? exposedSeconds : Math.pow(exposedSeconds, 1 / exponent);
    }
}
