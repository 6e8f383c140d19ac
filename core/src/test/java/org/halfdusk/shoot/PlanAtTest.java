package org.halfdusk.shoot;

import static org.halfdusk.shoot.Isle.rig;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.time.Instant;
import java.time.LocalDate;
import org.halfdusk.angle.Vector;
import org.halfdusk.exposure.Setting;
import org.halfdusk.exposure.discs.EclipsedMoon;
import org.halfdusk.light.SkyLight;
import org.halfdusk.optics.Lens;
import org.halfdusk.photometry.Stops;
import org.halfdusk.reference.ReferenceTable;
import org.halfdusk.shoot.fireworks.FireworksPlanner;
import org.halfdusk.shoot.lunareclipse.LunarEclipsePlanner;
import org.halfdusk.shoot.milkyway.MilkyWayPlanner;
import org.halfdusk.shoot.moon.MoonPlan;
import org.halfdusk.shoot.moon.MoonPlanner;
import org.halfdusk.shoot.setting.wished.Wishes;
import org.halfdusk.shoot.solareclipse.SolarEclipsePlanner;
import org.halfdusk.shoot.town.TownPlanner;
import org.halfdusk.shoot.trails.TrailsPlanner;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** A plan follows the hour, for every subject. */
class PlanAtTest {
    private static Plan plan(SubjectPlanner<?, ?> planner, Lens lens, LocalDate date) {
        return Isle.plan(planner, date, rig(lens, planner.focalMm(lens)), Wishes.DEFAULT);
    }

    private static Plan plan(Subject subject) {
        return switch (subject) {
            case MILKY_WAY -> plan(new MilkyWayPlanner(), Isle.STANDARD, LocalDate.of(2027, 6, 4));
            case STAR_TRAILS -> plan(new TrailsPlanner(), Isle.WIDE, LocalDate.of(2027, 1, 8));
            case MOON -> plan(new MoonPlanner(), Isle.TELE, LocalDate.of(2027, 7, 18));
            case LUNAR_ECLIPSE ->
                plan(new LunarEclipsePlanner(ReferenceTable.EPHEMERIS), Isle.TELE, LocalDate.of(2028, 12, 31));
            case SOLAR_ECLIPSE -> plan(new SolarEclipsePlanner(), Isle.TELE, LocalDate.of(2027, 8, 2));
            case FIREWORKS -> plan(new FireworksPlanner(), Isle.STANDARD, LocalDate.of(2027, 8, 15));
            case TOWN -> plan(new TownPlanner(), Isle.STANDARD, LocalDate.of(2027, 6, 11));
        };
    }

    /** Time × ISO / N², in stops. */
    private static double light(Plan p) {
        Setting s = p.setting();
        return Stops.between(
                s.shutter().realSeconds() * s.iso().value(), s.fNumber().squared());
    }

    /** Trails alone are planned by the brightest sky of their run. */
    @ParameterizedTest
    @EnumSource(value = Subject.class, mode = EnumSource.Mode.EXCLUDE, names = "STAR_TRAILS")
    void atItsOwnMomentItIsItself(Subject subject) {
        Plan plan = plan(subject);
        Plan same = plan.at(plan.moment());
        assertEquals(plan.setting(), same.setting());
        assertEquals(plan.exposed(), same.exposed());
    }

    @ParameterizedTest
    @EnumSource(Subject.class)
    void itAnswersForEveryMomentOfItsNight(Subject subject) {
        Plan plan = plan(subject);
        Instant start = plan.night().whole().start();
        Instant end = plan.night().whole().end();
        assertEquals(start, plan.at(start.minusSeconds(86_400)).moment());
        assertTrue(plan.at(end.plusSeconds(86_400)).moment().isBefore(end));
        for (Instant t = start; t.isBefore(end); t = t.plusSeconds(3600)) {
            Plan then = plan.at(t);
            assertEquals(plan.framing(), then.framing(), "the camera stays where it is aimed");
            double stops = then.exposed().stopsUnderClipping();
            assertTrue(stops > -25 && stops < 40, subject + " at " + t + ": " + stops);
        }
    }

    /** Four hours after dusk the sky is ten magnitudes darker. */
    @Test
    void theMilkyWayInTwilightIsNotExposedForAsAtNight() {
        Plan plan = plan(Subject.MILKY_WAY);
        Plan dusk = plan.at(Instant.parse("2027-06-04T20:20:00Z"));
        Plan night = plan.at(Instant.parse("2027-06-05T01:00:00Z"));
        assertTrue(light(night) - light(dusk) > 2, light(night) + " " + light(dusk));
        assertFalse(dusk.exposed().visible());
        assertTrue(night.exposed().visible());
    }

    /** At 1.2° the air takes five stops more than at 28°. */
    @Test
    void aLowMoonWantsMoreThanAHighOne() {
        Plan plan = plan(Subject.MOON);
        double low = light(plan.at(Instant.parse("2027-07-18T20:15:00Z")));
        double high = light(plan.at(Instant.parse("2027-07-19T00:30:00Z")));
        assertTrue(low - high > 1 && low - high < 6.5, low + " " + high);
    }

    /** The Moon subject exposes for an eclipsed Moon as for one. */
    @Test
    void theMoonSubjectSeesAnEclipse() {
        MoonPlan plan = (MoonPlan) plan(new MoonPlanner(), Isle.TELE, LocalDate.of(2029, 12, 20));
        MoonPlan before = plan.at(Instant.parse("2029-12-20T19:00:00Z"));
        MoonPlan total = plan.at(Instant.parse("2029-12-20T22:42:00Z"));
        assertEquals(
                EclipsedMoon.Phase.FULL, before.shot().circumstances().eclipse().phase());
        assertEquals(
                EclipsedMoon.Phase.SHADOW,
                total.shot().circumstances().eclipse().phase());
        assertEquals(13, total.shot().circumstances().eclipse().stops(), 2.5);
        assertTrue(light(total) - light(before) > 4, "as far as time and ISO go");
    }

    /** In totality the full Moon lights the sky no more: the zenith is as dark as in a moonless night. */
    @Test
    void theSkyDarkensInATotalEclipse() {
        SkyLight light = plan(Subject.LUNAR_ECLIPSE).night().light();
        Vector up = new Vector(0, 0, 1);
        SkyLight.At before = light.at(Instant.parse("2029-12-20T19:00:00Z"));
        SkyLight.At total = light.at(Instant.parse("2029-12-20T22:42:00Z"));
        assertEquals(1, before.moonShare());
        assertEquals(1e-4, total.moonShare(), 1e-9);
        assertTrue(before.towards(up).magnitude() < 19);
        assertEquals(21.4, total.towards(up).magnitude(), 0.05);
    }

    /** Through density 5 the whole disc wants 1/400 s at f/8 and ISO 100; bare, the inner corona 1/200 s or so. */
    @Test
    void theFilterIsOnBeforeTotality() {
        Plan plan = plan(Subject.SOLAR_ECLIPSE);
        double partial = plan.at(Instant.parse("2027-08-02T07:50:00Z"))
                .setting()
                .shutter()
                .realSeconds();
        assertEquals(1 / 400.0, partial, 1 / 800.0);
        assertFalse(plan.at(plan.night().axis().start()).setting().equals(plan.setting())
                && plan.exposed().visible());
    }
}
