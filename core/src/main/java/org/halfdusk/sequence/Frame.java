package org.halfdusk.sequence;

import java.time.Instant;
import org.halfdusk.exposure.ShutterTime;
import org.halfdusk.photometry.FNumber;
import org.halfdusk.photometry.Iso;

/** One exposure of a programme; its end is the real time later. */
public record Frame(Instant open, ShutterTime shutter, FNumber fNumber, Iso iso) {
    /** When the shutter closes, by its real time. */
    public Instant close() {
        return open.plusNanos(Math.round(shutter.realSeconds() * 1e9));
    }
}
