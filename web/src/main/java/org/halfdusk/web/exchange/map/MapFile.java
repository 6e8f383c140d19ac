package org.halfdusk.web.exchange.map;

import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.regex.Pattern;
import org.halfdusk.place.Track;

/**
 * Points, ways and outlines as map files carry them.
 *
 * @param shapes outlines and lines that are drawn for others to see; none come in, they come in as tracks
 * @param skipped what of a file could not be taken, each with its reason
 */
public record MapFile(List<Waypoint> waypoints, List<Track> tracks, List<Shape> shapes, List<String> skipped) {
    /** More than this is no list of places any more. */
    public static final int MOST_WAYPOINTS = 2000;

    /** Within so many characters a file's first element stands, prefix or not. */
    private static final int HEAD = 20_000;

    private static final Pattern ROOT_GPX = Pattern.compile("<(?:[\\w.-]+:)?gpx[\\s>]");
    private static final Pattern ROOT_KML = Pattern.compile("<(?:[\\w.-]+:)?kml[\\s>]");

    /**
     * A point.
     *
     * @param latitudeDegrees −90 to 90
     * @param longitudeDegrees −180 to 180
     * @param elevationMetres where the file knows it
     * @param notes may be empty
     * @param more what Half Dusk knows beside, by its own keys ({@link PlaceTexts})
     */
    public record Waypoint(
            String name,
            double latitudeDegrees,
            double longitudeDegrees,
            OptionalDouble elevationMetres,
            String notes,
            Map<String, String> more) {
        public Waypoint {
            if (!(latitudeDegrees >= -90 && latitudeDegrees <= 90)) {
                throw new IllegalArgumentException("latitude " + latitudeDegrees + "° is outside −90° to 90°");
            }
            if (!(longitudeDegrees >= -180 && longitudeDegrees <= 180)) {
                throw new IllegalArgumentException("longitude " + longitudeDegrees + "° is outside −180° to 180°");
            }
        }
    }

    /**
     * An outline or a line.
     *
     * @param closed whether it is an outline
     * @param points the first is not repeated at the end
     */
    public record Shape(String name, boolean closed, List<Track.Point> points) {}

    public MapFile {
        if (waypoints.size() > MOST_WAYPOINTS) {
            throw new IllegalArgumentException(
                    "the file has " + waypoints.size() + " points; at most " + MOST_WAYPOINTS + " are allowed");
        }
        if (waypoints.isEmpty() && tracks.isEmpty() && shapes.isEmpty()) {
            throw new IllegalArgumentException("the file has no points and no tracks that could be brought in"
                    + (skipped.isEmpty() ? "" : ": " + skipped.get(0)));
        }
    }

    /** Without shapes, all of it taken. */
    public MapFile(List<Waypoint> waypoints, List<Track> tracks) {
        this(waypoints, tracks, List.of(), List.of());
    }

    /** By what the text begins with: GPX, KML, GeoJSON, or a table of places. */
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
        if (CsvPlaces.looksLike(head)) {
            return CsvPlaces.read(text);
        }
        throw new IllegalArgumentException("the file is none of GPX, KML, KMZ, GeoJSON and CSV with a head that names "
                + "latitude and longitude, which are allowed");
    }
}
