package org.halfdusk.frame.points;

import java.util.ArrayList;
import java.util.List;
import org.halfdusk.frame.points.StarFits.Shape;
import org.halfdusk.numeric.Robust;

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
    private static final FieldCell NONE = new FieldCell(0, Double.NaN, Double.NaN, Double.NaN, Double.NaN);

    /** A cell with fewer says nothing. */
    static final int LEAST = 4;

    private static final double ROUND = 1.03;

    /** Of less elongated stars a segment is told from the second moments alone. */
    private static final double SHORT = 1.2;

    /** As the bells that were fitted tell, what they have drawn too: from their second moments. */
    static FieldCell of(List<Shape> shapes) {
        if (shapes.size() < LEAST) {
            return NONE;
        }
        // Medians of the bells' second moments: noise stretches each star this way or that, and their mean stays round.
        List<Double> round = new ArrayList<>();
        List<Double> level = new ArrayList<>();
        List<Double> aslant = new ArrayList<>();
        for (Shape h : shapes) {
            double major = h.major() * h.major();
            double minor = h.minor() * h.minor();
            double twice = 2 * Math.toRadians(h.angle());
            round.add(major + minor);
            level.add((major - minor) * Math.cos(twice));
            aslant.add((major - minor) * Math.sin(twice));
        }
        double both = Robust.median(round);
        double apart = Math.hypot(Robust.median(level), Robust.median(aslant));
        double elongation = Math.sqrt((both + apart) / Math.max(1e-9, both - apart));
        double direction = (Math.toDegrees(0.5 * Math.atan2(Robust.median(aslant), Robust.median(level))) + 180) % 180;
        return new FieldCell(
                shapes.size(),
                Robust.median(shapes.stream().map(Shape::width).toList()),
                elongation,
                Math.sqrt(12 * apart) / StarFits.WIDTH,
                elongation < ROUND ? Double.NaN : direction);
    }

    /** Whether its stars are so long that a segment tells better than their bells what they have drawn. */
    boolean trailed() {
        return elongation >= SHORT;
    }

    /** With what segments tell that were fitted to some of its stars, px; where there are none, or it is not trailed, as it is. */
    FieldCell drawn(List<Double> trailsPx) {
        return trailsPx.isEmpty() || !trailed()
                ? this
                : new FieldCell(stars, fwhmPx, elongation, Robust.median(trailsPx), directionDegrees);
    }

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
