package org.halfdusk.frame.points;

import java.util.Optional;
import java.util.OptionalDouble;
import org.halfdusk.frame.picture.Pixels;
import org.halfdusk.frame.points.Spots.Spot;
import org.halfdusk.frame.tones.Mesh;
import org.halfdusk.numeric.LeastSquares;

/**
 * Fits models to stars in small windows of a frame: how large they are, how long, how much lies about them.
 *
 * <ol>
 *   <li>A window is a disc of pixels about a spot, as linear luminance. Pixels that are all but full say nothing of a shape and
 *       do not count; a window that leaves the frame is none, nor is one with fewer than ten pixels that count.
 *   <li>A shape is an elliptical bell, A exp(−(a dx² + 2b dx dy + c dy²)) on an even ground, fitted in its seven figures by least
 *       squares (Levenberg and Marquardt, {@link LeastSquares}) with the derivatives written out. It starts round, as wide as the
 *       frame's stars are.
 *   <li>Its widths are those of the matrix's own directions: λ = (a + c)/2 ± √(((a − c)/2)² + b²), each standard deviation
 *       1/√(2λ), full width at half of the top 2.355 times that. The long side lies along the smaller λ.
 *   <li>A trail is told from a bell by a second model: a segment spread by a round bell of the frame's own width, that is the
 *       difference of two error functions along it and a bell across. Its length starts where a segment of that length has
 *       the variance that was found, L²/12 over the bell's own.
 *   <li>Haze and dew put light far out, where a bell has none: a ring's light over the mesh's ground, as a share of all that the
 *       bell holds.
 * </ol>
 */
public final class StarFits {
    /**
     * A star's shape: an elliptical bell fitted to it by least squares.
     *
     * @param x and y: of its middle
     * @param peak linear luminance of the bell's top
     * @param major and minor: full widths at half of its top, px
     * @param angle of the long side, degrees, 0 to the right, 90 up, 0 to 180
     * @param rest root mean square of what the bell leaves, as a share of its top
     * @param strength of its spot
     */
    public record Shape(
            double x, double y, double peak, double major, double minor, double angle, double rest, float strength) {
        /** Full width at half of the top of a round bell of the same area, px. */
        public double width() {
            return Math.sqrt(major * minor);
        }

        /** @return long side over narrow one, 1 or more */
        public double elongation() {
            return major / minor;
        }

        /** All the light of the bell, luminance times pixels. */
        public double sum() {
            return peak * Math.PI * major * minor / (4 * Math.log(2));
        }
    }

    /** From a standard deviation to the full width at half of the top. */
    public static final double WIDTH = 2 * Math.sqrt(2 * Math.log(2));

    /** A pixel that is so bright says nothing of a shape. */
    private static final double BURNT = 0.97;

    private final Pixels pixels;
    private final Mesh mesh;

    /** @param mesh of the same frame */
    public StarFits(Pixels pixels, Mesh mesh) {
        this.pixels = pixels;
        this.mesh = mesh;
    }

    /** A window about a star: luminance in rows, and which of its pixels count. */
    private record Window(int x, int y, int side, double[] values, double[] weights) {}

    private Optional<Window> window(double cx, double cy, int reach) {
        int side = 2 * reach + 1;
        int x0 = (int) Math.round(cx) - reach;
        int y0 = (int) Math.round(cy) - reach;
        if (x0 < 0 || y0 < 0 || x0 + side > pixels.width() || y0 + side > pixels.height()) {
            return Optional.empty();
        }
        double[] values = new double[side * side];
        double[] weights = new double[side * side];
        float[] r = new float[side];
        float[] g = new float[side];
        float[] b = new float[side];
        for (int i = 0; i < side; i++) {
            pixels.row(y0 + i, x0, side, r, g, b);
            for (int k = 0; k < side; k++) {
                values[i * side + k] = Pixels.luminance(r[k], g[k], b[k]);
                boolean burnt = Math.max(r[k], Math.max(g[k], b[k])) >= BURNT;
                int dx = x0 + k - (int) Math.round(cx);
                int dy = y0 + i - (int) Math.round(cy);
                weights[i * side + k] = burnt || dx * dx + dy * dy > reach * reach ? 0 : 1;
            }
        }
        return Optional.of(new Window(x0, y0, side, values, weights));
    }

    /** An elliptical bell on an even ground. @param guess standard deviation of it, px */
    public Optional<Shape> bell(Spot spot, double guess, int reach) {
        return window(spot.x(), spot.y(), reach).flatMap(w -> bell(w, spot, guess));
    }

