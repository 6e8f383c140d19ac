package org.halfdusk.web.exchange;

import java.util.ArrayList;
import java.util.List;
import org.halfdusk.place.Observer;
import org.halfdusk.place.Track;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** GeoJSON (RFC 7946): points become places, lines and outlines become tracks. */
public final class GeoJsonFile {
    private static final JsonMapper JSON = JsonMapper.builder().build();

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
            root = JSON.readTree(text);
        } catch (JacksonException e) {
            throw new IllegalArgumentException("the file is no GeoJSON: " + e.getOriginalMessage(), e);
        }
        Reader reader = new Reader(new ArrayList<>(), new ArrayList<>());
        reader.object(root, "", "");
        return new MapFile(reader.waypoints, reader.tracks);
    }

    /** Gathers what an object and those inside it hold. */
    private record Reader(List<MapFile.Waypoint> waypoints, List<Track> tracks) {
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
                                "type “" + o.path("type").asString("") + "” is not known to GeoJSON");
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
            Track.Point p = point(c);
            double elevation = c.size() > 2 ? c.get(2).asDouble(0) : 0;
            waypoints.add(new MapFile.Waypoint(
                    MapFile.shortened(name, 120, "Point " + (waypoints.size() + 1)),
                    Observer.of(p.latitudeDegrees(), p.longitudeDegrees(), MapFile.elevation(elevation)),
                    notes));
        }

        private void track(String name, List<JsonNode> lines) {
            List<List<Track.Point>> points = lines.stream()
                    .map(l -> list(l).stream().map(Reader::point).toList())
                    .filter(l -> l.size() > 1)
                    .toList();
            if (!points.isEmpty()) {
                tracks.add(new Track(MapFile.shortened(name, 200, "Track " + (tracks.size() + 1)), points));
            }
        }

        private static Track.Point point(JsonNode c) {
            if (!c.isArray()
                    || c.size() < 2
                    || !c.get(0).isNumber()
                    || !c.get(1).isNumber()) {
                throw new IllegalArgumentException(
                        "a position in the GeoJSON, " + c + ", is not longitude and latitude");
            }
            return new Track.Point(c.get(0).asDouble(), c.get(1).asDouble());
        }
    }
}
