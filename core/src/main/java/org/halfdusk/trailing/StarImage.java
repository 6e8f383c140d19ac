package org.halfdusk.trailing;

/**
 * The picture of one star at 100 %: a point spread by lens and pixel (Gaussian) and drawn out along its trail.
 *
 * <p>Light in a pixel is the mean over the trail of the blur at the pixel's distance; the same star, so the same total
 * light per second, at every time: a longer trail spreads it over more pixels.
 */
public final class StarImage {
    private static final int STEPS = 48;

    private StarImage() {}

    /** Brightness of size × size pixels about the star, row by row from the top, in units of a still star's peak. */
    public static double[][] of(Trailing.Path path, int size) {
        return of(path, Trailing.BLUR_PX, size);
    }

    /** The same through a lens of another blur. @param blurPx standard deviation, px, above 0 */
    public static double[][] of(Trailing.Path path, double blurPx, int size) {
        double[][] light = new double[size][size];
        double middle = (size - 1) / 2.0;
        double twiceVariance = 2 * blurPx * blurPx;
        for (int step = 0; step < STEPS; step++) {
            double share = (step + 0.5) / STEPS - 0.5;
            double x = middle + share * path.dx();
            double y = middle - share * path.dy();
            // The blur of a point is a product of one across and one down.
            int left = from(x, blurPx);
            int right = to(x, blurPx, size);
            double[] across = bell(x, left, right, size, twiceVariance);
            int below = to(y, blurPx, size);
            for (int row = from(y, blurPx); row < below; row++) {
                double down = Math.exp(-(row - y) * (row - y) / twiceVariance) / STEPS;
                for (int column = left; column < right; column++) {
                    light[row][column] += across[column] * down;
                }
            }
        }
        return light;
    }

    /** Standard deviations from its middle at which a point's light ends: what lies beyond is less than a part in ten million. */
    private static final double REACH = 6;

    private static int from(double middle, double blurPx) {
        return Math.max(0, (int) Math.ceil(middle - REACH * blurPx));
    }

    private static int to(double middle, double blurPx, int size) {
        return Math.min(size, (int) Math.floor(middle + REACH * blurPx) + 1);
    }

    private static double[] bell(double middle, int from, int to, int size, double twiceVariance) {
        double[] bell = new double[size];
        for (int i = from; i < to; i++) {
            bell[i] = Math.exp(-(i - middle) * (i - middle) / twiceVariance);
        }
        return bell;
    }
}
