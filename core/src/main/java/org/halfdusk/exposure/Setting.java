package org.halfdusk.exposure;

import org.halfdusk.photometry.FNumber;
import org.halfdusk.photometry.Iso;

/**
 * What a camera is set to for one frame.
 *
 * @param fNumber on the sensor
 * @param kelvin white balance to begin with
 */
public record Setting(ShutterTime shutter, FNumber fNumber, Iso iso, int kelvin) {
    /** The same with another time and ISO. */
    public Setting with(ShutterTime time, Iso sensitivity) {
        return new Setting(time, fNumber, sensitivity, kelvin);
    }
}
