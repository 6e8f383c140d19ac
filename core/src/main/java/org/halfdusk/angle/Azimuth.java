package org.halfdusk.angle;

/**
 * Direction along the horizon, from true north by east.
 *
 * @param degrees 0 (included) to 360 (excluded); other finite numbers are wrapped into it
 */
public record Azimuth(double degrees) {
    /** @throws IllegalArgumentException for what is not finite */
    public Azimuth {
        if (!Double.isFinite(degrees)) {
            throw new IllegalArgumentException("azimuth " + degrees + " is not a finite number");
        }
        degrees = degrees - 360 * Math.floor(degrees / 360);
        degrees = degrees < 360 ? degrees : 0;
    }

    /** From north by east; any number is wrapped to 0 to below 360. */
    public static Azimuth ofDegrees(double degrees) {
        return new Azimuth(degrees);
    }

    /**
     * The nearest of whole steps from north: 359.96° by tenths of a degree is 0°, not 360°.
     *
     * @param stepsPerDegree how many steps a degree has, above 0
     */
    public Azimuth rounded(int stepsPerDegree) {
        return ofDegrees(Math.rint(degrees * stepsPerDegree) / stepsPerDegree);
    }

    /** From north by east, 0 to below 2π. */
    public double radians() {
        return Math.toRadians(degrees);
    }

    /** Degrees to turn from here to the other, −180 to 180, positive to the right. */
    public double turnTo(Azimuth other) {
        return Math.toDegrees(Angle.signed(other.radians() - radians()));
    }
}
