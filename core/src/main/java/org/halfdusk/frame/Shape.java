package org.halfdusk.frame;

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
record Shape(
        double x,
        double y,
        double peak,
        double major,
        double minor,
        double angle,
        double rest,
        float strength,
        float sharp) {
    /** Full width at half of the top of a round bell of the same area, px. */
    double width() {
        return Math.sqrt(major * minor);
    }

    double elongation() {
        return major / minor;
    }
}
