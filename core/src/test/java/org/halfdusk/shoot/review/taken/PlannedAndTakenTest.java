package org.halfdusk.shoot.review.taken;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import net.jqwik.api.constraints.LongRange;
import org.halfdusk.frame.FrameReading;
import org.halfdusk.sequence.Block;
import org.halfdusk.sequence.Frame;
import org.halfdusk.shoot.Isle;
import org.halfdusk.shoot.Plan;
import org.halfdusk.shoot.choices.RigChoices;
import org.halfdusk.shoot.kept.Kept;
import org.halfdusk.shoot.milkyway.MilkyWayPlanner;
import org.halfdusk.shoot.programme.Programme;
import org.halfdusk.shoot.review.Readings;
import org.halfdusk.shoot.setting.wished.Wishes;
import org.junit.jupiter.api.Test;

/** Frames of the stack of the night of 4 June 2027 on the isle: 16 of them and a dark one, as its programme has them. */
class PlannedAndTakenTest {
    private static final Plan PLAN = plan();
    private static final Programme PROGRAMME = Programme.of(PLAN, RigChoices.NONE);
    private static final List<Frame> FRAMES =
            PROGRAMME.blocks().stream().flatMap(b -> b.frames().stream()).toList();

    private static Plan plan() {
        MilkyWayPlanner planner = new MilkyWayPlanner();
        return planner.plan(
                Isle.isle(),
                planner.night(
                        Isle.isle(), LocalDate.of(2027, 6, 4), planner.wishes().usual()),
                Isle.rig(Isle.WIDE, 18),
                Optional.empty(),
                Wishes.DEFAULT,
                planner.wishes().usual());
    }

    private static Kept<TakenFrame> taken(int i, Duration late) {
        Frame f = FRAMES.get(i);
        boolean cap = PROGRAMME.planned().stream()
                .anyMatch(p -> p.block().kind() == Block.Kind.DARK_FRAME
                        && p.block().frames().contains(f));
        Shot s = Readings.shot(
                f.open().plus(late),
                f.shutter().nominalSeconds(),
                f.fNumber().value(),
                (int) f.iso().value(),
                18);
        return Readings.frame(i + 1, s, cap ? Readings.of(FrameReading.Kind.DARK_FRAME) : Readings.stars());
    }

    private static List<Kept<TakenFrame>> all(Duration late) {
        List<Kept<TakenFrame>> all = new ArrayList<>();
        for (int i = 0; i < FRAMES.size(); i++) {
            all.add(taken(i, late));
        }
        return all;
    }

    private static PlannedAndTaken of(List<Kept<TakenFrame>> frames, double ahead) {
        return PlannedAndTaken.of(PROGRAMME, 18, frames, ZoneOffset.UTC, ahead);
    }

    @Test
    void eachIsTheOneItWasPlannedAs() {
        PlannedAndTaken both = of(all(Duration.ofMillis(300)), 0);
        assertEquals(FRAMES.size(), both.planned().size());
        assertEquals(0, both.missing());
        assertEquals(0, both.extra());
        assertEquals(Optional.empty(), both.clock());
        for (PlannedAndTaken.Taken t : both.taken()) {
            assertEquals(Optional.of(Duration.ofMillis(300)), t.late());
            assertEquals(List.of(), t.wrong());
        }
    }

    @Test
    void whatIsMissingAndWhatIsMore() {
        List<Kept<TakenFrame>> frames = all(Duration.ZERO);
        frames.remove(8);
        Instant before = FRAMES.get(0).open().minusSeconds(400);
        frames.add(Readings.frame(900, Readings.shot(before, 8, 4, 1600, 18), Readings.stars()));
        frames.add(Readings.frame(901, Shot.UNKNOWN, Readings.stars()));
        PlannedAndTaken both = of(frames, 0);
        assertEquals(1, both.missing());
        assertEquals(Optional.empty(), both.planned().get(8).taken());
        assertEquals(2, both.extra(), "one before the stack, and one that does not say when");
        assertEquals(901, both.taken().get(both.taken().size() - 1).frame().id(), "without a time it stands last");
    }

    @Test
    void whatIsSetOtherwise() {
        Frame f = FRAMES.get(3);
        List<Kept<TakenFrame>> frames = all(Duration.ZERO);
        frames.set(
                3,
                Readings.frame(4, Readings.shot(f.open(), 2, 5.6, 100, 24), Readings.of(FrameReading.Kind.DARK_FRAME)));
        PlannedAndTaken both = of(frames, 0);
        assertEquals(
                List.of(
                        PlannedAndTaken.What.SHUTTER,
                        PlannedAndTaken.What.APERTURE,
                        PlannedAndTaken.What.ISO,
                        PlannedAndTaken.What.FOCAL_LENGTH,
                        PlannedAndTaken.What.CAP),
                both.taken().get(3).wrong().stream()
                        .map(PlannedAndTaken.Wrong::what)
                        .toList());
        assertEquals(18, both.taken().get(3).wrong().get(3).planned(), 1e-9);
    }

    /** A mark of 10 s that the camera writes as 10, or as 10.08 which it really is, is as planned. */
    @Test
    void marksAndRealTimesAreTheSame() {
        Frame f = FRAMES.get(0);
        Shot real = Readings.shot(
                f.open(),
                f.shutter().realSeconds(),
                f.fNumber().value(),
                (int) f.iso().value(),
                18.4);
        PlannedAndTaken both = of(List.of(Readings.frame(1, real, Readings.stars())), 0);
        assertEquals(List.of(), both.taken().get(0).wrong());
    }

    /** Where all are off alike it is said by how much, and with that clock they all find their places. */
    @Property(tries = 60)
    void aClockThatIsOff(@ForAll @LongRange(min = -40_000, max = 40_000) long seconds) {
        if (Math.abs(seconds) < 3) {
            return;
        }
        PlannedAndTaken both = of(all(Duration.ofSeconds(seconds)), 0);
        double proposed = both.clock().orElseThrow().seconds();
        assertEquals(seconds, proposed, 0.11);
        PlannedAndTaken mended = of(all(Duration.ofSeconds(seconds)), proposed);
        assertEquals(0, mended.missing());
        assertEquals(Optional.empty(), mended.clock());
    }

    @Test
    void aFewFramesOrOnesHereAndThereProposeNothing() {
        assertEquals(
                Optional.empty(),
                of(all(Duration.ofSeconds(62)).subList(0, 4), 0).clock());
        Random random = new Random(4);
        List<Kept<TakenFrame>> scattered = new ArrayList<>();
        for (int i = 0; i < 16; i++) {
            scattered.add(taken(i, Duration.ofSeconds(random.nextInt(3000) - 1500)));
        }
        assertEquals(Optional.empty(), of(scattered, 0).clock());
    }

    /** The order in which files come does not matter, and no planned frame is taken twice. */
    @Property(tries = 60)
    void orderDoesNotMatter(@ForAll @IntRange(max = 100_000) int seed) {
        List<Kept<TakenFrame>> frames = all(Duration.ofSeconds(seed % 7));
        PlannedAndTaken before = of(frames, 0);
        Collections.shuffle(frames, new Random(seed));
        PlannedAndTaken after = of(frames, 0);
        assertEquals(before, after);
        long slots = after.taken().stream()
                .flatMap(t -> t.slot().stream())
                .distinct()
                .count();
        assertEquals(after.taken().stream().filter(t -> t.slot().isPresent()).count(), slots);
        assertTrue(after.missing() + slots == after.planned().size());
    }
}
