package org.halfdusk.shoot.setting;

import java.util.OptionalDouble;
import org.halfdusk.typed.Range;

/**
 * How a rig's camera records a night.
 *
 * @param jpeg whether a JPEG is written beside the raw file
 * @param noiseReduction whether the camera takes a dark frame after each
 * @param outsidePower whether the camera is fed from outside: then no battery ends
 * @param celsius of the air that batteries are reckoned with, −40 to 50; nothing where it is not typed
 */
public record Recording(boolean jpeg, boolean noiseReduction, boolean outsidePower, OptionalDouble celsius) {
    public static final Range CELSIUS_RANGE = new Range("temperature", -40, 50, "°C");

    /** Raw alone. */
    public static final Recording RAW = new Recording(false, false, false, OptionalDouble.empty());

    public Recording {
        celsius.ifPresent(CELSIUS_RANGE::check);
    }
}
