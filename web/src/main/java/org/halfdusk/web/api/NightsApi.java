package org.halfdusk.web.api;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Optional;
import org.halfdusk.ephemeris.Ephemeris;
import org.halfdusk.light.DarkSite;
import org.halfdusk.place.Observer;
import org.halfdusk.place.Place;
import org.halfdusk.place.towns.Gazetteer;
import org.halfdusk.shoot.NightScore;
import org.halfdusk.shoot.Site;
import org.halfdusk.shoot.Subject;
import org.halfdusk.shoot.SubjectNight;
import org.halfdusk.shoot.milkyway.MilkyWayNight;
import org.halfdusk.shoot.milkyway.MilkyWayPlanner;
import org.halfdusk.shoot.planning.Planner;
import org.halfdusk.sky.Sky;
import org.halfdusk.sky.events.Darkness;
import org.halfdusk.sky.events.Rising;
import org.halfdusk.time.DeltaT;
import org.halfdusk.time.Interval;
import org.halfdusk.web.layout.words.Words;
import org.halfdusk.web.subject.Subjects;
import org.jspecify.annotations.Nullable;
import org.springframework.util.MultiValueMap;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Nights and how good they are. */
@RestController
@RequestMapping("/api/v1")
class NightsApi {
    private static final int MOST_NIGHTS = 400;

    private final Ephemeris ephemeris;
    private final Planner planner;
    private final Subjects views;

    NightsApi(Ephemeris ephemeris, Planner planner, Subjects views) {
        this.ephemeris = ephemeris;
        this.planner = planner;
        this.views = views;
    }

    record Span(Instant start, Instant end) {
        static List<Span> of(List<Interval> intervals) {
            return intervals.stream().map(i -> new Span(i.start(), i.end())).toList();
        }
    }

    record Best(Instant at, double altitude, double azimuth) {}

    /** Each of the four times may be missing; then its why says so. */
    record Row(
            LocalDate date,
            @Nullable Instant sunset,
            @Nullable String sunsetWhy,
            @Nullable Instant darkFrom,
            @Nullable String darkFromWhy,
            @Nullable Instant darkTo,
            @Nullable String darkToWhy,
            @Nullable Instant sunrise,
            @Nullable String sunriseWhy,
            double illuminatedFraction,
            List<Span> moonUp,
            List<Span> windows,
            Best coreBest,
            int score,
            Parts parts,
            String why) {}

    /** @param weather null where no forecast is asked, as here: the other parts are then scaled to 100 */
    record Parts(
            double hours,
            double altitude,
            double moon,
            @Nullable Double weather) {
        static Parts of(NightScore s) {
            return new Parts(
                    s.hours(),
                    s.altitude(),
                    s.moon(),
                    s.weather().isPresent() ? s.weather().getAsDouble() : null);
        }
    }

    record Answer(String zone, Subject subject, List<Row> nights) {}

    @GetMapping("/nights")
    Answer nights(@RequestParam MultiValueMap<String, String> parameters) {
        Query query = new Query(parameters);
        Optional<Observer> observer = query.observer();
        LocalDate from = query.date("from");
        LocalDate to = query.date("to");
        DeltaT deltaT = query.deltaT();
        List<Subject> subjects = query.list("subject", Subject.class);
        long count = ChronoUnit.DAYS.between(from, to) + 1;
        query.refuseIf(count < 1 || count > MOST_NIGHTS, "to", "not before from, at most " + MOST_NIGHTS + " nights");
        ZoneId zone = query.zone("zone", observer.map(NightsApi::nearestZone).orElse(ZoneId.of("UTC")));
        query.check();
        Sky sky = Sky.over(observer.orElseThrow(), ephemeris, deltaT);
        DarkSite site = DarkSite.withoutTowns(DarkSite.NATURAL);
        Site here = new Site(new Place("here", sky.observer(), zone, DarkSite.NATURAL, List.of(), ""), sky, site);
        Subject subject = subjects.get(0);
        List<Row> rows =
                from.datesUntil(to.plusDays(1)).map(d -> row(here, subject, d)).toList();
        return new Answer(zone.getId(), subject, rows);
    }

    private Row row(Site here, Subject subject, LocalDate date) {
        SubjectNight night = planner.of(subject).usualNight(here, date);
        MilkyWayNight core = night instanceof MilkyWayNight m ? m : new MilkyWayPlanner().usualNight(here, date);
        return row(core, night, views.of(subject, night).words().whyNotMore());
    }

    private static ZoneId nearestZone(Observer o) {
        return Gazetteer.instance()
                .nearest(o.latitudeDegrees(), o.longitudeDegrees())
                .zone();
    }

    private static String sunWhy(Rising sun) {
        if (sun instanceof Rising.AlwaysUp up) {
            return "the sun stays up, lowest " + Words.degrees(up.lowestDegrees());
        }
        return sun instanceof Rising.AlwaysDown down
                ? "the sun stays down, highest " + Words.degrees(down.highestDegrees())
                : "the sun does not cross the horizon";
    }

    private static Row row(MilkyWayNight m, SubjectNight n, String why) {
        Optional<Rising.Crosses> sun = m.night().sun() instanceof Rising.Crosses c ? Optional.of(c) : Optional.empty();
        Optional<Instant> sets = sun.flatMap(Rising.Crosses::sets);
        Optional<Instant> rises = sun.flatMap(Rising.Crosses::rises);
        String sunWhy = sunWhy(m.night().sun());
        Optional<Interval> dark =
                m.night().darkness() instanceof Darkness.Dark d ? Optional.of(d.interval()) : Optional.empty();
        String darkWhy = m.night().darkness() instanceof Darkness.NeverDark never
                ? "never dark: the sun only sinks to " + Words.degrees(never.sunLowestDegrees())
                : "";
        Optional<Instant> darkFrom = dark.map(Interval::start)
                .filter(t -> !t.equals(m.night().interval().start()));
        Optional<Instant> darkTo = dark.map(Interval::end)
                .filter(t -> !t.equals(m.night().interval().end()));
        String darkAllDay = dark.isPresent() ? "dark already, or still, at noon" : darkWhy;
        return new Row(
                m.night().date(),
                sets.orElse(null),
                sets.isPresent() ? null : sunWhy,
                darkFrom.orElse(null),
                darkFrom.isPresent() ? null : darkAllDay,
                darkTo.orElse(null),
                darkTo.isPresent() ? null : darkAllDay,
                rises.orElse(null),
                rises.isPresent() ? null : sunWhy,
                m.night().moonPhase().illuminatedFraction(),
                Span.of(m.night().moonUp()),
                Span.of(n.windows()),
                new Best(
                        m.best().at(),
                        m.best().position().altitude().degrees(),
                        m.best().position().azimuth().degrees()),
                n.score().total(),
                Parts.of(n.score()),
                why);
    }
}
