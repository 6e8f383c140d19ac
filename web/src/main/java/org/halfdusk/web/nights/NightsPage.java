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
import org.halfdusk.shoot.AfterDark;
import org.halfdusk.shoot.Kept;
import org.halfdusk.shoot.Planner;
import org.halfdusk.shoot.Subject;
import org.halfdusk.shoot.SubjectNight;
import org.halfdusk.time.Interval;
import org.halfdusk.web.layout.NightStrip;
import org.halfdusk.web.layout.Theme;
import org.halfdusk.web.layout.Words;
import org.halfdusk.web.shoot.NightsAhead;
import org.halfdusk.web.subject.NightWords;
import org.halfdusk.web.subject.SubjectView;
import org.halfdusk.web.subject.Subjects;

/** The list of nights, worded. */
record NightsPage(
        String subject,
        List<Subjects.Choice> subjects,
        SubjectView.ListHeads heads,
        long placeId,
        String placeName,
        String placeFigures,
        List<Choice> places,
        String from,
        String earlier,
        String later,
        boolean everyNight,
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
            Subject subject,
            Subjects subjects,
            Kept<Place> place,
            List<Kept<Place>> all,
            List<SubjectNight> nights,
            Theme theme,
            LocalDate start) {
        List<SubjectNight> best = best(nights);
        boolean everyNight = NightsAhead.everyNight(subject);
        Optional<Interval> axis = everyNight ? commonAxis(nights) : Optional.empty();
        List<Row> rows = new ArrayList<>();
        for (SubjectNight n : nights) {
            NightWords words = subjects.of(subject, n).words();
            Interval span = axis.map(a -> shifted(a, nights.get(0), n)).orElseGet(n::axis);
            rows.add(row(n, words, NightStrip.small(n, span, theme, words.sentence()), best.contains(n), everyNight));
        }
        Place p = place.it();
        LocalDate later = everyNight || nights.isEmpty()
                ? start.plusDays(NightsAhead.count(subject))
                : nights.get(nights.size() - 1).date().plusDays(1);
        LocalDate earlier = everyNight ? start.minusDays(NightsAhead.count(subject)) : start.minusYears(10);
        return new NightsPage(
                subject.name(),
                subjects.choices(subject),
                subjects.heads(subject),
                place.id(),
                p.name(),
                Words.position(p.observer()) + ", " + Words.plain(p.skyBrightness()) + " mag/arcsec² at its darkest, "
                        + p.zone().getId(),
                all.stream().map(k -> new Choice(k.id(), k.it().name())).toList(),
                start.toString(),
                earlier.toString(),
                later.toString(),
                everyNight,
                best.stream()
                        .map(n -> answer(n, subjects.of(subject, n).words(), everyNight))
                        .toList(),
                best.isEmpty() ? noneOf(nights, subject, subjects) : "",
                axis.map(a -> Words.clock(a.start(), p.zone())).orElse(""),
                axis.map(a -> Words.clock(a.end(), p.zone())).orElse(""),
                rows);
    }

    /** The best night and the next best at least a week away from it: another moon. */
    private static List<SubjectNight> best(List<SubjectNight> nights) {
        List<SubjectNight> chosen = new ArrayList<>();
        Planner.best(nights).ifPresent(first -> {
            chosen.add(first);
            Planner.best(nights.stream()
                            .filter(n -> Math.abs(ChronoUnit.DAYS.between(first.date(), n.date())) >= DAYS_APART)
                            .toList())
                    .ifPresent(chosen::add);
        });
        chosen.sort(Comparator.comparing(SubjectNight::date));
        return chosen;
    }

    private static String noneOf(List<SubjectNight> nights, Subject subject, Subjects subjects) {
        return nights.stream()
                .min(Planner.BEST_FIRST)
                .map(n -> "Of the night of " + Words.day(n.date()) + ": "
                        + subjects.of(subject, n).words().sentence())
                .orElse("");
    }

    /** One axis for all rows, as times after each night's noon, so that the strips line up. */
    private static Optional<Interval> commonAxis(List<SubjectNight> nights) {
        if (nights.isEmpty()) {
            return Optional.empty();
        }
        Instant noon = noon(nights.get(0));
        long from = Long.MAX_VALUE;
        long to = Long.MIN_VALUE;
        for (SubjectNight n : nights) {
            Interval a = n.axis();
            from = Math.min(from, ChronoUnit.SECONDS.between(noon(n), a.start()));
            to = Math.max(to, ChronoUnit.SECONDS.between(noon(n), a.end()));
        }
        return Optional.of(Interval.of(noon.plusSeconds(from), noon.plusSeconds(to)));
    }

    private static Instant noon(SubjectNight n) {
        return n instanceof AfterDark a
                ? a.night().interval().start()
                : n.axis().start();
    }

    private static Interval shifted(Interval axis, SubjectNight first, SubjectNight night) {
        long seconds = ChronoUnit.SECONDS.between(noon(first), noon(night));
        return Interval.of(axis.start().plusSeconds(seconds), axis.end().plusSeconds(seconds));
    }

    private static Answer answer(SubjectNight n, NightWords words, boolean everyNight) {
        LocalDate date = n.date();
        return new Answer(
                everyNight ? Words.day(date) : Words.longDate(date),
                date.toString(),
                words.heading(),
                words.sentence());
    }

    private static Row row(SubjectNight n, NightWords words, NightStrip strip, boolean best, boolean everyNight) {
        LocalDate date = n.date();
        DayOfWeek day = date.getDayOfWeek();
        boolean usable = n.main().isPresent();
        return new Row(
                date.toString(),
                everyNight ? Words.shortDate(date) : Words.dateWithYear(date),
                day == DayOfWeek.FRIDAY || day == DayOfWeek.SATURDAY,
                strip,
                n.main().map(w -> Words.span(w, n.zone())).orElse(""),
                usable ? Words.duration(n.windowHours()) : "none",
                words.best(),
                n instanceof AfterDark a ? Words.percent(a.night().moonPhase().illuminatedFraction()) : "",
                n.score().total(),
                words.parts(),
                words.whyNotMore(),
                best);
    }
}
