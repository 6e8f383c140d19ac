package org.halfdusk.frame.tones;

import java.util.ArrayList;
import java.util.List;
import org.halfdusk.photometry.Srgb;

/**
 * How a frame's light is spread.
 *
 * @param peak code of the most frequent luminance, 0 to 1
 * @param belowBlack share of pixels at code 0
 * @param clipped share of pixels with any colour at the end
 * @param clippedAll share with all colours there
 * @param spread share of the pixels in each of {@link #BARS} equal parts of the codes of luminance, from black
 */
public record Tones(double peak, double belowBlack, double clipped, double clippedAll, List<Double> spread) {
    /** Parts of a histogram as it is kept. */
    public static final int BARS = 128;

    private static final int LEVELS = 256;

    public Tones {
        spread = List.copyOf(spread);
    }

    /** Bins of luminance codes: four to a level of 8 bits. */
    static final int BINS = 4 * LEVELS;

    static final float FULL = 0.9999f;
    private static final int FINE = 65_536;

    /** From linear light in fine steps to its bin. */
    private static final short[] BIN = bins();

    private static short[] bins() {
        short[] all = new short[2 * FINE];
        for (int i = 0; i < all.length; i++) {
            all[i] = (short) Math.min(BINS - 1, (int) (Srgb.code(Math.min(1, (double) i / FINE)) * BINS));
        }
        return all;
    }

    static short bin(float linear) {
        return BIN[(int) (linear * FINE) & 0x1ffff];
    }

    /** Linear light in the middle of a bin. */
    static double linear(double bin) {
        return Srgb.linear((bin + 0.5) / BINS);
    }

    /** Counts while a frame is gone through. */
    public static final class Counting {
        private final int[] counts = new int[BINS];
        private long pixels;
        private long black;
        private long any;
        private long every;

        /** Takes a row in, with its bins. */
        public void row(ScannedRow row) {
            for (int i = 0; i < row.width; i++) {
                if (row.most[i] >= FULL) {
                    any++;
                    every += Math.min(row.red[i], Math.min(row.green[i], row.blue[i])) >= FULL ? 1 : 0;
                } else if (row.luminance[i] <= 0) {
                    black++;
                }
            }
            pixels += row.width;
        }

        /** Once all rows are in: how often each bin was met, which the mesh has counted part by part. */
        public void counted(Mesh mesh) {
            mesh.sum(counts);
        }

        /** Mean linear light of the pixels about the most frequent one, as many below it as above. */
        public double about(Tones t) {
            int at = (int) (t.peak() * BINS);
            int reach = 0;
            // Down to where there are half as many: that side no star has lifted.
            while (at - reach > 0 && counts[at - reach] * 2 > counts[at]) {
                reach++;
            }
            double sum = 0;
            long n = 0;
            for (int i = Math.max(0, at - reach); i <= Math.min(BINS - 1, at + reach); i++) {
                sum += counts[i] * linear(i);
                n += counts[i];
            }
            return n == 0 ? linear(at) : sum / n;
        }

        /** What all rows together were. */
        public Tones done() {
            return new Tones(
                    (mode(counts) + 0.5) / BINS,
                    (double) black / pixels,
                    (double) any / pixels,
                    (double) every / pixels,
                    spread());
        }

        private List<Double> spread() {
            List<Double> bars = new ArrayList<>();
            for (int i = 0; i < BARS; i++) {
                long n = 0;
                for (int k = i * BINS / BARS; k < (i + 1) * BINS / BARS; k++) {
                    n += counts[k];
                }
                bars.add((double) n / pixels);
            }
            return bars;
        }
    }

    /** Most frequent bin of a histogram smoothed over a level on each side, the bins at the ends left out. */
    private static int mode(int[] counts) {
        int width = BINS / LEVELS;
        long best = -1;
        int at = 0;
        long sum = 0;
        for (int i = 0; i < 2 * width + 1; i++) {
            sum += counts[i];
        }
        for (int i = width; i + width + 1 < BINS - width; i++) {
            if (sum > best) {
                best = sum;
                at = i;
            }
            sum += counts[i + width + 1] - counts[i - width];
        }
        return at;
    }
}
