package org.halfdusk.angle;

/**
 * Distance of a direction from the celestial equator, north positive.
 *
 * @param degrees −90 to 90
 */
public record Declination(double degrees) {
    /** @throws IllegalArgumentException outside ±90° */
    public Declination {
        if (!(degrees >= -90 && degrees <= 90)) {
            throw new IllegalArgumentException("declination " + degrees + "° is outside −90° to 90°");
        }
    }

    /** North positive, −90 to 90. */
    public static Declination ofDegrees(double degrees) {
        return new Declination(degrees);
    }

    /** −π/2 to π/2. */
    public double radians() {
        return Math.toRadians(degrees);
    }
}
