package org.halfdusk.web.exchange;

import java.io.ByteArrayOutputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.StringTokenizer;
import java.util.stream.Collectors;
import javax.xml.stream.XMLOutputFactory;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;
import javax.xml.stream.XMLStreamWriter;
import org.halfdusk.place.Track;
import org.halfdusk.typed.TypedNumber;

/** KML 2.2: placemarks with points become places, those with lines or outlines tracks. Nothing outside the file is read. */
public final class KmlFile {
    private static final String KML = "http://www.opengis.net/kml/2.2";

    private KmlFile() {}

    public static byte[] write(MapFile file) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try {
            XMLStreamWriter xml = XMLOutputFactory.newFactory().createXMLStreamWriter(out, "UTF-8");
            xml.writeStartDocument("UTF-8", "1.0");
            xml.setDefaultNamespace(KML);
            xml.writeStartElement(KML, "kml");
            xml.writeDefaultNamespace(KML);
            xml.writeStartElement(KML, "Document");
            for (MapFile.Waypoint w : file.waypoints()) {
                xml.writeStartElement(KML, "Placemark");
                text(xml, "name", w.name());
                text(xml, "description", w.notes());
                xml.writeStartElement(KML, "Point");
                text(
                        xml,
                        "coordinates",
                        w.position().longitudeDegrees() + "," + w.position().latitudeDegrees() + ","
                                + w.position().elevationMetres());
                xml.writeEndElement();
                xml.writeEndElement();
            }
            for (Track t : file.tracks()) {
                xml.writeStartElement(KML, "Placemark");
                text(xml, "name", t.name());
                xml.writeStartElement(KML, "MultiGeometry");
                for (List<Track.Point> line : t.lines()) {
                    xml.writeStartElement(KML, "LineString");
                    text(
                            xml,
                            "coordinates",
                            line.stream()
                                    .map(p -> p.longitudeDegrees() + "," + p.latitudeDegrees())
                                    .collect(Collectors.joining(" ")));
                    xml.writeEndElement();
                }
                xml.writeEndElement();
                xml.writeEndElement();
            }
            xml.writeEndDocument();
            xml.close();
            return out.toString(StandardCharsets.UTF_8).getBytes(StandardCharsets.UTF_8);
        } catch (XMLStreamException e) {
            throw new IllegalStateException("KML cannot be written", e);
        }
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

    /** What has been read so far, and the placemark that is being read. */
    private static final class Reader implements QuietXml.Elements {
        private final Gathered gathered = new Gathered();
        private final List<List<Track.Point>> lines = new ArrayList<>();
        private final List<double[]> points = new ArrayList<>();
        private String name = "";
        private String notes = "";
        private String geometry = "";

        @Override
        public void begin(XMLStreamReader xml) throws XMLStreamException {
            switch (xml.getLocalName()) {
                case "Placemark" -> {
                    name = "";
                    notes = "";
                    lines.clear();
                    points.clear();
                }
                case "name" -> name = xml.getElementText();
                case "description" -> notes = xml.getElementText();
                case "Point", "LineString", "LinearRing" -> geometry = xml.getLocalName();
                case "coordinates" -> coordinates(xml.getElementText().strip());
                default -> {}
            }
        }

        private void coordinates(String text) {
            if (geometry.equals("Point")) {
                points.add(numbers(text));
                return;
            }
            List<Track.Point> line = new ArrayList<>();
            StringTokenizer parts = new StringTokenizer(text);
            while (parts.hasMoreTokens()) {
                double[] c = numbers(parts.nextToken());
                line.add(gathered.point(c[0], c[1]));
            }
            lines.add(line);
        }

        private static double[] numbers(String text) {
            String[] parts = text.split(",");
            if (parts.length < 2) {
                throw new IllegalArgumentException(
                        "coordinates “" + TypedNumber.shown(text) + "” in the KML are not longitude,latitude");
            }
            double[] numbers = new double[parts.length];
            for (int i = 0; i < parts.length; i++) {
                numbers[i] = TypedNumber.written("coordinate", parts[i]);
            }
            return numbers;
        }

        @Override
        public void end(String element) {
            if (element.equals("Placemark")) {
                points.forEach(c -> gathered.waypoint(name, c[1], c[0], c.length > 2 ? c[2] : 0, notes));
                gathered.track(name, List.copyOf(lines));
                lines.clear();
                points.clear();
            }
        }
    }
}
