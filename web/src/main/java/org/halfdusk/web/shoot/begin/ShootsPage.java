package org.halfdusk.web.shoot.begin;

import java.util.List;
import org.halfdusk.place.Place;
import org.halfdusk.shoot.choices.Shoot;
import org.halfdusk.shoot.kept.Kept;
import org.halfdusk.shoot.kept.Places;
import org.halfdusk.shoot.kept.Shoots;
import org.halfdusk.shoot.kept.Unread;
import org.halfdusk.shoot.kept.Unreadable;
import org.halfdusk.shoot.planning.Planner;
import org.halfdusk.web.layout.PageOfList;
import org.halfdusk.web.layout.words.Times;
import org.halfdusk.web.layout.words.Words;
import org.halfdusk.web.shoot.edit.ShootEditing;
import org.halfdusk.web.subject.Subjects;

/**
 * A page of the list of shoots, worded. Only what stands on it is planned.
 *
 * @param unread shoots of this page that cannot be read
 * @param pages before them later nights, behind them earlier ones
 */
record ShootsPage(
        String q,
        long deleted,
        long moved,
        List<Row> rows,
        List<Unread> unread,
        PageOfList pages,
        String error,
        String typedNight,
        long tried) {
    /** So many are planned within a second even when none of their nights was asked for before. */
    static final int ROWS = 30;

    record Row(
            long id,
            String title,
            String subject,
            String place,
            String night,
            String nightIso,
            String window,
            String answer) {}

    static ShootsPage of(
            String q,
            int number,
            long deleted,
            long moved,
            Shoots.Listed found,
            Places places,
            Planner planner,
            Subjects subjects,
            ShootEditing.Result result,
            long tried) {
        List<Row> rows = found.shoots().stream()
                .map(k -> row(k, places, planner, subjects))
                .toList();
        String error = result.clash()
                .map(c -> "Meanwhile another tab moved this shoot to " + c.theirsWords() + "; you chose "
                        + c.yoursWords() + ". Choose again.")
                .orElse(result.errors().of("NIGHT"));
        return new ShootsPage(
                q,
                deleted,
                moved,
                rows,
                found.unread(),
                PageOfList.of(number, ROWS, found.of()),
                error,
                result.errors().text("NIGHT"),
                tried);
    }

    private static Row row(Kept<Shoot> kept, Places places, Planner planner, Subjects subjects) {
        Shoot s = kept.it();
        try {
            Place place = places.find(s.placeId()).orElseThrow().it();
            Subjects.Bound<?, ?> night =
                    subjects.of(s.subject(), planner.night(s.subject(), place, s.night(), s.wish()));
            return new Row(
                    kept.id(),
                    s.title(),
                    subjects.name(s.subject()),
                    place.name(),
                    night.date(),
                    s.night().toString(),
                    night.words().heading(),
                    night.words().answer());
        } catch (Unreadable e) {
            return new Row(
                    kept.id(),
                    s.title(),
                    subjects.name(s.subject()),
                    "its place cannot be read",
                    Times.longDate(s.night()),
                    s.night().toString(),
                    "Not planned",
                    Words.sentence(String.valueOf(e.getMessage())));
        }
    }
}
