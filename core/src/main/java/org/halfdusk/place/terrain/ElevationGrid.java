package org.halfdusk.place.terrain;

import org.halfdusk.numeric.Bilinear;
import org.halfdusk.place.Observer;
import org.halfdusk.place.Skyline;

/**
 * Heights of land on a grid of latitude and longitude, and the skyline that follows from them.
 *
 * @param west longitude of the lowest left cell's centre, degrees; south its latitude
 * @param cellDegrees from centre to centre
 * @param metres by row from the south, then by column from the west; NaN where nothing is known
 */
public record ElevationGrid(double west, double south, double cellDegrees, float[][] metres) implements HeightSource {
    /** Cells of one grid: 4,000 by 4,000 are 64 MB. */
    public static final int MOST_CELLS = 4_000_000;

    /** Height between the four centres around a point, bilinear, m; NaN outside or where nothing is known. */
    @Override
    public double at(double latitude, double longitude) {
        double x = (longitude - west) / cellDegrees;
        double y = (latitude - south) / cellDegrees;
        int column = (int) Math.floor(x);
        int row = (int) Math.floor(y);
        if (!(row >= 0 && column >= 0 && row + 1 < metres.length && column + 1 < metres[0].length)) {
            return Double.NaN;
        }
        return Bilinear.between(
                metres[row][column],
                metres[row][column + 1],
                metres[row + 1][column],
                metres[row + 1][column + 1],
                x - column,
                y - row);
    }

    @Override
    public double stepDegrees(double latitude, double longitude) {
        boolean inside = latitude >= south
                && latitude <= south + (metres.length - 1) * cellDegrees
                && longitude >= west
                && longitude <= west + (metres[0].length - 1) * cellDegrees;
        return inside ? cellDegrees : Double.NaN;
    }

    @Override
    public double farthestKm(double latitude, double longitude) {
        double north = south + (metres.length - 1) * cellDegrees;
        double east = west + (metres[0].length - 1) * cellDegrees;
        return HeightSource.farthestKm(latitude, longitude, south, west, north, east);
    }

    /**
     * The skyline of a point by {@link Relief}.
     *
     * @throws IllegalArgumentException where the point lies outside the grid
     */
    public Skyline skyline(Observer from) {
        if (Double.isNaN(at(from.latitudeDegrees(), from.longitudeDegrees()))) {
            throw new IllegalArgumentException("the grid does not hold this place; it spans latitude " + south + "° to "
                    + (south + (metres.length - 1) * cellDegrees) + "° and longitude " + west + "° to "
                    + (west + (metres[0].length - 1) * cellDegrees) + "°");
        }
        return Relief.skyline(this, from);
    }
}
