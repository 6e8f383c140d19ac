package org.halfdusk.frame;

/** Least squares of a few parameters by Levenberg and Marquardt's steps. */
public final class LeastSquares {
    private static final int MOST_STEPS = 40;
    private static final double ENOUGH = 1e-6;

    /** What is fitted. */
    interface Model {
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
    static double fit(Model model, double[] p, double[] data, double[] weight, int points) {
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
        double sum = 0;
        for (int k = 0; k < points; k++) {
            double w = weight[k];
            if (w == 0) {
                continue;
            }
            double off = data[k] - model.value(p, k, gradient);
            sum += w * off * off;
            for (int i = 0; i < n; i++) {
                side[i] += w * gradient[i] * off;
                for (int j = 0; j <= i; j++) {
                    normal[i][j] += w * gradient[i] * gradient[j];
                }
            }
        }
        for (int i = 0; i < n; i++) {
            for (int j = i + 1; j < n; j++) {
                normal[i][j] = normal[j][i];
            }
        }
        return sum;
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
