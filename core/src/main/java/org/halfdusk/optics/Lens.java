package org.halfdusk.optics;

import org.halfdusk.optics.kit.Figures;
import org.halfdusk.typed.PlainText;

/**
 * A lens by its figures; a fixed focal length has the same value at both ends.
 *
 * @param widestAtShortest f-number wide open at the shortest focal length
 * @param widestAtLongest f-number wide open at the longest
 * @param smallestAperture largest f-number
 * @param sharpestAperture f-number at which the middle and corners are best
 * @param electronicAperture whether the camera can set it; otherwise only a ring can
 * @param coma how stars in its corners look, in the person's own words
 * @param fisheye an equisolid fisheye; otherwise straight lines stay straight
 */
public record Lens(
        String name,
        double shortestMm,
        double longestMm,
        double widestAtShortest,
        double widestAtLongest,
        double smallestAperture,
        double sharpestAperture,
        boolean electronicAperture,
        String coma,
        boolean fisheye) {
    /** Longest note on its coma. */
    public static final int LONGEST_NOTE = 400;

    /** @throws IllegalArgumentException for an empty name, a focal length outside 1 to 5000 mm, an aperture outside f/0.5 to f/128, and where the long end is shorter or wider than the short one */
    public Lens {
        name = Figures.name(name);
        Figures.within("shortest focal length", shortestMm, 1, 5000, "mm");
        Figures.within("longest focal length", longestMm, shortestMm, 5000, "mm");
        Figures.within("widest aperture f/", widestAtShortest, 0.5, 64, "");
        Figures.within("widest aperture at the long end f/", widestAtLongest, widestAtShortest, 64, "");
        Figures.within("smallest aperture f/", smallestAperture, widestAtLongest, 128, "");
        Figures.within("sharpest aperture f/", sharpestAperture, widestAtShortest, smallestAperture, "");
        coma = PlainText.lines("note on coma", coma, LONGEST_NOTE);
    }

    /** A rectilinear lens that the camera sets, without a note. */
    public Lens(
            String name,
            double shortestMm,
            double longestMm,
            double widestAtShortest,
            double widestAtLongest,
            double smallestAperture,
            double sharpestAperture) {
        this(
                name,
                shortestMm,
                longestMm,
                widestAtShortest,
                widestAtLongest,
                smallestAperture,
                sharpestAperture,
                true,
                "",
                false);
    }

    /** How it maps an angle from its axis to a distance on the sensor. */
    public Imaging imaging() {
        return fisheye ? Imaging.EQUISOLID : Imaging.RECTILINEAR;
    }

    /** Whether it has more than one focal length. */
    public boolean zoom() {
        return longestMm > shortestMm;
    }

    /** Widest f-number at a focal length; between the ends by the focal length's share, which lenses roughly follow. */
    public double widestAt(double focalMm) {
        if (!zoom()) {
            return widestAtShortest;
        }
        double share = Math.max(0, Math.min(1, (focalMm - shortestMm) / (longestMm - shortestMm)));
        return widestAtShortest + share * (widestAtLongest - widestAtShortest);
    }
}
