package org.halfdusk.photometry;

/** Between mag/arcsec² and flux in units of a sky of magnitude 0 per arcsec². */
public final class Magnitudes {
    /** Luminance of a sky of magnitude 0 per arcsec², V, cd/m². */
    public static final double ZERO_POINT_CD_PER_M2 = 10.8e4;

    /** A doubling of light, magnitudes. */
    public static final double PER_STOP = 2.5 * Math.log10(2);

    private Magnitudes() {}

    /** 10^(−0.4 m): 1 for magnitude 0 (Pogson). */
    public static double flux(double magnitude) {
        return Math.pow(10, -0.4 * magnitude);
    }

    /** Infinite for no light at all. */
    public static double of(double flux) {
        return -2.5 * Math.log10(flux);
    }

    /** Nanolamberts to mag/arcsec² (Garstang 1989, as used by Krisciunas and Schaefer 1991). */
    public static double ofNanolamberts(double nanolamberts) {
        return (20.7233 - Math.log(nanolamberts / 34.08)) / 0.92104;
    }
}
