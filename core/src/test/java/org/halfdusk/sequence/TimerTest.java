package org.halfdusk.sequence;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import net.jqwik.api.Example;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.IntRange;
import org.halfdusk.exposure.Setting;
import org.halfdusk.exposure.ShutterTime;
import org.halfdusk.optics.IntervalTimer;
import org.halfdusk.photometry.FNumber;
import org.halfdusk.photometry.Iso;
import org.junit.jupiter.api.Tag;

/** What is typed into a timer gives the frames that are planned, by the timer's own arithmetic. */
@Tag("slow")
class TimerTest {
    private static final Instant START = Instant.parse("2027-06-04T23:00:00Z");
    private static final List<ShutterTime> DIAL = ShutterTime.dial();

    private static Setting setting(ShutterTime t) {
        return new Setting(t, FNumber.of(2.8), Iso.of(1600), 3900);
    }

    @Property
    void theTimersArithmeticGivesEveryFrame(
            @ForAll @IntRange(min = 0, max = 54) int mark,
            @ForAll @DoubleRange(min = 0, max = 60) double gap,
            @ForAll @IntRange(min = 2, max = 500) int number,
            @ForAll IntervalTimer.Step step,
            @ForAll IntervalTimer.From from) {
        IntervalTimer kind = new IntervalTimer(step, from, 399);
        ShutterTime time = DIAL.get(mark % DIAL.size());
        Block block = Block.of(Block.Kind.TRAILS, START, new FrameRun(time, gap, number, kind), setting(time));
        Timer timer = Timer.of(block, kind).orElseThrow();
        assertEquals(number, timer.number());
        assertEquals(number > 399, timer.endless());
        assertEquals(from, timer.from());
        double steps = timer.intervalSeconds() / step.seconds();
        assertEquals(Math.rint(steps), steps, 1e-6, "what can be typed");
        double interval = timer.intervalSeconds() + (from == IntervalTimer.From.GAP ? time.realSeconds() : 0);
        assertTrue(interval >= time.realSeconds() + gap - 0.003);
        assertTrue(
                interval < time.realSeconds() + Math.max(gap, 0) + step.seconds() + 0.003
                        || interval <= 1.003 + time.realSeconds(),
                "no longer than it must be");
        for (int i = 0; i < number; i++) {
            Instant typed = START.plusNanos(Math.round(i * interval * 1e9));
            assertTrue(
                    Duration.between(typed, block.frames().get(i).open()).abs().toMillis() < 2);
        }
        List<Frame> laid = BlockSpec.of(block).block(new Timing(DIAL, kind)).frames();
        for (int i = 0; i < number; i++) {
            Duration moved =
                    Duration.between(block.frames().get(i).open(), laid.get(i).open());
            assertTrue(moved.abs().toNanos() < 1_000_000, "laying it anew does not move a frame: " + moved);
        }
    }

    @Example
    void framesThatNoTimerTakesHaveNone() {
        ShutterTime a = new ShutterTime(1, 1);
        ShutterTime b = new ShutterTime(2, 2);
        assertTrue(Timer.of(
                        Block.of(
                                Block.Kind.BRACKET,
                                Block.row(START, List.of(a, b, a), Duration.ofSeconds(1), setting(a))),
                        IntervalTimer.USUAL)
                .isEmpty());
        assertTrue(Timer.of(Block.of(Block.Kind.STACK, START, new FrameRun(a, 1, 1), setting(a)), IntervalTimer.USUAL)
                .isEmpty());
        // 1.26 s and 0.5 s from close to open: no interval of tenths, but a gap, which a timer of gaps can do and no
        // other.
        ShutterTime odd = new ShutterTime(1.3, Math.cbrt(2));
        Block gaps = Block.of(
                Block.Kind.STACK, Block.row(START, List.of(odd, odd, odd), Duration.ofMillis(500), setting(odd)));
        Timer timer = Timer.of(gaps, new IntervalTimer(IntervalTimer.Step.TENTHS, IntervalTimer.From.GAP, 99))
                .orElseThrow();
        assertEquals(0.5, timer.intervalSeconds(), 1e-9);
        assertTrue(Timer.of(gaps, IntervalTimer.USUAL).isEmpty());
        assertTrue(Timer.of(gaps, new IntervalTimer(IntervalTimer.Step.SECONDS, IntervalTimer.From.GAP, 99))
                .isEmpty());
    }

    /** 30 s marks are really 32 s: with a second between them 33 s, or a gap of a second; 13 s marks are really 12.7 s. */
    @Example
    void whatIsTypedDependsOnTheTimer() {
        ShutterTime thirty = new ShutterTime(30, 32);
        ShutterTime thirteen = new ShutterTime(13, Math.pow(2, 11 / 3.0));
        IntervalTimer gap = new IntervalTimer(IntervalTimer.Step.SECONDS, IntervalTimer.From.GAP, 399);
        IntervalTimer tenths = new IntervalTimer(IntervalTimer.Step.TENTHS, IntervalTimer.From.START_TO_START, 399);
        assertEquals(33, new FrameRun(thirty, 1, 9, IntervalTimer.USUAL).intervalSeconds(), 1e-9);
        assertEquals(33, new FrameRun(thirty, 1, 9, gap).intervalSeconds(), 1e-9);
        assertEquals(14, new FrameRun(thirteen, 1, 9, IntervalTimer.USUAL).intervalSeconds(), 1e-9);
        assertEquals(13.699, new FrameRun(thirteen, 1, 9, gap).intervalSeconds(), 1e-3);
        assertEquals(13.7, new FrameRun(thirteen, 1, 9, tenths).intervalSeconds(), 1e-9);
        assertEquals(13.0, new FrameRun(thirteen, 0.25, 9, tenths).intervalSeconds(), 1e-9);
    }
}
