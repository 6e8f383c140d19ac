package org.halfdusk.sequence;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.IntRange;
import org.halfdusk.exposure.Setting;
import org.halfdusk.exposure.ShutterTime;
import org.halfdusk.optics.Camera;
import org.halfdusk.optics.Lens;
import org.halfdusk.optics.Rig;
import org.halfdusk.optics.Sensor;
import org.halfdusk.photometry.FNumber;
import org.halfdusk.photometry.Iso;
import org.halfdusk.sequence.camera.CameraBuffer;
import org.halfdusk.sequence.camera.TrailGap;
import org.junit.jupiter.api.Test;

/** Blocks, gaps in trails, and the buffer. */
class SequenceTest {
    private static final Lens LENS = new Lens("24 mm f/2", 24, 24, 2, 2, 16, 2.8);
    private static final Instant START = Instant.parse("2027-08-02T08:48:06Z");
    private static final ShutterTime SHORT = new ShutterTime(1 / 125.0, Math.pow(2, -7));

    private static Setting at(ShutterTime t) {
        return new Setting(t, FNumber.of(8), Iso.of(100), 5200);
    }

    private static Camera camera(int buffer, double megabytes, double speed) {
        return new Camera(
                "x",
                new Sensor(36, 24, 6000, 4000),
                Camera.Sensitivity.of(100, 6400),
                Camera.Shutter.of(1 / 8000.0, 30, true),
                new Camera.Files(megabytes, 0, buffer, speed),
                Camera.Power.of(400, 100));
    }

    @Property
    void framesOfABlockNeverOverlap(
            @ForAll @DoubleRange(min = 0.01, max = 300) double seconds,
            @ForAll @DoubleRange(min = 0, max = 60) double gap,
            @ForAll @IntRange(min = 1, max = 200) int count) {
        ShutterTime t = new ShutterTime(seconds, seconds);
        Block b = Block.of(Block.Kind.TRAILS, START, new FrameRun(t, gap, count), at(t));
        assertEquals(count, b.frames().size());
        assertEquals(START, b.start());
        for (int i = 1; i < count; i++) {
            Duration between = Duration.between(
                    b.frames().get(i - 1).close(), b.frames().get(i).open());
            double left = between.toNanos() / 1e9;
            assertTrue(left > gap - 0.003 && left < gap + 1, "the gap, up to the timer's next second: " + left);
        }
        assertEquals(b.frames().get(count - 1).close(), b.end());
    }

    @Test
    void aBlockDoesNotEndBeforeItStarts() {
        assertThrows(IllegalArgumentException.class, () -> Block.pause(START, START.minusSeconds(1)));
        assertEquals(START, Block.step(Block.Kind.FILTER_OFF, START).end());
    }

    /** Ten frames at 5 a second until the buffer of 4 is full, then the card's 2 a second. */
    @Test
    void aFullBufferWaitsForTheCard() {
        CameraBuffer buffer = CameraBuffer.of(new Rig(camera(4, 50, 100), LENS, Optional.empty(), 24), false);
        assertEquals(2, buffer.framesPerSecond(), 1e-9);
        List<Instant> opens = new ArrayList<>();
        for (int i = 0; i < 12; i++) {
            opens.add(buffer.next(START, at(SHORT)).open());
        }
        assertEquals(0.208, Duration.between(opens.get(0), opens.get(1)).toMillis() / 1000.0, 0.002);
        assertEquals(0.5, Duration.between(opens.get(10), opens.get(11)).toMillis() / 1000.0, 0.01);
    }

    @Test
    void aWishLaterThanReadyIsKept() {
        CameraBuffer buffer = CameraBuffer.of(new Rig(camera(4, 50, 100), LENS, Optional.empty(), 24), false);
        buffer.next(START, at(SHORT));
        assertEquals(
                START.plusSeconds(30),
                buffer.next(START.plusSeconds(30), at(SHORT)).open());
    }

    /** A gap of nothing is not seen; one much wider than a star goes to black; the deeper the wider. */
    @Test
    void gapsInTrails() {
        assertEquals(0, new TrailGap(0).dip(), 1e-6);
        assertEquals(1, new TrailGap(8).dip(), 1e-3);
        // erf(0.5 / (√2 · 0.85)) = 0.4436 for a gap of one pixel.
        assertEquals(0.4436, new TrailGap(1).dip(), 1e-3);
        assertEquals(1, new TrailGap(2).brightness(20), 1e-6);
        assertTrue(new TrailGap(0.3).dip() < new TrailGap(0.6).dip());
        assertThrows(IllegalArgumentException.class, () -> new TrailGap(Double.NaN));
        assertFalse(new TrailGap(1).across(3) > 0.01);
    }
}
