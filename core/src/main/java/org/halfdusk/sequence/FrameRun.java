package org.halfdusk.sequence;

import org.halfdusk.exposure.ShutterTime;
import org.halfdusk.optics.IntervalTimer;
import org.halfdusk.time.SiderealTime;
import org.halfdusk.trailing.Trailing;

/**
 * Equal frames at equal intervals, as a timer takes them: the interval is rounded up to what can be typed into it, so that what is
 * typed is what is planned.
 *
 * @param gapSeconds at least from shutter close to the next open, 0 to 86,400
 * @param frames 1 to 100,000
 */
public record FrameRun(ShutterTime exposure, double gapSeconds, int frames, IntervalTimer timer) {
    /** By the usual timer: whole seconds from start to start. */
    public FrameRun(ShutterTime exposure, double gapSeconds, int frames) {
        this(exposure, gapSeconds, frames, IntervalTimer.USUAL);
    }

    /** @throws IllegalArgumentException for a gap outside 0 to 86,400 s, or frames outside 1 to 100,000 */
    public FrameRun {
        if (!(gapSeconds >= 0 && gapSeconds <= 86_400)) {
            throw new IllegalArgumentException("gap " + gapSeconds + " s is outside 0 to 86400 s");
        }
        if (frames < 1 || frames > 100_000) {
            throw new IllegalArgumentException("frames " + frames + " is outside 1 to 100000");
        }
    }

    /** As many as fit into a duration: ⌊(duration − exposure)/interval⌋ + 1, at least one. */
    public static FrameRun filling(
            double durationSeconds, ShutterTime exposure, double gapSeconds, IntervalTimer timer) {
        double interval = timer.intervalSeconds(exposure.realSeconds(), gapSeconds);
        // A millionth of an interval more forgives the rounding of a duration that is a whole number of them.
        int frames = (int) Math.floor((durationSeconds - exposure.realSeconds()) / interval + 1e-6) + 1;
        return new FrameRun(exposure, gapSeconds, Math.max(1, frames), timer);
    }

    /** As many as sweep an arc of degrees about the pole. */
    public static FrameRun sweeping(double arcDegrees, ShutterTime exposure, double gapSeconds, IntervalTimer timer) {
        return filling(arcDegrees / SiderealTime.DEGREES_PER_HOUR * 3600, exposure, gapSeconds, timer);
    }

    /** Start to start, as the timer keeps it. */
    public double intervalSeconds() {
        return timer.intervalSeconds(exposure.realSeconds(), gapSeconds);
    }

    /** From shutter close to the next open as the timer leaves it, seconds. */
    public double realGapSeconds() {
        return intervalSeconds() - exposure.realSeconds();
    }

    /** First open to last close, seconds. */
    public double durationSeconds() {
        return (frames - 1) * intervalSeconds() + exposure.realSeconds();
    }

    /** Degrees about the pole that the stars turn meanwhile. */
    public double arcDegrees() {
        return durationSeconds() / 3600 * SiderealTime.DEGREES_PER_HOUR;
    }

    /** How far a star in the middle of the frame moves while the shutter is shut, px. */
    public double gapPx(Trailing trailing) {
        return trailing.middlePx(realGapSeconds());
    }

    /** Width of a star at half height, px: 2.355 times the blur's standard deviation. */
    public static final double STAR_WIDTH_PX = 2.355 * Trailing.BLUR_PX;

    /** Megabytes on the card for files of a size. */
    public double megabytes(double fileMegabytes) {
        return frames * fileMegabytes;
    }
}
