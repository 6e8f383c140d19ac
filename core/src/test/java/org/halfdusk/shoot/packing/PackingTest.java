package org.halfdusk.shoot.packing;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.halfdusk.optics.Rig;
import org.halfdusk.place.PlaceNotes;
import org.halfdusk.sequence.Block;
import org.halfdusk.sequence.camera.RunSimulation;
import org.halfdusk.shoot.Isle;
import org.halfdusk.shoot.Plan;
import org.halfdusk.shoot.Site;
import org.halfdusk.shoot.Subject;
import org.halfdusk.shoot.SubjectNight;
import org.halfdusk.shoot.SubjectPlanner;
import org.halfdusk.shoot.Wish;
import org.halfdusk.shoot.choices.RigChoices;
import org.halfdusk.shoot.choices.Shoot;
import org.halfdusk.shoot.milkyway.MilkyWayPlanner;
import org.halfdusk.shoot.moon.MoonPlanner;
import org.halfdusk.shoot.moon.MoonWish;
import org.halfdusk.shoot.programme.Programme;
import org.halfdusk.shoot.setting.wished.Wishes;
import org.halfdusk.shoot.solareclipse.SolarEclipsePlanner;
import org.halfdusk.shoot.trails.TrailsPlanner;
import org.halfdusk.shoot.trails.TrailsWish;
import org.halfdusk.time.Interval;
import org.halfdusk.weather.Forecast;
import org.halfdusk.weather.Spell;
import org.halfdusk.weather.WeatherHour;
import org.junit.jupiter.api.Test;

