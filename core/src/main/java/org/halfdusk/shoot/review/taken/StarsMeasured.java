package org.halfdusk.shoot.review.taken;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.halfdusk.frame.FrameReading;
import org.halfdusk.frame.points.FieldCell;

/**
 * What the shapes of a frame's stars come to, in pixels of its picture.
 *
 * @param widthPx full width at half height across the trail in the middle: what lens, focus and pixel leave of a point
 * @param trailPx drawn in the middle
 * @param elongation length to width in the middle, 1 and more
 * @param corner of the four that which widens most along the radius; nothing where none is known
 */
public record StarsMeasured(double widthPx, double trailPx, double elongation, Optional<Corner> corner) {
    /** @param column and row: 0 or 2 of three by three @param widerPx along the radius than the middle is in that direction */
    public record Corner(int column, int row, double widerPx, double elongation) {}

    private static final int LAST = 2;

    /** Nothing where the middle and the whole have too few stars. */
    public static Optional<StarsMeasured> of(FrameReading r, int width, int height) {
        Optional<FieldCell> middle = r.cell(1, 1).or(() -> Optional.of(r.all()).filter(FieldCell::known));
        return middle.map(
                m -> new StarsMeasured(m.narrowPx(), m.trailPx(), m.elongation(), corner(r, m, width, height)));
    }

    private static Optional<Corner> corner(FrameReading r, FieldCell middle, int width, int height) {
        return List.of(new int[] {0, 0}, new int[] {LAST, 0}, new int[] {0, LAST}, new int[] {LAST, LAST}).stream()
                .flatMap(at -> r.cell(at[0], at[1]).stream().map(c -> {
                    double radial =
                            Math.toDegrees(Math.atan2((double) (1 - at[1]) * height, (double) (at[0] - 1) * width));
                    return new Corner(at[0], at[1], along(c, radial) - along(middle, radial), c.elongation());
                }))
                .max(Comparator.comparingDouble(Corner::widerPx));
    }

    /** Full width at half height of a bell in a direction: the root of the mean square of its light about its middle. */
    private static double along(FieldCell c, double degrees) {
        double major = c.longPx();
        double minor = c.narrowPx();
        if (Double.isNaN(c.directionDegrees())) {
            return Math.sqrt((major * major + minor * minor) / 2);
        }
        double apart = Math.toRadians(degrees - c.directionDegrees());
        return Math.hypot(major * Math.cos(apart), minor * Math.sin(apart));
    }
}
