package org.halfdusk.web.nights;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.function.Function;
import org.halfdusk.place.Place;
import org.halfdusk.shoot.AfterDark;
import org.halfdusk.shoot.Subject;
import org.halfdusk.shoot.SubjectNight;
import org.halfdusk.shoot.kept.Kept;
import org.halfdusk.shoot.planning.Planner;
import org.halfdusk.time.YearlyDate;
import org.halfdusk.web.layout.words.Times;
import org.halfdusk.web.layout.words.Words;
import org.halfdusk.web.shoot.NightsAhead;
import org.halfdusk.web.subject.NightWords;
import org.halfdusk.web.subject.SubjectView;
import org.halfdusk.web.subject.Subjects;
import org.halfdusk.web.subject.words.ReasonWords;

/** A year of nights: the carpet, the best of those that pass the filter, and all of them as a table. */
record NightsPage(
        String subject,
        List<Subjects.Choice> subjects,
        SubjectView.ListHeads heads,
        long placeId,
        String placeName,
        String placeFigures,
        List<Choice> places,
        String from,
        String to,
        boolean weekends,
        String hours,
        String start,
        String earlier,
        String later,
        String years,
        CarpetPicture carpet,
        boolean eclipse,
        List<Answer> best,
        String none,
        List<Row> ranked,
        List<Own> own,
        String all) {

    record Choice(long id, String name) {}

    /** A night that stands out. */
    record Answer(String date, String iso, String window, String sentence) {}

    /** A date of the person's own. */
    record Own(String name, Row row) {}

    record Row(String iso, String date, String hours, String best, String moon, int score, String parts, String why) {}

    private static final int DAYS_APART = 7;
    private static final int RANKED = 8;
    private static final int MARKED = 13;

    static NightsPage of(
            Subject subject,
            Subjects subjects,
            Kept<Place> place,
            List<Kept<Place>> all,
            Carpets.Year year,
            NightsFilter filter,
            List<YearlyDate> dates) {
        List<SubjectNight> nights = year.nights();
        List<SubjectNight> passing =
                nights.stream().filter(filter::holds).sorted(Planner.BEST_FIRST).toList();
        List<SubjectNight> best = best(passing);
        List<SubjectNight> ranked =
                filter.fewNights() ? passing.stream().limit(RANKED).toList() : apart(passing, RANKED);
        LocalDate start = nights.get(0).date();
        Place p = place.it();
        return new NightsPage(
                subject.name(),
                subjects.choices(subject),
                subjects.heads(subject),
                place.id(),
                p.name(),
                about(p),
                all.stream().map(k -> new Choice(k.id(), k.it().name())).toList(),
                filter.from().toString(),
                filter.to().map(LocalDate::toString).orElse(""),
                filter.weekends(),
                filter.hours() > 0 ? Words.plain(filter.hours()) : "",
                start.toString(),
                start.minusYears(1).toString(),
                start.plusYears(1).toString(),
                span(nights),
                picture(year, passing, filter),
                !NightsAhead.everyNight(subject),
                each(best, n -> answer(n, subjects.of(subject, n).words())),
                best.isEmpty() ? noneOf(nights, filter, subject, subjects) : "",
                each(ranked, n -> row(n, subjects.of(subject, n).words())),
                own(nights, dates, subject, subjects),
                year.table());
    }

    private static String span(List<SubjectNight> nights) {
        return Times.longDate(nights.get(0).date()) + " to "
                + Times.longDate(nights.get(nights.size() - 1).date());
    }

    private static <T> List<T> each(List<SubjectNight> nights, Function<SubjectNight, T> as) {
        return nights.stream().map(as).toList();
    }

    private static String about(Place p) {
        return Words.position(p.observer()) + ", "
                + Words.plain(p.skyBrightness().magnitude()) + " mag/arcsec² at its darkest, "
                + p.zone().getId();
    }

    private static CarpetPicture picture(Carpets.Year year, List<SubjectNight> passing, NightsFilter filter) {
        LocalDate start = year.carpet().columns().get(0).night().date();
        return CarpetPicture.of(
                year.carpet(),
                apart(passing, MARKED).stream().map(SubjectNight::date).toList(),
                Math.max(0, filter.from().toEpochDay() - start.toEpochDay()),
                year.forecast());
    }

    /** Nights that others have fixed, in order, whatever their score. */
    private static List<Own> own(
            List<SubjectNight> nights, List<YearlyDate> dates, Subject subject, Subjects subjects) {
        LocalDate first = nights.get(0).date();
        return dates.stream()
                .flatMap(d -> nights.stream()
                        .filter(n -> n.date().equals(d.next(first)))
                        .map(n ->
                                new Own(d.name(), row(n, subjects.of(subject, n).words()))))
                .sorted(Comparator.comparing(o -> o.row().iso()))
                .toList();
    }

    /** The two best, at least a week apart, in order of time. */
    private static List<SubjectNight> best(List<SubjectNight> passing) {
        return apart(passing, 2).stream()
                .sorted(Comparator.comparing(SubjectNight::date))
                .toList();
    }

    /** The best first, each at least a week from those before it: another moon. */
    private static List<SubjectNight> apart(List<SubjectNight> bestFirst, int most) {
        List<SubjectNight> chosen = new ArrayList<>();
        for (SubjectNight n : bestFirst) {
            boolean near =
                    chosen.stream().anyMatch(c -> Math.abs(ChronoUnit.DAYS.between(c.date(), n.date())) < DAYS_APART);
            if (!near && chosen.size() < most) {
                chosen.add(n);
            }
        }
        return chosen;
    }

    private static String noneOf(List<SubjectNight> nights, NightsFilter filter, Subject subject, Subjects subjects) {
        if (nights.stream().anyMatch(n -> n.main().isPresent())) {
            return "None passes: from " + Times.day(filter.from())
                    + filter.to().map(t -> " to " + Times.day(t)).orElse("")
                    + (filter.weekends() ? ", weekends only" : "")
                    + (filter.hours() > 0 ? ", at least " + Words.plain(filter.hours()) + " h" : "")
                    + ". Loosen one of them.";
        }
        return nights.stream()
                .min(Planner.BEST_FIRST)
                .map(n -> "Of the night of " + Times.day(n.date()) + ": "
                        + subjects.of(subject, n).words().sentence())
                .orElse("");
    }

    private static Answer answer(SubjectNight n, NightWords words) {
        return new Answer(Times.day(n.date()), n.date().toString(), words.heading(), words.sentence());
    }

    private static Row row(SubjectNight n, NightWords words) {
        return new Row(
                n.date().toString(),
                Times.shortDate(n.date()),
                ReasonWords.usable(n),
                words.best(),
                n instanceof AfterDark a ? Words.percent(a.night().moonPhase().illuminatedFraction()) : "",
                n.score().total(),
                words.parts(),
                words.whyNotMore());
    }
}
