package org.halfdusk.frame;

import java.util.List;
import java.util.Optional;
import org.halfdusk.frame.Spots.Spot;

/** Fits models to stars in small windows of a frame. */
final class StarFits {
    /** From a standard deviation to the full width at half of the top. */
    static final double WIDTH = 2 * Math.sqrt(2 * Math.log(2));

    /** A pixel that is so bright says nothing of a shape. */
    private static final double BURNT = 0.97;

    private final Pixels pixels;
    private final Mesh mesh;

    StarFits(Pixels pixels, Mesh mesh) {
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
    Optional<Shape> bell(Spot spot, double guess, int reach) {
        Optional<Window> found = window(spot.x(), spot.y(), reach);
        if (found.isEmpty()) {
            return Optional.empty();
        }
        Window w = found.get();
        double ground = mesh.light[mesh.at(spot.x(), spot.y())];
        double round = 1 / (2 * guess * guess);
        double[] p = {Math.max(1e-4, spot.peak()), spot.x() - w.x(), spot.y() - w.y(), round, 0, round, ground};
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
                spot.strength(),
                spot.sharp()));
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
     * What a star draws as it moves: a segment spread by a round bell.
     *
     * @param length px @param angle degrees as of {@link Shape} @param sigma of the bell, px @param rest as of {@link Shape}
     */
    record Trail(double length, double angle, double sigma, double rest) {}

    /** @param shape that was fitted before @param sigma of the bell, px; not above 0 to let it be found */
    Optional<Trail> trail(Shape shape, double sigma, int reach) {
        Optional<Window> found = window(shape.x(), shape.y(), reach);
        if (found.isEmpty()) {
            return Optional.empty();
        }
        Window w = found.get();
        double minor = sigma > 0 ? sigma : shape.minor() / WIDTH;
        double major = shape.major() / WIDTH;
        double length = Math.sqrt(Math.max(0.25, 12 * (major * major - minor * minor)));
        double ground = mesh.light[mesh.at(shape.x(), shape.y())];
        double[] p = {
            shape.peak() * length / Math.max(length, 2.5 * minor),
            shape.x() - w.x(),
            shape.y() - w.y(),
            length,
            Math.toRadians(-shape.angle()),
            ground,
            minor
        };
        Segment model = new Segment(w.side(), sigma);
        double cost = LeastSquares.fit(model, p, w.values(), w.weights(), w.values().length);
        double count = count(w);
        if (Double.isNaN(cost) || count < 10) {
            return Optional.empty();
        }
        double angle = ((-Math.toDegrees(p[4])) % 180 + 180) % 180;
        double top = shape.peak();
        return Optional.of(new Trail(Math.abs(p[3]), angle, sigma > 0 ? sigma : p[6], Math.sqrt(cost / count) / top));
    }

    /**
     * How well the mean of many stars is a segment spread by a round bell: what that leaves, as a share of its top. Shake draws what no
     * segment does.
     *
     * @return NaN where there are too few
     */
    double unlikeSegment(List<Shape> shapes, int reach) {
        int side = 2 * reach + 1;
        double[] sum = new double[side * side];
        int used = 0;
        float[] r = new float[side + 1];
        float[] g = new float[side + 1];
        float[] b = new float[side + 1];
        for (Shape h : shapes) {
            int x0 = (int) Math.floor(h.x()) - reach;
            int y0 = (int) Math.floor(h.y()) - reach;
            if (x0 < 0 || y0 < 0 || x0 + side + 1 > pixels.width() || y0 + side + 1 > pixels.height()) {
                continue;
            }
            double fx = h.x() - Math.floor(h.x());
            double fy = h.y() - Math.floor(h.y());
            double ground = mesh.light[mesh.at(h.x(), h.y())];
            double[] one = new double[(side + 1) * (side + 1)];
            for (int i = 0; i <= side; i++) {
                pixels.row(y0 + i, x0, side + 1, r, g, b);
                for (int k = 0; k <= side; k++) {
                    one[i * (side + 1) + k] = Pixels.luminance(r[k], g[k], b[k]) - ground;
                }
            }
            for (int i = 0; i < side; i++) {
                for (int k = 0; k < side; k++) {
                    int at = i * (side + 1) + k;
                    double top = one[at] * (1 - fx) + one[at + 1] * fx;
                    double bottom = one[at + side + 1] * (1 - fx) + one[at + side + 2] * fx;
                    sum[i * side + k] += (top * (1 - fy) + bottom * fy) / h.peak();
                }
            }
            used++;
        }
        if (used < LEAST_STACKED) {
            return Double.NaN;
        }
        double[] weight = new double[sum.length];
        double most = 0;
        for (int i = 0; i < sum.length; i++) {
            sum[i] /= used;
            weight[i] = 1;
            most = Math.max(most, sum[i]);
        }
        double best = Double.NaN;
        for (double from = 0; from < Math.PI; from += Math.PI / 4) {
            double[] p = {most, reach, reach, 3, from, 0, 1};
            double cost = LeastSquares.fit(new Segment(side, 0), p, sum, weight, sum.length);
            double rest = Math.sqrt(cost / sum.length) / most;
            best = Double.isNaN(best) ? rest : Math.min(best, rest);
        }
        return best;
    }

    private static final int LEAST_STACKED = 8;

    /** Light of a star in a ring about it, as a share of what its bell holds. */
    double halo(Shape h, double inner, double outer) {
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
        double bell = h.peak() * Math.PI * h.major() * h.minor() / (4 * Math.log(2));
        return sum / bell;
    }

    /** Derivatives by small steps: it is fitted to some stars only. */
    private record Segment(int side, double fixed) implements LeastSquares.Model {
        private static final double STEP = 1e-4;

        @Override
        public double value(double[] p, int point, double[] d) {
            double v = at(p, point);
            for (int i = 0; i < p.length; i++) {
                if (i == 6 && fixed > 0) {
                    d[i] = 0;
                    continue;
                }
                double keep = p[i];
                double step = i == 0 || i == 5 ? 1e-6 : STEP;
                p[i] = keep + step;
                d[i] = (at(p, point) - v) / step;
                p[i] = keep;
            }
            return v;
        }

        private double at(double[] p, int point) {
            double dx = point % side - p[1];
            double dy = point / side - p[2];
            double c = Math.cos(p[4]);
            double s = Math.sin(p[4]);
            double along = dx * c + dy * s;
            double aside = -dx * s + dy * c;
            double sigma = fixed > 0 ? fixed : p[6];
            double length = Math.max(1e-3, Math.abs(p[3]));
            double q = 1 / (Math.sqrt(2) * sigma);
            double spread = erf((along + length / 2) * q) - erf((along - length / 2) * q);
            // As high as its top where the segment is long.
            return p[0] * spread / 2 * Math.exp(-aside * aside * q * q) * Math.max(1, 2.5066 * sigma / length) + p[5];
        }

        @Override
        public boolean allowed(double[] p) {
            return p[0] > 0
                    && p[6] > 0.3
                    && p[6] < side
                    && Math.abs(p[3]) < 2 * side
                    && p[1] > 0
                    && p[2] > 0
                    && p[1] < side
                    && p[2] < side;
        }
    }

    /** Error function, to 1.5e-7 (Abramowitz & Stegun 7.1.26). */
    static double erf(double x) {
        double t = 1 / (1 + 0.3275911 * Math.abs(x));
        double y = 1
                - (((((1.061405429 * t - 1.453152027) * t) + 1.421413741) * t - 0.284496736) * t + 0.254829592)
                        * t
                        * Math.exp(-x * x);
        return x >= 0 ? y : -y;
    }
}
