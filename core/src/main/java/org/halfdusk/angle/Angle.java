package org.halfdusk.angle;

/**
 * An angle of any size, kept in radians.
 *
 * @param radians any finite number
 */
public record Angle(double radians) implements Comparable<Angle> {
    /** Seconds of arc in a radian. */
    public static final double ARCSECONDS_PER_RADIAN = 180 * 3600 / Math.PI;

    private static final double TURN = 2 * Math.PI;

    /** @throws IllegalArgumentException for what is not finite */
    public Angle {
        if (!Double.isFinite(radians)) {
            throw new IllegalArgumentException("angle " + radians + " is not a finite number");
        }
    }

    /** Any finite number of radians. */
    public static Angle ofRadians(double radians) {
        return new Angle(radians);
    }

    /** Any finite number of degrees. */
    public static Angle ofDegrees(double degrees) {
        return new Angle(Math.toRadians(degrees));
    }

    /** Any finite number of arcseconds. */
    public static Angle ofArcseconds(double arcseconds) {
        return new Angle(arcseconds / ARCSECONDS_PER_RADIAN);
    }

    /** The angle in degrees, not wrapped. */
    public double degrees() {
        return Math.toDegrees(radians);
    }

    /** The angle in arcseconds, not wrapped. */
    public double arcseconds() {
        return radians * ARCSECONDS_PER_RADIAN;
    }

    /** The sum, not wrapped. */
    public Angle plus(Angle other) {
        return new Angle(radians + other.radians);
    }

    /** The difference, not wrapped. */
    public Angle minus(Angle other) {
        return new Angle(radians - other.radians);
    }

    /** The same direction in 0 (included) to 360° (excluded). */
    public Angle wrapped() {
        return new Angle(wrap(radians));
    }

    /** The same direction in −180° (included) to 180° (excluded). */
    public Angle signed() {
        return new Angle(signed(radians));
    }

    @Override
    public int compareTo(Angle other) {
        return Double.compare(radians, other.radians);
    }

    /** Radians brought into [0, 2π). */
    public static double wrap(double radians) {
        double r = radians - TURN * Math.floor(radians / TURN);
        return r < TURN ? r : 0;
    }

    /** Radians brought into [−π, π). */
    public static double signed(double radians) {
        return wrap(radians + Math.PI) - Math.PI;
    }
}
