package org.halfdusk.web.exchange;

import java.util.ArrayList;
import java.util.List;
import org.halfdusk.place.Observer;
import org.halfdusk.place.Place;
import org.halfdusk.place.PlaceNotes;
import org.halfdusk.place.Track;
import org.halfdusk.typed.PlainText;

/** What has been read of a map file so far. Counts while it is read, so that a file of millions is refused at once. */
final class Gathered {
    /** Points of all tracks of a file. */
    static final int MOST_POINTS = 200_000;

    private final List<MapFile.Waypoint> waypoints = new ArrayList<>();
    private final List<Track> tracks = new ArrayList<>();
    private int points;

    /** @throws IllegalArgumentException where there are too many, or the position is none */
    void waypoint(String name, double latitude, double longitude, double elevation, String notes) {
        if (waypoints.size() == MapFile.MOST_WAYPOINTS) {
            throw new IllegalArgumentException("the file has more than " + MapFile.MOST_WAYPOINTS + " points; at most "
                    + MapFile.MOST_WAYPOINTS + " are allowed");
        }
        waypoints.add(new MapFile.Waypoint(
                PlainText.shortened(name, Place.LONGEST_NAME, "Point " + (waypoints.size() + 1)),
                Observer.of(latitude, longitude, MapFile.elevation(elevation)),
                PlainText.shortenedLines(notes, PlaceNotes.LONGEST)));
    }

    /** @throws IllegalArgumentException where there are too many, or the position is none */
    Track.Point point(double longitude, double latitude) {
        points++;
        if (points > MOST_POINTS) {
            throw new IllegalArgumentException("the file's tracks have more than " + MOST_POINTS
                    + " points; at most that many are allowed, and " + Track.MOST_POINTS + " in one track");
        }
        return new Track.Point(longitude, latitude);
    }

    /** Lines of one point are none. */
    void track(String name, List<List<Track.Point>> lines) {
        List<List<Track.Point>> drawn = lines.stream().filter(l -> l.size() > 1).toList();
        if (!drawn.isEmpty()) {
            tracks.add(new Track(PlainText.shortened(name, Track.LONGEST_NAME, "Track " + (tracks.size() + 1)), drawn));
        }
    }

    MapFile file() {
        return new MapFile(waypoints, tracks);
    }
}
