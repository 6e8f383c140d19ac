package org.halfdusk.optics;

import org.halfdusk.photometry.FNumber;

/**
 * What is sharp before and behind the distance that a lens is focused at; thin lens, distances from it.
 *
 * @param focalMm true focal length
 * @param circleMm largest blur that still counts as sharp, on the sensor
 */
public record DepthOfField(double focalMm, FNumber fNumber, double circleMm) {
    /** @throws IllegalArgumentException for a focal length or circle that is not above 0 */
    public DepthOfField {
        if (!(focalMm > 0 && circleMm > 0)) {
            throw new IllegalArgumentException(
                    "focal length " + focalMm + " mm and circle " + circleMm + " mm must be above 0");
        }
    }

    /** Focused here, all from half of it to the stars is sharp, m: f²/(N·c) + f. */
    public double hyperfocalMetres() {
        return (focalMm * focalMm / (fNumber.value() * circleMm) + focalMm) / 1000;
    }

    /** Nearest sharp distance when focused at one, m: s(H − f)/(H + s − 2f); focused on the stars it is H. */
    public double nearMetres(double focusMetres) {
        double h = hyperfocalMetres();
        double f = focalMm / 1000;
        return Double.isInfinite(focusMetres) ? h : focusMetres * (h - f) / (h + focusMetres - 2 * f);
    }

    /** Farthest sharp distance, m: s(H − f)/(H − s); infinite from the hyperfocal distance on. */
    public double farMetres(double focusMetres) {
        double h = hyperfocalMetres();
        double f = focalMm / 1000;
        return focusMetres >= h ? Double.POSITIVE_INFINITY : focusMetres * (h - f) / (h - focusMetres);
    }

    /** Blur on the sensor of a thing at a distance when focused at another, mm. */
    public double blurMm(double focusMetres, double distanceMetres) {
        double f = focalMm / 1000;
        double apertureMm = focalMm / fNumber.value();
        if (Double.isInfinite(focusMetres)) {
            return Double.isInfinite(distanceMetres) ? 0 : apertureMm * f / distanceMetres;
        }
        double apart = Double.isInfinite(distanceMetres) ? 1 : Math.abs(distanceMetres - focusMetres) / distanceMetres;
        return apertureMm * apart * f / (focusMetres - f);
    }
}
