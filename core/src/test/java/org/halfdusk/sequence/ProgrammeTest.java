package org.halfdusk.sequence;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.IntRange;
import org.halfdusk.exposure.Ladder;
import org.halfdusk.exposure.ShutterTime;
import org.halfdusk.optics.Camera;
import org.halfdusk.optics.IntervalTimer;
import org.halfdusk.optics.Lens;
import org.halfdusk.optics.Rig;
import org.halfdusk.optics.Sensor;
import org.halfdusk.optics.kit.Card;
import org.halfdusk.photometry.FNumber;
import org.halfdusk.photometry.Iso;
import org.halfdusk.sequence.camera.RunSimulation;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.function.Executable;

/** Blocks laid by hand and what becomes of them on a camera. */
class ProgrammeTest {
    private static final Instant START = Instant.parse("2027-06-04T22:20:00Z");
    private static final List<ShutterTime> TIMES = ShutterTime.available(1 / 8000.0, 30, true);
    private static final Timing TIMING = new Timing(TIMES, IntervalTimer.USUAL);

    private static Camera camera(int buffer, double writeSpeed) {
        return new Camera(
                "full frame",
                new Sensor(36, 24, 7000, 4667),
                Camera.Sensitivity.of(100, 25_600),
                Camera.Shutter.of(1 / 8000.0, 30, true),
                new Camera.Files(40, 10, buffer, writeSpeed),
                Camera.Power.of(500, 180));
    }

    private static final Lens LENS = new Lens("24 mm f/2", 24, 24, 2, 2, 16, 2.8);

    private static RunSimulation run(
            List<Block> blocks, Camera camera, boolean jpeg, boolean noiseReduction, boolean outside, double celsius) {
        return RunSimulation.of(
                blocks.stream().map(b -> new RunSimulation.Recorded(b, jpeg)).toList(),
                new Rig(camera, LENS, Optional.empty(), 24),
                noiseReduction,
                outside,
                celsius);
    }

    private static BlockSpec spec(Block.Kind kind, int frames, double seconds, double gap) {
        return new BlockSpec(kind, START, frames, seconds, gap, FNumber.of(2.8), Iso.of(1600), 0);
    }

    /** Frames of a block never overlap, stand inside it, and their sum is its length. */
    @Property
    void framesFollowEachOtherInsideTheirBlock(
            @ForAll @IntRange(min = 1, max = 400) int frames,
            @ForAll @IntRange(min = 0, max = 30) int mark,
            @ForAll @DoubleRange(min = 0, max = 60) double gap) {
        ShutterTime time = TIMES.get(mark);
        Block b = spec(Block.Kind.STACK, frames, time.nominalSeconds(), gap).block(TIMING);
        assertEquals(frames, b.frames().size());
        for (int i = 0; i < frames; i++) {
            Frame f = b.frames().get(i);
            assertFalse(f.open().isBefore(b.start()) || f.close().isAfter(b.end()));
            assertTrue(
                    i == 0 || !f.open().isBefore(b.frames().get(i - 1).close().minusNanos(2)));
        }
        double interval = new FrameRun(time, gap, frames).intervalSeconds();
        assertEquals(Math.rint(interval), interval);
        double length = time.realSeconds() + (frames - 1) * interval;
        assertEquals(length, Duration.between(b.start(), b.end()).toNanos() / 1e9, 1e-5);
    }

    /** What is written is read again, in order of time. */
    @Property
    void theTextTurnsBack(
            @ForAll @IntRange(min = 1, max = 2000) int frames,
            @ForAll @DoubleRange(min = 0.01, max = 600) double seconds,
            @ForAll @IntRange(min = 0, max = 86_400) int later) {
        List<BlockSpec> specs = List.of(
                spec(Block.Kind.TRAILS, frames, seconds, 1).named("trails-1"),
                new BlockSpec(Block.Kind.PAUSE, START.plusSeconds(later), 0, 300, 0, FNumber.of(2.8), Iso.of(1600), 0)
                        .named("p"),
                new BlockSpec(Block.Kind.BRACKET, START.plusSeconds(later + 1L), 5, 1, 1, FNumber.of(8), Iso.of(100), 3)
                        .named("q"));
        assertEquals(specs, BlockSpec.parse(BlockSpec.text(specs)));
    }

