package org.halfdusk.light.sources;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.DoubleSupplier;
import org.halfdusk.angle.Vector;
import org.halfdusk.numeric.Nodes;
import org.halfdusk.photometry.Magnitudes;
import org.halfdusk.place.Observer;
import org.halfdusk.place.geodesy.GreatCircle;
import org.halfdusk.place.towns.Gazetteer;
import org.halfdusk.place.towns.Settlements;
import org.halfdusk.place.towns.Town;

/**
 * What all towns around a place add to its sky, in every direction: {@link TownLight} over all places of 1,000 people and more
 * within 300 km, each as a disc of its built-up area.
 *
 * <ol>
 *   <li>What one lumen adds to the sky goes by distance, altitude, steps to the side and height over the lamps alone: it is
 *       computed once for {@value #SIDES} directions at nineteen distances, twelve altitudes and five heights. To the side it is computed
 *       close together where it falls fast, and follows its logarithm between.
 *   <li>A town's lumens go by its people ({@link TownLight#lumens}), its disc by a density that grows with size†. A far one is
 *       a point; one nearer than {@value #NEAR_RADII} radii is laid out as points of equal area, none nearer to the eye than its own
 *       piece reaches.
 *   <li>Lumens are gathered into cells of direction and distance, shared between the four that they lie between, so that
 *       nothing leaps as the place moves. Light falls off as a power of the distance: the shares between two distances are
 *       weighed by it. Over the last fifth of the 300 km all fade out, so that no city appears at a step.
 *   <li>The sky of a place is each cell times its table, turned to its direction, between the two tables about its height over
 *       the towns within 60 km. Asked for a direction, it is taken between the four nearest nodes.
 * </ol>
 */
public final class TownGlow {
    /** Beyond it a city of ten millions adds less than a thousandth to the natural sky. */
    public static final double FARTHEST_KM = 300;

    private static final double[] DISTANCES = {
        0, 0.5, 1, 1.6, 2.4, 3.5, 5, 7, 10, 14, 20, 28, 40, 56, 80, 112, 156, 220, FARTHEST_KM
    };
    private static final double[] ALTITUDES = {0, 2, 4, 7, 11, 16, 23, 32, 45, 60, 75, 90};
    private static final int AT_45 = Arrays.binarySearch(ALTITUDES, 45);
    private static final int SIDES = 72;
    private static final double SIDE_DEGREES = 360.0 / SIDES;

    /** Steps to the side that are computed. */
    private static final int[] COMPUTED = {0, 1, 2, 3, 5, 8, 12, 18, 26, SIDES / 2};

    /** Heights over the lamps that are tabulated, km. */
    private static final double[] HEIGHTS = {0, 0.4, 1, 2, 4};

    /** How the light falls off over the middle distances, for sharing people out between two. */
    private static final double FALL = -2.5;

    /** People per km² of a town of ten thousand, and the power by which larger ones are denser†: 7 km about a million. */
    private static final double PEOPLE_PER_KM2 = 3000;

    private static final double DENSER = 0.15;

    /** A disc is laid out as points when it is nearer than so many of its radii. */
    private static final double NEAR_RADII = 12;

    /** From the middle of an even disc its light comes as if from this share of its radius. */
    private static final double MIDDLE = 0.67;

    /** Rings of a disc, each with six times its number of points more. */
    private static final int RINGS = 5;

    private static final double FACTOR = 1 / Magnitudes.ZERO_POINT_CD_PER_M2;

    private static final ConcurrentHashMap<Integer, double[][][]> TABLES = new ConcurrentHashMap<>();

    /** Flux by altitude, then direction, in units of magnitude 0 per arcsec². */
    private final double[][] flux;

    private final double heightKm;

    private TownGlow(double[][] flux, double heightKm) {
        this.flux = flux;
        this.heightKm = heightKm;
    }

    /** By distance, altitude and steps to the side, of one lumen, for a tabulated height. */
    private static double[][][] table(int height) {
        return TABLES.computeIfAbsent(height, h -> computed(HEIGHTS[h]));
    }

