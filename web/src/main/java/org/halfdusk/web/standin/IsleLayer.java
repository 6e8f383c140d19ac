package org.halfdusk.web.standin;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import org.halfdusk.store.Facts;
import org.halfdusk.web.map.MapLayer;
import org.halfdusk.web.map.picture.MapShapes;
import org.springframework.stereotype.Component;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** The made-up isle on the map, once the demo's world has been sown. */
@Component
class IsleLayer implements MapLayer {
    private final Facts facts;

    IsleLayer(Facts facts) {
        this.facts = facts;
    }

    private static final class Holder {
        static final MapShapes ISLE = read();
    }

    @Override
    public MapShapes shapes() {
        return facts.get(DemoWorld.SOWN).isPresent() ? Holder.ISLE : MapShapes.NONE;
    }

    private static MapShapes read() {
        try (InputStream in = IsleLayer.class.getResourceAsStream("vesper-isle.geojson")) {
            List<MapShapes.Feature> features = new ArrayList<>();
            for (JsonNode f : JsonMapper.builder().build().readTree(in).path("features")) {
                features.add(feature(f));
            }
            return new MapShapes(features);
        } catch (IOException e) {
            throw new UncheckedIOException("the isle's map cannot be read", e);
        }
    }

    private static MapShapes.Feature feature(JsonNode f) {
        JsonNode coordinates = f.path("geometry").path("coordinates");
        List<double[][]> lines = new ArrayList<>();
        switch (f.path("geometry").path("type").asString()) {
            case "Point" -> lines.add(new double[][] {point(coordinates)});
            case "LineString" -> lines.add(line(coordinates));
            default -> coordinates.forEach(c -> lines.add(line(c)));
        }
        String kind = f.path("properties").path("kind").asString();
        int least = switch (kind) {
            case "land" -> 6;
            case "name" -> 11;
            default -> 12;
        };
        return new MapShapes.Feature(kind, f.path("properties").path("name").asString(""), lines, least);
    }

    private static double[][] line(JsonNode coordinates) {
        double[][] line = new double[coordinates.size()][];
        for (int i = 0; i < line.length; i++) {
            line[i] = point(coordinates.get(i));
        }
        return line;
    }

    private static double[] point(JsonNode p) {
        return new double[] {p.get(0).asDouble(), p.get(1).asDouble()};
    }
}
