package org.halfdusk.frame.stack.held;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.IntConsumer;
import java.util.stream.IntStream;
import org.halfdusk.frame.picture.Pixels;

/** A picture held whole in memory, six bytes a pixel. It serves as lines, and as pixels to what reads frames. */
public final class Held implements Picture, Pixels {
    private static final float PART_OF_FULL = 1f / FULL;

    private final int width;
    private final int height;
    public final short[] rgb;

    private Held(int width, int height, short[] rgb) {
        this.width = width;
        this.height = height;
        this.rgb = rgb;
    }

    /** A black one. */
    public static Held black(int width, int height) {
        return new Held(width, height, new short[3 * width * height]);
    }

    /**
     * Of numbers that are kept as they are, three a pixel by rows.
     *
     * @throws IllegalArgumentException where the numbers are not three a pixel
     */
    public static Held of(int width, int height, short[] rgb) {
        if (rgb.length != 3 * width * height) {
            throw new IllegalArgumentException(
                    rgb.length + " numbers are not three for each of " + width + " by " + height + " pixels");
        }
        return new Held(width, height, rgb);
    }

    /** What it holds, not a copy. */
    public short[] light() {
        return rgb;
    }

    /** A copy of another. */
    public static Held of(Picture lines) {
        Held held = black(lines.width(), lines.height());
        held.take(lines);
        return held;
    }

    /**
     * A copy of a picture whose lines can be asked for by several threads at once, on all processors.
     *
     * @param done told after each line how many are
     */
    public static Held ofAll(Picture lines, IntConsumer done) {
        Held held = black(lines.width(), lines.height());
        AtomicInteger count = new AtomicInteger();
        IntStream.range(0, lines.height()).parallel().forEach(y -> {
            short[] row = new short[3 * lines.width()];
            lines.line(y, row);
            held.put(y, row);
            done.accept(count.incrementAndGet());
        });
        return held;
    }

    /** Takes the place of what it held, another picture of the same size. */
    public void take(Picture lines) {
        short[] row = new short[3 * width];
        for (int y = 0; y < height; y++) {
            lines.line(y, row);
            put(y, row);
        }
    }

    /** A row in its place; threads may put different ones at once. */
    public void put(int y, short[] row) {
        System.arraycopy(row, 0, rgb, 3 * width * y, 3 * width);
    }

    @Override
    public int width() {
        return width;
    }

    @Override
    public int height() {
        return height;
    }

    @Override
    public void line(int y, short[] row) {
        System.arraycopy(rgb, 3 * width * y, row, 0, 3 * width);
    }

    @Override
    public void row(int y, int x, int n, float[] red, float[] green, float[] blue) {
        int i = 3 * (width * y + x);
        for (int k = 0; k < n; k++) {
            red[k] = (rgb[i++] & 0xffff) * PART_OF_FULL;
            green[k] = (rgb[i++] & 0xffff) * PART_OF_FULL;
            blue[k] = (rgb[i++] & 0xffff) * PART_OF_FULL;
        }
    }

    /**
     * Light at a place between pixels, by cubic curves through the four nearest each way (Keys 1981, a = −1/2), which keep stars' widths. A
     * place is taken to 1/1024 px.
     *
     * @param out red, green, blue, 0 to 65,535
     * @return false outside the picture, where nothing is known; out is untouched then
     */
    public boolean at(double x, double y, int[] out) {
        if (!(x >= 1 && y >= 1 && x < width - 2 && y < height - 2)) {
            return edge(x, y, out);
        }
        int x0 = (int) x;
        int y0 = (int) y;
        int across = 4 * (int) ((x - x0) * BETWEEN + 0.5);
        int down = 4 * (int) ((y - y0) * BETWEEN + 0.5);
        int a0 = WEIGHTS[across];
        int a1 = WEIGHTS[across + 1];
        int a2 = WEIGHTS[across + 2];
        int a3 = WEIGHTS[across + 3];
        long red = HALF;
        long green = HALF;
        long blue = HALF;
        short[] p = rgb;
        int i = 3 * ((y0 - 1) * width + x0 - 1);
        for (int k = 0; k < 4; k++, i += 3 * width) {
            long v = WEIGHTS[down + k];
            red += v
                    * (a0 * (p[i] & 0xffff)
                            + a1 * (p[i + 3] & 0xffff)
                            + a2 * (p[i + 6] & 0xffff)
                            + a3 * (p[i + 9] & 0xffff));
            green += v
                    * (a0 * (p[i + 1] & 0xffff)
                            + a1 * (p[i + 4] & 0xffff)
                            + a2 * (p[i + 7] & 0xffff)
                            + a3 * (p[i + 10] & 0xffff));
            blue += v
                    * (a0 * (p[i + 2] & 0xffff)
                            + a1 * (p[i + 5] & 0xffff)
                            + a2 * (p[i + 8] & 0xffff)
                            + a3 * (p[i + 11] & 0xffff));
        }
        out[0] = whole(red >> 2 * BITS);
        out[1] = whole(green >> 2 * BITS);
        out[2] = whole(blue >> 2 * BITS);
        return true;
    }

