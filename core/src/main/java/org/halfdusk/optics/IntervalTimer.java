package org.halfdusk.optics;

import org.halfdusk.optics.kit.Figures;

/**
 * What counts a camera's frames: its own interval timer, or the remote that goes with it. Frames of a run are exactly what it does.
 *
 * @param step what can be typed into it
 * @param from what its interval is counted from
 * @param largest number of frames it counts to, 2 to 100,000; more are taken without an end and stopped by hand
 */
public record IntervalTimer(Step step, From from, int largest) {
    /** Whole seconds from start to start, up to 399 frames: what most remotes do. */
    public static final IntervalTimer USUAL = new IntervalTimer(Step.SECONDS, From.START_TO_START, 399);

    /** The finest that can be typed. */
    public enum Step {
        SECONDS(1),
        TENTHS(10);

        /** A whole number of them, so that a step is a quotient and gathers no rounding. */
        private final int perSecond;

        Step(int perSecond) {
            this.perSecond = perSecond;
        }

        /** Seconds of one step: 1 or 0.1. */
        public double seconds() {
            return 1.0 / perSecond;
        }
    }

    /** What an interval is counted from. */
    public enum From {
        /** Opening to opening. */
        START_TO_START,
        /** Close to the next opening. */
        GAP
    }

    /** Rounding of a gap that was read back from frames does not cost a step, s. */
    private static final double FORGIVEN_SECONDS = 0.002;

    /** @throws IllegalArgumentException for a largest number outside 2 to 100,000 */
    public IntervalTimer {
        Figures.within("largest number of frames", largest, 2, 100_000, "");
    }

    /**
     * The shortest interval from opening to opening that it can keep, s.
     *
     * @param realSeconds of the exposure
     * @param leastGapSeconds from close to the next opening
     */
    public double intervalSeconds(double realSeconds, double leastGapSeconds) {
        return from == From.START_TO_START
                ? Math.max(step.seconds(), up(realSeconds + leastGapSeconds))
                : realSeconds + Math.max(step.seconds(), up(leastGapSeconds));
    }

    private double up(double seconds) {
        return Math.ceil((seconds - FORGIVEN_SECONDS) * step.perSecond) / step.perSecond;
    }

    /** What is typed for an interval from opening to opening; NaN where it cannot be typed. */
    public double typed(double realSeconds, double intervalSeconds) {
        double wished = from == From.START_TO_START ? intervalSeconds : intervalSeconds - realSeconds;
        double typed = Math.rint(wished * step.perSecond) / step.perSecond;
        return typed > 0 && Math.abs(wished - typed) < FORGIVEN_SECONDS ? typed : Double.NaN;
    }
}