    /** Wished arc, duration or number: two of exposure, interval and one of them give the rest. */
    @Test
    void arcDurationAndNumberGiveEachOther() {
        BlockSpec trails = spec(Block.Kind.TRAILS, 1, 90, 1);
        // 45° of arc takes 3 h less a little: 10,770 s at 15.041° an hour.
        BlockSpec arc = trails.sweeping(45, TIMING);
        double seconds = (arc.frames() - 1) * 91 + 90;
        assertEquals(45 / 15.041 * 3600, seconds, 91);
        assertEquals(40, trails.lasting(3640, TIMING).frames());
        assertEquals(250, spec(Block.Kind.TIME_LAPSE, 1, 10, 5).playing(10, 25).frames(), "clip times rate");
        assertEquals(16, spec(Block.Kind.STACK, 1, 10, 1).gaining(2).frames(), "two stops take sixteen frames");
    }

    @Test
    void nonsenseNamesTheValue() {
        assertTrue(message(() -> BlockSpec.parse("TRAILS soon 3 1 1 2 100 0")).contains("“soon”"));
        assertTrue(message(() -> spec(Block.Kind.STACK, 0, 10, 1)).contains("frames 0"));
        assertThrows(IllegalArgumentException.class, () -> spec(Block.Kind.STACK, 3, Double.NaN, 1));
    }

    private static String message(Executable bad) {
        return String.valueOf(assertThrows(IllegalArgumentException.class, bad).getMessage());
    }

    /** An equal dark frame after each: every other frame of a tight run is lost. */
    @Test
    void noiseReductionDropsEveryOtherFrame() {
        Block run = spec(Block.Kind.TRAILS, 100, 8, 1).block(TIMING);
        RunSimulation plain = run(List.of(run), camera(90, 160), false, false, false, 20);
        assertEquals(100, plain.taken());
        RunSimulation doubled = run(List.of(run), camera(90, 160), false, true, false, 20);
        assertEquals(50, doubled.taken());
        assertEquals(RunSimulation.Why.CAMERA_BUSY, doubled.dropped().get(0).why());
        assertEquals(2, doubled.dropped().get(0).number());
    }

    /** 40 MB at 20 MB/s take 2 s: frames each second fill a buffer of ten at the twentieth or so, then every other is lost. */
    @Test
    void aFullBufferDropsFramesWhereItHappens() {
        Block burst = spec(Block.Kind.STACK, 60, 0.5, 0.5).block(TIMING);
        RunSimulation run = run(List.of(burst), camera(10, 20), false, false, false, 20);
        int first = run.dropped().get(0).number();
        assertTrue(first >= 19 && first <= 23, "first dropped is " + first);
        assertEquals(RunSimulation.Why.BUFFER_FULL, run.dropped().get(0).why());
        assertEquals(60, run.taken() + run.dropped().size());
        assertTrue(run(List.of(burst), camera(10, 20), true, false, false, 20)
                        .dropped()
                        .get(0)
                        .number()
                < first);
    }

