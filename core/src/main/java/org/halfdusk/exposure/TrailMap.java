package org.halfdusk.exposure;

import org.halfdusk.angle.Vector;
import org.halfdusk.optics.Projection;
import org.halfdusk.optics.Sensor;
import org.halfdusk.time.SiderealTime;

/**
 * How long stars trail over a frame as it is really aimed and turned: for points of it the exact distance between their
 * projections at shutter open and close.
 *
 * @param px rows from the top of the sensor, each from its left, px; 0 where a fisheye shows nothing
 * @param worstColumn and worstRow: where the longest is
 */
public record TrailMap(double[][] px, int worstColumn, int worstRow) {
    /**
     * @param pole unit direction of the celestial pole as north, east, up
     * @param share of the stars' rate: 1 on a tripod
     * @param columns and rows: at least 2 each; the outer ones lie in the corners
     */
    public static TrailMap of(
            Projection projection, Sensor sensor, Vector pole, double seconds, double share, int columns, int rows) {
        double[][] px = new double[rows][columns];
        double half = SiderealTime.EARTH_RATE_RAD_PER_SECOND * share * seconds / 2;
        double perMm = sensor.widthPx() / sensor.widthMm();
        double roll = Math.toRadians(projection.framing().rollDegrees());
        int worstColumn = 0;
        int worstRow = 0;
        for (int row = 0; row < rows; row++) {
            for (int column = 0; column < columns; column++) {
                double x = sensor.widthMm() * (column / (columns - 1.0) - 0.5);
                double y = sensor.heightMm() * (0.5 - row / (rows - 1.0));
                Projection.Point place = new Projection.Point(
                        x * Math.cos(roll) - y * Math.sin(roll), x * Math.sin(roll) + y * Math.cos(roll));
                px[row][column] = trail(projection, place, pole, half) * perMm;
                if (px[row][column] > px[worstRow][worstColumn]) {
                    worstRow = row;
                    worstColumn = column;
                }
            }
        }
        return new TrailMap(px, worstColumn, worstRow);
    }

    private static double trail(Projection projection, Projection.Point place, Vector pole, double half) {
        if (Math.hypot(place.x(), place.y())
                > projection.imaging().radius(Math.toRadians(89.9)) * projection.focalMm()) {
            return 0;
        }
        Vector star = projection.direction(place).direction();
        return projection
                .of(turned(star, pole, -half))
                .flatMap(a ->
                        projection.of(turned(star, pole, half)).map(b -> Math.hypot(b.x() - a.x(), b.y() - a.y())))
                .orElse(0.0);
    }

    /** Turned about an axis by an angle, radians (Rodrigues). */
    private static Vector turned(Vector v, Vector axis, double angle) {
        double cos = Math.cos(angle);
        return v.times(cos).plus(axis.cross(v).times(Math.sin(angle))).plus(axis.times(axis.dot(v) * (1 - cos)));
    }

    public double worst() {
        return px[worstRow][worstColumn];
    }

    /** The mean over all points. */
    public double mean() {
        double sum = 0;
        for (double[] row : px) {
            for (double p : row) {
                sum += p;
            }
        }
        return sum / (px.length * px[0].length);
    }

    /** Share of the points at which a star looks round for a budget, 0 to 1. */
    public double within(double budgetPx) {
        int inside = 0;
        for (double[] row : px) {
            for (double p : row) {
                inside += p <= budgetPx ? 1 : 0;
            }
        }
        return inside / (double) (px.length * px[0].length);
    }
}
