package org.halfdusk.web.exchange.map;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import org.halfdusk.place.Track;
import org.halfdusk.typed.TypedNumber;
import org.halfdusk.web.exchange.LongJson;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** GeoJSON (RFC 7946): points become places, lines and outlines become tracks. */
public final class GeoJsonFile {
    private static final JsonMapper JSON = JsonMapper.builder().build();

    /** Numbers, names and brackets of a file; as many as its points could need. */
    private static final int MOST_VALUES = 6 * (Gathered.MOST_POINTS + 10 * MapFile.MOST_WAYPOINTS);

    private GeoJsonFile() {}

    public static byte[] write(MapFile file) {
        ObjectNode root = JSON.createObjectNode().put("type", "FeatureCollection");
        Box.of(file)
                .ifPresent(b -> root.putArray("bbox")
                        .add(b.west())
                        .add(b.south())
                        .add(b.east())
                        .add(b.north()));
        ArrayNode features = root.putArray("features");
        for (MapFile.Waypoint w : file.waypoints()) {
            ObjectNode f = feature(features, w.name(), "Point");
            ObjectNode properties = (ObjectNode) f.get("properties");
            properties.put("description", w.notes());
            w.more().forEach(properties::put);
            position(
                    geometry(f).putArray("coordinates"),
                    w.longitudeDegrees(),
                    w.latitudeDegrees(),
                    w.elevationMetres());
        }
        for (MapFile.Shape s : file.shapes()) {
            shape(features, s);
        }
        for (Track t : file.tracks()) {
            track(features, t);
        }
        return JSON.writerWithDefaultPrettyPrinter().writeValueAsBytes(root);
    }

    private static ObjectNode geometry(ObjectNode feature) {
        return (ObjectNode) feature.get("geometry");
    }

    private static void position(ArrayNode to, double longitude, double latitude, OptionalDouble elevation) {
        to.add(longitude).add(latitude);
        elevation.ifPresent(to::add);
    }

    private static void line(ArrayNode to, List<Track.Point> points) {
        points.forEach(p -> position(to.addArray(), p.longitudeDegrees(), p.latitudeDegrees(), p.elevationMetres()));
    }

    /** An outline's first point is repeated, and it runs against the clock (RFC 7946, 3.1.6). */
    private static void shape(ArrayNode features, MapFile.Shape s) {
        ObjectNode f = feature(features, s.name(), s.closed() ? "Polygon" : "LineString");
        ArrayNode coordinates = geometry(f).putArray("coordinates");
        if (!s.closed()) {
            line(coordinates, s.points());
            return;
        }
        List<Track.Point> ring = new ArrayList<>(s.points());
        if (clockwise(ring)) {
            Collections.reverse(ring);
        }
        ring.add(ring.get(0));
        line(coordinates.addArray(), ring);
    }

    private static boolean clockwise(List<Track.Point> ring) {
        double twice = 0;
        for (int i = 0; i < ring.size(); i++) {
            Track.Point a = ring.get(i);
            Track.Point b = ring.get((i + 1) % ring.size());
            twice += (b.longitudeDegrees() - a.longitudeDegrees()) * (b.latitudeDegrees() + a.latitudeDegrees());
        }
        return twice > 0;
    }

    /** Times, which the format does not know, as other programs write them: a list beside the coordinates. */
    private static void track(ArrayNode features, Track t) {
        ObjectNode f = feature(features, t.name(), "MultiLineString");
        ArrayNode lines = geometry(f).putArray("coordinates");
        boolean timed = t.lines().stream().flatMap(List::stream).anyMatch(p -> p.at().isPresent());
        ArrayNode times = JSON.createArrayNode();
        for (List<Track.Point> line : t.lines()) {
            line(lines.addArray(), line);
            ArrayNode of = times.addArray();
            line.forEach(p -> p.at().map(Instant::toString).ifPresentOrElse(of::add, of::addNull));
        }
        if (timed) {
            ((ObjectNode) f.get("properties")).set("coordTimes", times);
        }
    }

    private static ObjectNode feature(ArrayNode features, String name, String type) {
        ObjectNode f = features.addObject().put("type", "Feature");
        f.putObject("properties").put("name", name);
        f.putObject("geometry").put("type", type);
        return f;
    }

    static MapFile read(String text) {
        JsonNode root;
        try {
            LongJson.check(text, MOST_VALUES);
            root = JSON.readTree(text);
        } catch (JacksonException e) {
            throw new IllegalArgumentException(
                    "the file is no GeoJSON: "
                            + TypedNumber.shown(e.getOriginalMessage().replaceAll("\\s+", " ")),
                    e);
        }
        Reader reader = new Reader(new Gathered());
        reader.gathered.each("the file", () -> reader.object(root, Said.NOTHING));
        return reader.gathered.file();
    }

