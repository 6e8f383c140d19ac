package org.halfdusk.show.shells;

/**
 * Colour of a star as the three channels of a camera take it in, the strongest as 1†: strontium red, barium green, copper
 * blue, sodium and charcoal gold, strontium with copper for violet, titanium and magnesium for silver and white.
 */
public enum Tint {
    RED(1, 0.13, 0.09),
    GREEN(0.22, 1, 0.26),
    BLUE(0.2, 0.32, 1),
    GOLD(1, 0.56, 0.14),
    VIOLET(0.72, 0.2, 1),
    SILVER(1, 0.94, 0.86);

    private final double red;
    private final double green;
    private final double blue;

    Tint(double red, double green, double blue) {
        this.red = red;
        this.green = green;
        this.blue = blue;
    }

    /** Share of the light, 0 to 1. */
    public double red() {
        return red;
    }

    /** Share of the light, 0 to 1. */
    public double green() {
        return green;
    }

    /** Share of the light, 0 to 1. */
    public double blue() {
        return blue;
    }
}
