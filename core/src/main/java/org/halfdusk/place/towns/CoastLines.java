package org.halfdusk.place.towns;

import java.util.ArrayList;
import java.util.List;
import org.halfdusk.shipped.Shipped;

/**
 * The world's land in outline (Natural Earth), read on first use: 1:110 million for the whole world, where islands under some
 * 20 km are absent, and 1:10 million for closer views, whose points stand on a grid of 0.0036° by 0.0017° (400 m by 190 m).
 */
public final class CoastLines {
    private CoastLines() {}

    private static final class Coarse {
        static final List<Ring> RINGS = coarse();
    }

    private static final class Fine {
        static final List<Ring> RINGS = fine();
    }

    /**
     * A closed ring; a ring within another is a lake in it.
     *
     * @param longitudes degrees, as many as latitudes
     * @param west and east, south, north: how far it reaches
     */
    public record Ring(float[] longitudes, float[] latitudes, double west, double east, double south, double north) {
        /** From pairs of degrees, as many of each. */
        public static Ring of(float[] longitudes, float[] latitudes) {
            double west = 180;
            double east = -180;
            double south = 90;
            double north = -90;
            for (int i = 0; i < longitudes.length; i++) {
                west = Math.min(west, longitudes[i]);
                east = Math.max(east, longitudes[i]);
                south = Math.min(south, latitudes[i]);
                north = Math.max(north, latitudes[i]);
            }
            return new Ring(longitudes, latitudes, west, east, south, north);
        }

        /** Whether a point lies inside, by the crossings of its parallel east of it. */
        public boolean holds(double latitude, double longitude) {
            if (latitude < south || latitude > north || longitude < west || longitude > east) {
                return false;
            }
            boolean inside = false;
            int n = longitudes.length;
            for (int i = 0, j = n - 1; i < n; j = i++) {
                inside ^= crosses(latitude, longitude, i, j);
            }
            return inside;
        }

        /** Whether the edge between two points crosses a parallel east of a longitude. */
        private boolean crosses(double latitude, double longitude, int i, int j) {
            return latitudes[i] > latitude != latitudes[j] > latitude
                    && longitude
                            < longitudes[i]
                                    + (longitudes[j] - longitudes[i])
                                            * (latitude - latitudes[i])
                                            / (latitudes[j] - latitudes[i]);
        }
    }

    /** For views of the world and of continents. */
    public static List<Ring> rings() {
        return Coarse.RINGS;
    }

    /** For closer views: 4,049 rings with 408,901 points. */
    public static List<Ring> closer() {
        return Fine.RINGS;
    }

    /**
     * Whether a point lies on land, by the closer outlines.
     *
     * @param latitude degrees, −90 to 90
     * @param longitude degrees, −180 to 180
     */
    public static boolean land(double latitude, double longitude) {
        return Bands.INSTANCE.land(latitude, longitude);
    }

    /**
     * The closer outlines' edges by the parallels that they cross, in bands of a quarter of a degree, so that a point is held against some
     * hundreds of them and not against whole continents. All rings are counted together: a lake's crossings undo those of its land.
     */
    private static final class Bands {
        static final Bands INSTANCE = new Bands(closer());

        private static final double PER_DEGREE = 4;
        private static final int ALL = (int) (180 * PER_DEGREE) + 1;

        /** A ring's number and a point's number in it, one int an edge: the edge leads from the point before to this one. */
        private static final int POINT_BITS = 19;

        private final List<Ring> rings;
        private final int[][] edges = new int[ALL][];

        Bands(List<Ring> rings) {
            this.rings = rings;
            int[] count = new int[ALL];
            each((band, edge) -> count[band]++);
            for (int b = 0; b < ALL; b++) {
                edges[b] = new int[count[b]];
            }
            each((band, edge) -> edges[band][--count[band]] = edge);
        }

        private interface Visitor {
            void edge(int band, int edge);
        }

        private void each(Visitor visitor) {
            for (int r = 0; r < rings.size(); r++) {
                float[] latitudes = rings.get(r).latitudes();
                for (int i = 0, j = latitudes.length - 1; i < latitudes.length; j = i++) {
                    int from = band(Math.min(latitudes[i], latitudes[j]));
                    int to = band(Math.max(latitudes[i], latitudes[j]));
                    for (int band = from; band <= to; band++) {
                        visitor.edge(band, r << POINT_BITS | i);
                    }
                }
            }
        }

        private static int band(double latitude) {
            return Math.max(0, Math.min(ALL - 1, (int) ((latitude + 90) * PER_DEGREE)));
        }

        boolean land(double latitude, double longitude) {
            boolean land = false;
            for (int edge : edges[band(latitude)]) {
                Ring ring = rings.get(edge >>> POINT_BITS);
                int i = edge & (1 << POINT_BITS) - 1;
                land ^= ring.crosses(latitude, longitude, i, i == 0 ? ring.latitudes.length - 1 : i - 1);
            }
            return land;
        }
    }

    private static List<Ring> coarse() {
        return Shipped.lines(CoastLines.class, "land.txt", "the list of coast lines").stream()
                .map(CoastLines::ring)
                .toList();
    }

    private static Ring ring(String line) {
        String[] points = line.split(" ");
        float[] longitudes = new float[points.length];
        float[] latitudes = new float[points.length];
        for (int i = 0; i < points.length; i++) {
            int comma = points[i].indexOf(',');
            longitudes[i] = Integer.parseInt(points[i].substring(0, comma)) / 100f;
            latitudes[i] = Integer.parseInt(points[i].substring(comma + 1)) / 100f;
        }
        return Ring.of(longitudes, latitudes);
    }

    /** Steps of the grid on which the closer outlines were drawn, and its corner, degrees. */
    private static final double STEP_EAST = 0.0036000360003600037;

    private static final double STEP_NORTH = 0.0016885772698826986;
    private static final double WEST = -180;
    private static final double SOUTH = -85.22193775799991;

    /** Packed: the number of rings, then of each the number of points and, from one to the next, steps east and north. */
    private static List<Ring> fine() {
        Packed packed = Packed.open(CoastLines.class, "land-fine.bin.gz", "the closer coast lines");
        int count = packed.next();
        List<Ring> rings = new ArrayList<>(count);
        for (int i = 0; i < count; i++) {
            rings.add(ring(packed));
        }
        return List.copyOf(rings);
    }

    private static Ring ring(Packed packed) {
        int points = packed.next();
        float[] longitudes = new float[points];
        float[] latitudes = new float[points];
        int x = 0;
        int y = 0;
        for (int i = 0; i < points; i++) {
            x += packed.next();
            y += packed.next();
            longitudes[i] = (float) (WEST + x * STEP_EAST);
            latitudes[i] = (float) (SOUTH + y * STEP_NORTH);
        }
        return Ring.of(longitudes, latitudes);
    }
}
