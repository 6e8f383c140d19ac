package org.halfdusk.frame;

import static org.junit.jupiter.api.Assertions.assertArrayEquals;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.Arrays;
import java.util.List;
import java.util.Random;
import java.util.stream.DoubleStream;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.halfdusk.numeric.LeastSquares;
import org.halfdusk.numeric.Robust;
import org.junit.jupiter.api.Test;

/** The arithmetic under all that is measured in frames: fits, and what many values agree on. */
class FittingTest {
    private static List<Double> list(double... values) {
        return DoubleStream.of(values).boxed().toList();
    }

    /** x = A⁻¹b of [[4, 2], [2, 3]] and [10, 9]: 1.5 and 2. */
    @Test
    void normalEquationsAreSolved() {
        double[] x = LeastSquares.solved(new double[][] {{4, 2}, {2, 3}}, new double[] {10, 9}, 0);
        assertArrayEquals(new double[] {1.5, 2}, x, 1e-9);
        assertEquals(0, LeastSquares.solved(new double[][] {{1, 2}, {2, 1}}, new double[] {1, 1}, 0).length);
    }

    /** A share of the diagonal shortens the step: (4 + 4)x = 8. */
    @Test
    void dampingShortensTheStep() {
        assertArrayEquals(new double[] {1}, LeastSquares.solved(new double[][] {{4}}, new double[] {8}, 1), 1e-9);
        assertArrayEquals(new double[] {2}, LeastSquares.solved(new double[][] {{4}}, new double[] {8}, 0), 1e-9);
    }

    /** y = a·e^(−b·x), a and b above 0. */
    private record Decay() implements LeastSquares.Model {
        @Override
        public double value(double[] p, int point, double[] gradient) {
            double e = Math.exp(-p[1] * point);
            gradient[0] = e;
            gradient[1] = -p[0] * point * e;
            return p[0] * e;
        }

        @Override
        public boolean allowed(double[] p) {
            return p[0] > 0 && p[1] > 0;
        }
    }

    @Property(tries = 200)
    void aCurveIsFoundFromNearby(
            @ForAll @DoubleRange(min = 0.2, max = 50) double height,
            @ForAll @DoubleRange(min = 0.02, max = 0.8) double fall) {
        double[] data = new double[30];
        double[] weight = new double[30];
        Arrays.setAll(data, i -> height * Math.exp(-fall * i));
        Arrays.fill(weight, 1);
        double[] p = {0.6 * height, 1.5 * fall};
        double left = LeastSquares.fit(new Decay(), p, data, weight, data.length);
        assertEquals(height, p[0], 1e-3 * height);
        assertEquals(fall, p[1], 1e-3 * fall + 1e-6);
        assertTrue(left < 1e-4 * height * height, "left " + left);
    }

    @Test
    void whatHasNoWeightDoesNotCount() {
        double[] data = new double[20];
        double[] weight = new double[20];
        Arrays.setAll(data, i -> 3 * Math.exp(-0.2 * i));
        Arrays.fill(weight, 1);
        data[4] = 900;
        weight[4] = 0;
        double[] p = {1, 0.1};
        LeastSquares.fit(new Decay(), p, data, weight, data.length);
        assertArrayEquals(new double[] {3, 0.2}, p, 1e-3);
    }

    /** A shift of (3, −2) of which one place in twenty is wrong by 400 px: the wrong one hardly pulls. */
    @Test
    void placesFarOffCountLess() {
        Random random = new Random(5);
        double[][] stars = new double[20][];
        Arrays.setAll(stars, i -> new double[] {1000 * random.nextDouble(), 1000 * random.nextDouble()});
        double[][] found = new double[20][];
        Arrays.setAll(found, i -> new double[] {stars[i][0] + 3, stars[i][1] - 2});
        found[7][0] += 400;
        double[] shift = {0, 0};
        for (int i = 0; i < 12; i++) {
            double[] s = shift.clone();
            LeastSquares.Places model = shifted(stars, s[0], s[1]);
            LeastSquares.Places[] changed = {shifted(stars, s[0] + 0.01, s[1]), shifted(stars, s[0], s[1] + 0.01)};
            double[] change =
                    LeastSquares.step(model, changed, 0.01, found, 0.03, 6).change(1e-10);
            shift[0] += change[0];
            shift[1] += change[1];
        }
        assertArrayEquals(new double[] {3, -2}, shift, 0.02);
        assertEquals(400, LeastSquares.off(shifted(stars, 3, -2), found)[7], 1e-9);
    }

    private static LeastSquares.Places shifted(double[][] stars, double dx, double dy) {
        return (point, out) -> {
            out[0] = stars[point][0] + dx;
            out[1] = stars[point][1] + dy;
            return true;
        };
    }

    @Test
    void whatIsNotToBeSeenIsInfinitelyFarOff() {
        double[] off = LeastSquares.off((point, out) -> false, new double[][] {{1, 2}});
        assertEquals(Double.POSITIVE_INFINITY, off[0]);
    }

    @Test
    void theMiddleOfMany() {
        assertEquals(3, Robust.median(list(9, 1, 3)));
        assertEquals(2.5, Robust.median(list(4, 1, 2, 3)));
        assertTrue(Double.isNaN(Robust.median(List.of())));
        double[] sorted = Robust.sorted(list(5, 3, 4, 1, 2));
        assertArrayEquals(new double[] {1, 2, 3, 4, 5}, sorted);
        assertEquals(1, Robust.quantile(sorted, 0));
        assertEquals(3, Robust.quantile(sorted, 0.5));
        assertEquals(5, Robust.quantile(sorted, 1));
        assertTrue(Double.isNaN(Robust.quantile(new double[0], 0.5)));
    }

    /** Half of them lie at 10 to 10.2, whatever the others do. */
    @Test
    void theMostFrequent() {
        assertEquals(10.1, Robust.mode(Robust.sorted(list(10, 10.1, 10.2, 10.1, 40, 80, 3, 200))), 0.06);
        assertEquals(7, Robust.mode(new double[] {7}));
        assertEquals(7.5, Robust.mode(new double[] {7, 8}));
        assertTrue(Double.isNaN(Robust.mode(new double[0])));
    }
}
