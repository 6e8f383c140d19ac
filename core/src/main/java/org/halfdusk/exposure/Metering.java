package org.halfdusk.exposure;

import org.halfdusk.photometry.FNumber;
import org.halfdusk.photometry.Iso;

/** What a meter that measures the light which falls on it gives. */
public final class Metering {
    /** Incident calibration constant of a flat receptor (ISO 2720). */
    private static final double INCIDENT = 250;

    private Metering() {}

    /** Seconds for level ground in so many lux: N²·C/(E·S). */
    public static double seconds(double lux, FNumber fNumber, Iso iso) {
        return INCIDENT * fNumber.squared() / (lux * iso.value());
    }
}
