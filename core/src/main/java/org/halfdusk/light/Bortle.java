package org.halfdusk.light;

import org.halfdusk.photometry.SkyBrightness;

/**
 * The Bortle scale (Bortle 2001) as lower bounds of zenith brightness; published tables disagree by some tenths, these
 * are the ones the product uses throughout.
 */
public final class Bortle {
    private static final double[] LOWER_BOUNDS = {21.76, 21.6, 21.3, 20.3, 19.25, 18.5, 18.0};

    private Bortle() {}

    /** Class 1 (darkest) to 8 and more, for a zenith. */
    public static int classOf(SkyBrightness zenith) {
        for (int i = 0; i < LOWER_BOUNDS.length; i++) {
            if (zenith.magnitude() >= LOWER_BOUNDS[i]) {
                return i + 1;
            }
        }
        return LOWER_BOUNDS.length + 1;
    }

    /**
     * A typical zenith brightness of a class, 1 to 9: the middle of its range.
     *
     * @throws IllegalArgumentException for a class outside 1 to 9
     */
    public static SkyBrightness brightnessOf(int bortleClass) {
        return SkyBrightness.of(
                switch (bortleClass) {
                    case 1 -> 21.9;
                    case 2 -> 21.68;
                    case 3 -> 21.45;
                    case 4 -> 20.8;
                    case 5 -> 19.8;
                    case 6 -> 18.9;
                    case 7 -> 18.25;
                    case 8 -> 17.8;
                    case 9 -> 17.3;
                    default -> throw new IllegalArgumentException("Bortle class " + bortleClass + " is outside 1 to 9");
                });
    }

    /** Faintest star seen with the eye under a sky (Schaefer 1990): 22 → 6.6. */
    public static double faintestStar(SkyBrightness sky) {
        return 7.93 - 5 * Math.log10(Math.pow(10, 4.316 - sky.magnitude() / 5) + 1);
    }
}
