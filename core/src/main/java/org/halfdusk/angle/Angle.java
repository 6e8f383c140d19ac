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

    public Angle {
        if (!Double.isFinite(radians)) {
            throw new IllegalArgumentException("angle " + radians + " is not a finite number");
        }
    }

    public static Angle ofRadians(double radians) {
        return new Angle(radians);
    }

    public static Angle ofDegrees(double degrees) {
        return new Angle(Math.toRadians(degrees));
    }

    public static Angle ofArcseconds(double arcseconds) {
        return new Angle(arcseconds / ARCSECONDS_PER_RADIAN);
    }

    public double degrees() {
        return Math.toDegrees(radians);
    }

    public double arcseconds() {
        return radians * ARCSECONDS_PER_RADIAN;
    }

    public Angle plus(Angle other) {
        return new Angle(radians + other.radians);
    }

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
