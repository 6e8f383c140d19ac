package org.halfdusk.web.exchange;

import java.util.ArrayList;
import java.util.List;
import org.halfdusk.place.Track;
import org.halfdusk.typed.TypedNumber;
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
        ArrayNode features = root.putArray("features");
        for (MapFile.Waypoint w : file.waypoints()) {
            ObjectNode f = feature(features, w.name(), "Point");
            ((ObjectNode) f.get("properties")).put("notes", w.notes());
            ((ObjectNode) f.get("geometry"))
                    .putArray("coordinates")
                    .add(w.position().longitudeDegrees())
                    .add(w.position().latitudeDegrees())
                    .add(w.position().elevationMetres());
        }
        for (Track t : file.tracks()) {
            ObjectNode f = feature(features, t.name(), "MultiLineString");
            ArrayNode lines = ((ObjectNode) f.get("geometry")).putArray("coordinates");
            for (List<Track.Point> line : t.lines()) {
                ArrayNode points = lines.addArray();
                line.forEach(p -> points.addArray().add(p.longitudeDegrees()).add(p.latitudeDegrees()));
            }
        }
        return JSON.writerWithDefaultPrettyPrinter().writeValueAsBytes(root);
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
        reader.object(root, "", "");
        return reader.gathered.file();
    }

    /** Gathers what an object and those inside it hold. */
    private record Reader(Gathered gathered) {
        void object(JsonNode o, String name, String notes) {
            switch (o.path("type").asString("")) {
                case "FeatureCollection" -> o.path("features").forEach(f -> object(f, "", ""));
                case "Feature" -> {
                    JsonNode p = o.path("properties");
                    object(
                            o.path("geometry"),
                            p.path("name").asString(p.path("title").asString("")),
                            p.path("notes").asString(p.path("description").asString("")));
                }
                case "GeometryCollection" -> o.path("geometries").forEach(g -> object(g, name, notes));
                case "Point" -> waypoint(o.path("coordinates"), name, notes);
                case "MultiPoint" -> o.path("coordinates").forEach(c -> waypoint(c, name, notes));
                case "LineString" -> track(name, List.of(o.path("coordinates")));
                case "MultiLineString", "Polygon" -> track(name, list(o.path("coordinates")));
                case "MultiPolygon" -> o.path("coordinates").forEach(c -> track(name, list(c)));
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

        private void waypoint(JsonNode c, String name, String notes) {
            double[] p = position(c);
            gathered.waypoint(name, p[1], p[0], c.size() > 2 ? c.get(2).asDouble(0) : 0, notes);
        }

        private void track(String name, List<JsonNode> lines) {
            gathered.track(
                    name,
                    lines.stream()
                            .map(l -> list(l).stream().map(this::point).toList())
                            .toList());
        }

        private Track.Point point(JsonNode c) {
            double[] p = position(c);
            return gathered.point(p[0], p[1]);
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
