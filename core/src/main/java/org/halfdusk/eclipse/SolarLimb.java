package org.halfdusk.eclipse;

/**
 * How much darker the Sun's rim is than its disc: I(μ)/I(1) = 1 − u (1 − μ) with u = 0.6, the round figure for visual light
 * (a working figure of ours; it lies between 0.5 in red and 0.7 in blue), μ the cosine to the surface's upright. The mean
 * over the disc is 1 − u/3.
 */
public final class SolarLimb {
    private static final double DARKENING = 0.6;
    private static final int RINGS = 120;

    private SolarLimb() {}

    /** Brightness at a distance from the middle, in radii 0 to 1, over that of the middle. */
    public static double brightness(double radius) {
        return 1 - DARKENING * (1 - Math.sqrt(Math.max(0, 1 - radius * radius)));
    }

    /** What of the disc is not covered: its light and its area, those of the whole disc being 1 − u/3 and 1. */
    private record Left(double light, double area) {
        static Left of(LocalDiscs discs) {
            double apart = Math.hypot(discs.right(), discs.up());
            double light = 0;
            double area = 0;
            for (int i = 0; i < RINGS; i++) {
                // Finer towards the rim, where the last of it stands.
                double outer = Math.sqrt(1 - Math.pow(1 - (i + 1.0) / RINGS, 2));
                double inner = Math.sqrt(1 - Math.pow(1 - (double) i / RINGS, 2));
                double r = (outer + inner) / 2;
                double left = (outer * outer - inner * inner) * bare(r, apart, discs.moonRadius());
                light += left * brightness(r);
                area += left;
            }
            return new Left(light, area);
        }

        /** Share of a thin ring of radius r that a disc of radius m at a distance leaves bare: by the law of cosines. */
        private static double bare(double r, double apart, double m) {
            if (apart < 1e-9) {
                return r > m ? 1 : 0;
            }
            double cos = (r * r + apart * apart - m * m) / (2 * r * apart);
            return 1 - Math.acos(Math.max(-1, Math.min(1, cos))) / Math.PI;
        }
    }

    /**
     * By how many stops what is left of the Sun is darker than its whole disc, 0 to 1.0: the crescent is rim. Nothing left
     * counts as the rim itself.
     */
    public static double crescentStops(LocalDiscs discs) {
        Left left = Left.of(discs);
        double mean = left.area() > 0 ? left.light() / left.area() : brightness(1);
        return Math.log((1 - DARKENING / 3) / mean) / Math.log(2);
    }

    /** Share of the Sun's light that the Moon does not cover, 0 to 1. */
    public static double lightLeft(LocalDiscs discs) {
        double apart = Math.hypot(discs.right(), discs.up());
        if (apart >= 1 + discs.moonRadius()) {
            return 1;
        }
        if (apart <= discs.moonRadius() - 1) {
            return 0;
        }
        return Math.min(1, Left.of(discs).light() / (1 - DARKENING / 3));
    }
}
