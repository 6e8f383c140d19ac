package org.halfdusk.frame.points;

import static org.junit.jupiter.api.Assertions.assertEquals;

import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.IntRange;

/** The light that a moving star draws, against the sums and differences that it stands for. */
class SegmentTest {
    private static final int SIDE = 21;

    private static double[] segment(double length, double degrees) {
        return new double[] {0.4, 10.3, 9.6, length, Math.toRadians(degrees), 0.05};
    }

    /** Of each figure, by central differences. */
    @Property
    void derivativesAreThoseOfTheValue(
            @ForAll @DoubleRange(min = 0.5, max = 14) double length,
            @ForAll @DoubleRange(min = -180, max = 180) double degrees,
            @ForAll @DoubleRange(min = 0.7, max = 3) double sigma,
            @ForAll @IntRange(min = 0, max = SIDE * SIDE - 1) int point) {
        Segment s = new Segment(SIDE, sigma);
        double[] p = segment(length, degrees);
        double[] written = new double[6];
        s.value(p, point, written);
        double step = 1e-4;
        for (int i = 0; i < p.length; i++) {
            double[] less = p.clone();
            double[] more = p.clone();
            less[i] -= step;
            more[i] += step;
            double slope = (s.value(more, point, new double[6]) - s.value(less, point, new double[6])) / (2 * step);
            boolean bend = i == 3 && Math.abs(length - Math.sqrt(2 * Math.PI) * sigma) < 2 * step;
            // The error function itself is known to 1.5e-7.
            assertEquals(slope, bend ? slope : written[i], 2e-3 * Math.abs(slope) + 6e-4, "figure " + i);
        }
    }

    /** A bell carried along the segment in many small steps; as high as its top where it is long, and round where it is short. */
    @Property(tries = 200)
    void lightIsABellCarriedAlong(
            @ForAll @DoubleRange(min = 0.5, max = 14) double length,
            @ForAll @DoubleRange(min = -180, max = 180) double degrees,
            @ForAll @IntRange(min = 0, max = SIDE * SIDE - 1) int point) {
        double sigma = 1.4;
        double[] p = segment(length, degrees);
        int steps = 4000;
        double sum = 0;
        for (int i = 0; i < steps; i++) {
            double t = length * ((i + 0.5) / steps - 0.5);
            double dx = point % SIDE - p[1] - t * Math.cos(p[4]);
            double dy = point / SIDE - p[2] - t * Math.sin(p[4]);
            sum += Math.exp(-(dx * dx + dy * dy) / (2 * sigma * sigma)) / steps;
        }
        double passing = length / (Math.sqrt(2 * Math.PI) * sigma);
        double expected = p[0] * sum * Math.max(passing, 1) + p[5];
        assertEquals(expected, new Segment(SIDE, sigma).value(p, point, new double[6]), 1e-5);
    }

    /** A length may be told from either end. */
    @Property(tries = 100)
    void aLengthBelowZeroIsTheSame(
            @ForAll @DoubleRange(min = 0.5, max = 14) double length,
            @ForAll @IntRange(min = 0, max = SIDE * SIDE - 1) int point) {
        Segment s = new Segment(SIDE, 1.4);
        double[] there = new double[6];
        double[] back = new double[6];
        assertEquals(s.value(segment(length, 30), point, there), s.value(segment(-length, 30), point, back), 1e-12);
        assertEquals(there[3], -back[3], 1e-12);
    }
}
