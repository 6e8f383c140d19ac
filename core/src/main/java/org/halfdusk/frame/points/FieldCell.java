package org.halfdusk.frame.points;

/**
 * Stars of a ninth of the frame, as medians; NaN where too few can be used.
 *
 * @param stars whose shape is known
 * @param fwhmPx full width at half of the top of the fitted bell, geometric mean of its two, px
 * @param elongation length to width of the bell, 1 and more
 * @param trailPx length of the segment that a star has drawn, px
 * @param directionDegrees of the long side, 0 to the right, 90 up, below 180; NaN where they are round
 */
public record FieldCell(int stars, double fwhmPx, double elongation, double trailPx, double directionDegrees) {
    static final FieldCell NONE = new FieldCell(0, Double.NaN, Double.NaN, Double.NaN, Double.NaN);

    /** Whether it holds a star whose shape is known. */
    public boolean known() {
        return stars > 0;
    }

    /** The narrow side of the bell, px: what moves lengthens the other. */
    public double narrowPx() {
        return fwhmPx / Math.sqrt(elongation);
    }

    /** And the long one. */
    public double longPx() {
        return fwhmPx * Math.sqrt(elongation);
    }
}
