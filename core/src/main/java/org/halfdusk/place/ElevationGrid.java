package org.halfdusk.place;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * Heights of land on a grid of latitude and longitude, and the skyline that follows from them.
 *
 * @param west longitude of the lowest left cell's centre, degrees; south its latitude
 * @param cellDegrees from centre to centre
 * @param metres by row from the south, then by column from the west; NaN where nothing is known
 */
public record ElevationGrid(double west, double south, double cellDegrees, float[][] metres) {
    /** Cells of one grid: 4,000 by 4,000 are 64 MB. */
    public static final int MOST_CELLS = 4_000_000;

    /** Farther land seldom shows over what stands nearer, km. */
    private static final double FARTHEST_KM = 80;

    /** Directions looked into, a tenth of a degree apart: 140 m at the farthest. */
    private static final int RAYS = 3600;

    /** Points of the skyline, half a degree apart, each the highest of the rays about it, so that no narrow peak is missed. */
    private static final int RAYS_PER_POINT = 5;

    private static final double NEAREST_KM = 0.05;

    /** Height between the four centres around a point, bilinear, m; NaN outside or where nothing is known. */
    public double at(double latitude, double longitude) {
        double x = (longitude - west) / cellDegrees;
        double y = (latitude - south) / cellDegrees;
        int column = (int) Math.floor(x);
        int row = (int) Math.floor(y);
        if (!(row >= 0 && column >= 0 && row + 1 < metres.length && column + 1 < metres[0].length)) {
            return Double.NaN;
        }
        double across = x - column;
        double up = y - row;
        double lower = metres[row][column] * (1 - across) + metres[row][column + 1] * across;
        double upper = metres[row + 1][column] * (1 - across) + metres[row + 1][column + 1] * across;
        return lower * (1 - up) + upper * up;
    }

    /**
     * The skyline of a point, half a degree apart: of every direction the land that stands highest, the earth's curve counted.
     * Land that the grid does not have, a lake or a strait without heights, counts as sea level; what lies behind it counts.
     *
     * @throws IllegalArgumentException where the point lies outside the grid
     */
    public Skyline skyline(Observer from) {
        double ground = at(from.latitudeDegrees(), from.longitudeDegrees());
        if (Double.isNaN(ground)) {
            throw new IllegalArgumentException("the grid does not hold this place; it spans latitude " + south + "° to "
                    + (south + (metres.length - 1) * cellDegrees) + "° and longitude " + west + "° to "
                    + (west + (metres[0].length - 1) * cellDegrees) + "°");
        }
        double eye = Math.max(ground, from.elevationMetres()) + ForegroundObject.EYE_METRES;
        double[] highest = highest(from, eye);
        // The sea behind it, as far as the eye's height lets it show.
        double sea = LineOfSight.seaHorizonDegrees(eye);
        List<Skyline.Point> points = new ArrayList<>();
        for (int i = 0; i < RAYS; i += RAYS_PER_POINT) {
            double top = sea;
            for (int k = -RAYS_PER_POINT / 2; k <= RAYS_PER_POINT / 2; k++) {
                top = Math.max(top, highest[Math.floorMod(i + k, RAYS)]);
            }
            double rounded = Math.round(100 * top) / 100.0;
            points.add(new Skyline.Point(i * 360.0 / RAYS, Math.max(-10, Math.min(85, rounded))));
        }
        return new Skyline(points);
    }

    /** The highest land of each ray, ring by ring outwards; near rings need fewer rays for the grid's cells. */
    private double[] highest(Observer from, double eye) {
        double[] highest = new double[RAYS];
        Arrays.fill(highest, Double.NEGATIVE_INFINITY);
        double cellKm = cellDegrees * 111.2;
        double step = Math.max(0.03, cellKm / 2);
        for (double km = Math.max(NEAREST_KM, step); km <= FARTHEST_KM; km += Math.max(step, km * 0.005)) {
            int stride = stride(cellKm / 2 / (2 * Math.PI * km / RAYS));
            for (int ray = 0; ray < RAYS; ray += stride) {
                double[] there = GreatCircle.destination(
                        from.latitudeDegrees(), from.longitudeDegrees(), ray * 360.0 / RAYS, km);
                double land = at(there[0], there[1]);
                if (!Double.isNaN(land)) {
                    double altitude = LineOfSight.altitudeDegrees(land - eye, km * 1000);
                    for (int k = ray - (stride - 1) / 2; k <= ray + stride / 2; k++) {
                        int i = Math.floorMod(k, RAYS);
                        highest[i] = Math.max(highest[i], altitude);
                    }
                }
            }
        }
        return highest;
    }

    /** The largest number of rays up to a wish that divides a degree's ten, so that rings close. */
    private static int stride(double wished) {
        for (int stride : new int[] {10, 5, 2}) {
            if (wished >= stride) {
                return stride;
            }
        }
        return 1;
    }
}
