package org.halfdusk.web.exchange.map;

import io.jenetics.jpx.Bounds;
import io.jenetics.jpx.GPX;
import io.jenetics.jpx.Metadata;
import io.jenetics.jpx.WayPoint;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import javax.xml.parsers.DocumentBuilderFactory;
import javax.xml.parsers.ParserConfigurationException;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;
import org.halfdusk.place.Track;
import org.halfdusk.typed.TypedNumber;
import org.w3c.dom.Document;
import org.w3c.dom.Element;

/** GPX: waypoints, tracks and routes; 1.0 and 1.1 are read, 1.1 is written. What a place knows more stands in extensions of our own. */
public final class GpxFile {
    /** Names our extensions; nothing lies there. */
    private static final String OURS = "urn:half-dusk:place:1";

    private GpxFile() {}

    public static byte[] write(MapFile file) {
        GPX.Builder gpx = GPX.builder("Half Dusk");
        Box.of(file)
                .ifPresent(b -> gpx.metadata(Metadata.builder()
                        .bounds(Bounds.of(b.south(), b.west(), b.north(), b.east()))
                        .build()));
        file.waypoints().forEach(w -> gpx.addWayPoint(point(w)));
        for (MapFile.Shape s : file.shapes()) {
            gpx.addRoute(route -> {
                route.name(s.name());
                s.points().forEach(p -> route.addPoint(point(p)));
                if (s.closed()) {
                    route.addPoint(point(s.points().get(0)));
                }
            });
        }
        for (Track t : file.tracks()) {
            gpx.addTrack(track -> {
                track.name(t.name());
                for (List<Track.Point> line : t.lines()) {
                    track.addSegment(segment -> line.forEach(p -> segment.addPoint(point(p))));
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

    private static WayPoint point(MapFile.Waypoint w) {
        WayPoint.Builder point = WayPoint.builder()
                .lat(w.latitudeDegrees())
                .lon(w.longitudeDegrees())
                .name(w.name())
                .desc(w.notes());
        w.elevationMetres().ifPresent(point::ele);
        if (!w.more().isEmpty()) {
            point.extensions(extensions(w.more()));
        }
        return point.build();
    }

    private static WayPoint point(Track.Point p) {
        WayPoint.Builder point = WayPoint.builder().lat(p.latitudeDegrees()).lon(p.longitudeDegrees());
        p.elevationMetres().ifPresent(point::ele);
        p.at().ifPresent(point::time);
        return point.build();
    }

    private static Document extensions(Map<String, String> more) {
        try {
            Document d = DocumentBuilderFactory.newDefaultNSInstance()
                    .newDocumentBuilder()
                    .newDocument();
            Element root = d.createElementNS("http://www.topografix.com/GPX/1/1", "extensions");
            d.appendChild(root);
            more.forEach((key, value) -> {
                Element e = d.createElementNS(OURS, "hd:" + key);
                e.setTextContent(value);
                root.appendChild(e);
            });
            return d;
        } catch (ParserConfigurationException e) {
            throw new IllegalStateException("the extensions of a waypoint cannot be written", e);
        }
    }

    static MapFile read(String text) {
        Reader reader = new Reader();
        QuietXml.read("GPX", text, reader);
        return reader.gathered.file();
    }

    /** GPX 1.0 and 1.1 alike: both put name, ele, time, desc and cmt beside the points. */
    private static final class Reader implements QuietXml.Elements {
        private final Gathered gathered = new Gathered();
        private List<List<Track.Point>> lines = new ArrayList<>();
        private List<Track.Point> line = new ArrayList<>();
        private String trackName = "";

        /** What stands beside the point that is being read, by its element. */
        private final Map<String, String> beside = new LinkedHashMap<>();

        private final Map<String, String> more = new LinkedHashMap<>();
        private String latitude = "";
        private String longitude = "";
        private boolean inWaypoint;
        private boolean inPoint;
        private boolean inExtensions;

        @Override
        public void begin(XMLStreamReader xml) throws XMLStreamException {
            String element = xml.getLocalName();
            switch (element) {
                case "wpt", "trkpt", "rtept" -> {
                    inWaypoint = element.equals("wpt");
                    inPoint = !inWaypoint;
                    beside.clear();
                    more.clear();
                    latitude = QuietXml.attribute(xml, "lat");
                    longitude = QuietXml.attribute(xml, "lon");
                }
                case "trk", "rte" -> {
                    lines = new ArrayList<>();
                    line = new ArrayList<>();
                    trackName = "";
                }
                case "trkseg" -> line = new ArrayList<>();
                case "extensions" -> inExtensions = true;
                default -> detail(xml, element);
            }
        }

        private void detail(XMLStreamReader xml, String element) throws XMLStreamException {
            if (inExtensions) {
                if (OURS.equals(xml.getNamespaceURI()) && PlaceTexts.KEYS.contains(element)) {
                    more.put(element, QuietXml.text(xml));
                }
            } else if (inWaypoint || inPoint) {
                if (BESIDE.contains(element)) {
                    beside.put(element, QuietXml.text(xml));
                }
            } else if (element.equals("name")) {
                trackName = QuietXml.text(xml);
            }
        }

        private static final List<String> BESIDE = List.of("name", "desc", "cmt", "ele", "time");

        private String beside(String element) {
            return beside.getOrDefault(element, "");
        }

        private OptionalDouble elevation() {
            String text = beside("ele").strip();
            return text.isEmpty() ? OptionalDouble.empty() : OptionalDouble.of(TypedNumber.written("elevation", text));
        }

        private void waypoint() {
            String called = beside("name");
            gathered.each(called.isBlank() ? latitude + ", " + longitude : called, () -> {
                String notes = beside("desc").isBlank() ? beside("cmt") : beside("desc");
                gathered.waypoint(
                        called,
                        TypedNumber.written("latitude", latitude),
                        TypedNumber.written("longitude", longitude),
                        elevation(),
                        Gathered.recorded(notes, Gathered.time(beside("time"))),
                        Map.copyOf(more));
            });
        }

        private void point() {
            gathered.each(
                    "a point of " + (trackName.isBlank() ? "a track" : trackName),
                    () -> line.add(gathered.point(
                            TypedNumber.written("longitude", longitude),
                            TypedNumber.written("latitude", latitude),
                            elevation(),
                            Gathered.time(beside("time")))));
        }

        @Override
        public void end(String element) {
            switch (element) {
                case "wpt" -> {
                    inWaypoint = false;
                    waypoint();
                }
                case "trkpt", "rtept" -> {
                    inPoint = false;
                    point();
                }
                case "extensions" -> inExtensions = false;
                case "trkseg" -> lines.add(line);
                case "rte" -> gathered.each(trackName, () -> gathered.track(trackName, List.of(line)));
                case "trk" -> gathered.each(trackName, () -> gathered.track(trackName, lines));
                default -> {}
            }
        }
    }
}
