package org.halfdusk.web.map;

import java.util.List;
import java.util.Optional;
import org.halfdusk.ephemeris.Body;
import org.halfdusk.place.Place;
import org.halfdusk.shoot.kept.Kept;
import org.halfdusk.sky.HorizontalPosition;
import org.halfdusk.web.layout.drawing.NightStrip;
import org.halfdusk.web.layout.words.Times;
import org.halfdusk.web.layout.words.Words;
import org.halfdusk.web.map.picture.Directions;
import org.halfdusk.web.map.picture.GlowPicture;
import org.halfdusk.web.map.picture.MapView;
import org.halfdusk.web.subject.page.Table;

/**
 * The map's page, worded.
 *
 * @param heading what stands in the sky at the moment drawn
 * @param strip the night with its playhead, where a place is chosen
 * @param at the moment drawn, for the strip
 * @param laid what is said of what is laid over
 * @param ask the address without moment, for the strip
 * @param rest what a fresh sheet needs beside its view
 */
record MapPage(
        String heading,
        String from,
        Optional<NightStrip> strip,
        String at,
        String atClock,
        String hour,
        String night,
        List<MapSheets.Said> laid,
        String ask,
        String rest,
        List<GlowPicture.Key> legend,
        DarkList.Found dark,
        List<Table> tables,
        List<String> attributions,
        List<Move> moves) {
    /** Whether clocks go to twelve. */
    public boolean twelveHours() {
        return Words.units().twelveHours();
    }

    /** A neighbouring view. */
    record Move(String name, String href) {
        static List<Move> about(MapView view, String rest) {
            return List.of(
                    of("Closer", view.zoomed(1), rest),
                    of("Farther", view.zoomed(-1), rest),
                    of("North", view.moved(0, -0.5), rest),
                    of("South", view.moved(0, 0.5), rest),
                    of("West", view.moved(-0.5, 0), rest),
                    of("East", view.moved(0.5, 0), rest));
        }

        private static Move of(String name, MapView view, String rest) {
            return new Move(name, "/map?" + view.query() + rest);
        }
    }

    /** "At 03:00 the core stands 25.1° up in 180°". */
    static String heading(Optional<Directions> directions) {
        if (directions.isEmpty()) {
            return "Map";
        }
        Directions d = directions.get();
        String at = "At " + Times.clock(d.at(), d.place().zone());
        return up(d, Body.GALACTIC_CENTRE, "the core")
                .or(() -> up(d, Body.MOON, "the moon"))
                .or(() -> up(d, Body.SUN, "the sun"))
                .map(w -> at + " " + w)
                .orElse(at + " neither core nor moon is up");
    }

    private static Optional<String> up(Directions d, Body body, String name) {
        HorizontalPosition p = d.sky().at(body, d.at()).apparent();
        return p.altitude().degrees() > 0
                ? Optional.of(name + " stands " + Math.round(p.altitude().degrees()) + "° up in the "
                        + Words.compassWord(p.azimuth().degrees()))
                : Optional.empty();
    }

    static String from(Optional<Kept<Place>> chosen, Optional<Directions> d) {
        return chosen.map(c -> "From " + c.it().name() + ", "
                        + Times.longDate(d.orElseThrow().date()) + ". Drag the hour, the sky on the map follows.")
                .orElse("Choose a place, and the sky over it is drawn about it.");
    }

    static String clock(Directions d) {
        return Times.clock(d.at(), d.place().zone());
    }
}
