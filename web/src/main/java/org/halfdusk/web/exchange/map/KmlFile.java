package org.halfdusk.web.exchange.map;

import java.io.ByteArrayOutputStream;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.StringTokenizer;
import java.util.stream.Collectors;
import javax.xml.stream.XMLOutputFactory;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;
import javax.xml.stream.XMLStreamWriter;
import org.halfdusk.place.Track;
import org.halfdusk.typed.TypedNumber;

/**
 * KML 2.2 with the recorded tracks of its extension: placemarks with points become places, those with lines, outlines or tracks
 * become tracks. Nothing outside the file is read.
 */
public final class KmlFile {
    private static final String KML = "http://www.opengis.net/kml/2.2";

    /** The namespace of recorded tracks, as the extension has it. */
    private static final String EXTENSION = "http://www.google.com/kml/ext/2.2";

    private KmlFile() {}

    public static byte[] write(MapFile file) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try {
            XMLStreamWriter xml = XMLOutputFactory.newFactory().createXMLStreamWriter(out, "UTF-8");
            xml.writeStartDocument("UTF-8", "1.0");
            xml.setDefaultNamespace(KML);
            xml.setPrefix("gx", EXTENSION);
            xml.writeStartElement(KML, "kml");
            xml.writeDefaultNamespace(KML);
            xml.writeNamespace("gx", EXTENSION);
            xml.writeStartElement(KML, "Document");
            for (MapFile.Waypoint w : file.waypoints()) {
                waypoint(xml, w);
            }
            for (MapFile.Shape s : file.shapes()) {
                shape(xml, s);
            }
            for (Track t : file.tracks()) {
                track(xml, t);
            }
            xml.writeEndDocument();
            xml.close();
            return out.toString(StandardCharsets.UTF_8).getBytes(StandardCharsets.UTF_8);
        } catch (XMLStreamException e) {
            throw new IllegalStateException("KML cannot be written", e);
        }
    }

    private static void waypoint(XMLStreamWriter xml, MapFile.Waypoint w) throws XMLStreamException {
        xml.writeStartElement(KML, "Placemark");
        text(xml, "name", w.name());
        text(xml, "description", w.notes());
        if (!w.more().isEmpty()) {
            xml.writeStartElement(KML, "ExtendedData");
            for (Map.Entry<String, String> e : w.more().entrySet()) {
                xml.writeStartElement(KML, "Data");
                xml.writeAttribute("name", e.getKey());
                text(xml, "value", e.getValue());
                xml.writeEndElement();
            }
            xml.writeEndElement();
        }
        xml.writeStartElement(KML, "Point");
        text(xml, "coordinates", coordinates(w.longitudeDegrees(), w.latitudeDegrees(), w.elevationMetres()));
        xml.writeEndElement();
        xml.writeEndElement();
    }

    private static void shape(XMLStreamWriter xml, MapFile.Shape s) throws XMLStreamException {
        xml.writeStartElement(KML, "Placemark");
        text(xml, "name", s.name());
        if (s.closed()) {
            List<Track.Point> ring = new ArrayList<>(s.points());
            ring.add(s.points().get(0));
            xml.writeStartElement(KML, "Polygon");
            xml.writeStartElement(KML, "outerBoundaryIs");
            xml.writeStartElement(KML, "LinearRing");
            text(xml, "coordinates", line(ring));
            xml.writeEndElement();
            xml.writeEndElement();
            xml.writeEndElement();
        } else {
            xml.writeStartElement(KML, "LineString");
            text(xml, "coordinates", line(s.points()));
            xml.writeEndElement();
        }
        xml.writeEndElement();
    }

    /** With times as a recorded track, without as lines. */
    private static void track(XMLStreamWriter xml, Track t) throws XMLStreamException {
        boolean recorded = t.lines().stream().flatMap(List::stream).allMatch(p -> p.at().isPresent());
        xml.writeStartElement(KML, "Placemark");
        text(xml, "name", t.name());
        if (recorded) {
            xml.writeStartElement(EXTENSION, "MultiTrack");
        } else {
            xml.writeStartElement(KML, "MultiGeometry");
        }
        for (List<Track.Point> line : t.lines()) {
            if (recorded) {
                xml.writeStartElement(EXTENSION, "Track");
                for (Track.Point p : line) {
                    text(xml, "when", p.at().map(Instant::toString).orElse(""));
                }
                for (Track.Point p : line) {
                    xml.writeStartElement(EXTENSION, "coord");
                    xml.writeCharacters(coordinates(p.longitudeDegrees(), p.latitudeDegrees(), p.elevationMetres())
                            .replace(',', ' '));
                    xml.writeEndElement();
                }
            } else {
                xml.writeStartElement(KML, "LineString");
                text(xml, "coordinates", line(line));
            }
            xml.writeEndElement();
        }
        xml.writeEndElement();
        xml.writeEndElement();
    }

    private static String line(List<Track.Point> line) {
        return line.stream()
                .map(p -> coordinates(p.longitudeDegrees(), p.latitudeDegrees(), p.elevationMetres()))
                .collect(Collectors.joining(" "));
    }

    private static String coordinates(double longitude, double latitude, OptionalDouble elevation) {
        return longitude + "," + latitude + (elevation.isPresent() ? "," + elevation.getAsDouble() : "");
    }

    private static void text(XMLStreamWriter xml, String name, String text) throws XMLStreamException {
        xml.writeStartElement(KML, name);
        xml.writeCharacters(text);
        xml.writeEndElement();
    }

    static MapFile read(String text) {
        Reader reader = new Reader();
        QuietXml.read("KML", text, reader);
        return reader.gathered.file();
    }

    /** A position of a file: longitude, latitude, and the height where there is one. */
    private record Position(double longitude, double latitude, OptionalDouble elevation) {}

    /** What has been read so far, and the placemark that is being read. */
    private static final class Reader implements QuietXml.Elements {
        private final Gathered gathered = new Gathered();
        private final List<List<Track.Point>> lines = new ArrayList<>();
        private final List<Position> points = new ArrayList<>();
        private final Map<String, String> more = new LinkedHashMap<>();
        private final List<String> whens = new ArrayList<>();
        private final List<String> coords = new ArrayList<>();

        /** Names of the folders that are open. */
        private final Deque<String> folders = new ArrayDeque<>();

        private boolean inPlacemark;
        private String name = "";
        private String notes = "";
        private String geometry = "";
        private String datum = "";
        private Optional<Instant> stamp = Optional.empty();

        @Override
        public void begin(XMLStreamReader xml) throws XMLStreamException {
            switch (xml.getLocalName()) {
                case "Folder", "Document" -> folders.push("");
                case "Placemark" -> {
                    inPlacemark = true;
                    name = "";
                    notes = "";
                    stamp = Optional.empty();
                    lines.clear();
                    points.clear();
                    more.clear();
                }
                case "name" -> named(QuietXml.text(xml));
                case "description" -> notes = inPlacemark ? QuietXml.plain(QuietXml.text(xml)) : notes;
                case "Data", "SimpleData" -> datum(xml);
                case "value" -> keep(datum, QuietXml.text(xml));
                case "Point", "LineString", "LinearRing" -> geometry = xml.getLocalName();
                case "Track" -> {
                    whens.clear();
                    coords.clear();
                }
                case "when" -> when(QuietXml.text(xml));
                case "coord" -> coords.add(QuietXml.text(xml).strip());
                case "coordinates" -> {
                    String text = QuietXml.text(xml).strip();
                    gathered.each(name, () -> coordinates(text));
                }
                default -> {}
            }
        }

        private void named(String text) {
            if (inPlacemark) {
                name = text;
            } else if (!folders.isEmpty()) {
                folders.pop();
                folders.push(text);
            }
        }

        private void when(String text) {
            if (inPlacemark) {
                whens.add(text);
                stamp = Gathered.time(text);
            }
        }

        /** SimpleData has its text in itself, Data in a value. */
        private void datum(XMLStreamReader xml) throws XMLStreamException {
            datum = QuietXml.attribute(xml, "name");
            if (xml.getLocalName().equals("SimpleData")) {
                keep(datum, QuietXml.text(xml));
            }
        }

        private void keep(String key, String value) {
            if (PlaceTexts.KEYS.contains(key)) {
                more.put(key, value);
            } else if (key.equalsIgnoreCase("name") && name.isBlank()) {
                name = value;
            } else if ((key.equalsIgnoreCase("desc") || key.equalsIgnoreCase("description")) && notes.isBlank()) {
                notes = QuietXml.plain(value);
            }
        }

        private void coordinates(String text) {
            if (geometry.equals("Point")) {
                points.add(position(text, ","));
                return;
            }
            List<Track.Point> line = new ArrayList<>();
            StringTokenizer parts = new StringTokenizer(text);
            while (parts.hasMoreTokens()) {
                Position c = position(parts.nextToken(), ",");
                line.add(gathered.point(c.longitude(), c.latitude(), c.elevation(), Optional.empty()));
            }
            lines.add(line);
        }

        private void recorded() {
            List<Track.Point> line = new ArrayList<>();
            for (int i = 0; i < coords.size(); i++) {
                Position c = position(coords.get(i), "\\s+");
                Optional<Instant> at = i < whens.size() ? Gathered.time(whens.get(i)) : Optional.empty();
                line.add(gathered.point(c.longitude(), c.latitude(), c.elevation(), at));
            }
            lines.add(line);
        }

        private static Position position(String text, String separator) {
            String[] parts = text.strip().split(separator);
            if (parts.length < 2) {
                throw new IllegalArgumentException(
                        "coordinates “" + TypedNumber.shown(text) + "” in the KML are not longitude,latitude");
            }
            return new Position(
                    TypedNumber.written("longitude", parts[0]),
                    TypedNumber.written("latitude", parts[1]),
                    parts.length > 2 && !parts[2].isBlank()
                            ? OptionalDouble.of(TypedNumber.written("elevation", parts[2]))
                            : OptionalDouble.empty());
        }

        @Override
        public void end(String element) {
            switch (element) {
                case "Folder", "Document" -> folders.poll();
                case "Track" -> gathered.each(name, this::recorded);
                case "Placemark" -> placemark();
                default -> {}
            }
        }

        private void placemark() {
            inPlacemark = false;
            String all = lines.isEmpty() ? Gathered.recorded(notes, stamp) : notes;
            for (Position c : points) {
                gathered.each(
                        name,
                        () -> gathered.waypoint(
                                name, c.latitude(), c.longitude(), c.elevation(), all, Map.copyOf(more)));
            }
            // Converters call every line "Path" and name the folder about it.
            String folder = Optional.ofNullable(folders.peek()).orElse("");
            String called = (name.isBlank() || name.equals("Path")) && !folder.isBlank() ? folder : name;
            gathered.each(called, () -> gathered.track(called, List.copyOf(lines)));
            lines.clear();
            points.clear();
        }
    }
}
