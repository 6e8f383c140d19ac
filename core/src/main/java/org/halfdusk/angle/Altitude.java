package org.halfdusk.angle;

/**
 * Height above the horizon.
 *
 * @param degrees −90 (nadir) to 90 (zenith)
 */
public record Altitude(double degrees) implements Comparable<Altitude> {
    /** @throws IllegalArgumentException outside ±90° */
    public Altitude {
        if (!(degrees >= -90 && degrees <= 90)) {
            throw new IllegalArgumentException("altitude " + degrees + "° is outside −90° to 90°");
        }
    }

    /** Of a unit direction's part that points up; a rounding beyond 1 is forgiven. */
    public static Altitude ofSine(double sine) {
        return ofDegrees(Math.toDegrees(Math.asin(Math.max(-1, Math.min(1, sine)))));
    }

    /** Over the horizon, −90 to 90. */
    public static Altitude ofDegrees(double degrees) {
        return new Altitude(degrees);
    }

    /** −π/2 to π/2. */
    public double radians() {
        return Math.toRadians(degrees);
    }

    @Override
    public int compareTo(Altitude other) {
        return Double.compare(degrees, other.degrees);
    }
}
