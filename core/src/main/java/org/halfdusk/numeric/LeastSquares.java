package org.halfdusk.numeric;

import java.util.Arrays;

/** Least squares of a few parameters by Levenberg and Marquardt's steps. */
public final class LeastSquares {
    private static final int MOST_STEPS = 40;
    private static final double ENOUGH = 1e-6;

    /** What is fitted. */
    public interface Model {
        /** @param gradient by each parameter, to be filled in @return the value at a data point */
        double value(double[] p, int point, double[] gradient);

        /** Whether parameters make sense. */
        boolean allowed(double[] p);
    }

    private LeastSquares() {}

    /**
     * Improves parameters in place.
     *
     * @param weight of each data point; 0 leaves it out
     * @return weighted sum of the squares that are left; NaN where nothing allowed was found
     */
    public static double fit(Model model, double[] p, double[] data, double[] weight, int points) {
        int n = p.length;
        double[] gradient = new double[n];
        double[][] normal = new double[n][n];
        double[] side = new double[n];
        double lambda = 1e-3;
        double cost = squares(model, p, data, weight, points, normal, side, gradient);
        for (int step = 0; step < MOST_STEPS; step++) {
            double[] change = solved(normal, side, lambda);
            if (change.length == 0) {
                return cost;
            }
            double[] next = p.clone();
            for (int i = 0; i < n; i++) {
                next[i] += change[i];
            }
            double[][] normalThere = new double[n][n];
            double[] sideThere = new double[n];
            double there = model.allowed(next)
                    ? squares(model, next, data, weight, points, normalThere, sideThere, gradient)
                    : Double.POSITIVE_INFINITY;
            if (there < cost) {
                boolean done = cost - there < ENOUGH * cost;
                System.arraycopy(next, 0, p, 0, n);
                normal = normalThere;
                side = sideThere;
                cost = there;
                lambda = Math.max(1e-9, lambda * 0.2);
                if (done) {
                    return cost;
                }
            } else {
                lambda *= 5;
                if (lambda > 1e8) {
                    return cost;
                }
            }
        }
        return cost;
    }

    private static double squares(
            Model model,
            double[] p,
            double[] data,
            double[] weight,
            int points,
            double[][] normal,
            double[] side,
            double[] gradient) {
        int n = p.length;
        // The lower half by rows, one after the other.
        double[] lower = new double[n * (n + 1) / 2];
        double sum = 0;
        for (int k = 0; k < points; k++) {
            double w = weight[k];
            if (w == 0) {
                continue;
            }
            double off = data[k] - model.value(p, k, gradient);
            sum += w * off * off;
            for (int i = 0, at = 0; i < n; i++) {
                double weighted = w * gradient[i];
                side[i] += weighted * off;
                for (int j = 0; j <= i; j++) {
                    lower[at++] += weighted * gradient[j];
                }
            }
        }
        for (int i = 0, at = 0; i < n; i++) {
            for (int j = 0; j <= i; j++, at++) {
                normal[i][j] = lower[at];
                normal[j][i] = lower[at];
            }
        }
        return sum;
    }

    /** Where a model draws the points of a frame. */
    public interface Places {
        /** @param out x and y, px @return false where it is not to be seen */
        boolean place(int point, double[] out);
    }

    /** How far a model's places are from those that were found, px; infinite where one is not to be seen. */
    public static double[] off(Places model, double[][] found) {
        double[] off = new double[found.length];
        double[] at = new double[2];
        for (int i = 0; i < off.length; i++) {
            off[i] = model.place(i, at)
                    ? Math.hypot(at[0] - found[i][0], at[1] - found[i][1])
                    : Double.POSITIVE_INFINITY;
        }
        return off;
    }

    /**
     * What one step of least squares is solved from.
     *
     * @param matrix of the normal equations, and their right side
     */
    public record Step(double[][] matrix, double[] side) {
        /** The change of each parameter; empty where it cannot be. @param lambda share of the diagonal that is added */
        public double[] change(double lambda) {
            return solved(matrix, side, lambda);
        }
    }

    /**
     * The step that brings a model's places nearer to those that were found; what is far off counts less.
     *
     * @param changed the model with each of its parameters a little larger, by {@code by}
     * @param least that the usual distance is taken for, px
     * @param wide squares of the usual distance at which a place counts half
     */
    public static Step step(Places model, Places[] changed, double by, double[][] found, double least, double wide) {
        int n = changed.length;
        double[] off = off(model, found);
        double[] sorted = off.clone();
        Arrays.sort(sorted);
        double usual = Math.max(least, sorted[sorted.length / 2]);
        Step step = new Step(new double[n][n], new double[n]);
        double[] here = new double[2];
        double[] there = new double[2];
        double[][] gradient = new double[n][2];
        for (int i = 0; i < off.length; i++) {
            if (!model.place(i, here)) {
                continue;
            }
            double weight = 1 / (1 + off[i] * off[i] / (wide * usual * usual));
            for (int p = 0; p < n; p++) {
                changed[p].place(i, there);
                gradient[p][0] = (there[0] - here[0]) / by;
                gradient[p][1] = (there[1] - here[1]) / by;
            }
            for (int k = 0; k < 2; k++) {
                double miss = found[i][k] - here[k];
                for (int p = 0; p < n; p++) {
                    step.side[p] += weight * gradient[p][k] * miss;
                    for (int q = 0; q < n; q++) {
                        step.matrix[p][q] += weight * gradient[p][k] * gradient[q][k];
                    }
                }
            }
        }
        return step;
    }

    /** By Cholesky's factors, with a share of the diagonal added; empty where it cannot be. */
    public static double[] solved(double[][] normal, double[] side, double lambda) {
        int n = side.length;
        double[][] l = new double[n][n];
        for (int i = 0; i < n; i++) {
            for (int j = 0; j <= i; j++) {
                double sum = normal[i][j] + (i == j ? lambda * normal[i][i] + 1e-30 : 0);
                for (int k = 0; k < j; k++) {
                    sum -= l[i][k] * l[j][k];
                }
                if (i == j) {
                    if (!(sum > 0)) {
                        return new double[0];
                    }
                    l[i][i] = Math.sqrt(sum);
                } else {
                    l[i][j] = sum / l[j][j];
                }
            }
        }
        double[] y = new double[n];
        for (int i = 0; i < n; i++) {
            double sum = side[i];
            for (int k = 0; k < i; k++) {
                sum -= l[i][k] * y[k];
            }
            y[i] = sum / l[i][i];
        }
        double[] x = new double[n];
        for (int i = n - 1; i >= 0; i--) {
            double sum = y[i];
            for (int k = i + 1; k < n; k++) {
                sum -= l[k][i] * x[k];
            }
            x[i] = sum / l[i][i];
        }
        return x;
    }
}
