package org.halfdusk.exposure;

import org.halfdusk.optics.Camera;
import org.halfdusk.optics.Rig;

/** Film in little light: beyond a second it needs t' = t^p, p 1.2 to 1.4 by stock. */
public final class Reciprocity {
    private Reciprocity() {}

    /**
     * What a time counts for in a rig: on film less than it lasts, on a sensor all of it; and more or less of that as frames have shown
     * its pictures to come out lighter or darker than the model has it.
     */
    public static double counts(Rig rig, double seconds) {
        return Math.pow(2, rig.measured().stops()) * counts(rig.camera(), seconds);
    }

    private static double counts(Camera camera, double seconds) {
        return camera.sensitivity().filmExponent().isPresent()
                ? metered(seconds, camera.sensitivity().filmExponent().getAsDouble())
                : seconds;
    }

    /** How long a rig must be exposed for what a meter says: the inverse. */
    public static double needed(Rig rig, double meteredSeconds) {
        double model = meteredSeconds / Math.pow(2, rig.measured().stops());
        return rig.camera().sensitivity().filmExponent().isPresent()
                ? exposed(model, rig.camera().sensitivity().filmExponent().getAsDouble())
                : model;
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