    private Optional<Shape> bell(Window w, Spot spot, double guess) {
        double round = 1 / (2 * guess * guess);
        double[] p = {
            Math.max(1e-4, spot.peak()),
            spot.x() - w.x(),
            spot.y() - w.y(),
            round,
            0,
            round,
            mesh.light[mesh.at(spot.x(), spot.y())]
        };
        double cost = LeastSquares.fit(new Bell(w.side()), p, w.values(), w.weights(), w.values().length);
        double count = count(w);
        if (Double.isNaN(cost) || p[0] <= 0 || count < 10) {
            return Optional.empty();
        }
        double half = (p[3] + p[5]) / 2;
        double apart = Math.hypot((p[3] - p[5]) / 2, p[4]);
        double small = half - apart;
        double large = half + apart;
        if (!(small > 0)) {
            return Optional.empty();
        }
        // The long side lies along the direction of the smaller of the two.
        double angle = Math.toDegrees(0.5 * Math.atan2(-2 * p[4], p[5] - p[3]));
        double up = ((-angle) % 180 + 180) % 180;
        return Optional.of(new Shape(
                w.x() + p[1],
                w.y() + p[2],
                p[0],
                WIDTH / Math.sqrt(2 * small),
                WIDTH / Math.sqrt(2 * large),
                up,
                Math.sqrt(cost / count) / p[0],
                spot.strength()));
    }

    private static double count(Window w) {
        double sum = 0;
        for (double v : w.weights()) {
            sum += v;
        }
        return sum;
    }

    /** A exp(−(a dx² + 2 b dx dy + c dy²)) + ground. */
    private record Bell(int side) implements LeastSquares.Model {
        @Override
        public double value(double[] p, int point, double[] d) {
            double dx = point % side - p[1];
            double dy = point / side - p[2];
            double e = Math.exp(-(p[3] * dx * dx + 2 * p[4] * dx * dy + p[5] * dy * dy));
            double v = p[0] * e;
            d[0] = e;
            d[1] = v * (2 * p[3] * dx + 2 * p[4] * dy);
            d[2] = v * (2 * p[4] * dx + 2 * p[5] * dy);
            d[3] = -v * dx * dx;
            d[4] = -v * 2 * dx * dy;
            d[5] = -v * dy * dy;
            d[6] = 1;
            return v + p[6];
        }

        @Override
        public boolean allowed(double[] p) {
            return p[0] > 0
                    && p[3] > 0
                    && p[5] > 0
                    && p[3] * p[5] > p[4] * p[4]
                    && p[3] < 4
                    && p[5] < 4
                    && p[1] > 0
                    && p[2] > 0
                    && p[1] < side
                    && p[2] < side;
        }
    }

    /**
     * Length of what a star draws as it moves, px: of a segment spread by a round bell.
     *
     * @param shape that was fitted before
     * @param sigma standard deviation of the bell, px
     */
    OptionalDouble trail(Shape shape, double sigma, int reach) {
        Optional<Window> found = window(shape.x(), shape.y(), reach);
        if (found.isEmpty() || count(found.get()) < 10) {
            return OptionalDouble.empty();
        }
        Window w = found.get();
        double major = shape.major() / WIDTH;
        double length = Math.sqrt(Math.max(0.25, 12 * (major * major - sigma * sigma)));
        double[] p = {
            shape.peak() * length / Math.max(length, 2.5 * sigma),
            shape.x() - w.x(),
            shape.y() - w.y(),
            length,
            Math.toRadians(-shape.angle()),
            mesh.light[mesh.at(shape.x(), shape.y())]
        };
        double cost = LeastSquares.fit(new Segment(w.side(), sigma), p, w.values(), w.weights(), w.values().length);
        return Double.isNaN(cost) ? OptionalDouble.empty() : OptionalDouble.of(Math.abs(p[3]));
    }

    /** Light of a star in a ring about it, as a share of what its bell holds. */
    public double halo(Shape h, double inner, double outer) {
        int reach = (int) Math.ceil(outer);
        Optional<Window> found = window(h.x(), h.y(), reach);
        if (found.isEmpty()) {
            return Double.NaN;
        }
        Window w = found.get();
        float[] light = new float[pixels.width()];
        double sum = 0;
        for (int i = 0; i < w.side(); i++) {
            mesh.lightRow(w.y() + i, light);
            for (int k = 0; k < w.side(); k++) {
                double d = Math.hypot(w.x() + k - h.x(), w.y() + i - h.y());
                if (d >= inner && d < outer) {
                    sum += w.values()[i * w.side() + k] - light[w.x() + k];
                }
            }
        }
        return sum / h.sum();
    }
}
