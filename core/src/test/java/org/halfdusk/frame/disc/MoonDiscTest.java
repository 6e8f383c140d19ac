package org.halfdusk.frame.disc;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.util.Optional;
import java.util.Random;
import org.halfdusk.frame.picture.Pixels;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Spheres lit from a side, painted by their own geometry. */
class MoonDiscTest {
    private record Painted(int width, int height, float[] light) implements Pixels {
        @Override
        public void row(int y, int x, int n, float[] red, float[] green, float[] blue) {
            for (int k = 0; k < n; k++) {
                float v = Math.min(1, light[y * width + x + k]);
                red[k] = v;
                green[k] = v;
                blue[k] = v;
            }
        }
    }

    /** Lommel and Seeliger's law of a dusty sphere: light falls off at the terminator, not at the limb. */
    private static Painted moon(
            double x, double y, double radius, double phaseDegrees, double turnDegrees, double level) {
        int w = 500;
        int h = 400;
        Random random = new Random(3);
        float[] light = new float[w * h];
        double i = Math.toRadians(phaseDegrees);
        double t = Math.toRadians(turnDegrees);
        for (int py = 0; py < h; py++) {
            for (int px = 0; px < w; px++) {
                double a = ((px - x) * Math.cos(t) + (py - y) * Math.sin(t)) / radius;
                double b = (-(px - x) * Math.sin(t) + (py - y) * Math.cos(t)) / radius;
                double q = 1 - a * a - b * b;
                double v = 0;
                if (q > 0) {
                    double sun = Math.max(0, a * Math.sin(i) + Math.sqrt(q) * Math.cos(i));
                    v = level * 2 * sun / (sun + Math.sqrt(q) + 1e-6);
                }
                light[py * w + px] = (float) Math.max(0, v + 0.004 * random.nextGaussian());
            }
        }
        return new Painted(w, h, light);
    }

    @ParameterizedTest
    @CsvSource({"0, 0", "35, 20", "70, -60", "90, 100", "110, 200"})
    void theLimbAtAnyPhase(double phase, double turn) {
        MoonDisc d = MoonDisc.of(moon(230.3, 190.7, 90.4, phase, turn, 0.4)).orElseThrow();
        assertEquals(90.4, d.radiusPx(), 0.015 * 90.4, "1.5 %");
        assertEquals(230.3, d.x(), 2.5);
        assertEquals(190.7, d.y(), 2.5);
        assertEquals(0, d.burntPx(), 1e-9);
    }

    /** A frame of more pixels than are held at once: every third of it each way shows the same limb. */
    @Test
    void aLargeFrameShowsTheSameLimb() {
        Painted small = moon(230.3, 190.7, 90.4, 35, 20, 0.4);
        int by = 10;
        Pixels large = new Pixels() {
            @Override
            public int width() {
                return by * small.width();
            }

            @Override
            public int height() {
                return by * small.height();
            }

            @Override
            public void row(int y, int x, int n, float[] red, float[] green, float[] blue) {
                float[] r = new float[small.width()];
                small.row(y / by, 0, small.width(), r, new float[small.width()], new float[small.width()]);
                for (int k = 0; k < n; k++) {
                    red[k] = r[(x + k) / by];
                    green[k] = red[k];
                    blue[k] = red[k];
                }
            }
        };
        MoonDisc d = MoonDisc.of(large).orElseThrow();
        assertEquals(by * 90.4, d.radiusPx(), 0.015 * by * 90.4, "1.5 %");
    }

    @Test
    void whatIsBurntOutIsADiscAsLarge() {
        MoonDisc d = MoonDisc.of(moon(250, 200, 60, 0, 0, 3)).orElseThrow();
        assertEquals(60, d.burntPx(), 0.05 * 60);
    }

    @Test
    void nothingRoundIsNoMoon() {
        float[] light = new float[500 * 400];
        for (int y = 100; y < 104; y++) {
            for (int x = 50; x < 450; x++) {
                light[y * 500 + x] = 0.5f;
            }
        }
        assertEquals(Optional.empty(), MoonDisc.of(new Painted(500, 400, light)));
        assertEquals(Optional.empty(), MoonDisc.of(new Painted(500, 400, new float[500 * 400])));
    }
}
