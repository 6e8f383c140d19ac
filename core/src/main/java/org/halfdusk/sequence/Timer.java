package org.halfdusk.sequence;

import java.time.Duration;
import java.util.List;
import java.util.Optional;
import org.halfdusk.exposure.ShutterTime;
import org.halfdusk.optics.IntervalTimer;

/**
 * What is typed into a timer so that it does exactly a block's frames: equal times at equal intervals.
 *
 * @param delaySeconds from pressing its key to the first opening
 * @param exposure nominal mark; over the camera's own marks it holds the shutter open itself
 * @param intervalSeconds by {@code from}, as fine as the timer can
 * @param number of frames, 2 and more
 * @param endless whether they are more than it counts to: it is set to no end and stopped by hand
 */
public record Timer(
        double delaySeconds,
        ShutterTime exposure,
        double intervalSeconds,
        int number,
        IntervalTimer.From from,
        boolean endless) {
    /** Hands are off the tripod by then, s. */
    public static final double USUAL_DELAY_SECONDS = 10;

    /** A frame may lie this far off what the timer's own arithmetic gives, s. */
    private static final double EXACT = 0.002;

    /**
     * Nothing where no timer of that kind does these frames: fewer than two, unequal times, unequal intervals, or such as cannot be
     * typed.
     */
    public static Optional<Timer> of(Block block, IntervalTimer kind) {
        List<Frame> frames = block.frames();
        if (frames.size() < 2) {
            return Optional.empty();
        }
        Frame first = frames.get(0);
        double step = seconds(first, frames.get(1));
        for (int i = 0; i < frames.size(); i++) {
            boolean there = Math.abs(seconds(first, frames.get(i)) - i * step) < EXACT;
            if (!there || !frames.get(i).shutter().equals(first.shutter())) {
                return Optional.empty();
            }
        }
        double typed = kind.typed(first.shutter().realSeconds(), step);
        return Double.isNaN(typed)
                ? Optional.empty()
                : Optional.of(new Timer(
                        USUAL_DELAY_SECONDS,
                        first.shutter(),
                        typed,
                        frames.size(),
                        kind.from(),
                        frames.size() > kind.largest()));
    }

    private static double seconds(Frame a, Frame b) {
        return Duration.between(a.open(), b.open()).toNanos() / 1e9;
    }
}
