package org.halfdusk.frame.stack;

import java.util.Arrays;
import org.halfdusk.frame.picture.Pixels;
import org.halfdusk.frame.stack.held.Picture;
import org.halfdusk.frame.stack.held.Shelf;
import org.halfdusk.photometry.Srgb;

/**
 * What the values of a pixel in many frames agree on, each colour for itself, whatever a few of them say: an aircraft, a satellite, a lamp.
 *
 * @param frames on the shelf, numbered from 0
 * @param width of them, px
 * @param kept how they are made one
 */
public record Among(Shelf shelf, int frames, int width, int height, Kept kept) implements Picture {
    /** How values are made one. */
    public enum Kept {
        /** The middle value. */
        MEDIAN,
        /** The mean of those within {@link #CLIP} standard deviations of the middle, taken again until none falls out. */
        CLIPPED
    }

    /** Farther from the middle than this many standard deviations nothing counts: one value in 370 of pure noise†. */
    private static final double CLIP = 3;

    /** From the median distance to the middle to a standard deviation, of bells. */
    private static final double BELL = 1.4826;

    private static final int ROUNDS = 4;

    /** A step of a file of 8 bits is wider than its noise in the dark: nothing nearer than so much of it falls out. */
    private static final double STEPS = 2.5;

    @Override
    public void line(int y, short[] rgb) {
        short[][] all = new short[frames][3 * width];
        for (int f = 0; f < frames; f++) {
            shelf.get(f, y, all[f]);
        }
        int[] values = new int[frames];
        double[] away = new double[frames];
        for (int i = 0; i < 3 * width; i++) {
            int n = 0;
            for (int f = 0; f < frames; f++) {
                short v = all[f][i];
                if (v != NOTHING) {
                    values[n++] = v & 0xffff;
                }
            }
            Arrays.sort(values, 0, n);
            rgb[i] = (short) (n == 0 ? 0 : kept == Kept.MEDIAN ? middle(values, 0, n) : clipped(values, n, away));
        }
    }

    private static int middle(int[] sorted, int from, int to) {
        int at = (from + to) / 2;
        return (to - from) % 2 == 1 ? sorted[at] : (sorted[at - 1] + sorted[at] + 1) / 2;
    }

    private static int clipped(int[] sorted, int n, double[] away) {
        int from = 0;
        int to = n;
        for (int round = 0; round < ROUNDS && to - from > 2; round++) {
            int middle = middle(sorted, from, to);
            int m = to - from;
            for (int i = 0; i < m; i++) {
                away[i] = Math.abs(sorted[from + i] - middle);
            }
            Arrays.sort(away, 0, m);
            double sigma = BELL * (m % 2 == 1 ? away[m / 2] : (away[m / 2 - 1] + away[m / 2]) / 2);
            double reach = Math.max(CLIP * sigma, STEPS * step(middle));
            int low = from;
            int high = to;
            while (sorted[low] < middle - reach) {
                low++;
            }
            while (sorted[high - 1] > middle + reach) {
                high--;
            }
            if (low == from && high == to) {
                break;
            }
            from = low;
            to = high;
        }
        long sum = 0;
        for (int i = from; i < to; i++) {
            sum += sorted[i];
        }
        return (int) ((sum + (to - from) / 2) / (to - from));
    }

    /** Linear light between two neighbouring codes of 8 bits about a light. */
    private static double step(int light) {
        double linear = Math.max(0.0031308, light / (double) Pixels.FULL);
        // Slope of linear = ((code + 0.055)/1.055)^2.4, by its own inverse.
        double code = Srgb.code(linear);
        return 2.4 * linear / (code + 0.055) / 255 * Pixels.FULL;
    }
}
