package org.halfdusk.shoot.programme;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.time.Instant;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.Stream;
import org.halfdusk.exposure.ShutterTime;
import org.halfdusk.optics.IntervalTimer;
import org.halfdusk.photometry.FNumber;
import org.halfdusk.photometry.Iso;
import org.halfdusk.sequence.Block;
import org.halfdusk.sequence.BlockSpec;
import org.halfdusk.sequence.Frame;
import org.halfdusk.sequence.Timer;
import org.halfdusk.sequence.Timing;
import org.junit.jupiter.api.Test;

/** Laid blocks after any edits: nothing overlaps, no frame in a pause, timers give the frames, identities are for life. */
class LayingTest {
    private static final Instant START = Instant.parse("2027-06-04T22:00:00Z");
    private static final List<ShutterTime> TIMES = ShutterTime.available(1.0 / 8000, 30, true);
    private static final Timing TIMING = new Timing(TIMES, IntervalTimer.USUAL);

    /** Every kind of timer. */
    private static final List<Timing> TIMINGS = Stream.of(IntervalTimer.Step.values())
            .flatMap(step -> Stream.of(IntervalTimer.From.values()).map(from -> new IntervalTimer(step, from, 399)))
            .map(timer -> new Timing(TIMES, timer))
            .toList();

    private static final Block.Kind[] KINDS = {
        Block.Kind.STACK,
        Block.Kind.TRAILS,
        Block.Kind.GROUND,
        Block.Kind.TIME_LAPSE,
        Block.Kind.DARK_FRAME,
        Block.Kind.PANORAMA
    };

    private static BlockSpec block(Block.Kind kind, int second, int frames, double seconds, double gap) {
        return new BlockSpec(kind, START.plusSeconds(second), frames, seconds, gap, FNumber.of(2.8), Iso.of(1600), 0);
    }

    private static BlockSpec pause(int second, double seconds) {
        return block(Block.Kind.PAUSE, second, 0, seconds, 0);
    }

    private static List<Block> built(Laying laying) {
        return laying.blocks().stream().map(s -> s.block(laying.timing())).toList();
    }

    private static int frames(Laying laying) {
        return Block.frames(built(laying));
    }

    /** 500 programmes of random edits. */
    @Test
    void whateverIsDoneNothingOverlaps() {
        Random random = new Random(17);
        for (int n = 0; n < 500; n++) {
            AtomicInteger given = new AtomicInteger();
            Laying laying = new Laying(List.of(), TIMINGS.get(n % TIMINGS.size()));
            int frames = 0;
            for (int edit = 0; edit < 8; edit++) {
                int at = random.nextInt(20_000);
                if (random.nextInt(3) == 0) {
                    laying = laying.with(pause(at, 60 + random.nextInt(600)));
                } else {
                    BlockSpec more = block(
                            KINDS[random.nextInt(KINDS.length)],
                            at,
                            1 + random.nextInt(60),
                            TIMES.get(random.nextInt(TIMES.size())).nominalSeconds(),
                            random.nextInt(8));
                    // An hour's exposure sixty times over leaves no night to look at.
                    BlockSpec few = more.seconds() > 60 ? more.with(2) : more;
                    frames += few.frames();
                    laying = laying.with(few);
                }
                laying = laying.named(() -> "b" + given.incrementAndGet());
            }
            check(laying, frames);
            BlockSpec some = laying.blocks().get(random.nextInt(laying.blocks().size()));
            Laying moved = laying.changed(some.at(START.plusSeconds(random.nextInt(20_000))));
            check(moved, frames);
            assertEquals(ids(laying), ids(moved), "an edit leaves identities alone");
            assertEquals(
                    laying.blocks().size() - 1,
                    laying.without(some.id()).blocks().size());
            List<BlockSpec> read = BlockSpec.parse(BlockSpec.text(moved.blocks()));
            assertEquals(moved.blocks(), read, "what is kept is what is read");
        }
    }

    private static Set<String> ids(Laying laying) {
        Set<String> ids = new HashSet<>();
        laying.blocks().forEach(s -> assertTrue(ids.add(s.id()), "identity " + s.id() + " twice"));
        return ids;
    }

    private static void check(Laying laying, int frames) {
        assertEquals(frames, frames(laying), "no frame is lost");
        assertFalse(ids(laying).contains(""));
        Instant free = Instant.MIN;
        for (Block b : built(laying)) {
            assertFalse(b.start().isBefore(free), b.kind() + " at " + b.start() + " begins before " + free);
            assertEquals(0, b.start().getNano(), "what one reads off a clock is whole");
            Instant open = b.start();
            for (Frame f : b.frames()) {
                assertFalse(f.open().isBefore(open));
                open = f.close();
            }
            assertTrue(b.frames().isEmpty() || b.end().equals(open), "a block ends with its last close");
            assertEquals(b.kind() == Block.Kind.PAUSE, b.frames().isEmpty());
            Optional<Timer> timer = Timer.of(b, laying.timing().timer());
            assertEquals(b.frames().size() > 1, timer.isPresent(), "a timer does every block: " + b.kind());
            timer.ifPresent(t -> assertEquals(b.frames().size(), t.number()));
            free = b.end();
        }
    }

