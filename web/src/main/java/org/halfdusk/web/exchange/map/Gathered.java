package org.halfdusk.web.exchange.map;

import java.time.DateTimeException;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import org.halfdusk.place.Place;
import org.halfdusk.place.PlaceNotes;
import org.halfdusk.place.Track;
import org.halfdusk.typed.PlainText;
import org.halfdusk.typed.TypedNumber;

/** What has been read of a map file so far. Counts while it is read, so that a file of millions is refused at once. */
final class Gathered {
    /** Points of all tracks of a file. */
    static final int MOST_POINTS = 200_000;

    /** More reasons than these say nothing more. */
    private static final int MOST_SKIPPED = 200;

    /** From so many points on that stand on the file's own tracks they are those tracks' points, not places. */
    private static final int OWN_POINTS = 4;

    private final List<MapFile.Waypoint> waypoints = new ArrayList<>();
    private final List<Track> tracks = new ArrayList<>();
    private final List<String> skipped = new ArrayList<>();
    private int points;
    private int skips;

    /**
     * Reads one thing of the file; where it cannot be taken, the others still are.
     *
     * @param what it is called, for the reason
     */
    void each(String what, Runnable read) {
        try {
            read.run();
        } catch (TooMany e) {
            throw e;
        } catch (IllegalArgumentException e) {
            skip("“" + TypedNumber.shown(what) + "”: " + e.getMessage());
        }
    }

    void skip(String reason) {
        skips++;
        if (skipped.size() < MOST_SKIPPED) {
            skipped.add(reason);
        }
    }

    /** Of which no more are read. */
    private static final class TooMany extends IllegalArgumentException {
        private static final long serialVersionUID = 1L;

        TooMany(String message) {
            super(message);
        }
    }

    /** @throws IllegalArgumentException where there are too many, or the position is none */
    void waypoint(
            String name,
            double latitude,
            double longitude,
            OptionalDouble elevation,
            String notes,
            Map<String, String> more) {
        if (waypoints.size() == MapFile.MOST_WAYPOINTS) {
            throw new TooMany("the file has more than " + MapFile.MOST_WAYPOINTS + " points; at most "
                    + MapFile.MOST_WAYPOINTS + " are allowed");
        }
        waypoints.add(new MapFile.Waypoint(
                PlainText.shortened(name, Place.LONGEST_NAME, "Point " + (waypoints.size() + 1)),
                latitude,
                longitude,
                elevation,
                PlainText.shortenedLines(notes, PlaceNotes.LONGEST),
                more));
    }

    /** @throws IllegalArgumentException where there are too many, or the position is none */
    Track.Point point(double longitude, double latitude, OptionalDouble elevation, Optional<Instant> at) {
        points++;
        if (points > MOST_POINTS) {
            throw new TooMany("the file's tracks have more than " + MOST_POINTS
                    + " points; at most that many are allowed, and " + Track.MOST_POINTS + " in one track");
        }
        return new Track.Point(longitude, latitude, elevation, at);
    }

    /** A time as formats write it; nothing where it is none. */
    static Optional<Instant> time(String text) {
        try {
            String t = text.strip();
            return t.isEmpty()
                    ? Optional.empty()
                    : Optional.of(OffsetDateTime.parse(t).toInstant());
        } catch (DateTimeException e) {
            return Optional.empty();
        }
    }

    /** Notes of a point with the time at which it was taken, which a place has no room for elsewhere. */
    static String recorded(String notes, Optional<Instant> at) {
        return at.map(t -> (notes.isBlank() ? "" : notes + "\n") + "Recorded at " + t + ".")
                .orElse(notes);
    }

    /** Lines of one point are none. */
    void track(String name, List<List<Track.Point>> lines) {
        List<List<Track.Point>> drawn = lines.stream().filter(l -> l.size() > 1).toList();
        if (!drawn.isEmpty()) {
            tracks.add(new Track(PlainText.shortened(name, Track.LONGEST_NAME, "Track " + (tracks.size() + 1)), drawn));
        }
    }

    private record Spot(long longitude, long latitude) {
        private static final double FINE = 1e6;

        static Spot of(double longitude, double latitude) {
            return new Spot(Math.round(longitude * FINE), Math.round(latitude * FINE));
        }
    }

    /** Converters write every point of a track as a placemark of its own beside the track. */
    private void leaveOutPointsOfTracks() {
        Set<Spot> own = new HashSet<>();
        tracks.forEach(t ->
                t.lines().forEach(l -> l.forEach(p -> own.add(Spot.of(p.longitudeDegrees(), p.latitudeDegrees())))));
        List<MapFile.Waypoint> on = waypoints.stream()
                .filter(w -> own.contains(Spot.of(w.longitudeDegrees(), w.latitudeDegrees())))
                .toList();
        boolean most = on.size() >= OWN_POINTS && 2 * on.size() > own.size();
        boolean all = on.size() >= 2 && on.size() == own.size();
        if (most || all) {
            waypoints.removeAll(on);
            skip(on.size() + " points, the first “"
                    + TypedNumber.shown(on.get(0).name()) + "”: they are the tracks' own points");
        }
    }

    MapFile file() {
        leaveOutPointsOfTracks();
        if (skips > skipped.size()) {
            skipped.add("and " + (skips - skipped.size()) + " more");
        }
        return new MapFile(List.copyOf(waypoints), List.copyOf(tracks), List.of(), List.copyOf(skipped));
    }
}