    /** The same anew for any height, km. */
    static double[][][] computed(double height) {
        double[][][] table = new double[DISTANCES.length][ALTITUDES.length][SIDES / 2 + 1];
        for (int d = 0; d < DISTANCES.length; d++) {
            for (int a = 0; a < ALTITUDES.length; a++) {
                row(table[d][a], DISTANCES[d], ALTITUDES[a], height);
            }
        }
        return table;
    }

    /** Computed at some steps to the side, close together where it falls fast; between them by its logarithm. */
    private static void row(double[] row, double km, double altitude, double height) {
        for (int k = 0; k < COMPUTED.length; k++) {
            int to = COMPUTED[k];
            row[to] = Math.max(1e-30, FACTOR * TownLight.luminance(km, altitude, to * SIDE_DEGREES, height));
            int from = k == 0 ? to : COMPUTED[k - 1];
            for (int s = from + 1; s < to; s++) {
                row[s] = row[from] * Math.pow(row[to] / row[from], (double) (s - from) / (to - from));
            }
        }
    }

    /** Of all towns that shine as far as a place. */
    public static TownGlow of(Observer observer) {
        double height = heightOver(observer);
        double[][] lumens = lumens(observer);
        int upper = Nodes.upper(HEIGHTS, height);
        double share = Math.max(0, Math.min(1, Nodes.share(HEIGHTS, upper, height)));
        double[][] flux = new double[ALTITUDES.length][SIDES];
        add(flux, lumens, table(upper - 1), 1 - share);
        add(flux, lumens, table(upper), share);
        return new TownGlow(flux, height);
    }

    private static void add(double[][] flux, double[][] lumens, double[][][] table, double share) {
        if (share == 0) {
            return;
        }
        for (int d = 0; d < DISTANCES.length; d++) {
            for (int from = 0; from < SIDES; from++) {
                double p = lumens[d][from] * share;
                if (p == 0) {
                    continue;
                }
                for (int a = 0; a < ALTITUDES.length; a++) {
                    double[] sides = table[d][a];
                    for (int to = 0; to < SIDES; to++) {
                        int apart = Math.abs(to - from);
                        flux[a][to] += p * sides[Math.min(apart, SIDES - apart)];
                    }
                }
            }
        }
    }

    /** Lumens by distance and direction. */
    private static double[][] lumens(Observer o) {
        double[][] cells = new double[DISTANCES.length][SIDES];
        double lat = o.latitudeDegrees();
        double lon = o.longitudeDegrees();
        Settlements.instance().near(lat, lon, FARTHEST_KM, (i, tLat, tLon, people) -> {
            double km = GreatCircle.distanceKm(lat, lon, tLat, tLon);
            double bearing = GreatCircle.bearingDegrees(lat, lon, tLat, tLon);
            double radius = radiusKm(people);
            double lamps = TownLight.lumens(people);
            if (km > NEAR_RADII * radius) {
                share(cells, km, bearing, lamps);
            } else {
                spread(km, bearing, radius, lamps, (away, towards, part) -> share(cells, away, towards, part));
            }
        });
        return cells;
    }

    /** A point of a disc: how far off and where it lies, and its part of the light. */
    @FunctionalInterface
    private interface Lamp {
        void at(double km, double bearing, double lumens);
    }

    /** An even disc as points of equal area: one in the middle, six around it, twelve and so on. */
    private static void spread(double km, double bearing, double radius, double lumens, Lamp lamp) {
        int points = 1 + 3 * RINGS * (RINGS + 1);
        double x = km * Math.cos(Math.toRadians(bearing));
        double y = km * Math.sin(Math.toRadians(bearing));
        // A point stands for a piece of the disc: one is never nearer to it than to the middle of its people.
        double piece = MIDDLE * radius / Math.sqrt(points);
        lamp.at(Math.hypot(km, piece), bearing, lumens / points);
        for (int ring = 1; ring <= RINGS; ring++) {
            double r = radius * ring / (RINGS + 0.5);
            for (int i = 0; i < 6 * ring; i++) {
                double a = 2 * Math.PI * i / (6 * ring);
                double px = x + r * Math.cos(a);
                double py = y + r * Math.sin(a);
                double towards = Math.toDegrees(Math.atan2(py, px));
                lamp.at(Math.hypot(Math.hypot(px, py), piece), towards, lumens / points);
            }
        }
    }

