package org.halfdusk.shoot.running;

import static org.halfdusk.shoot.Isle.rig;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.EnumSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.LongStream;
import org.halfdusk.optics.Camera;
import org.halfdusk.optics.Rig;
import org.halfdusk.sequence.Block;
import org.halfdusk.sequence.Frame;
import org.halfdusk.shoot.Isle;
import org.halfdusk.shoot.Plan;
import org.halfdusk.shoot.SubjectPlanner;
import org.halfdusk.shoot.camera.CameraState;
import org.halfdusk.shoot.camera.Fault;
import org.halfdusk.shoot.camera.Reason;
import org.halfdusk.shoot.choices.RigChoices;
import org.halfdusk.shoot.packing.Air;
import org.halfdusk.shoot.programme.Programme;
import org.halfdusk.shoot.setting.wished.Wishes;
import org.halfdusk.shoot.solareclipse.SolarEclipsePlanner;
import org.halfdusk.shoot.trails.TrailsPlanner;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** Nights gone through against simulated cameras. */
class RehearsalTest {
    private static final Rig MIRRORED = Rig.of(Isle.mirror(), Isle.TELE, Optional.empty(), 400);

    private static Rehearsal.OfRig of(
            int number, SubjectPlanner<?, ?> planner, LocalDate night, double mm, double clock) {
        return of(number, planner, night, rig(mm > 100 ? Isle.TELE : Isle.WIDE, mm), clock);
    }

    private static Rehearsal.OfRig of(
            int number, SubjectPlanner<?, ?> planner, LocalDate night, Rig rig, double clock) {
        Plan plan = Isle.plan(planner, night, rig, Wishes.DEFAULT);
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
        return trails(Isle.camera(true));
    }

