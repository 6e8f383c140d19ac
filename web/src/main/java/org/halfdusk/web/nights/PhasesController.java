package org.halfdusk.web.nights;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.halfdusk.place.Place;
import org.halfdusk.shoot.Subject;
import org.halfdusk.shoot.kept.Kept;
import org.halfdusk.shoot.kept.Places;
import org.halfdusk.shoot.moon.FullMoons;
import org.halfdusk.shoot.planning.Planner;
import org.halfdusk.sky.Sky;
import org.halfdusk.sky.events.LunarEvents;
import org.halfdusk.time.Interval;
import org.halfdusk.typed.Range;
import org.halfdusk.web.door.refusal.NotFound;
import org.halfdusk.web.layout.words.Times;
import org.halfdusk.web.layout.words.Words;
import org.halfdusk.web.shoot.begin.UsualPlace;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The moon's phases of a year, its full moons by distance and size. */
@Controller
class PhasesController {
    private static final Range YEAR = Range.of("year", 1950, 2100);

    private final Places places;
    private final Planner planner;
    private final UsualPlace usualPlace;
    private final Clock clock;

    PhasesController(Places places, Planner planner, UsualPlace usualPlace, Clock clock) {
        this.places = places;
        this.planner = planner;
        this.usualPlace = usualPlace;
        this.clock = clock;
    }

    /**
     * A phase.
     *
     * @param distance and size: of full moons alone; empty for the others
     * @param note nearest or farthest of the year
     */
    record Row(String iso, String phase, String date, String time, String distance, String size, String note) {}

    @GetMapping("/nights/phases")
    String phases(
            @RequestParam(name = "place") Optional<Long> placeId, @RequestParam Optional<String> year, Model model) {
        List<Kept<Place>> all = places.list();
        if (all.isEmpty()) {
            return "redirect:/first";
        }
        Kept<Place> place =
                placeId.map(id -> NotFound.place(places, id)).orElseGet(() -> usualPlace.of(Subject.MOON, all));
        ZoneId zone = place.it().zone();
        int asked = year.filter(y -> !y.isBlank())
                .map(YEAR::whole)
                .orElseGet(() -> LocalDate.ofInstant(clock.instant(), zone).getYear());
        model.addAttribute("year", asked);
        model.addAttribute("place", place.id());
        model.addAttribute("placeName", place.it().name());
        model.addAttribute("rows", rows(planner.sky(place.it()), zone, asked));
        model.addAttribute("earlier", asked > YEAR.least() ? asked - 1 : asked);
        model.addAttribute("later", asked < YEAR.most() ? asked + 1 : asked);
        return "nights/phases";
    }

    private static List<Row> rows(Sky sky, ZoneId zone, int year) {
        Instant start = LocalDate.of(year, 1, 1).atStartOfDay(zone).toInstant();
        Instant end = LocalDate.of(year + 1, 1, 1).atStartOfDay(zone).toInstant();
        FullMoons full = FullMoons.of(sky, year);
        List<Row> rows = new ArrayList<>();
        for (LunarEvents.PhaseEvent p : LunarEvents.phases(sky.ephemeris(), sky.deltaT(), Interval.of(start, end))) {
            Optional<FullMoons.FullMoon> moon = p.phase() == LunarEvents.Phase.FULL
                    ? Optional.of(new FullMoons.FullMoon(
                            p.at(), LunarEvents.distanceKm(sky.ephemeris(), sky.deltaT(), p.at())))
                    : Optional.empty();
            LocalDate date = LocalDate.ofInstant(p.at(), zone);
            rows.add(new Row(
                    date.toString(),
                    name(p.phase()),
                    Times.shortDate(date),
                    Times.clock(p.at(), zone),
                    moon.map(m -> Words.thousands(m.distanceKm()) + " km").orElse(""),
                    moon.map(m -> Words.tenths(m.diameterArcmin()) + "′").orElse(""),
                    moon.map(m -> note(m, full)).orElse("")));
        }
        return rows;
    }

    private static String note(FullMoons.FullMoon m, FullMoons year) {
        if (same(m, year.nearest())) {
            return "nearest and largest full moon of the year";
        }
        return same(m, year.farthest()) ? "farthest and smallest full moon of the year" : "";
    }

    /** Found over another span of time a moment differs by less than a second. */
    private static boolean same(FullMoons.FullMoon a, FullMoons.FullMoon b) {
        return Duration.between(a.at(), b.at()).abs().toHours() < 1;
    }

    private static String name(LunarEvents.Phase phase) {
        return switch (phase) {
            case NEW -> "new";
            case FIRST_QUARTER -> "first quarter";
            case FULL -> "full";
            case LAST_QUARTER -> "last quarter";
        };
    }
}
