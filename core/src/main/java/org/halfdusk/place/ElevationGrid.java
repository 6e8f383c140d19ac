package org.halfdusk.place;

import java.util.ArrayList;
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

    private static final double STEP_DEGREES = 1;
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
     * The skyline of a point, a degree apart: of every direction the land that stands highest, the earth's curve
     * counted. Land that the grid does not have counts
     * as sea level.
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
        List<Skyline.Point> points = new ArrayList<>();
        for (double azimuth = 0; azimuth < 360; azimuth += STEP_DEGREES) {
            points.add(new Skyline.Point(azimuth, Math.max(-10, Math.min(85, highest(from, azimuth, eye)))));
        }
        return new Skyline(points);
    }

    private double highest(Observer from, double azimuth, double eye) {
        double highest = Double.NEGATIVE_INFINITY;
        double step = Math.max(0.03, cellDegrees * 111.2 / 2);
        for (double km = Math.max(NEAREST_KM, step); km <= FARTHEST_KM; km += Math.max(step, km * 0.005)) {
            double[] there = GreatCircle.destination(from.latitudeDegrees(), from.longitudeDegrees(), azimuth, km);
            double land = at(there[0], there[1]);
            if (Double.isNaN(land)) {
                break;
            }
            highest = Math.max(highest, LineOfSight.altitudeDegrees(land - eye, km * 1000));
        }
        // The sea behind it, as far as the eye's height lets it show.
        double sea = LineOfSight.seaHorizonDegrees(eye);
        return Math.round(100 * Math.max(highest, sea)) / 100.0;
    }
}
