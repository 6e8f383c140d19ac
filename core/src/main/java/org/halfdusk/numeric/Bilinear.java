package org.halfdusk.numeric;

/** Between four values at the corners of a square. */
public final class Bilinear {
    private Bilinear() {}

    /**
     * The mixture at a point.
     *
     * @param upperLeft and the others: the values; where one is NaN, so is the mixture
     * @param right share of the way from the left pair to the right one, 0 to 1
     * @param down share of the way from the upper pair to the lower one, 0 to 1
     */
    public static double between(
            double upperLeft, double upperRight, double lowerLeft, double lowerRight, double right, double down) {
        return (upperLeft * (1 - right) + upperRight * right) * (1 - down)
                + (lowerLeft * (1 - right) + lowerRight * right) * down;
    }
}
