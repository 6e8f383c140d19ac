package org.halfdusk.sky.shapes;

/**
 * The sky above one as a disc seen from above, as on a map: the zenith in the middle, the horizon its rim, north up and east on the right.
 * Zenith distance counts evenly (azimuthal equidistant).
 *
 * @param right −1 in the west to 1 in the east, beyond under the horizon
 * @param up −1 in the south to 1 in the north
 */
public record ZenithDisc(double right, double up) {
    private static final double ZENITH_DEGREES = 90;

    /** Where a direction lies; both in degrees, the altitude −90 to 90. */
    public static ZenithDisc of(double azimuthDegrees, double altitudeDegrees) {
        double r = radius(altitudeDegrees);
        double a = Math.toRadians(azimuthDegrees);
        return new ZenithDisc(r * Math.sin(a), r * Math.cos(a));
    }

    /** Of an altitude: 0 at the zenith, 1 at the horizon. */
    public static double radius(double altitudeDegrees) {
        return (ZENITH_DEGREES - altitudeDegrees) / ZENITH_DEGREES;
    }
}
