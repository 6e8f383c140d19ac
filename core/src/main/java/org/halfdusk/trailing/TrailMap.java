package org.halfdusk.trailing;

/**
 * How long stars trail over a frame, point by point: {@link FrameTrails#map}.
 *
 * @param px rows from the top of the sensor, each from its left, px; 0 where a fisheye shows nothing
 * @param worstColumn and worstRow: where the longest is
 */
public record TrailMap(double[][] px, int worstColumn, int worstRow) {
    static TrailMap of(double[][] px) {
        int worstColumn = 0;
        int worstRow = 0;
        for (int row = 0; row < px.length; row++) {
            for (int column = 0; column < px[row].length; column++) {
                if (px[row][column] > px[worstRow][worstColumn]) {
                    worstRow = row;
                    worstColumn = column;
                }
            }
        }
        return new TrailMap(px, worstColumn, worstRow);
    }

    /** The longest trail of the map, px. */
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
