package org.halfdusk.web.exchange;

import java.util.List;
import java.util.regex.Pattern;
import org.halfdusk.place.Observer;
import org.halfdusk.place.Track;

/** Points and ways as map files carry them. */
public record MapFile(List<Waypoint> waypoints, List<Track> tracks) {
    /** More than this is no list of places any more. */
    public static final int MOST_WAYPOINTS = 2000;

    /** Within so many characters a file's first element stands, prefix or not. */
    private static final int HEAD = 20_000;

    private static final Pattern ROOT_GPX = Pattern.compile("<(?:[\\w.-]+:)?gpx[\\s>]");
    private static final Pattern ROOT_KML = Pattern.compile("<(?:[\\w.-]+:)?kml[\\s>]");

    /** @param notes may be empty */
    public record Waypoint(String name, Observer position, String notes) {}

    public MapFile {
        if (waypoints.size() > MOST_WAYPOINTS) {
            throw new IllegalArgumentException(
                    "the file has " + waypoints.size() + " points; at most " + MOST_WAYPOINTS + " are allowed");
        }
        if (waypoints.isEmpty() && tracks.isEmpty()) {
            throw new IllegalArgumentException("the file has no points and no tracks that could be brought in");
        }
    }

    /** By what the text begins with: GPX, KML or GeoJSON. */
    public static MapFile read(String text) {
        String start = text.stripLeading();
        if (start.startsWith("{")) {
            return GeoJsonFile.read(text);
        }
        String head = start.substring(0, Math.min(start.length(), HEAD));
        if (start.startsWith("<") && ROOT_GPX.matcher(head).find()) {
            return GpxFile.read(text);
        }
        if (start.startsWith("<") && ROOT_KML.matcher(head).find()) {
            return KmlFile.read(text);
        }
        throw new IllegalArgumentException("the file is none of GPX, KML or GeoJSON, which are allowed");
    }

    static double elevation(double metres) {
        return Double.isNaN(metres) ? 0 : Math.max(-430, Math.min(9000, metres));
    }
}
