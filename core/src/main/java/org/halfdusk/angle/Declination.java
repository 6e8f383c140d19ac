package org.halfdusk.angle;

/**
 * Distance of a direction from the celestial equator, north positive.
 *
 * @param degrees −90 to 90
 */
public record Declination(double degrees) {
    public Declination {
        if (!(degrees >= -90 && degrees <= 90)) {
            throw new IllegalArgumentException("declination " + degrees + "° is outside −90° to 90°");
        }
    }

    public static Declination ofDegrees(double degrees) {
        return new Declination(degrees);
    }

    public double radians() {
        return Math.toRadians(degrees);
    }
}
