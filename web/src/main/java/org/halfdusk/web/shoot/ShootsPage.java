package org.halfdusk.web.shoot;

import java.util.List;
import java.util.function.LongFunction;
import org.halfdusk.place.Place;
import org.halfdusk.shoot.Kept;
import org.halfdusk.shoot.MilkyWayNight;
import org.halfdusk.shoot.Planner;
import org.halfdusk.shoot.Shoot;
import org.halfdusk.web.layout.Words;
import org.halfdusk.web.milkyway.MilkyWayWords;

/** The list of shoots, worded. */
record ShootsPage(String q, long deleted, long moved, List<Row> rows, String error, String typedNight, long tried) {
    record Row(long id, String title, String place, String night, String nightIso, String window, String answer) {}

    static ShootsPage of(
            String q,
            long deleted,
            long moved,
            List<Kept<Shoot>> found,
            LongFunction<Place> places,
            Planner planner,
            ShootEditing.Result result,
            long tried) {
        List<Row> rows = found.stream()
                .map(k -> row(k, places.apply(k.it().placeId()), planner))
                .toList();
        String error = result.clash()
                .map(c -> "Meanwhile another tab moved this shoot to " + c.theirsWords() + "; you chose "
                        + c.yoursWords() + ". Choose again.")
                .orElse(result.errors().of("NIGHT"));
        return new ShootsPage(q, deleted, moved, rows, error, result.errors().text("NIGHT"), tried);
    }

    private static Row row(Kept<Shoot> kept, Place place, Planner planner) {
        Shoot s = kept.it();
        MilkyWayNight night = planner.night(place, s.night());
        return new Row(
                kept.id(),
                s.title(),
                place.name(),
                Words.longDate(s.night()),
                s.night().toString(),
                MilkyWayWords.heading(night),
                MilkyWayWords.answer(night));
    }
}
