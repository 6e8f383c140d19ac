package org.halfdusk.show.shells;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Random;

/** Where the stars of a kind fly: evenly over a sphere by the golden angle, each a little faster or slower than the rest. */
record StarPattern(List<Spark.Point> directions) {
    private static final double GOLDEN_RAD = Math.PI * (3 - Math.sqrt(5));

    /** How far a star's speed is off the others' at the most†. */
    private static final double UNEVEN = 0.07;

    /** A palm's stars leave upwards and aside, none down†. */
    private static final double PALM_LEAST_UP = -0.1;

    private static final List<StarPattern> ALL =
            Arrays.stream(ShellKind.values()).map(StarPattern::made).toList();

    static StarPattern of(ShellKind kind) {
        return ALL.get(kind.ordinal());
    }

    private static StarPattern made(ShellKind kind) {
        if (kind == ShellKind.SALUTE) {
            return new StarPattern(List.of(Spark.Point.GROUND));
        }
        Random chance = new Random(kind.ordinal() + 1L);
        double lowest = kind == ShellKind.PALM ? PALM_LEAST_UP : -1;
        List<Spark.Point> directions = new ArrayList<>();
        int n = kind.stars();
        for (int i = 0; i < n; i++) {
            double up = 1 - (1 - lowest) * (i + 0.5) / n;
            double flat = Math.sqrt(1 - up * up);
            double fast = 1 + UNEVEN * (2 * chance.nextDouble() - 1);
            double angle = GOLDEN_RAD * i;
            directions.add(new Spark.Point(flat * Math.cos(angle), up, flat * Math.sin(angle)).times(fast));
        }
        return new StarPattern(List.copyOf(directions));
    }

    /** The same turned about the vertical. @param turn 0 to 1 */
    List<Spark.Point> turned(double turn) {
        double cos = Math.cos(2 * Math.PI * turn);
        double sin = Math.sin(2 * Math.PI * turn);
        return directions.stream()
                .map(d -> new Spark.Point(d.x() * cos - d.z() * sin, d.y(), d.x() * sin + d.z() * cos))
                .toList();
    }
}
