package org.halfdusk.frame.points;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.IntRange;

/** What is near is found by cells as by looking at all. */
class NeighboursTest {
    private static final int WIDTH = 310;
    private static final int HEIGHT = 190;

    @Property(tries = 200)
    void theNearestOfAll(
            @ForAll @IntRange(min = 0, max = 120) int count,
            @ForAll @DoubleRange(min = 1, max = 70) double reach,
            @ForAll long seed) {
        Random random = new Random(seed);
        double[][] found = new double[count][];
        for (int i = 0; i < count; i++) {
            found[i] = place(random);
        }
        int used = count / 2;
        Neighbours all = new Neighbours(found, used, WIDTH, HEIGHT);
        for (int k = 0; k < 20; k++) {
            double[] at = place(random);
            int nearest = -1;
            for (int i = 0; i < used; i++) {
                double d = away(found[i], at);
                nearest = d < reach && (nearest < 0 || d < away(found[nearest], at)) ? i : nearest;
            }
            assertEquals(nearest, all.nearest(at[0], at[1], reach));
        }
    }

    private static double[] place(Random random) {
        return new double[] {random.nextDouble() * WIDTH, random.nextDouble() * HEIGHT};
    }

    private static double away(double[] a, double[] b) {
        return Math.hypot(a[0] - b[0], a[1] - b[1]);
    }
}
