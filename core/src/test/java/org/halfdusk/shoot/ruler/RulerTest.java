package org.halfdusk.shoot.ruler;

import static org.halfdusk.shoot.Isle.rig;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertNotEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import org.halfdusk.ephemeris.SeriesEphemeris;
import org.halfdusk.exposure.Setting;
import org.halfdusk.photometry.Stops;
import org.halfdusk.sequence.Block;
import org.halfdusk.sequence.PhaseChoice;
import org.halfdusk.sequence.Phases;
import org.halfdusk.shoot.Isle;
import org.halfdusk.shoot.Plan;
import org.halfdusk.shoot.lunareclipse.LunarEclipsePlanner;
import org.halfdusk.shoot.milkyway.MilkyWayPlanner;
import org.halfdusk.shoot.moon.MoonPlanner;
import org.halfdusk.shoot.setting.Zone;
import org.halfdusk.shoot.setting.wished.Wishes;
import org.halfdusk.shoot.solareclipse.SolarEclipsePlanner;
import org.halfdusk.shoot.trails.TrailsPlanner;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Time, aperture and ISO as rulers on one scale, and what follows when one of them is set. */
class RulerTest {

    private static Plan milkyWay(Wishes wishes) {
        return Isle.plan(new MilkyWayPlanner(), LocalDate.of(2027, 6, 4), rig(Isle.STANDARD, 24), wishes);
    }

    private static List<Plan> all(Wishes wishes) {
        return List.of(
                milkyWay(wishes),
                Isle.plan(new TrailsPlanner(), LocalDate.of(2027, 6, 4), rig(Isle.WIDE, 14), wishes),
                Isle.plan(new MoonPlanner(), LocalDate.of(2027, 6, 18), rig(Isle.TELE, 400), wishes),
                Isle.plan(
                        new LunarEclipsePlanner(new SeriesEphemeris()),
                        LocalDate.of(2028, 12, 31),
                        rig(Isle.TELE, 400),
                        wishes),
                Isle.plan(new SolarEclipsePlanner(), LocalDate.of(2027, 8, 2), rig(Isle.TELE, 400), wishes));
    }

    /** Each is eight stops long, holds its setting, and is covered by zones without a gap; marks and ticks stand inside in order. */
    @Test
    void rulersAreWhole() {
        for (Plan plan : all(Wishes.DEFAULT)) {
            for (Ruler r : Ruler.of(plan)) {
                String which = plan.traits() + " " + r.part();
                assertEquals(Ruler.STOPS, r.to() - r.from(), 1e-9, which);
                assertTrue(r.at() >= r.from() - 0.01 && r.at() <= r.to() + 0.01, which + " at " + r.at());
                double end = r.from();
                for (Ruler.Span s : r.zones()) {
                    assertEquals(end, s.from(), 1e-9, which);
                    end = s.to();
                }
                assertEquals(r.to(), end, 0.02, which + ": zones end at the ruler's end");
                for (int i = 1; i < r.marks().size(); i++) {
                    assertTrue(r.marks().get(i).stops() > r.marks().get(i - 1).stops(), which);
                }
                assertTrue(
                        r.marks().stream().anyMatch(m -> Math.abs(m.stops() - r.at()) < 0.01),
                        which + ": the setting is a mark");
                assertTrue(r.ticks().stream().allMatch(t -> t.stops() >= r.from() && t.stops() <= r.to()), which);
            }
        }
    }

    /** The setting that the plan gives stands in a zone that is good or fair, of every ruler. */
    @Test
    void whatIsComputedStandsInAGoodZone() {
        for (Plan plan : all(Wishes.DEFAULT)) {
            for (Ruler r : Ruler.of(plan)) {
                Zone.Tone tone = r.zones().stream()
                        .filter(s -> r.at() - 0.02 <= s.to())
                        .findFirst()
                        .orElseThrow()
                        .kind()
                        .tone();
                assertTrue(
                        tone == Zone.Tone.GOOD || tone == Zone.Tone.FAIR,
                        plan.traits() + " " + r.part() + " stands at " + r.at() + " in " + r.zones());
            }
        }
    }

    private static double light(Setting s) {
        double stops = 0;
        for (Part p : Part.values()) {
            stops += p.stops(p.value(s));
        }
        return stops;
    }

