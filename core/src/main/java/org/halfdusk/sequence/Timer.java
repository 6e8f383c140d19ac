package org.halfdusk.sequence;

import java.time.Duration;
import java.util.List;
import java.util.Optional;
import org.halfdusk.exposure.ShutterTime;

/**
 * What is typed into a timer so that it does exactly a block's frames: equal times at equal intervals.
 *
 * @param delaySeconds from pressing its key to the first opening
 * @param exposure nominal mark; over the camera's own marks it holds the shutter open itself
 * @param intervalSeconds by {@code from}, tenths at the finest
 * @param number of frames, 2 and more
 */
public record Timer(double delaySeconds, ShutterTime exposure, double intervalSeconds, int number, From from) {
    /** Hands are off the tripod by then, s. */
    public static final double USUAL_DELAY_SECONDS = 10;

    /** A frame may lie this far off what the timer's own arithmetic gives, s. */
    private static final double EXACT = 0.002;

    /** What is meant to be whole tenths is off by rounding alone, s. */
    private static final double ON_A_TENTH = 2e-5;

    /** What an interval is counted from. */
    public enum From {
        /** Opening to opening. */
        START_TO_START,
        /** Close to the next opening. */
        GAP
    }

    /** Nothing where no timer does these frames: fewer than two, unequal times, or unequal intervals. */
    public static Optional<Timer> of(Block block) {
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
        if (tenths(step)) {
            return Optional.of(timer(first, step, frames.size(), From.START_TO_START));
        }
        double gap = step - first.shutter().realSeconds();
        return tenths(gap) ? Optional.of(timer(first, gap, frames.size(), From.GAP)) : Optional.empty();
    }

    private static Timer timer(Frame first, double interval, int number, From from) {
        return new Timer(USUAL_DELAY_SECONDS, first.shutter(), tenth(interval), number, from);
    }

    private static double tenth(double seconds) {
        return Math.rint(seconds * 10) / 10;
    }

    private static boolean tenths(double seconds) {
        return seconds > 0 && Math.abs(seconds - tenth(seconds)) < ON_A_TENTH;
    }

    private static double seconds(Frame a, Frame b) {
        return Duration.between(a.open(), b.open()).toNanos() / 1e9;
    }
}
