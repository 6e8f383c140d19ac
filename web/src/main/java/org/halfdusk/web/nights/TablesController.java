package org.halfdusk.web.nights;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.halfdusk.place.Place;
import org.halfdusk.shoot.AfterDark;
import org.halfdusk.shoot.Subject;
import org.halfdusk.shoot.SubjectNight;
import org.halfdusk.shoot.choices.ShootField;
import org.halfdusk.shoot.kept.Kept;
import org.halfdusk.shoot.kept.Places;
import org.halfdusk.shoot.planning.Planner;
import org.halfdusk.shoot.search.Carpet;
import org.halfdusk.sky.events.Darkness;
import org.halfdusk.sky.events.EventType;
import org.halfdusk.sky.events.Night;
import org.halfdusk.sky.events.Rising;
import org.halfdusk.sky.events.SkyEvent;
import org.halfdusk.sky.events.SkyEvents;
import org.halfdusk.time.Interval;
import org.halfdusk.web.door.refusal.NotFound;
import org.halfdusk.web.exchange.CsvFile;
import org.halfdusk.web.layout.words.Numbers;
import org.halfdusk.web.subject.NightWords;
import org.halfdusk.web.subject.Subjects;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Nights and events of the sky as tables for other programs. */
@Controller
class TablesController {
    private static final int YEAR_DAYS = 366;

    private final Places places;
    private final Planner planner;
    private final Carpets carpets;
    private final Subjects subjects;
    private final Clock clock;

    TablesController(Places places, Planner planner, Carpets carpets, Subjects subjects, Clock clock) {
        this.places = places;
        this.planner = planner;
        this.carpets = carpets;
        this.subjects = subjects;
        this.clock = clock;
    }

    /** All nights of a carpet, a row a night. */
    @GetMapping("/nights/nights.csv")
    ResponseEntity<byte[]> nights(
            @RequestParam(name = "subject", defaultValue = "MILKY_WAY") Subject subject,
            @RequestParam(name = "place") long placeId,
            @RequestParam Optional<String> start) {
        Kept<Place> place = NotFound.place(places, placeId);
        LocalDate first = date(start, place.it());
        List<List<Object>> rows = carpets.of(subject, place, first).carpet().columns().stream()
                .map(Carpet.Column::night)
                .map(n -> night(n, subjects.of(subject, n).words()))
                .toList();
        List<String> heads = CsvFile.row(
                List.of("night", "zone"),
                CsvFile.heads("sunset"),
                CsvFile.heads("dark_from"),
                CsvFile.heads("dark_to"),
                CsvFile.heads("sunrise"),
                CsvFile.heads("usable_from"),
                CsvFile.heads("usable_to"),
                List.of("moon_lit_share", "score", "why"));
        return CsvFile.answer("half-dusk-nights-" + first + ".csv", CsvFile.of(heads, rows));
    }

    private LocalDate date(Optional<String> typed, Place place) {
        return typed.filter(t -> !t.isBlank())
                .map(ShootField.NIGHT.codec()::read)
                .orElseGet(() -> Night.dateAt(planner.sky(place), clock.instant(), place.zone()));
    }

    private static List<Object> night(SubjectNight n, NightWords words) {
        ZoneId zone = n.zone();
        Optional<Night> night = n instanceof AfterDark a ? Optional.of(a.night()) : Optional.empty();
        Optional<Rising.Crosses> sun =
                night.map(Night::sun).filter(Rising.Crosses.class::isInstance).map(Rising.Crosses.class::cast);
        Optional<Interval> dark = night.map(Night::darkness)
                .filter(Darkness.Dark.class::isInstance)
                .map(d -> ((Darkness.Dark) d).interval());
        Optional<Interval> usable = n.main();
        return CsvFile.row(
                List.of(n.date().toString(), zone.getId()),
                CsvFile.cells(sun.flatMap(Rising.Crosses::sets), zone),
                CsvFile.cells(dark.map(Interval::start), zone),
                CsvFile.cells(dark.map(Interval::end), zone),
                CsvFile.cells(sun.flatMap(Rising.Crosses::rises), zone),
                CsvFile.cells(usable.map(Interval::start), zone),
                CsvFile.cells(usable.map(Interval::end), zone),
                List.of(
                        night.map(x -> Numbers.plain(x.moonPhase().illuminatedFraction(), 3))
                                .orElse(""),
                        n.score().total(),
                        words.whyNotMore()));
    }

    /** Rises, sets, twilights and transits of a year, a row an event. */
    @GetMapping("/nights/events.csv")
    ResponseEntity<byte[]> events(@RequestParam(name = "place") long placeId, @RequestParam Optional<String> start) {
        Place place = NotFound.place(places, placeId).it();
        ZoneId zone = place.zone();
        LocalDate first = date(start, place);
        Instant from = first.atStartOfDay(zone).toInstant();
        List<List<Object>> rows = new ArrayList<>();
        for (SkyEvent e : SkyEvents.find(
                planner.sky(place),
                Interval.of(from, from.plus(Duration.ofDays(YEAR_DAYS))),
                EnumSet.allOf(EventType.class))) {
            rows.add(CsvFile.row(
                    CsvFile.cells(e.at(), zone),
                    List.<Object>of(
                            e.type().name().toLowerCase(Locale.ROOT),
                            Numbers.plain(e.position().azimuth().rounded(10).degrees(), 1),
                            Numbers.plain(e.position().altitude().degrees(), 1))));
        }
        List<String> heads = CsvFile.row(CsvFile.heads(""), List.of("event", "azimuth_deg", "altitude_deg"));
        return CsvFile.answer("half-dusk-sky-events-" + first + ".csv", CsvFile.of(heads, rows));
    }
}
