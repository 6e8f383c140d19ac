package org.halfdusk.shoot.running;

import static org.halfdusk.shoot.Isle.rig;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.time.Instant;
import java.time.LocalDate;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.halfdusk.shoot.Isle;
import org.halfdusk.shoot.Plan;
import org.halfdusk.shoot.SubjectPlanner;
import org.halfdusk.shoot.camera.ClockOffset;
import org.halfdusk.shoot.choices.RigChoices;
import org.halfdusk.shoot.programme.Programme;
import org.halfdusk.shoot.setting.wished.Wishes;
import org.halfdusk.shoot.solareclipse.SolarEclipsePlan;
import org.halfdusk.shoot.solareclipse.SolarEclipsePlanner;
import org.halfdusk.shoot.trails.TrailsPlanner;
import org.halfdusk.time.Interval;
import org.junit.jupiter.api.Test;

/** What a hand has to do in the night, and what is noted of it. */
class HandTest {
    private static Plan plan(SubjectPlanner<?, ?> planner, LocalDate night, double mm) {
        return Isle.plan(planner, night, rig(mm > 100 ? Isle.TELE : Isle.WIDE, mm), Wishes.DEFAULT);
    }

    /** The key is pressed the timer's delay before the first frame opens; then the cap; then it is over. */
    @Test
    void trailsByATimer() {
        Plan plan = plan(new TrailsPlanner(), LocalDate.of(2027, 6, 4), 14);
        Programme programme = Programme.of(plan, RigChoices.NONE);
        List<Hand> hands = Hand.of(0, plan, programme);
        assertEquals(
                List.of(Hand.Kind.START, Hand.Kind.CAP_ON, Hand.Kind.OVER),
                hands.stream().map(Hand::kind).toList());
        Hand start = hands.get(0);
        Instant opens = programme.blocks().get(0).frames().get(0).open();
        double delay = start.timer().orElseThrow().delaySeconds();
        assertEquals(opens.minusSeconds((long) delay), start.at());
        assertEquals(programme.blocks().get(0).end(), start.until());
        assertEquals(programme.blocks().get(0).frames().size(), start.frames());
        assertEquals(plan.setting().iso(), start.setting().orElseThrow().iso());
    }

    /** The filter's steps are the guard's moments, and every step has an identity of its own. */
    @Test
    void theFiltersStepsAreTheGuards() {
        SolarEclipsePlan plan = (SolarEclipsePlan) plan(new SolarEclipsePlanner(), LocalDate.of(2027, 8, 2), 400);
        List<Hand> hands = Hand.of(1, plan, Programme.of(plan, RigChoices.NONE));
        Interval off = plan.night().filter().off().orElseThrow();
        Hand bare = hands.stream()
                .filter(h -> h.kind() == Hand.Kind.FILTER_OFF)
                .findFirst()
                .orElseThrow();
        Hand on = hands.stream()
                .filter(h -> h.kind() == Hand.Kind.FILTER_ON)
                .findFirst()
                .orElseThrow();
        assertFalse(bare.at().isBefore(off.start()), "bare before the guard allows it");
        assertFalse(on.at().isAfter(off.end()), "covered after the guard's end");
        Set<String> ids = new HashSet<>();
        hands.forEach(h -> assertTrue(ids.add(h.id()), h.id() + " twice"));
        for (int i = 1; i < hands.size(); i++) {
            assertFalse(hands.get(i).at().isBefore(hands.get(i - 1).at()));
        }
        assertTrue(hands.stream().allMatch(h -> h.rig() == 1));
    }

    @Test
    void anEntryIsChecked() {
        Instant at = Instant.parse("2027-06-04T22:00:00Z");
        RunEntry note = new RunEntry("0123-abcd", at, 0, RunEntry.Kind.NOTE, "", "dew on the lens");
        assertEquals("dew on the lens", note.text());
        String wrong = String.valueOf(assertThrows(
                        IllegalArgumentException.class, () -> new RunEntry("x", at, -1, RunEntry.Kind.NOTE, "a b", " "))
                .getMessage());
        for (String named : List.of("identity “x”", "step “a b”", "rig -1", "note is empty")) {
            assertTrue(wrong.contains(named), named + " in " + wrong);
        }
    }

    @Test
    void aCamerasClock() {
        Instant truly = Instant.parse("2027-08-02T08:00:00Z");
        ClockOffset ahead = ClockOffset.of(truly.plusMillis(1200), truly);
        assertEquals(1.2, ahead.seconds(), 1e-9);
        assertEquals(truly.plusMillis(61_200), ahead.shown(truly.plusSeconds(60)));
        assertFalse(ahead.fair());
        assertEquals(
                -0.8, ClockOffset.of(truly.plusMillis(7_200_000 - 800), truly).seconds(), 1e-9, "a camera on UTC+2");
        assertTrue(ClockOffset.of(truly.minusMillis(900), truly).fair());
        assertThrows(IllegalArgumentException.class, () -> new ClockOffset(90_000, truly));
    }
}
