package org.halfdusk.sequence;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import net.jqwik.api.Example;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.halfdusk.exposure.ShutterTime;
import org.halfdusk.optics.IntervalTimer;
import org.halfdusk.sequence.camera.Battery;
import org.halfdusk.sequence.camera.TrailGap;
import org.halfdusk.shoot.Isle;
import org.halfdusk.trailing.Trailing;

/** Runs of frames: the field's worked figures and what holds for all. */
class FrameRunTest {
    private static final ShutterTime NINETY = new ShutterTime(90, 90);
    private static final ShutterTime THIRTY_MARK = new ShutterTime(30, 32);

    /** 30 frames of 90 s sweep about 11°; 45° take three hours. */
    @Example
    void workedArcs() {
        assertEquals(11.3, new FrameRun(NINETY, 1, 30).arcDegrees(), 0.2);
        assertEquals(3, FrameRun.sweeping(45, NINETY, 1, IntervalTimer.USUAL).durationSeconds() / 3600, 0.03);
    }

    @Example
    void theThirtySecondMarkNeedsThirtyThree() {
        FrameRun run = new FrameRun(THIRTY_MARK, 1, 100);
        assertEquals(33, run.intervalSeconds());
        assertEquals(92, new FrameRun(NINETY, 1.4, 80).intervalSeconds());
        assertEquals(2, new FrameRun(NINETY, 1.4, 80).realGapSeconds());
        assertEquals(1, new FrameRun(new ShutterTime(0.01, 1 / 128.0), 0, 80).intervalSeconds());
    }

    @Example
    void aGapShowsWhenItIsWiderThanAStar() {
        Trailing wide = new Trailing(15, 5.12, 0);
        Trailing tele = new Trailing(200, 5.12, 0);
        assertEquals(
                TrailGap.Look.HIDDEN, new TrailGap(0.2).look(), "a fifth of a pixel is filled by the star's own width");
        assertEquals(TrailGap.Look.FAINT, new TrailGap(0.6).look());
        assertEquals(TrailGap.Look.SHOWS, new TrailGap(1.6).look());
        assertTrue(new FrameRun(NINETY, 1.4, 80).gapPx(tele) > new FrameRun(NINETY, 1.4, 80).gapPx(wide));
        assertEquals(2.0, FrameRun.STAR_WIDTH_PX, 0.01);
    }

    @Property
    void whatFillsADurationFitsAndOneMoreWouldNot(
            @ForAll @DoubleRange(min = 100, max = 40_000) double duration,
            @ForAll @DoubleRange(min = 0, max = 30) double gap) {
        FrameRun run = FrameRun.filling(duration, THIRTY_MARK, gap, IntervalTimer.USUAL);
        assertTrue(run.durationSeconds() <= duration + 0.001);
        FrameRun more = new FrameRun(THIRTY_MARK, gap, run.frames() + 1);
        assertTrue(more.durationSeconds() > duration - 0.001);
    }

    @Property
    void arcAndDurationAgree(@ForAll @DoubleRange(min = 1, max = 180) double arc) {
        FrameRun run = FrameRun.sweeping(arc, NINETY, 1, IntervalTimer.USUAL);
        assertTrue(run.arcDegrees() <= arc + 1e-6);
        assertTrue(run.arcDegrees() > arc - run.intervalSeconds() / 3600 * 15.05 - 0.4);
    }

    @Example
    void cardAndBattery() {
        FrameRun run = new FrameRun(NINETY, 1, 80);
        assertEquals(80 * 34, run.megabytes(34), 1e-9);
        assertEquals(1, Battery.share(20, Isle.camera(true)));
        assertEquals(0.84, Battery.share(4, Isle.camera(true)), 1e-9);
        assertEquals(0.95, Battery.share(45, Isle.camera(true)), 1e-9);
        assertEquals(0.5, Battery.share(-60, Isle.camera(true)));
        assertThrows(IllegalArgumentException.class, () -> Battery.share(Double.NaN, Isle.camera(true)));
    }

    @Example
    void nonsenseIsRefused() {
        assertThrows(IllegalArgumentException.class, () -> new FrameRun(NINETY, -1, 10));
        assertThrows(IllegalArgumentException.class, () -> new FrameRun(NINETY, 1, 0));
        assertEquals(1, FrameRun.filling(10, NINETY, 1, IntervalTimer.USUAL).frames());
    }
}