    /** Sixteen frames of 8 s every 10 s: at 0:45 four are over; the fifth, which has begun, comes after the pause. */
    @Test
    void aPauseDividesTheFramesWhereItIsAskedFor() {
        Laying divided = new Laying(List.of(block(Block.Kind.STACK, 0, 16, 8, 2).named("stack-1")), TIMING)
                .with(pause(45, 120))
                .named(() -> "new");
        assertEquals(
                List.of(4, 0, 12),
                divided.blocks().stream().map(BlockSpec::frames).toList());
        assertEquals("stack-1", divided.blocks().get(0).id(), "the first part keeps the identity");
        assertEquals(START.plusSeconds(39), divided.blocks().get(1).start());
        assertEquals(120, divided.blocks().get(1).seconds());
        assertEquals(START.plusSeconds(160), divided.blocks().get(2).start());
    }

    @Test
    void beforeTheFirstFrameAPauseComesFirst() {
        Laying laying = new Laying(List.of(block(Block.Kind.TRAILS, 0, 5, 30, 1)), TIMING).with(pause(10, 60));
        assertEquals(Block.Kind.PAUSE, laying.blocks().get(0).kind());
        assertEquals(START, laying.blocks().get(0).start());
        assertEquals(5, laying.blocks().get(1).frames());
    }

    @Test
    void aBracketIsOfOnePiece() {
        BlockSpec bracket = new BlockSpec(Block.Kind.BRACKET, START, 5, 1, 1, FNumber.of(8), Iso.of(100), 3);
        Laying laying = new Laying(List.of(bracket), TIMING).with(pause(2, 60));
        assertEquals(
                List.of(5, 0), laying.blocks().stream().map(BlockSpec::frames).toList());
    }

    /** A block that is made longer pushes what follows, and that what follows it; what stands free stays. */
    @Test
    void whatFollowsIsPushed() {
        BlockSpec first = block(Block.Kind.STACK, 0, 10, 8, 2).named("a");
        BlockSpec second = block(Block.Kind.DARK_FRAME, 120, 2, 8, 2).named("b");
        BlockSpec third = block(Block.Kind.GROUND, 150, 1, 30, 2).named("c");
        BlockSpec free = block(Block.Kind.TRAILS, 4000, 3, 30, 1).named("d");
        Laying laying = new Laying(List.of(first, second, third, free), TIMING).changed(first.with(20));
        List<Block> built = built(laying);
        assertEquals(
                START.plusSeconds(199), laying.blocks().get(1).start(), "20 × 10 s less the last gap, and a second");
        assertTrue(built.get(2).start().isAfter(built.get(1).end()));
        assertEquals(free.start(), laying.blocks().get(3).start());
    }

    @Test
    void wherePeopleAskOthersWaitUntilItIsFree() {
        Laying laying = new Laying(List.of(block(Block.Kind.STACK, 0, 10, 8, 2).named("a")), TIMING)
                .with(block(Block.Kind.GROUND, 30, 1, 30, 0));
        assertEquals(START.plusSeconds(99), laying.blocks().get(1).start());
        Laying free = laying.with(block(Block.Kind.GROUND, 500, 1, 30, 0));
        assertEquals(START.plusSeconds(500), free.blocks().get(2).start());
    }

    /** A block keeps what it was made for through row and edits, and old rows get an identity by their place. */
    @Test
    void identityAndWhatItWasMadeForAreKept() {
        BlockSpec.Made made = new BlockSpec.Made(8, FNumber.of(2), Iso.of(1250));
        BlockSpec spec = block(Block.Kind.STACK, 0, 16, 8, 2).named("stack-1").madeFor(made);
        assertEquals(List.of(spec), BlockSpec.parse(BlockSpec.text(List.of(spec))));
        assertEquals(Optional.of(made), spec.with(5).at(START.plusSeconds(5)).made());
        BlockSpec.Made now = new BlockSpec.Made(10, FNumber.of(2.8), Iso.of(800));
        BlockSpec taken = spec.taking(now);
        assertTrue(taken.as(now));
        assertEquals(10, taken.seconds());
        assertEquals(Optional.of(now), taken.made());
        assertFalse(spec.as(now));
        List<BlockSpec> old = BlockSpec.parse(
                "STACK 2027-06-04T22:00:00Z 16 8 2 2.8 1600 0; PAUSE 2027-06-04T23:00:00Z 0 60 0 8 100 0");
        assertEquals(
                List.of("laid-1", "laid-2"), old.stream().map(BlockSpec::id).toList());
        List<String> refused = new ArrayList<>();
        for (String text : List.of("STACK 2027-06-04T22:00:00Z 16 8 2 2.8 1600 0 a b", "STACK now 1 1 1 1 100 0")) {
            try {
                BlockSpec.parse(text);
            } catch (IllegalArgumentException e) {
                refused.add(text);
            }
        }
        assertEquals(2, refused.size());
    }
}
