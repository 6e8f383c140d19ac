package org.halfdusk.web.map;

import java.util.ArrayList;
import java.util.List;

/** Lines and outlines that are drawn over the coasts: an isle of the demo, tracks of the user. */
public record MapShapes(List<Feature> features) {
    public static final MapShapes NONE = new MapShapes(List.of());

    /**
     * @param kind land, sand, height, road, track, or name for a point with a name
     * @param lines longitude and latitude
     * @param least zoom from which it shows
     */
    public record Feature(String kind, String name, List<double[][]> lines, int least) {}

    record Shape(String kind, String path, String name) {}

    MapShapes and(MapShapes other) {
        List<Feature> all = new ArrayList<>(features);
        all.addAll(other.features());
        return new MapShapes(all);
    }

    List<Shape> shapes(MapView v) {
        List<Shape> shapes = new ArrayList<>();
        for (Feature f : features) {
            if (f.kind().equals("name") || v.zoom() < f.least()) {
                continue;
            }
            StringBuilder path = new StringBuilder();
            for (double[][] line : f.lines()) {
                if (touches(v, line)) {
                    line(path, v, line, 0);
                }
            }
            if (path.length() > 0) {
                shapes.add(new Shape(f.kind(), path.toString(), f.name()));
            }
        }
        return shapes;
    }

    /** Adds a line of longitudes and latitudes, so many degrees round the world. */
    static void line(StringBuilder path, MapView v, double[][] line, int turn) {
        for (int i = 0; i < line.length; i++) {
            path.append(i == 0 ? "M" : "L").append(v.point(line[i][0] + turn, line[i][1]));
        }
    }

    private static boolean touches(MapView v, double[][] line) {
        for (double[] p : line) {
            if (v.holds(v.flatX(p[0]), v.y(p[1]), MapView.WIDTH)) {
                return true;
            }
        }
        return false;
    }

    List<MapPicture.Spot> names(MapView v) {
        List<MapPicture.Spot> names = new ArrayList<>();
        for (Feature f : features) {
            if (f.kind().equals("name") && v.zoom() >= f.least()) {
                double[] p = f.lines().get(0)[0];
                if (v.holds(v.flatX(p[0]), v.y(p[1]), 0)) {
                    names.add(new MapPicture.Spot(v.flatX(p[0]), v.y(p[1]), f.name(), "name"));
                }
            }
        }
        return names;
    }
}
