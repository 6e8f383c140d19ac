package org.halfdusk.sequence;

import java.time.Instant;
import java.util.List;
import org.halfdusk.exposure.Ladder;
import org.halfdusk.exposure.Setting;
import org.halfdusk.exposure.ShutterTime;
import org.halfdusk.optics.IntervalTimer;

/**
 * What times a rig can be told: how long its shutter can be open, and what counts its frames.
 *
 * @param times of the shutter, longest first
 * @param sharp how a bracket is spread where what is photographed is to be sharp
 */
public record Timing(List<ShutterTime> times, IntervalTimer timer, Spreading sharp) {
    /** How a bracket is spread about its middle setting. */
    @FunctionalInterface
    public interface Spreading {
        /** @return from dark to bright */
        List<Setting> about(Setting middle, Ladder ladder, Instant at);
    }

    public Timing {
        times = List.copyOf(times);
    }

    /** Where nothing moves: brackets are spread into time alone. */
    public Timing(List<ShutterTime> times, IntervalTimer timer) {
        this(times, timer, (middle, ladder, at) -> inTime(middle, ladder, times));
    }

    /** The bracket that stands in the place of a frame of a kind of block. */
    List<Setting> bracket(Block.Kind kind, Setting middle, Ladder ladder, Instant at) {
        return kind.sharp() ? sharp.about(middle, ladder, at) : inTime(middle, ladder, times);
    }

    private static List<Setting> inTime(Setting middle, Ladder ladder, List<ShutterTime> times) {
        return ladder.times(middle.shutter(), times).stream()
                .map(t -> middle.with(t, middle.iso()))
                .toList();
    }
}
