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
import org.halfdusk.photometry.FNumber;
import org.halfdusk.photometry.Iso;

/** What is typed into a timer gives the frames that are planned, by the timer's own arithmetic. */
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
            @ForAll @IntRange(min = 2, max = 300) int number) {
        ShutterTime time = DIAL.get(mark % DIAL.size());
        Block block = Block.of(Block.Kind.TRAILS, START, new FrameRun(time, gap, number), setting(time));
        Timer timer = Timer.of(block).orElseThrow();
        assertEquals(number, timer.number());
        assertEquals(Timer.From.START_TO_START, timer.from());
        assertEquals(Math.rint(timer.intervalSeconds()), timer.intervalSeconds(), "whole seconds");
        assertTrue(timer.intervalSeconds() >= time.realSeconds() + gap - 0.002);
        for (int i = 0; i < number; i++) {
            Instant typed = START.plusNanos(Math.round(i * timer.intervalSeconds() * 1e9));
            assertTrue(
                    Duration.between(typed, block.frames().get(i).open()).abs().toMillis() < 2);
        }
        BlockSpec laid = BlockSpec.of(block);
        assertEquals(block.frames(), laid.block(DIAL).frames(), "laying it anew does not move a frame");
    }

    @Example
    void framesThatNoTimerTakesHaveNone() {
        ShutterTime a = new ShutterTime(1, 1);
        ShutterTime b = new ShutterTime(2, 2);
        assertTrue(Timer.of(Block.of(
                        Block.Kind.BRACKET, Block.row(START, List.of(a, b, a), Duration.ofSeconds(1), setting(a))))
                .isEmpty());
        assertTrue(Timer.of(Block.of(Block.Kind.STACK, START, new FrameRun(a, 1, 1), setting(a)))
                .isEmpty());
        // 1.26 s and 0.5 s from close to open: no interval of tenths, but a gap.
        ShutterTime odd = new ShutterTime(1.3, Math.cbrt(2));
        Timer timer = Timer.of(Block.of(
                        Block.Kind.STACK,
                        Block.row(START, List.of(odd, odd, odd), Duration.ofMillis(500), setting(odd))))
                .orElseThrow();
        assertEquals(Timer.From.GAP, timer.from());
        assertEquals(0.5, timer.intervalSeconds(), 1e-9);
    }
}
