package org.halfdusk.frame.points;

import org.halfdusk.numeric.ErrorFunction;
import org.halfdusk.numeric.LeastSquares;

/**
 * What a star draws as it moves: a segment spread by a round bell. Along it the difference of two error functions, across it the bell, on an
 * even ground.
 *
 * <p>Its figures are the light of its middle, where the middle is (x, y, px of the window), its length (px), its direction (radians, from x
 * to y) and the ground. The derivatives are written out: d erf(u)/du = 2/√π exp(−u²).
 */
final class Segment implements LeastSquares.Model {
    /** √(2π): of so many standard deviations a bell holds as much light as it would with its top all along. */
    private static final double BROAD = Math.sqrt(2 * Math.PI);

    private static final double STEEPEST = 2 / Math.sqrt(Math.PI);
    private static final double SHORTEST_PX = 1e-3;

    private final int side;
    private final double sigma;

    /** One over √2 standard deviations, 1/px. */
    private final double narrow;

    private double angle;
    private double cos = 1;
    private double sin;

    /**
     * @param side of the window, px
     * @param sigma standard deviation of the bell, px
     */
    Segment(int side, double sigma) {
        this.side = side;
        this.sigma = sigma;
        this.narrow = 1 / (Math.sqrt(2) * sigma);
    }

    @Override
    public double value(double[] p, int point, double[] d) {
        turn(p[4]);
        double dx = point % side - p[1];
        double dy = point / side - p[2];
        double along = dx * cos + dy * sin;
        double aside = dy * cos - dx * sin;
        double length = Math.max(SHORTEST_PX, Math.abs(p[3]));
        double u = (along + length / 2) * narrow;
        double v = (along - length / 2) * narrow;
        double spread = (ErrorFunction.of(u) - ErrorFunction.of(v)) / 2;
        double begins = STEEPEST * narrow * Math.exp(-u * u) / 2;
        double ends = STEEPEST * narrow * Math.exp(-v * v) / 2;
        double across = Math.exp(-aside * aside * narrow * narrow);
        // As high as its top where the segment is long.
        double higher = Math.max(1, BROAD * sigma / length);
        double top = p[0] * across * higher;
        double byAlong = top * (begins - ends);
        double byAside = -2 * aside * narrow * narrow * top * spread;
        double byLength = top * ((begins + ends) / 2 - (higher > 1 ? spread / length : 0));
        d[0] = spread * across * higher;
        d[1] = -byAlong * cos + byAside * sin;
        d[2] = -byAlong * sin - byAside * cos;
        d[3] = Math.abs(p[3]) > SHORTEST_PX ? Math.signum(p[3]) * byLength : 0;
        d[4] = byAlong * aside - byAside * along;
        d[5] = 1;
        return top * spread + p[5];
    }

    private void turn(double to) {
        if (to != angle) {
            angle = to;
            cos = Math.cos(to);
            sin = Math.sin(to);
        }
    }

    @Override
    public boolean allowed(double[] p) {
        return p[0] > 0 && Math.abs(p[3]) < 2 * side && p[1] > 0 && p[2] > 0 && p[1] < side && p[2] < side;
    }
}
