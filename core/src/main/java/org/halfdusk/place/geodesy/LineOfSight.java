package org.halfdusk.place.geodesy;

/**
 * How high land and what stands on it look over the curved earth: atan of the height over the eye, less d²(1 − 0.13)/2R,
 * over the distance. Good to some hundredths of a degree in ordinary air; over water or ice refraction may be far from usual.
 */
public final class LineOfSight {
    /** Usual share of the earth's curve that refraction gives back. */
    private static final double TERRESTRIAL_REFRACTION = 0.13;

    private static final double EARTH_RADIUS_METRES = GreatCircle.EARTH_RADIUS_KM * 1000;

    private LineOfSight() {}

    /** Altitude of something over the eye's height by so many metres, degrees. */
    public static double altitudeDegrees(double overEyeMetres, double distanceMetres) {
        return Math.toDegrees(Math.atan(slope(overEyeMetres, distanceMetres)));
    }

    /** The tangent of that altitude, for who compares many. @param distanceMetres above 0 */
    public static double slope(double overEyeMetres, double distanceMetres) {
        double drop = distanceMetres * distanceMetres * (1 - TERRESTRIAL_REFRACTION) / (2 * EARTH_RADIUS_METRES);
        return (overEyeMetres - drop) / distanceMetres;
    }

    /**
     * From how far away something so much over the eye stands at an altitude, m: the positive root of
     * d²(1 − 0.13)/2R + d·tan h = height; infinite where it never sinks so low.
     */
    public static double distanceMetres(double overEyeMetres, double altitudeDegrees) {
        double tan = Math.tan(Math.toRadians(altitudeDegrees));
        double curve = (1 - TERRESTRIAL_REFRACTION) / (2 * EARTH_RADIUS_METRES);
        double root = tan * tan + 4 * curve * overEyeMetres;
        return root < 0 ? Double.POSITIVE_INFINITY : 2 * overEyeMetres / (tan + Math.sqrt(root));
    }

    /** Altitude of the sea's horizon from an eye so high over it, degrees; negative. */
    public static double seaHorizonDegrees(double eyeMetres) {
        return altitudeDegrees(
                -eyeMetres, Math.sqrt(2 * EARTH_RADIUS_METRES * eyeMetres / (1 - TERRESTRIAL_REFRACTION)));
    }
}