    /** Shares light out between the two distances and two directions that they lie between. */
    private static void share(double[][] cells, double km, double bearing, double lumens) {
        if (km >= FARTHEST_KM) {
            return;
        }
        int far = Nodes.upper(DISTANCES, km);
        double near = DISTANCES[far - 1];
        double t = Nodes.share(DISTANCES, far, km);
        // The light falls off as a power of the distance: a straight mixture of two would be too much between them.
        double mixed = near < 1 ? 1 : (1 - t) * Math.pow(near / km, FALL) + t * Math.pow(DISTANCES[far] / km, FALL);
        double p = lumens / mixed * fade(km);
        double at = Math.floorMod(Math.round(bearing * 1e6), 360_000_000L) / 1e6 / SIDE_DEGREES;
        int left = (int) Math.floor(at) % SIDES;
        double right = at - Math.floor(at);
        int next = (left + 1) % SIDES;
        cells[far - 1][left] += p * (1 - t) * (1 - right);
        cells[far - 1][next] += p * (1 - t) * right;
        cells[far][left] += p * t * (1 - right);
        cells[far][next] += p * t * right;
    }

    /** Steps of a table by the root of the distance: a hundredth of a kilometre apart at 0.1 km, 0.3 km at 100. */
    private static final int OVERHEAD_STEPS = 2000;

    private static final class Overhead {
        static final double[] BY_ROOT = new double[OVERHEAD_STEPS + 2];

        static {
            double[][][] lamps = table(0);
            int zenith = ALTITUDES.length - 1;
            for (int i = 0; i < OVERHEAD_STEPS; i++) {
                double root = (double) i / OVERHEAD_STEPS;
                double km = root * root * FARTHEST_KM;
                double[][] cells = new double[DISTANCES.length][SIDES];
                share(cells, km, 0, 1);
                for (int d = 0; d < DISTANCES.length; d++) {
                    BY_ROOT[i] += cells[d][0] * lamps[d][zenith][0];
                }
            }
        }

        static double at(double km) {
            if (km >= FARTHEST_KM) {
                return 0;
            }
            double at = Math.sqrt(km / FARTHEST_KM) * OVERHEAD_STEPS;
            int i = (int) at;
            return BY_ROOT[i] + (at - i) * (BY_ROOT[i + 1] - BY_ROOT[i]);
        }
    }

    /**
     * Flux at the zenith of a town of so many people at a distance, seen from the height of its lamps: what {@link #zenith()} adds up,
     * for one town.
     *
     * @param km to its middle, 0 and more; 0 comes out beyond 300
     * @param bearing asked for where it is near enough to be laid out, degrees
     */
    public static double overhead(int people, double km, DoubleSupplier bearing) {
        double radius = radiusKm(people);
        double lumens = TownLight.lumens(people);
        if (km > NEAR_RADII * radius) {
            return lumens * Overhead.at(km);
        }
        double[] sum = {0};
        spread(km, bearing.getAsDouble(), radius, lumens, (away, towards, part) -> sum[0] += part * Overhead.at(away));
        return sum[0];
    }

    /** The last fifth of the way fades out, so that no city appears at a step. */
    private static double fade(double km) {
        return Math.min(1, (FARTHEST_KM - km) / (0.2 * FARTHEST_KM));
    }

    /** Radius of a built-up area, km. */
    static double radiusKm(double people) {
        return Math.sqrt(people / (Math.PI * PEOPLE_PER_KM2 * Math.pow(people / 10_000, DENSER)));
    }