/** The list follows subject, rig, weather and place. */
class PackingTest {
    private static <N extends SubjectNight, W extends Wish> Plan plan(
            SubjectPlanner<N, W> planner, Site site, LocalDate date, Rig rig) {
        N night = planner.usualNight(site, date);
        return planner.plan(
                site,
                night,
                rig,
                Optional.empty(),
                Wishes.DEFAULT,
                planner.wishes().usual());
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

    /** The computed programme in the air of the weather, or in what is assumed. */
    private static Packing packing(Subject subject, Plan plan, Optional<Spell> weather) {
        Air air = weather.map(w -> new Air(w.coldestCelsius(), Air.Source.FORECAST))
                .orElse(new Air(Air.ASSUMED_CELSIUS, Air.Source.ASSUMED));
        RunSimulation run = Programme.of(plan, RigChoices.NONE).simulated(plan, RigChoices.NONE, air);
        return Packing.of(subject, plan, plan.blocks(), run, air, weather);
    }

    @Test
    void theSunNeedsItsFilterAndNoLamp() {
        Plan sun = plan(new SolarEclipsePlanner(), Isle.isle(), LocalDate.of(2027, 8, 2), Isle.rig(Isle.TELE, 400));
        List<Packing.Item> items =
                packing(Subject.SOLAR_ECLIPSE, sun, Optional.empty()).items();
        assertTrue(items.containsAll(
                List.of(Packing.Item.SOLAR_FILTER, Packing.Item.ECLIPSE_GLASSES, Packing.Item.EXACT_CLOCK)));
        assertFalse(items.contains(Packing.Item.RED_LAMP));
        assertFalse(items.contains(Packing.Item.LENS_WARMER));
        assertFalse(packing(Subject.MILKY_WAY, core(Isle.isle()), Optional.empty())
                .items()
                .contains(Packing.Item.SOLAR_FILTER));
    }

    @Test
    void weatherAddsWhatItAsksFor() {
        Plan plan = core(Isle.isle());
        List<Packing.Item> mild = packing(Subject.MILKY_WAY, plan, Optional.of(weather(19, 8, 3, 0)))
                .items();
        assertFalse(mild.contains(Packing.Item.LENS_WARMER));
        assertFalse(mild.contains(Packing.Item.WARM_CLOTHES));
        List<Packing.Item> foul = packing(Subject.MILKY_WAY, plan, Optional.of(weather(4, 3, 10, 0.5)))
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
                packing(Subject.MILKY_WAY, core(noted), Optional.empty()).items();
        assertTrue(items.containsAll(List.of(Packing.Item.TIDE_TABLE, Packing.Item.PERMIT)));
        assertFalse(
                packing(Subject.MILKY_WAY, core(site), Optional.empty()).items().contains(Packing.Item.TIDE_TABLE));
    }

    @Test
    void batteriesByTheProgrammeAndTheCold() {
        Plan trails = plan(new TrailsPlanner(), Isle.isle(), LocalDate.of(2027, 1, 8), Isle.rig(Isle.WIDE, 14));
        Packing mild = packing(Subject.STAR_TRAILS, trails, Optional.of(weather(20, 5, 3, 0)));
        Packing cold = packing(Subject.STAR_TRAILS, trails, Optional.of(weather(-10, -15, 3, 0)));
        assertEquals(mild.charges() / 0.7, cold.charges(), 1e-9);
        assertTrue(cold.spareBatteries() >= mild.spareBatteries());
        assertTrue(mild.spareBatteries() >= 1);
        assertTrue(mild.megabytes() > 0);
    }

    /** In the hand nothing is asked of a tripod; on film neither of a card nor of a cap for dark frames. */
    @Test
    void handAndFilmAskForOtherThings() {
        MoonPlanner moon = new MoonPlanner();
        MoonWish hand = MoonWish.SUPPORT.read(MoonWish.KIND.usual(), "HAND");
        LocalDate full = LocalDate.of(2027, 7, 18);
        Plan held = moon.plan(
                Isle.isle(),
                moon.night(Isle.isle(), full, hand),
                Isle.rig(Isle.TELE, 400),
                Optional.empty(),
                Wishes.DEFAULT,
                hand);
        List<Packing.Item> items = packing(Subject.MOON, held, Optional.empty()).items();
        assertFalse(items.contains(Packing.Item.TRIPOD));
        assertFalse(items.contains(Packing.Item.STABILISING_WEIGHT));
        assertFalse(items.contains(Packing.Item.REMOTE_TIMER));
        MilkyWayPlanner core = new MilkyWayPlanner();
        Plan film = core.plan(
                Isle.isle(),
                core.usualNight(Isle.isle(), LocalDate.of(2027, 6, 4)),
                Rig.of(Isle.film(400, 1.3), Isle.WIDE, Optional.empty(), 14),
                Optional.empty(),
                Wishes.DEFAULT,
                core.wishes().usual());
        List<Packing.Item> rolls =
                packing(Subject.MILKY_WAY, film, Optional.empty()).items();
        assertTrue(rolls.contains(Packing.Item.FILM_ROLLS));
        assertFalse(rolls.contains(Packing.Item.CARDS));
        assertFalse(rolls.contains(Packing.Item.LENS_CAP));
        assertTrue(film.blocks().stream().noneMatch(b -> b.kind() == Block.Kind.DARK_FRAME));
    }

    /** One temperature for all pages: what is forecast, else what is expected, else a cool night that is said to be assumed. */
    @Test
    void oneAirForAllPages() {
        Shoot.ShootRig rig = new Shoot.ShootRig(1, 1, Optional.empty(), 14, Optional.empty(), Wishes.DEFAULT);
        Shoot shoot = new Shoot(
                Subject.STAR_TRAILS,
                1,
                LocalDate.of(2027, 6, 4),
                "Trails",
                rig,
                TrailsWish.KIND.usual(),
                "",
                Instant.EPOCH);
        assertEquals(new Air(10, Air.Source.ASSUMED), Air.of(shoot, Optional.empty()));
        Shoot expected = new Shoot(
                Subject.STAR_TRAILS,
                1,
                LocalDate.of(2027, 6, 4),
                "Trails",
                rig,
                TrailsWish.CELSIUS.read(TrailsWish.KIND.usual(), "4"),
                "",
                Instant.EPOCH);
        assertEquals(new Air(4, Air.Source.EXPECTED), Air.of(expected, Optional.empty()));
        assertEquals(new Air(-10, Air.Source.FORECAST), Air.of(expected, Optional.of(weather(-10, -15, 3, 0))));
        assertThrows(IllegalArgumentException.class, () -> new Air(Double.NaN, Air.Source.EXPECTED));
    }
}
