package org.halfdusk.web.map.picture;

import java.util.ArrayList;
import java.util.List;

/** Lines and outlines that are drawn over the coasts: an isle of the demo, tracks of the user. */
public record MapShapes(List<Feature> features) {
    public static final MapShapes NONE = new MapShapes(List.of());

    /**
     * @param kind land, sand, height, road, track, path, centre, terminator …, or name for a point with a name
     * @param lines longitude and latitude
     * @param least zoom from which it shows
     */
    public record Feature(String kind, String name, List<double[][]> lines, int least) {}

    record Shape(String kind, String path, String name) {
        /** Whether it lies under everything, a map of the user's too. */
        boolean ground() {
            return kind.equals("land") || kind.equals("sand");
        }
    }

    public MapShapes and(MapShapes other) {
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
                for (int turn = -360; turn <= 360; turn += 360) {
                    if (touches(v, line, turn)) {
                        line(path, v, line, turn);
                    }
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

    /** Whether the box about it meets the sheet: a long line can cross it without a point on it. */
    private static boolean touches(MapView v, double[][] line, int turn) {
        double left = Double.POSITIVE_INFINITY;
        double right = Double.NEGATIVE_INFINITY;
        double top = Double.POSITIVE_INFINITY;
        double foot = Double.NEGATIVE_INFINITY;
        for (double[] p : line) {
            double x = v.flatX(p[0] + turn);
            double y = v.y(p[1]);
            left = Math.min(left, x);
            right = Math.max(right, x);
            top = Math.min(top, y);
            foot = Math.max(foot, y);
        }
        return v.meets(left, right, top, foot);
    }

    /** Longitudes that go on over the antimeridian, so that a line does not tear there: latitude and longitude in, turned about out. */
    public static double[][] continued(List<double[]> line) {
        double[][] on = new double[line.size()][];
        double last = line.isEmpty() ? 0 : line.get(0)[1];
        for (int i = 0; i < on.length; i++) {
            last += Math.IEEEremainder(line.get(i)[1] - last, 360);
            on[i] = new double[] {last, line.get(i)[0]};
        }
        return on;
    }

    List<MapNames.Spot> names(MapView v) {
        List<MapNames.Spot> names = new ArrayList<>();
        for (Feature f : features) {
            if (f.kind().equals("name") && v.zoom() >= f.least()) {
                double[] p = f.lines().get(0)[0];
                if (v.holds(v.flatX(p[0]), v.y(p[1]), 0)) {
                    names.add(new MapNames.Spot(v.flatX(p[0]), v.y(p[1]), f.name(), "", 0, "name"));
                }
            }
        }
        return names;
    }
}