    /** Of each weight, a whole number: four of them, a little below 0 and above 1, times sixteen bits of light still are one int. */
    private static final int BITS = 14;

    private static final long HALF = 1L << 2 * BITS - 1;
    private static final int BETWEEN = 1024;
    private static final int[] WEIGHTS = weights();

    /** Of the four nearest at each place between two pixels; they make one together, so that even light stays what it is. */
    private static int[] weights() {
        int[] all = new int[4 * (BETWEEN + 1)];
        for (int i = 0; i <= BETWEEN; i++) {
            double t = i / (double) BETWEEN;
            double[] four = {outer(t), inner(t), inner(1 - t), outer(1 - t)};
            int left = 1 << BITS;
            for (int k = 0; k < 4; k++) {
                all[4 * i + k] = (int) Math.round(four[k] * (1 << BITS));
                left -= all[4 * i + k];
            }
            all[4 * i + (t < 0.5 ? 1 : 2)] += left;
        }
        return all;
    }

    private static double outer(double t) {
        return ((-0.5 * t + 1) * t - 0.5) * t;
    }

    private static double inner(double t) {
        return (1.5 * t - 2.5) * t * t + 1;
    }

    private static int whole(long v) {
        return v < 0 ? 0 : v > FULL ? FULL : (int) v;
    }

    /** So far outside is rounding, px. */
    private static final double RIM = 0.01;

    /** By straight lines in the outermost pixels. */
    private boolean edge(double x, double y, int[] out) {
        if (!(x >= -RIM && y >= -RIM && x <= width - 1 + RIM && y <= height - 1 + RIM)) {
            return false;
        }
        int x0 = Math.min(width - 2, (int) x);
        int y0 = Math.min(height - 2, (int) y);
        float fx = (float) Math.max(0, Math.min(1, x - x0));
        float fy = (float) Math.max(0, Math.min(1, y - y0));
        int i = 3 * (y0 * width + x0);
        int down = 3 * width;
        for (int c = 0; c < 3; c++, i++) {
            float upper = (rgb[i] & 0xffff) * (1 - fx) + (rgb[i + 3] & 0xffff) * fx;
            float lower = (rgb[i + down] & 0xffff) * (1 - fx) + (rgb[i + down + 3] & 0xffff) * fx;
            out[c] = whole(upper * (1 - fy) + lower * fy);
        }
        return true;
    }

    private static int whole(float v) {
        return Math.max(0, Math.min(FULL, Math.round(v)));
    }

    /**
     * Noise of linear luminance where light is even, as one standard deviation: how far pixels lie from the mean of four others some pixels
     * away, which neither slopes of light nor smoothing lift; of its parts' medians the middle one, so that stars and dark land do not count.
     */
    public double noise() {
        List<Double> parts = new ArrayList<>();
        for (int y = APART; y + PART + APART <= height; y += PART) {
            for (int x = APART; x + PART + APART <= width; x += PART) {
                parts.add(noise(x, y));
            }
        }
        parts.sort(Comparator.naturalOrder());
        return parts.isEmpty() ? Double.NaN : parts.get(parts.size() / 2);
    }

    /** Pixels so far apart share no light of a star or of a curve between pixels. */
    private static final int APART = 4;

    private static final int PART = 64;

    /** From the median distance to a standard deviation of bells; the mean of four has a quarter of their variance besides. */
    private static final double BELL = 1.4826 / Math.sqrt(1.25);

    private double noise(int x0, int y0) {
        double[] off = new double[PART * PART];
        for (int i = 0; i < off.length; i++) {
            int x = x0 + i % PART;
            int y = y0 + i / PART;
            double about = luminance(x - APART, y)
                    + luminance(x + APART, y)
                    + luminance(x, y - APART)
                    + luminance(x, y + APART);
            off[i] = Math.abs(luminance(x, y) - about / 4);
        }
        Arrays.sort(off);
        return BELL * off[off.length / 2];
    }

    private double luminance(int x, int y) {
        int i = 3 * (width * y + x);
        return Pixels.luminance(rgb[i] & 0xffff, rgb[i + 1] & 0xffff, rgb[i + 2] & 0xffff) / FULL;
    }
}