    /** Keys under which programs write a name, and what is to be read beside it. */
    private static final List<String> NAMES = List.of("name", "title", "label");

    private static final List<String> NOTES = List.of("notes", "description", "desc", "cmt", "comment");

    /** What a feature's properties say, for its geometries. */
    private record Said(String name, String notes, Map<String, String> more, JsonNode times) {
        static final Said NOTHING = new Said("", "", Map.of(), JSON.createArrayNode());

        static Said of(JsonNode properties) {
            Map<String, String> more = new LinkedHashMap<>();
            for (String key : PlaceTexts.KEYS) {
                if (properties.path(key).isString()) {
                    more.put(key, properties.path(key).asString());
                }
            }
            JsonNode times = properties.path("coordTimes");
            return new Said(
                    first(properties, NAMES),
                    QuietXml.plain(first(properties, NOTES)),
                    more,
                    times.isArray()
                            ? times
                            : properties.path("coordinateProperties").path("times"));
        }

        /** The first of some keys that is there, in any case. */
        private static String first(JsonNode properties, List<String> keys) {
            for (String key : keys) {
                for (Map.Entry<String, JsonNode> e : properties.properties()) {
                    if (e.getKey().equalsIgnoreCase(key)
                            && e.getValue().isValueNode()
                            && !e.getValue().isNull()) {
                        return e.getValue().asString("");
                    }
                }
            }
            return "";
        }
    }

    /** Gathers what an object and those inside it hold. */
    private record Reader(Gathered gathered) {
        void object(JsonNode o, Said said) {
            switch (o.path("type").asString("")) {
                case "FeatureCollection" ->
                    o.path("features").forEach(f -> {
                        Said of = Said.of(f.path("properties"));
                        gathered.each(of.name(), () -> object(f, of));
                    });
                case "Feature" -> object(o.path("geometry"), Said.of(o.path("properties")));
                case "GeometryCollection" -> o.path("geometries").forEach(g -> object(g, said));
                case "Point" -> waypoint(o.path("coordinates"), said);
                case "MultiPoint" -> o.path("coordinates").forEach(c -> waypoint(c, said));
                case "LineString" -> track(List.of(o.path("coordinates")), said);
                case "MultiLineString", "Polygon" -> track(list(o.path("coordinates")), said);
                case "MultiPolygon" -> o.path("coordinates").forEach(c -> track(list(c), said));
                default -> {
                    if (o.isMissingNode() || !o.isNull()) {
                        throw new IllegalArgumentException(
                                "type “" + TypedNumber.shown(o.path("type").asString(""))
                                        + "” is not known to GeoJSON; its types are allowed");
                    }
                }
            }
        }

        private static List<JsonNode> list(JsonNode array) {
            List<JsonNode> list = new ArrayList<>();
            array.forEach(list::add);
            return list;
        }

        private void waypoint(JsonNode c, Said said) {
            gathered.each(said.name(), () -> {
                double[] p = position(c);
                gathered.waypoint(said.name(), p[1], p[0], elevation(c), said.notes(), said.more());
            });
        }

        private void track(List<JsonNode> lines, Said said) {
            gathered.each(said.name(), () -> {
                List<List<Track.Point>> all = new ArrayList<>();
                for (int i = 0; i < lines.size(); i++) {
                    // One list for one line, or a list for each.
                    JsonNode times =
                            said.times().path(i).isArray() ? said.times().path(i) : said.times();
                    List<Track.Point> line = new ArrayList<>();
                    List<JsonNode> points = list(lines.get(i));
                    for (int k = 0; k < points.size(); k++) {
                        line.add(point(points.get(k), times.path(k)));
                    }
                    all.add(line);
                }
                gathered.track(said.name(), all);
            });
        }

        private Track.Point point(JsonNode c, JsonNode time) {
            double[] p = position(c);
            return gathered.point(
                    p[0], p[1], elevation(c), time.isString() ? Gathered.time(time.asString()) : Optional.empty());
        }

        private static OptionalDouble elevation(JsonNode c) {
            return c.size() > 2 && c.get(2).isNumber()
                    ? OptionalDouble.of(c.get(2).asDouble())
                    : OptionalDouble.empty();
        }

        private static double[] position(JsonNode c) {
            if (!c.isArray()
                    || c.size() < 2
                    || !c.get(0).isNumber()
                    || !c.get(1).isNumber()) {
                throw new IllegalArgumentException("a position in the GeoJSON, " + TypedNumber.shown(c.toString())
                        + ", is not longitude and latitude; two numbers or three are allowed");
            }
            return new double[] {c.get(0).asDouble(), c.get(1).asDouble()};
        }
    }
}
