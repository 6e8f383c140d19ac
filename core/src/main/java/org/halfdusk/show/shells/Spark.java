package org.halfdusk.show.shells;

/**
 * Something that glows and flies: braked by the air in proportion to its speed (Stokes' law of drag, a drawing model† that keeps
 * to one closed formula), falling, carried by the wind.
 *
 * <p>With u seconds since its birth and q = 1 − e^(−u/τ): x = x₀ + v τ q + w (u − τ q), the same for y and z, and y sinks
 * besides by g τ (u − τ q).
 *
 * @param born and dies: seconds of the show, dies after born
 * @param from where it starts
 * @param speed with which it starts, m/s
 * @param brakingSeconds τ, above 0
 * @param candela at its birth
 * @param fading power of its age by which it fades: I = I₀ (1 − age^fading), age 0 to 1
 * @param flameMetres across its flame
 * @param afterglowSeconds for which its dust glows where it has been, above 0
 */
public record Spark(
        double born,
        double dies,
        Point from,
        Point speed,
        double brakingSeconds,
        double candela,
        double fading,
        double afterglowSeconds,
        double flameMetres,
        Tint tint) {
    /** Fall, m/s². */
    public static final double G = 9.81;

    /** @throws IllegalArgumentException where it dies before it is born, or brakes or glows in no time */
    public Spark {
        if (!(dies > born)) {
            throw new IllegalArgumentException("a spark born at " + born + " s must die after that, not at " + dies);
        }
        if (!(brakingSeconds > 0 && afterglowSeconds > 0)) {
            throw new IllegalArgumentException(
                    "braking " + brakingSeconds + " s and afterglow " + afterglowSeconds + " s must be above 0");
        }
    }

    /** A place or speed over the launching ground: to the right, up, away, m or m/s. */
    public record Point(double x, double y, double z) {
        public static final Point GROUND = new Point(0, 0, 0);

        /** The sum, m. */
        public Point plus(Point p) {
            return new Point(x + p.x, y + p.y, z + p.z);
        }

        /** So many times as far, m. */
        public Point times(double k) {
            return new Point(k * x, k * y, k * z);
        }

        /** To another, m. */
        public double distance(Point p) {
            return Math.sqrt((x - p.x) * (x - p.x) + (y - p.y) * (y - p.y) + (z - p.z) * (z - p.z));
        }
    }

    /** Directions of a view in the show's own axes. */
    public record Axes(Point right, Point up, Point ahead) {}

    /**
     * Where it is.
     *
     * @param seconds of the show
     * @param wind as {@link Point}, m/s
     */
    public Point at(double seconds, Point wind) {
        double u = seconds - born;
        double way = brakingSeconds * (1 - Math.exp(-u / brakingSeconds));
        double carried = u - way;
        return new Point(
                from.x + speed.x * way + wind.x * carried,
                from.y + speed.y * way + (wind.y - G * brakingSeconds) * carried,
                from.z + speed.z * way + wind.z * carried);
    }

    /** How fast it is, as the derivative of {@link #at}, without wind. */
    Point speedAt(double seconds) {
        double left = Math.exp(-(seconds - born) / brakingSeconds);
        Point thrown = speed.times(left);
        return new Point(thrown.x, thrown.y - G * brakingSeconds * (1 - left), thrown.z);
    }

    /** Its light at a time, cd; none before its birth or after its death. */
    public double candelaAt(double seconds) {
        if (seconds < born || seconds >= dies) {
            return 0;
        }
        return candela * (1 - Math.pow((seconds - born) / (dies - born), fading));
    }

    /** All the light between two times, cd·s. */
    public double candelaSeconds(double from, double to) {
        double a = Math.max(0, (from - born) / (dies - born));
        double b = Math.min(1, (to - born) / (dies - born));
        return b <= a ? 0 : candela * (dies - born) * light(a, b, fading);
    }

    /** The integral of 1 − age^fading between two ages, 0 to 1. */
    static double light(double from, double to, double fading) {
        double n = fading + 1;
        return to - from - (Math.pow(to, n) - Math.pow(from, n)) / n;
    }
}