    /** The course says what the totals say: it falls to what is left, climbs to what is taken, and jumps at a change. */
    @Test
    void theCourseEndsWithTheTotals() {
        Block half = spec(Block.Kind.TIME_LAPSE, 3000, 1, 1).block(TIMING);
        Block pause = Block.pause(half.end(), half.end().plusSeconds(90));
        Block rest = new BlockSpec(Block.Kind.TIME_LAPSE, pause.end(), 245, 1, 1, FNumber.of(2.8), Iso.of(1600), 0)
                .block(TIMING);
        RunSimulation run = run(List.of(half, pause, rest), camera(90, 160), false, false, false, 20);
        List<RunSimulation.Level> course = run.course();
        assertTrue(course.size() > 300 && course.size() < 900, "points: " + course.size());
        assertEquals(1, course.get(0).charge());
        assertEquals(run.megabytes(), course.get(course.size() - 1).megabytes(), 1e-9);
        assertEquals(1 - 245 / 500.0, course.get(course.size() - 1).charge(), 1e-6);
        for (int i = 1; i < course.size(); i++) {
            assertFalse(course.get(i).at().isBefore(course.get(i - 1).at()));
            assertTrue(course.get(i).megabytes() >= course.get(i - 1).megabytes());
            boolean change = course.get(i).at().equals(pause.end());
            assertTrue(change || course.get(i).charge() <= course.get(i - 1).charge() + 1e-12, "at " + i);
            assertTrue(course.get(i).buffer() >= 0 && course.get(i).buffer() <= 1);
        }
    }

    @Test
    void powerFromOutsideUsesNoCharge() {
        Block run = spec(Block.Kind.TIME_LAPSE, 3000, 10, 1).block(TIMING);
        assertTrue(run(List.of(run), camera(90, 160), false, false, false, -10)
                .emptyAt()
                .isPresent());
        RunSimulation fed = run(List.of(run), camera(90, 160), false, false, true, -10);
        assertEquals(0, fed.charges());
        assertTrue(fed.emptyAt().isEmpty());
        assertEquals(3000, fed.taken());
    }

    /** A percent a degree: at −10 °C thirty less, and the battery ends sooner. */
    @Test
    void theColdTakesOfTheBattery() {
        Block run = spec(Block.Kind.TIME_LAPSE, 490, 10, 1).block(TIMING);
        RunSimulation mild = run(List.of(run), camera(90, 160), false, false, false, 20);
        RunSimulation cold = run(List.of(run), camera(90, 160), false, false, false, -10);
        assertEquals(490 / 500.0, mild.charges(), 0.01);
        assertEquals(mild.charges() / 0.7, cold.charges(), 1e-6);
        assertTrue(mild.emptyAt().isEmpty());
        assertTrue(cold.emptyAt().orElseThrow().isBefore(run.end()));
        assertEquals(490 * 40.0, mild.megabytes(), 1e-9);
        // A pause long enough to change it in, and no charge ends.
        Block half = spec(Block.Kind.TIME_LAPSE, 245, 10, 1).block(TIMING);
        Block pause = Block.pause(half.end(), half.end().plusSeconds(90));
        Block rest = new BlockSpec(Block.Kind.TIME_LAPSE, pause.end(), 245, 10, 1, FNumber.of(2.8), Iso.of(1600), 0)
                .block(TIMING);
        assertTrue(run(List.of(half, pause, rest), camera(90, 160), false, false, false, -10)
                .emptyAt()
                .isEmpty());
    }

    /** A slow card fills the buffer that the camera's own speed would not, and a small one is full. */
    @Test
    void theSlowerOfCameraAndCardEmptiesTheBuffer() {
        Block burst = spec(Block.Kind.TIME_LAPSE, 200, 0.1, 0.5).block(TIMING);
        Rig bare = new Rig(camera(20, 160), LENS, Optional.empty(), 24);
        List<RunSimulation.Recorded> raw = List.of(new RunSimulation.Recorded(burst, false));
        RunSimulation fast = RunSimulation.of(raw, bare, false, true, 20);
        assertEquals(List.of(), fast.dropped());
        assertEquals(Optional.empty(), fast.cardFullAt());
        Rig slow = bare.with(Optional.of(new Card("4 GB", 4, 20, 1)));
        RunSimulation held = RunSimulation.of(raw, slow, false, true, 20);
        assertTrue(held.dropped().size() > 50, "20 MB/s take 2 s for 40 MB: every other frame of one a second");
        assertEquals(RunSimulation.Why.BUFFER_FULL, held.dropped().get(0).why());
        Rig small = bare.with(Optional.of(new Card("2 GB", 2, 300, 2)));
        RunSimulation full = RunSimulation.of(raw, small, false, true, 20);
        assertEquals(
                burst.frames().get(100).open(),
                full.cardFullAt().orElseThrow(),
                "two cards of 2 GB hold 100 frames of 40 MB");
    }

