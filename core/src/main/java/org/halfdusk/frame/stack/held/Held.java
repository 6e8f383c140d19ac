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
            red[k] = (rgb[i++] & 0xffff) / (float) FULL;
            green[k] = (rgb[i++] & 0xffff) / (float) FULL;
            blue[k] = (rgb[i++] & 0xffff) / (float) FULL;
        }
    }

    /**
     * Light at a place between pixels, by cubic curves through the four nearest each way (Keys 1981, a = −1/2), which keep stars' widths.
     *
     * @param out red, green, blue, 0 to 65,535
     * @return false outside the picture, where nothing is known; out is untouched then
     */
    public boolean at(double x, double y, int[] out) {
        int x0 = (int) Math.floor(x);
        int y0 = (int) Math.floor(y);
        if (x0 < 1 || y0 < 1 || x0 + 2 >= width || y0 + 2 >= height) {
            return edge(x, y, out);
        }
        float fx = (float) (x - x0);
        float fy = (float) (y - y0);
        float a0 = w0(fx);
        float a1 = w1(fx);
        float a2 = w1(1 - fx);
        float a3 = w0(1 - fx);
        float red = 0;
        float green = 0;
        float blue = 0;
        int i = 3 * ((y0 - 1) * width + x0 - 1);
        for (int k = 0; k < 4; k++, i += 3 * width) {
            float v = k == 0 ? w0(fy) : k == 1 ? w1(fy) : k == 2 ? w1(1 - fy) : w0(1 - fy);
            red += v
                    * (a0 * (rgb[i] & 0xffff)
                            + a1 * (rgb[i + 3] & 0xffff)
                            + a2 * (rgb[i + 6] & 0xffff)
                            + a3 * (rgb[i + 9] & 0xffff));
            green += v
                    * (a0 * (rgb[i + 1] & 0xffff)
                            + a1 * (rgb[i + 4] & 0xffff)
                            + a2 * (rgb[i + 7] & 0xffff)
                            + a3 * (rgb[i + 10] & 0xffff));
            blue += v
                    * (a0 * (rgb[i + 2] & 0xffff)
                            + a1 * (rgb[i + 5] & 0xffff)
                            + a2 * (rgb[i + 8] & 0xffff)
                            + a3 * (rgb[i + 11] & 0xffff));
        }
        out[0] = whole(red);
        out[1] = whole(green);
        out[2] = whole(blue);
        return true;
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

    private static float w0(float t) {
        return ((-0.5f * t + 1) * t - 0.5f) * t;
    }

    private static float w1(float t) {
        return (1.5f * t - 2.5f) * t * t + 1;
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
