package org.halfdusk.web.shoot;

import java.util.List;
import java.util.function.LongFunction;
import org.halfdusk.place.Place;
import org.halfdusk.shoot.Kept;
import org.halfdusk.shoot.Planner;
import org.halfdusk.shoot.Shoot;
import org.halfdusk.web.subject.Subjects;

/** The list of shoots, worded. */
record ShootsPage(String q, long deleted, long moved, List<Row> rows, String error, String typedNight, long tried) {
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
            long deleted,
            long moved,
            List<Kept<Shoot>> found,
            LongFunction<Place> places,
            Planner planner,
            Subjects subjects,
            ShootEditing.Result result,
            long tried) {
        List<Row> rows = found.stream()
                .map(k -> row(k, places.apply(k.it().placeId()), planner, subjects))
                .toList();
        String error = result.clash()
                .map(c -> "Meanwhile another tab moved this shoot to " + c.theirsWords() + "; you chose "
                        + c.yoursWords() + ". Choose again.")
                .orElse(result.errors().of("NIGHT"));
        return new ShootsPage(q, deleted, moved, rows, error, result.errors().text("NIGHT"), tried);
    }

    private static Row row(Kept<Shoot> kept, Place place, Planner planner, Subjects subjects) {
        Shoot s = kept.it();
        Subjects.Bound<?, ?> night = subjects.of(s.subject(), planner.night(s.subject(), place, s.night(), s.wish()));
        return new Row(
                kept.id(),
                s.title(),
                subjects.name(s.subject()),
                place.name(),
                night.date(),
                s.night().toString(),
                night.words().heading(),
                night.words().answer());
    }
}
