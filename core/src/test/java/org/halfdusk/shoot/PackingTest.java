package org.halfdusk.shoot;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.halfdusk.optics.Rig;
import org.halfdusk.place.PlaceNotes;
import org.halfdusk.shoot.milkyway.MilkyWayPlanner;
import org.halfdusk.shoot.solareclipse.SolarEclipsePlanner;
import org.halfdusk.shoot.trails.TrailsPlanner;
import org.halfdusk.time.Interval;
import org.halfdusk.weather.Forecast;
import org.halfdusk.weather.Spell;
import org.halfdusk.weather.WeatherHour;
import org.junit.jupiter.api.Test;

/** The list follows subject, rig, weather and place. */
class PackingTest {
    private static <N extends SubjectNight> Plan plan(SubjectPlanner<N> planner, Site site, LocalDate date, Rig rig) {
        N night = planner.night(site, date, SubjectWish.NONE);
        return planner.plan(site, night, rig, Optional.empty(), Wishes.DEFAULT, SubjectWish.NONE);
    }

    private static Plan core(Site site) {
        return plan(new MilkyWayPlanner(), site, LocalDate.of(2027, 6, 4), Isle.rig(Isle.WIDE, 14));
    }

    private static Spell weather(double celsius, double dewPoint, double wind, double rain) {
        Instant at = Instant.parse("2027-06-04T22:00:00Z");
        WeatherHour hour = new WeatherHour(
                at,
                0,
                0,
                0,
                wind,
                OptionalDouble.empty(),
                celsius,
                dewPoint,
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                rain);
        return new Forecast("test", true, at, List.of(hour))
                .during(Interval.of(at, at.plusSeconds(3600)))
                .orElseThrow();
    }

    @Test
    void theSunNeedsItsFilterAndNoLamp() {
        Plan sun = plan(new SolarEclipsePlanner(), Isle.isle(), LocalDate.of(2027, 8, 2), Isle.rig(Isle.TELE, 400));
        List<Packing.Item> items =
                Packing.of(Subject.SOLAR_ECLIPSE, sun, Optional.empty()).items();
        assertTrue(items.containsAll(
                List.of(Packing.Item.SOLAR_FILTER, Packing.Item.ECLIPSE_GLASSES, Packing.Item.EXACT_CLOCK)));
        assertFalse(items.contains(Packing.Item.RED_LAMP));
        assertFalse(items.contains(Packing.Item.LENS_WARMER));
        assertFalse(Packing.of(Subject.MILKY_WAY, core(Isle.isle()), Optional.empty())
                .items()
                .contains(Packing.Item.SOLAR_FILTER));
    }

    @Test
    void weatherAddsWhatItAsksFor() {
        Plan plan = core(Isle.isle());
        List<Packing.Item> mild = Packing.of(Subject.MILKY_WAY, plan, Optional.of(weather(19, 8, 3, 0)))
                .items();
        assertFalse(mild.contains(Packing.Item.LENS_WARMER));
        assertFalse(mild.contains(Packing.Item.WARM_CLOTHES));
        List<Packing.Item> foul = Packing.of(Subject.MILKY_WAY, plan, Optional.of(weather(4, 3, 10, 0.5)))
                .items();
        assertTrue(foul.containsAll(List.of(
                Packing.Item.LENS_WARMER,
                Packing.Item.WARM_CLOTHES,
                Packing.Item.RAIN_COVER,
                Packing.Item.STABILISING_WEIGHT)));
    }

    @Test
    void thePlaceAddsTideAndPermission() {
        Site site = Isle.isle();
        Site noted = new Site(
                site.place().with(new PlaceNotes("", "", "low water only", "ask the keeper", "")),
                site.sky(),
                site.dark());
        List<Packing.Item> items =
                Packing.of(Subject.MILKY_WAY, core(noted), Optional.empty()).items();
        assertTrue(items.containsAll(List.of(Packing.Item.TIDE_TABLE, Packing.Item.PERMIT)));
        assertFalse(Packing.of(Subject.MILKY_WAY, core(site), Optional.empty())
                .items()
                .contains(Packing.Item.TIDE_TABLE));
    }

    @Test
    void batteriesByTheProgrammeAndTheCold() {
        Plan trails = plan(new TrailsPlanner(), Isle.isle(), LocalDate.of(2027, 1, 8), Isle.rig(Isle.WIDE, 14));
        Packing mild = Packing.of(Subject.STAR_TRAILS, trails, Optional.of(weather(20, 5, 3, 0)));
        Packing cold = Packing.of(Subject.STAR_TRAILS, trails, Optional.of(weather(-10, -15, 3, 0)));
        assertEquals(mild.charges() / 0.7, cold.charges(), 1e-9);
        assertTrue(cold.spareBatteries() >= mild.spareBatteries());
        assertTrue(mild.spareBatteries() >= 1);
        assertTrue(mild.megabytes() > 0);
    }
}
