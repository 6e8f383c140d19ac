package org.halfdusk.shoot.fireworks;

import java.util.ArrayList;
import java.util.List;

/**
 * What the sparks of one break draw while the shutter is open, seen from the side.
 *
 * <p>Stars fly evenly to all sides, are braked by the air, r = R (1 − e^(−t/τ)), and sink meanwhile by g τ (t − τ (1 −
 * e^(−t/τ))): a drawing model† with τ = 0.45 s. Coordinates in metres from the break, y upwards.
 */
public final class Sparks {
    private static final double BRAKING_SECONDS = 0.45;
    private static final double G = 9.81;
    private static final int STARS = 64;
    private static final int STEPS = 9;

    /** Turn from one star to the next that spreads them evenly over a sphere. */
    private static final double GOLDEN_RAD = Math.PI * (3 - Math.sqrt(5));

    private Sparks() {}

    /** A place beside the break, m. */
    public record Spot(double x, double y) {}

    /**
     * Ways of the stars from one time after the break to another.
     *
     * @param radiusMetres that they reach
     * @param from and to: seconds after the break, to after from
     */
    public static List<List<Spot>> between(double radiusMetres, double from, double to) {
        List<List<Spot>> ways = new ArrayList<>();
        for (int i = 0; i < STARS; i++) {
            double up = 1 - 2 * (i + 0.5) / STARS;
            double side = Math.sqrt(1 - up * up) * Math.cos(GOLDEN_RAD * i);
            List<Spot> way = new ArrayList<>();
            for (int k = 0; k <= STEPS; k++) {
                way.add(at(radiusMetres, side, up, from + (to - from) * k / STEPS));
            }
            ways.add(way);
        }
        return ways;
    }

    private static Spot at(double radius, double side, double up, double t) {
        double slowed = 1 - Math.exp(-t / BRAKING_SECONDS);
        double sunk = G * BRAKING_SECONDS * (t - BRAKING_SECONDS * slowed);
        return new Spot(radius * slowed * side, radius * slowed * up - sunk);
    }
}
