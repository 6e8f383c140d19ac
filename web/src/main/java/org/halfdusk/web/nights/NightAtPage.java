package org.halfdusk.web.nights;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import org.halfdusk.photometry.SkyBrightness;
import org.halfdusk.place.Place;
import org.halfdusk.shoot.AfterDark;
import org.halfdusk.shoot.Subject;
import org.halfdusk.shoot.SubjectNight;
import org.halfdusk.shoot.choices.ShootField;
import org.halfdusk.shoot.kept.Kept;
import org.halfdusk.shoot.planning.Planner;
import org.halfdusk.web.layout.drawing.NightStrip;
import org.halfdusk.web.layout.drawing.Theme;
import org.halfdusk.web.layout.words.Words;
import org.halfdusk.web.subject.NightWords;
import org.halfdusk.web.subject.Subjects;
import org.halfdusk.web.subject.page.Line;
import org.halfdusk.web.subject.words.ReasonWords;

/** One night at up to three places, worded. */
record NightAtPage(
        String date,
        String iso,
        String subject,
        String subjectName,
        List<Column> columns,
        List<Slot> slots,
        String before,
        String after,
        String query) {
    /** @param best of several: the highest score, of equals the darkest zenith */
    record Column(
            long placeId,
            String place,
            String heading,
            String sentence,
            NightStrip strip,
            int score,
            String parts,
            List<Line> lines,
            boolean best) {}

    /** A list to choose a place from. */
    record Slot(List<Choice> choices) {}

    record Choice(String value, String name, boolean selected) {}

    private static Column column(Kept<Place> place, SubjectNight n, NightWords words, boolean best, Theme theme) {
        return new Column(
                place.id(),
                place.it().name(),
                words.heading(),
                words.sentence(),
                NightStrip.small(n, n.axis(), theme, words.sentence()),
                n.score().total(),
                words.parts(),
                lines(n, place.it()),
                best);
    }

    static NightAtPage of(
            LocalDate date,
            Subject subject,
            Subjects subjects,
            Planner planner,
            List<Kept<Place>> chosen,
            List<Kept<Place>> all,
            Theme theme) {
        List<SubjectNight> nights = chosen.stream()
                .map(p -> planner.night(subject, p.it(), date, planner.initialWish(subject, p.it())))
                .toList();
        SubjectNight finest = nights.stream()
                .max(Comparator.comparingInt((SubjectNight n) -> n.score().total())
                        .thenComparing(NightAtPage::zenith))
                .orElseThrow();
        List<Column> columns = new ArrayList<>();
        for (int i = 0; i < nights.size(); i++) {
            SubjectNight n = nights.get(i);
            boolean best = nights.size() > 1 && n == finest && n.score().total() > 0;
            columns.add(column(chosen.get(i), n, subjects.of(subject, n).words(), best, theme));
        }
        StringBuilder query = new StringBuilder("subject=" + subject);
        chosen.forEach(p -> query.append("&place=").append(p.id()));
        return new NightAtPage(
                subjects.of(subject, nights.get(0)).date(),
                date.toString(),
                subject.name(),
                subjects.name(subject),
                columns,
                slots(chosen, all),
                date.isAfter(ShootField.FIRST_NIGHT) ? date.minusDays(1).toString() : "",
                date.isBefore(ShootField.LAST_NIGHT) ? date.plusDays(1).toString() : "",
                query.toString());
    }

    /** How dark the zenith is at the best moment, mag/arcsec². */
    private static SkyBrightness zenith(SubjectNight n) {
        return n.light().at(n.bestMoment()).zenith().total();
    }

    private static List<Line> lines(SubjectNight n, Place p) {
        List<Line> lines = new ArrayList<>();
        if (n instanceof AfterDark a) {
            lines.addAll(ReasonWords.sunAndDark(a.night()));
            lines.addAll(ReasonWords.moon(a.night()));
        }
        lines.add(new Line("Usable", ReasonWords.usable(n)));
        lines.add(new Line("Zenith then", Words.tenths(zenith(n).magnitude()) + " mag/arcsec²"));
        n.light().site().domes().stream()
                .findFirst()
                .ifPresent(d -> lines.add(new Line(
                        "Brightest glow",
                        d.name() + ", " + Words.azimuth(d.azimuthDegrees()) + ", " + Math.round(d.distanceKm())
                                + " km")));
        lines.add(new Line("Times are of", p.zone().getId()));
        return lines;
    }

    /** One list more than places are shown, at most three, the first without an empty entry. */
    private static List<Slot> slots(List<Kept<Place>> chosen, List<Kept<Place>> all) {
        List<Slot> slots = new ArrayList<>();
        for (int i = 0; i < 3 && i <= chosen.size(); i++) {
            List<Choice> choices = new ArrayList<>();
            if (i > 0) {
                choices.add(new Choice("", "no other place", i == chosen.size()));
            }
            for (Kept<Place> p : all) {
                boolean selected = i < chosen.size() && chosen.get(i).id() == p.id();
                choices.add(new Choice(Long.toString(p.id()), p.it().name(), selected));
            }
            slots.add(new Slot(choices));
        }
        return slots;
    }
}
