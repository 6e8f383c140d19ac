package org.halfdusk.web.places;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.ToDoubleFunction;
import org.halfdusk.place.Track;
import org.halfdusk.web.exchange.map.MapFile;
import org.halfdusk.web.layout.words.Numbers;
import org.halfdusk.web.layout.words.Words;

/**
 * What a file holds, before any of it is taken.
 *
 * @param ticket under which it waits
 * @param summary in a sentence
 * @param skipped what cannot be taken and why
 */
record BringPage(String ticket, String summary, List<Row> places, List<Row> tracks, List<String> skipped) {
    private static final int SHOWN_NOTES = 90;

    /** @param about position and what is known @param known whether it is there already */
    record Row(int number, String name, String about, String notes, boolean known) {}

    static BringPage of(
            String ticket,
            MapFile file,
            Set<Integer> knownPlaces,
            Set<Integer> knownTracks,
            ToDoubleFunction<MapFile.Waypoint> metres) {
        List<Row> places = new ArrayList<>();
        for (int i = 0; i < file.waypoints().size(); i++) {
            places.add(row(i, file.waypoints().get(i), metres, knownPlaces.contains(i)));
        }
        List<Row> tracks = new ArrayList<>();
        for (int i = 0; i < file.tracks().size(); i++) {
            tracks.add(row(i, file.tracks().get(i), knownTracks.contains(i)));
        }
        return new BringPage(ticket, summary(places, tracks, file.skipped()), places, tracks, file.skipped());
    }

    private static String summary(List<Row> places, List<Row> tracks, List<String> skipped) {
        long known = places.stream().filter(Row::known).count()
                + tracks.stream().filter(Row::known).count();
        long fresh = places.size() + tracks.size() - known;
        return Words.count(places.size(), "point") + " and " + Words.count(tracks.size(), "track") + " in the file: "
                + fresh + " new, " + known + " there already, " + skipped.size()
                + (skipped.size() == 1 ? " entry skipped." : " entries skipped.");
    }

    private static Row row(int number, MapFile.Waypoint w, ToDoubleFunction<MapFile.Waypoint> metres, boolean known) {
        String height = w.elevationMetres().isPresent()
                ? Words.metres(w.elevationMetres().getAsDouble())
                : "no height in the file, " + Words.metres(metres.applyAsDouble(w)) + " taken";
        String more = w.more().isEmpty() ? "" : ", with sky and skyline";
        return new Row(
                number,
                w.name(),
                position(w) + ", " + height + more,
                w.notes().length() > SHOWN_NOTES ? w.notes().substring(0, SHOWN_NOTES) + " …" : w.notes(),
                known);
    }

    private static String position(MapFile.Waypoint w) {
        return (Numbers.degrees(w.latitudeDegrees()) + "°, " + Numbers.degrees(w.longitudeDegrees()) + "°")
                .replace('-', '−');
    }

    private static Row row(int number, Track t, boolean known) {
        int points = t.lines().stream().mapToInt(List::size).sum();
        String climb = t.climbMetres().isPresent()
                ? ", " + Words.metres(t.climbMetres().getAsDouble()) + " up"
                : ", no heights";
        Optional<Instant> first = t.lines().get(0).get(0).at();
        return new Row(
                number,
                t.name(),
                Words.tenths(t.lengthKm()) + " km, " + Words.count(points, "point") + climb
                        + first.map(at -> ", from " + at.toString().substring(0, 10))
                                .orElse(", no times"),
                "",
                known);
    }
}
