package org.halfdusk.web.nights;

import java.time.DayOfWeek;
import java.time.Instant;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.halfdusk.place.Place;
import org.halfdusk.shoot.Kept;
import org.halfdusk.shoot.MilkyWayNight;
import org.halfdusk.shoot.Planner;
import org.halfdusk.time.Interval;
import org.halfdusk.web.layout.NightStrip;
import org.halfdusk.web.layout.Theme;
import org.halfdusk.web.layout.Words;
import org.halfdusk.web.milkyway.MilkyWayWords;

/** The list of nights, worded. */
record NightsPage(
        long placeId,
        String placeName,
        String placeFigures,
        List<Choice> places,
        String from,
        String earlier,
        String later,
        List<Answer> best,
        String none,
        String axisFrom,
        String axisTo,
        List<Row> rows) {

    record Choice(long id, String name) {}

    /** A night that stands out. */
    record Answer(String date, String iso, String window, String sentence) {}

    record Row(
            String iso,
            String date,
            boolean weekend,
            NightStrip strip,
            String window,
            String hours,
            String core,
            String moon,
            int score,
            String parts,
            String why,
            boolean best) {}

    private static final int DAYS_APART = 7;

    static NightsPage of(
            Kept<Place> place, List<Kept<Place>> all, List<MilkyWayNight> nights, Theme theme, LocalDate start) {
        List<MilkyWayNight> best = best(nights);
        Optional<Interval> axis = commonAxis(nights);
        List<Row> rows = new ArrayList<>();
        for (MilkyWayNight n : nights) {
            rows.add(row(
                    n, NightStrip.small(n, shifted(axis.orElseThrow(), nights.get(0), n), theme), best.contains(n)));
        }
        Place p = place.it();
        return new NightsPage(
                place.id(),
                p.name(),
                Words.position(p.observer()) + ", " + Words.plain(p.skyBrightness()) + " mag/arcsec² at its darkest, "
                        + p.zone().getId(),
                all.stream().map(k -> new Choice(k.id(), k.it().name())).toList(),
                start.toString(),
                start.minusDays(60).toString(),
                start.plusDays(60).toString(),
                best.stream().map(NightsPage::answer).toList(),
                best.isEmpty() ? noneOf(nights) : "",
                axis.map(a -> Words.clock(a.start(), p.zone())).orElse(""),
                axis.map(a -> Words.clock(a.end(), p.zone())).orElse(""),
                rows);
    }

    /** The best night and the next best at least a week away from it: another moon. */
    private static List<MilkyWayNight> best(List<MilkyWayNight> nights) {
        List<MilkyWayNight> chosen = new ArrayList<>();
        Planner.best(nights).ifPresent(first -> {
            chosen.add(first);
            Planner.best(nights.stream()
                            .filter(n -> Math.abs(ChronoUnit.DAYS.between(
                                            first.night().date(), n.night().date()))
                                    >= DAYS_APART)
                            .toList())
                    .ifPresent(chosen::add);
        });
        chosen.sort(Comparator.comparing(n -> n.night().date()));
        return chosen;
    }

    private static String noneOf(List<MilkyWayNight> nights) {
        return nights.stream()
                .max(Comparator.comparingDouble(
                        n -> n.best().position().altitude().degrees()))
                .flatMap(n -> n.noWindow()
                        .map(w -> "The most that comes near is the night of "
                                + Words.day(n.night().date()) + ". " + MilkyWayWords.why(w, n)))
                .orElse("");
    }

    /** One axis for all rows, as times after each night's noon, so that the strips line up. */
    private static Optional<Interval> commonAxis(List<MilkyWayNight> nights) {
        if (nights.isEmpty()) {
            return Optional.empty();
        }
        Instant noon = nights.get(0).night().interval().start();
        long from = Long.MAX_VALUE;
        long to = Long.MIN_VALUE;
        for (MilkyWayNight n : nights) {
            Interval a = NightStrip.axisOf(n.night());
            Instant zero = n.night().interval().start();
            from = Math.min(from, ChronoUnit.SECONDS.between(zero, a.start()));
            to = Math.max(to, ChronoUnit.SECONDS.between(zero, a.end()));
        }
        return Optional.of(Interval.of(noon.plusSeconds(from), noon.plusSeconds(to)));
    }

    private static Interval shifted(Interval axis, MilkyWayNight first, MilkyWayNight night) {
        long seconds = ChronoUnit.SECONDS.between(
                first.night().interval().start(), night.night().interval().start());
        return Interval.of(axis.start().plusSeconds(seconds), axis.end().plusSeconds(seconds));
    }

    private static Answer answer(MilkyWayNight n) {
        LocalDate date = n.night().date();
        return new Answer(Words.day(date), date.toString(), MilkyWayWords.heading(n), MilkyWayWords.sentence(n));
    }

    private static Row row(MilkyWayNight n, NightStrip strip, boolean best) {
        LocalDate date = n.night().date();
        DayOfWeek day = date.getDayOfWeek();
        boolean usable = n.main().isPresent();
        return new Row(
                date.toString(),
                Words.shortDate(date),
                day == DayOfWeek.FRIDAY || day == DayOfWeek.SATURDAY,
                strip,
                n.main().map(w -> Words.span(w, n.night().zone())).orElse(""),
                usable ? Words.duration(n.windowHours()) : "none",
                usable ? Words.degrees(n.best().position().altitude().degrees()) : "",
                Words.percent(n.night().moonPhase().illuminatedFraction()),
                n.score().total(),
                "hours " + Math.round(n.score().hours()) + " of 50, altitude "
                        + Math.round(n.score().altitude()) + " of 25, moonless "
                        + Math.round(n.score().moon()) + " of 15; no forecast, so scaled to 100",
                MilkyWayWords.whyNotMore(n),
                best);
    }
}
