package org.halfdusk.shoot.running;

import static org.halfdusk.shoot.Isle.isle;
import static org.halfdusk.shoot.Isle.rig;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.time.Duration;
import java.time.LocalDate;
import java.util.EnumSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.halfdusk.sequence.Block;
import org.halfdusk.shoot.Air;
import org.halfdusk.shoot.Isle;
import org.halfdusk.shoot.Plan;
import org.halfdusk.shoot.RigChoices;
import org.halfdusk.shoot.SubjectNight;
import org.halfdusk.shoot.SubjectPlanner;
import org.halfdusk.shoot.Wish;
import org.halfdusk.shoot.programme.Programme;
import org.halfdusk.shoot.setting.Wishes;
import org.halfdusk.shoot.solareclipse.SolarEclipsePlanner;
import org.halfdusk.shoot.trails.TrailsPlanner;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** Nights gone through against simulated cameras. */
class RehearsalTest {
    private static <N extends SubjectNight, W extends Wish> Rehearsal.OfRig of(
            int number, SubjectPlanner<N, W> planner, LocalDate night, double mm, double clock) {
        W wish = planner.wishes().usual();
        Plan plan = planner.plan(
                isle(),
                planner.night(isle(), night, wish),
                rig(mm > 100 ? Isle.TELE : Isle.WIDE, mm),
                Optional.empty(),
                Wishes.DEFAULT,
                wish);
        return new Rehearsal.OfRig(
                number,
                plan,
                Programme.of(plan, RigChoices.NONE),
                RigChoices.NONE,
                new Air(10, Air.Source.ASSUMED),
                clock);
    }

    private static Rehearsal.OfRig eclipse(int number, double clock) {
        return of(number, new SolarEclipsePlanner(), LocalDate.of(2027, 8, 2), 400, clock);
    }

    private static Rehearsal.OfRig trails() {
        return of(0, new TrailsPlanner(), LocalDate.of(2027, 6, 4), 14, 0);
    }

    private static int frames(Rehearsal.OfRig r) {
        return Block.frames(r.programme().blocks());
    }

    private static long count(Rehearsal r, Rehearsal.What what) {
        return r.events().stream().filter(e -> e.what() == what).count();
    }

    /** Whatever goes wrong: each frame of the programme happens once, fired, spoilt or missed, and what was missed is all accounted for. */
    @ParameterizedTest
    @EnumSource(Fault.class)
    void everyFrameIsAccountedFor(Fault fault) {
        List<Rehearsal.OfRig> rigs = List.of(eclipse(0, 0), eclipse(1, 0));
        Rehearsal r = Rehearsal.of(rigs, 7, EnumSet.of(fault));
        long all = count(r, Rehearsal.What.FIRED) + count(r, Rehearsal.What.SPOILT) + count(r, Rehearsal.What.MISSED);
        assertEquals(frames(rigs.get(0)) + frames(rigs.get(1)), all);
        assertEquals(r.missed().size(), all - count(r, Rehearsal.What.FIRED));
        assertEquals(
                r.missed().size(),
                r.findings().stream().mapToInt(Rehearsal.Finding::frames).sum());
        assertEquals(
                List.of(fault),
                r.injected().stream().map(Rehearsal.Injected::fault).toList());
        for (int i = 1; i < r.events().size(); i++) {
            assertFalse(r.events().get(i).at().isBefore(r.events().get(i - 1).at()), "in order of time");
        }
    }

    /** Without a fault a camera drops what the plan's own simulation says, and no more. */
    @Test
    void withoutFaultsThePlanHolds() {
        Rehearsal.OfRig trails = trails();
        Rehearsal r = Rehearsal.of(List.of(trails), 1, EnumSet.of(Fault.FILTER_ON));
        assertEquals(List.of(), r.injected(), "no filter, no fault of it");
        assertEquals(
                trails.programme()
                        .simulated(trails.plan(), trails.choices(), trails.air())
                        .dropped()
                        .size(),
                r.missed().size());
        assertEquals(frames(trails), count(r, Rehearsal.What.FIRED));
    }

    @Test
    void theSameSeedIsTheSameNight() {
        List<Rehearsal.OfRig> rigs = List.of(eclipse(0, 0), eclipse(1, 0));
        assertEquals(Rehearsal.of(rigs, 42, Set.of()), Rehearsal.of(rigs, 42, Set.of()));
        assertEquals(
                Rehearsal.of(rigs, 42, EnumSet.of(Fault.DEW, Fault.BUMPED, Fault.CABLE_OUT)),
                Rehearsal.of(rigs, 42, new LinkedHashSet<>(List.of(Fault.CABLE_OUT, Fault.BUMPED, Fault.DEW))),
                "in whatever order the faults are named");
        assertTrue(
                java.util.stream.LongStream.range(0, 20)
                                .mapToObj(s -> Rehearsal.of(rigs, s, Set.of()).injected())
                                .distinct()
                                .count()
                        > 10,
                "seeds differ");
    }

    /** A clock that is ten seconds ahead fires totality's first frames under the filter, and only those. */
    @Test
    void aClockThatIsOffMissesSecondContact() {
        Rehearsal r = Rehearsal.of(List.of(eclipse(0, 0)), 3, EnumSet.of(Fault.CLOCK_OFF));
        assertFalse(r.missed().isEmpty());
        assertTrue(r.missed().stream().allMatch(m -> m.reason().equals("CLOCK_OFF")));
        Rehearsal.Finding f = r.findings().get(0);
        assertTrue(Duration.between(f.first(), f.last()).toSeconds() <= 10, "within the ten seconds: " + f);
        assertEquals(
                0,
                Rehearsal.of(List.of(eclipse(0, 0)), 3, EnumSet.of(Fault.CABLE_OUT)).missed().stream()
                        .filter(m -> m.reason().equals("CLOCK_OFF"))
                        .count());
        assertTrue(
                Rehearsal.of(List.of(eclipse(0, 1.2)), 3, EnumSet.of(Fault.BUMPED)).missed().stream()
                        .anyMatch(m -> m.reason().equals("CLOCK_OFF")),
                "a clock that was measured to be off counts too");
    }

    /** Noise reduction takes a dark frame after each: of trails with no gap every other one is lost. */
    @Test
    void noiseReductionHalvesTrails() {
        Rehearsal r = Rehearsal.of(List.of(trails()), 5, EnumSet.of(Fault.NOISE_REDUCTION));
        Rehearsal.Injected i = r.injected().get(0);
        long until = r.events().stream()
                .filter(e -> e.frame() > 0 && e.at().isBefore(i.until()))
                .count();
        assertEquals(until / 2.0, r.missed().size(), 1.0);
        assertTrue(r.missed().stream().allMatch(m -> m.reason().equals("NOISE_REDUCTION")));
    }
}