    private static Rehearsal.OfRig trails(Camera camera) {
        Rig rig = Rig.of(camera, Isle.WIDE, Optional.empty(), 14);
        return of(0, new TrailsPlanner(), LocalDate.of(2027, 6, 4), rig, 0);
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
        List<Rehearsal.OfRig> rigs =
                List.of(eclipse(0, 0), of(1, new SolarEclipsePlanner(), LocalDate.of(2027, 8, 2), MIRRORED, 0));
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
                LongStream.range(0, 20)
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
        assertTrue(r.missed().stream().allMatch(m -> m.reason() == Reason.CLOCK_OFF));
        Rehearsal.Finding f = r.findings().get(0);
        assertTrue(Duration.between(f.first(), f.last()).toSeconds() <= 10, "within the ten seconds: " + f);
        assertEquals(
                0,
                Rehearsal.of(List.of(eclipse(0, 0)), 3, EnumSet.of(Fault.CABLE_OUT)).missed().stream()
                        .filter(m -> m.reason() == Reason.CLOCK_OFF)
                        .count());
        assertTrue(
                Rehearsal.of(List.of(eclipse(0, 1.2)), 3, EnumSet.of(Fault.BUMPED)).missed().stream()
                        .anyMatch(m -> m.reason() == Reason.CLOCK_OFF),
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
        assertTrue(r.missed().stream().allMatch(m -> m.reason() == Reason.NOISE_REDUCTION));
    }

    private static Rehearsal struck(Fault fault) {
        Rehearsal.OfRig trails = trails();
        Instant at = trails.programme().blocks().get(0).start().plusSeconds(600);
        return Rehearsal.of(
                List.of(trails), 1, EnumSet.of(Fault.FILTER_ON), List.of(new Rehearsal.Placed(fault, 0, at)));
    }

    /** A fault that is chosen while it runs changes nothing of what went before, and is seen on the camera from then on. */
    @ParameterizedTest
    @EnumSource(
            value = Fault.class,
            names = {"FILTER_ON", "FILTER_OFF", "CARD_DOOR_OPEN", "MIRROR_UP", "INTERVAL_OTHER_WAY"},
            mode = EnumSource.Mode.EXCLUDE)
    void aChosenFaultStrikesFromItsMoment(Fault fault) {
        Rehearsal r = struck(fault);
        assertEquals(1, r.injected().size());
        Instant at = r.injected().get(0).from();
        assertTrue(r.missed().stream().noneMatch(m -> m.opens().isBefore(at)), "nothing before");
        Set<Fault> harmless = EnumSet.of(Fault.COLD_BATTERY, Fault.ASLEEP, Fault.CLOCK_OFF, Fault.RELEASE_STUCK);
        if (!harmless.contains(fault)) {
            assertFalse(r.missed().isEmpty(), fault + " costs frames of trails");
        }
        List<Rehearsal.Look> before =
                r.looks().stream().filter(l -> l.at().isBefore(at)).toList();
        assertTrue(before.stream()
                .allMatch(l -> l.state().dial() != CameraState.Dial.AUTOMATIC
                        && !l.state().autofocus()
                        && !l.state().isoAuto()
                        && l.state().clockSeconds() == 0
                        && l.state().link() == CameraState.Link.CABLE));
    }

    private static boolean seen(Fault fault, Predicate<CameraState> how) {
        return struck(fault).looks().stream().map(Rehearsal.Look::state).anyMatch(how);
    }

    @Test
    void itsDialsSayWhatIsWrong() {
        assertTrue(seen(Fault.WRONG_DIAL, s -> s.dial() == CameraState.Dial.AUTOMATIC));
        assertTrue(seen(Fault.AUTOFOCUS, CameraState::autofocus));
        assertTrue(seen(Fault.ISO_AUTO, CameraState::isoAuto));
        assertTrue(seen(Fault.SELF_TIMER, s -> s.drive() == CameraState.Drive.SELF_TIMER));
        assertTrue(seen(Fault.PHONE_CONNECTED, s -> s.link() == CameraState.Link.PHONE));
        assertTrue(seen(Fault.CABLE_OUT, s -> s.link() == CameraState.Link.NOBODY));
        assertTrue(seen(Fault.CLOCK_OFF, s -> s.clockSeconds() > 10), "ten seconds, and it drifts");
        assertTrue(seen(Fault.RELEASE_STUCK, s -> s.waiting() > s.buffer() / 2));
    }

    /** On the self-timer a frame opens two seconds late; where the gap is shorter the next finds the shutter open. */
    @Test
    void theSelfTimerIsLate() {
        Rehearsal r = struck(Fault.SELF_TIMER);
        assertTrue(r.missed().stream().allMatch(m -> m.reason() == Reason.SELF_TIMER));
        Rehearsal.OfRig trails = trails();
        List<Instant> told = trails.programme().blocks().stream()
                .flatMap(b -> b.frames().stream())
                .map(Frame::open)
                .toList();
        assertTrue(r.events().stream()
                .filter(e -> e.frame() > 0 && e.what() == Rehearsal.What.FIRED)
                .anyMatch(e -> e.at().equals(told.get(e.frame() - 1).plusSeconds(2))));
    }

    /** An interval typed for a timer that counts from the close: the run is longer by all its exposures, and its end is lost. */
    @Test
    void anIntervalCountedTheOtherWayLosesTheEnd() {
        Rehearsal.OfRig trails = trails();
        Rehearsal r = Rehearsal.of(List.of(trails), 1, EnumSet.of(Fault.INTERVAL_OTHER_WAY));
        assertEquals(
                frames(trails) / 2.0, r.missed().size(), frames(trails) * 0.05, "exposures are nearly the interval");
        assertTrue(r.missed().stream().allMatch(m -> m.reason() == Reason.INTERVAL_OTHER_WAY));
    }

    /** Mirror lock-up left on with a timer that fires once for a frame takes every other one. */
    @Test
    void mirrorLockUpTakesEveryOther() {
        Rehearsal.OfRig trails = trails();
        assertEquals(
                List.of(),
                Rehearsal.of(List.of(trails), 1, EnumSet.of(Fault.MIRROR_UP)).injected(),
                "no mirror, no fault of it");
        Rehearsal r = Rehearsal.of(List.of(trails(Isle.mirror())), 1, EnumSet.of(Fault.MIRROR_UP));
        long during = r.events().stream()
                .filter(e -> e.frame() > 0 && r.injected().get(0).at(e.at()))
                .count();
        assertEquals(during / 2.0, r.missed().size(), 1.0);
        assertTrue(during >= 2);
    }
}