    /** A JPEG beside the raw file in one block only counts in that block. */
    @Test
    void filesAreCountedByBlock() {
        Block one = spec(Block.Kind.STACK, 10, 1, 1).block(TIMING);
        Block two = spec(Block.Kind.GROUND, 5, 1, 1).at(START.plusSeconds(100)).block(TIMING);
        RunSimulation run = RunSimulation.of(
                List.of(new RunSimulation.Recorded(one, false), new RunSimulation.Recorded(two, true)),
                new Rig(camera(90, 160), LENS, Optional.empty(), 24),
                false,
                false,
                20);
        assertEquals(10 * 40 + 5 * 50, run.megabytes(), 1e-9);
    }

    /** Each frame of a bracketed block is a whole bracket, half a second inside, the block's gap between. */
    @Test
    void everyFrameOfABlockCanBeABracket() {
        BlockSpec spec = spec(Block.Kind.PANORAMA, 3, 1, 5)
                .taken(new BlockSpec.How(Optional.of(new Ladder(3, 3)), Optional.of(true)));
        Block b = spec.block(TIMING);
        assertEquals(3, spec.each(TIMING));
        assertEquals(
                List.of(0.5, 1.0, 2.0, 0.5, 1.0, 2.0, 0.5, 1.0, 2.0),
                b.frames().stream().map(f -> f.shutter().realSeconds()).toList());
        assertEquals(START.plusMillis(1000), b.frames().get(1).open());
        assertEquals(START.plusMillis(4500 + 5000), b.frames().get(3).open());
        assertEquals(List.of(spec.named("laid-1")), BlockSpec.parse(BlockSpec.text(List.of(spec))));
        assertEquals(
                3,
                spec.lasting(Duration.between(b.start(), b.end()).toMillis() / 1000.0, TIMING)
                        .frames());
        assertThrows(
                IllegalArgumentException.class,
                () -> spec(Block.Kind.TRAILS, 3, 1, 5).taken(spec.how()),
                "trails are of one piece");
        assertThrows(
                IllegalArgumentException.class,
                () -> spec(Block.Kind.STACK, 20_000, 1, 5).taken(spec.how()),
                "more than the frames that are allowed");
    }

    /** Where what is photographed is sharp for 1 s at most, the bright half of a bracket is made by ISO; of ground it is not. */
    @Test
    void aBracketOfWhatMovesGoesIntoIso() {
        Timing moving = new Timing(
                TIMES,
                IntervalTimer.USUAL,
                (middle, ladder, at) -> ladder.settings(
                        middle, 1, TIMES, List.of(Iso.of(100), Iso.of(200), Iso.of(1600), Iso.of(3200)), false));
        BlockSpec.How three = new BlockSpec.How(Optional.of(new Ladder(3, 3)), Optional.empty());
        assertEquals(
                List.of("0.5 s 1600", "1.0 s 1600", "1.0 s 3200"),
                told(spec(Block.Kind.PANORAMA, 1, 1, 5).taken(three).block(moving)));
        assertEquals(
                List.of("0.5 s 1600", "1.0 s 1600", "2.0 s 1600"),
                told(spec(Block.Kind.GROUND, 1, 1, 5).taken(three).block(moving)));
        BlockSpec bracket = new BlockSpec(Block.Kind.BRACKET, START, 3, 1, 1, FNumber.of(8), Iso.of(100), 3);
        assertEquals(List.of("0.5 s 100", "1.0 s 100", "1.0 s 200"), told(bracket.block(moving)));
    }

    private static List<String> told(Block b) {
        return b.frames().stream()
                .map(f -> f.shutter().realSeconds() + " s " + f.iso())
                .toList();
    }
}