    /** A stop more on one of them is a stop less on that which follows, as far as the kit goes. */
    @Test
    void theThirdFollows() {
        Random random = new Random(18);
        for (int n = 0; n < 60; n++) {
            Wishes wishes = Wishes.DEFAULT;
            Plan plan = milkyWay(wishes);
            double before = light(plan.setting()) - plan.stopsOff();
            for (int step = 0; step < 4; step++) {
                Part part = Part.values()[random.nextInt(3)];
                List<Ruler.Mark> marks = Ruler.of(plan).get(part.ordinal()).marks();
                Ruler.Mark mark = marks.get(random.nextInt(marks.size()));
                wishes = Follow.holding(plan, part, mark.value());
                plan = milkyWay(wishes);
                Setting s = plan.setting();
                assertEquals(mark.stops(), part.stops(part.value(s)), 0.01, "what is set stays as it is set");
                List<Part> held = new ArrayList<>();
                for (Part p : Part.values()) {
                    if (p.held(wishes)) {
                        held.add(p);
                    }
                }
                assertTrue(held.size() < 3 && held.contains(part), held.toString());
                Optional<Part> follows = Follow.of(plan);
                assertTrue(follows.isPresent() && !held.contains(follows.get()), "one of them follows");
                assertEquals(before, light(s) - plan.stopsOff(), 0.01, "the light that is wanted is the sky's");
                Ruler ruler = Ruler.of(plan).get(follows.get().ordinal());
                boolean inside = Math.abs(ruler.at() - ruler.from()) > 0.4 && Math.abs(ruler.to() - ruler.at()) > 0.4;
                double first = marksOf(plan, follows.get(), true);
                double last = marksOf(plan, follows.get(), false);
                boolean free = ruler.at() > first + 0.2 && ruler.at() < last - 0.2;
                if (inside && free && follows.get() != Part.TIME) {
                    assertTrue(Math.abs(plan.stopsOff()) < 0.5, follows.get() + " makes up for it: " + plan.stopsOff());
                }
            }
        }
    }

    private static double marksOf(Plan plan, Part part, boolean first) {
        List<Ruler.Mark> marks = Ruler.of(plan).get(part.ordinal()).marks();
        return marks.get(first ? 0 : marks.size() - 1).stops();
    }

    /** All three can be held: then the light falls over or under, and nothing follows. */
    @Test
    void allThreeCanBeHeld() {
        Plan plan = milkyWay(Wishes.DEFAULT);
        Wishes wishes = Follow.holding(plan, Part.TIME, 2);
        plan = milkyWay(wishes);
        plan = milkyWay(Follow.holding(plan, Part.APERTURE, 8));
        double target = plan.setting().iso().value();
        plan = milkyWay(Follow.heldAsIs(plan, Part.ISO));
        assertEquals(Optional.empty(), Follow.of(plan));
        Ruler iso = Ruler.of(plan).get(2);
        assertEquals(Ruler.State.HELD, iso.state());
        assertEquals(target, plan.setting().iso().value(), 1e-9);
        assertEquals(Optional.of(Part.ISO), Follow.of(milkyWay(Follow.freed(plan, Part.ISO))));
        assertFalse(Part.ISO.held(Follow.freed(plan, Part.ISO)));
    }

    /** Of a bright disc the time gives the light; where the time is held, ISO does. */
    @Test
    void ofDiscsTheTimeFollows() {
        Plan moon = all(Wishes.DEFAULT).get(2);
        assertEquals(Optional.of(Part.TIME), Follow.of(moon));
        double shorter = moon.setting().shutter().realSeconds() / 4;
        Plan fast = all(Follow.holding(moon, Part.TIME, shorter)).get(2);
        assertEquals(Optional.of(Part.ISO), Follow.of(fast));
        assertTrue(Math.abs(fast.stopsOff()) < 0.5, "ISO follows: " + fast.setting() + " " + fast.stopsOff());
        assertTrue(Stops.between(
                        moon.setting().shutter().realSeconds(),
                        fast.setting().shutter().realSeconds())
                > 1);
    }

    /** Of an eclipse what is held is held for the phase of the moment: there ISO takes over from the time, elsewhere nothing changes. */
    @ParameterizedTest
    @CsvSource({"3, 2028-12-31T19:00:00Z, 2028-12-31T17:00:00Z", "4, 2027-08-02T08:50:34Z, 2027-08-02T08:10:00Z"})
    void ofAnEclipseAPhaseIsHeld(int which, Instant at, Instant elsewhere) {
        Plan before = all(Wishes.DEFAULT).get(which).at(at);
        Block.Kind phase = before.phaseNow().orElseThrow();
        double shorter = before.setting().shutter().realSeconds() / 4;
        PhaseChoice held = PhaseChoice.none(phase).timed(OptionalDouble.of(shorter));
        Plan whole = all(Wishes.DEFAULT.with(Phases.NONE.with(held))).get(which);
        Plan after = whole.at(at);
        assertTrue(Part.TIME.held(after.fixedNow()));
        assertEquals(Optional.of(Part.ISO), Follow.of(after));
        assertEquals(
                2,
                Stops.between(
                        after.setting().iso().value(), before.setting().iso().value()),
                0.4);
        assertTrue(Math.abs(after.stopsOff()) < 0.5, after.setting() + " is off by " + after.stopsOff());
        assertNotEquals(Optional.of(phase), whole.at(elsewhere).phaseNow(), "another phase");
        assertEquals(
                all(Wishes.DEFAULT).get(which).at(elsewhere).setting(),
                whole.at(elsewhere).setting());
    }
}
