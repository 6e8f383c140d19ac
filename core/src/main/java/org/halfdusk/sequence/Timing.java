package org.halfdusk.sequence;

import java.util.List;
import org.halfdusk.exposure.ShutterTime;
import org.halfdusk.optics.IntervalTimer;

/**
 * What times a rig can be told: how long its shutter can be open, and what counts its frames.
 *
 * @param times of the shutter, longest first
 */
public record Timing(List<ShutterTime> times, IntervalTimer timer) {
    public Timing {
        times = List.copyOf(times);
    }
}
