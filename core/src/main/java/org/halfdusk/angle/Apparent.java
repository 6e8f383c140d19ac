package org.halfdusk.angle;

/**
 * Height above the horizon as it is seen, lifted by refraction; {@link Altitude} is without air. Light's way through the air goes
 * by where a thing is seen, and mixing the two costs up to 1.7 stops at the horizon: so they are two types.
 *
 * @param degrees −90 to 90
 */
public record Apparent(double degrees) {
    /** @throws IllegalArgumentException outside ±90° */
    public Apparent {
        if (!(degrees >= -90 && degrees <= 90)) {
            throw new IllegalArgumentException("apparent altitude " + degrees + "° is outside −90° to 90°");
        }
    }

    /** Over the horizon with refraction, −90 to 90. */
    public static Apparent ofDegrees(double degrees) {
        return new Apparent(degrees);
    }

    /** Whether it is over the horizon of the sea. */
    public boolean up() {
        return degrees > 0;
    }
}