    /** Flux in a direction (north, east, up); below the horizon as at it. */
    public double flux(Vector direction) {
        double altitude = Math.max(0, Math.toDegrees(direction.latitudeRad()));
        int a = Nodes.upper(ALTITUDES, altitude);
        double up = Nodes.share(ALTITUDES, a, altitude);
        double at = (Math.toDegrees(Math.atan2(direction.y(), direction.x())) + 360) / SIDE_DEGREES;
        int left = (int) Math.floor(at);
        double right = at - left;
        return (1 - up) * between(flux[a - 1], left, right) + up * between(flux[a], left, right);
    }

    private static double between(double[] row, int left, double right) {
        return row[left % SIDES] * (1 - right) + row[(left + 1) % SIDES] * right;
    }

    /** @return flux overhead of all settlements together, in units of magnitude 0 per square arcsecond, 0 or more */
    public double zenith() {
        return flux[ALTITUDES.length - 1][0];
    }

    /** Flux of a town of so many people towards it at an altitude. */
    public double flux(double people, double km, double altitudeDegrees) {
        double away = Math.hypot(km, MIDDLE * radiusKm(people));
        return FACTOR * TownLight.lumens(people) * TownLight.luminance(away, altitudeDegrees, 0, heightKm);
    }

    /** The distance at which a town of so many people gives a flux at 45° towards it, km; 0 where it never does. */
    public static double reachKm(int people, double flux) {
        double[][][] overhead = table(0);
        double lumens = TownLight.lumens(people);
        // It falls with every step of distance: the last at which it still gives as much is found by halving.
        int near = 0;
        int beyond = DISTANCES.length - 1;
        if (lumens * overhead[near][AT_45][0] < flux) {
            return 0;
        }
        while (beyond - near > 1) {
            int middle = (near + beyond) / 2;
            boolean enough = lumens * overhead[middle][AT_45][0] >= flux;
            near = enough ? middle : near;
            beyond = enough ? beyond : middle;
        }
        double here = lumens * overhead[near][AT_45][0];
        double there = lumens * overhead[beyond][AT_45][0];
        double share = Math.log(here / flux) / Math.log(here / there);
        return near == 0
                ? share * DISTANCES[beyond]
                : DISTANCES[near] * Math.pow(DISTANCES[beyond] / DISTANCES[near], Math.min(1, share));
    }

    /** The places that matter most here, by a simple law of distance; the largest share first. */
    public static List<Integer> foremost(Observer o, int most) {
        double lat = o.latitudeDegrees();
        double lon = o.longitudeDegrees();
        record Weighed(int index, double weight) {}
        List<Weighed> all = new ArrayList<>();
        Settlements.instance().near(lat, lon, FARTHEST_KM, (i, tLat, tLon, people) -> {
            double km = Math.hypot(GreatCircle.distanceKm(lat, lon, tLat, tLon), MIDDLE * radiusKm(people));
            if (km < FARTHEST_KM) {
                all.add(new Weighed(i, TownLight.lumens(people) * Math.pow(km, FALL)));
            }
        });
        return all.stream()
                .sorted(Comparator.comparingDouble(Weighed::weight).reversed())
                .limit(most)
                .map(Weighed::index)
                .toList();
    }

    /** How high a place stands over the lamps around it, km: over the mean of towns within 60 km, near ones counting most. */
    private static double heightOver(Observer o) {
        double sum = 0;
        double weights = 0;
        for (Town t : Gazetteer.instance().within(o.latitudeDegrees(), o.longitudeDegrees(), 60)) {
            double km = t.distanceKm(o.latitudeDegrees(), o.longitudeDegrees());
            double w = t.population() * (1 - km / 60) / (4 + km * km);
            sum += w * t.elevationMetres();
            weights += w;
        }
        double lamps = weights > 0 ? sum / weights : 0;
        return Math.max(0, Math.min(4, (o.elevationMetres() - lamps) / 1000));
    }
}
