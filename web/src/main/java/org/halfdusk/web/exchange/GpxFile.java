package org.halfdusk.web.exchange;

import io.jenetics.jpx.GPX;
import io.jenetics.jpx.WayPoint;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;
import org.halfdusk.place.Track;
import org.halfdusk.typed.TypedNumber;

/** GPX 1.1: waypoints, tracks and routes. */
public final class GpxFile {
    private GpxFile() {}

    public static byte[] write(MapFile file) {
        GPX.Builder gpx = GPX.builder("Half Dusk");
        for (MapFile.Waypoint w : file.waypoints()) {
            gpx.addWayPoint(WayPoint.builder()
                    .lat(w.position().latitudeDegrees())
                    .lon(w.position().longitudeDegrees())
                    .ele(w.position().elevationMetres())
                    .name(w.name())
                    .desc(w.notes())
                    .build());
        }
        for (Track t : file.tracks()) {
            gpx.addTrack(track -> {
                track.name(t.name());
                for (List<Track.Point> line : t.lines()) {
                    track.addSegment(segment -> line.forEach(p -> segment.addPoint(
                            point -> point.lat(p.latitudeDegrees()).lon(p.longitudeDegrees()))));
                }
            });
        }
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try {
            GPX.Writer.DEFAULT.write(gpx.build(), out);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return out.toByteArray();
    }

    static MapFile read(String text) {
        Reader reader = new Reader();
        QuietXml.read("GPX", text, reader);
        return reader.gathered.file();
    }

    /** GPX 1.0 and 1.1 alike: both put name, ele, desc and cmt beside the points. */
    private static final class Reader implements QuietXml.Elements {
        private final Gathered gathered = new Gathered();
        private List<List<Track.Point>> lines = new ArrayList<>();
        private List<Track.Point> line = new ArrayList<>();
        private String name = "";
        private String trackName = "";
        private String description = "";
        private String comment = "";
        private double latitude;
        private double longitude;
        private double elevation;
        private boolean inWaypoint;
        private boolean inPoint;

        @Override
        public void begin(XMLStreamReader xml) throws XMLStreamException {
            switch (xml.getLocalName()) {
                case "wpt" -> {
                    inWaypoint = true;
                    name = "";
                    description = "";
                    comment = "";
                    elevation = 0;
                    latitude = coordinate(xml, "lat");
                    longitude = coordinate(xml, "lon");
                }
                case "trk", "rte" -> {
                    lines = new ArrayList<>();
                    line = new ArrayList<>();
                    trackName = "";
                }
                case "trkseg" -> line = new ArrayList<>();
                case "trkpt", "rtept" -> {
                    inPoint = true;
                    line.add(gathered.point(coordinate(xml, "lon"), coordinate(xml, "lat")));
                }
                case "name" -> named(xml.getElementText());
                case "desc" -> description = inWaypoint ? xml.getElementText() : description;
                case "cmt" -> comment = inWaypoint ? xml.getElementText() : comment;
                case "ele" ->
                    elevation = inWaypoint ? TypedNumber.written("elevation", xml.getElementText()) : elevation;
                default -> {}
            }
        }

        private void named(String text) {
            if (inWaypoint) {
                name = text;
            } else if (!inPoint) {
                trackName = text;
            }
        }

        private static double coordinate(XMLStreamReader xml, String attribute) {
            return TypedNumber.written(attribute, QuietXml.attribute(xml, attribute));
        }

        @Override
        public void end(String element) {
            switch (element) {
                case "wpt" -> {
                    inWaypoint = false;
                    gathered.waypoint(
                            name, latitude, longitude, elevation, description.isBlank() ? comment : description);
                }
                case "trkpt", "rtept" -> inPoint = false;
                case "trkseg" -> lines.add(line);
                case "rte" -> gathered.track(trackName, List.of(line));
                case "trk" -> gathered.track(trackName, lines);
                default -> {}
            }
        }
    }
}
