package org.halfdusk.frame.tones;

import java.util.Arrays;
import java.util.stream.IntStream;
import org.halfdusk.frame.picture.Pixels;

/** The smooth light of a frame and its noise, in cells that stars do not lift. */
public final class Mesh {
    /** So many cells in a row of a frame that lies. */
    private static final int CELLS = 28;

    private static final int LEAST_CELL = 24;

    public final int cell;
    public final int columns;
    public final int rows;
    public final int width;
    public final int height;
    private final int[][] counts;
    private final long[] clipped;

    /** Linear luminance of the smooth light, and one standard deviation of its pixels. */
    public final float[] light;

    public final float[] noise;

    /** Share of a cell's pixels with a colour at the end. */
    public final float[] burnt;

    /**
     * An empty one, to be given every row.
     *
     * @param width of the frame, px
     * @param height of the frame, px
     */
    public Mesh(int width, int height) {
        this.width = width;
        this.height = height;
        this.cell = Math.max(LEAST_CELL, Math.max(width, height) / CELLS);
        this.columns = (width + cell - 1) / cell;
        this.rows = (height + cell - 1) / cell;
        this.counts = new int[columns * rows][Tones.BINS];
        this.clipped = new long[columns * rows];
        this.light = new float[columns * rows];
        this.noise = new float[columns * rows];
        this.burnt = new float[columns * rows];
        this.between = new float[columns];
    }

    /** Of a whole frame, gone through once. */
    public static Mesh of(Pixels pixels) {
        Mesh mesh = new Mesh(pixels.width(), pixels.height());
        ScannedRow row = new ScannedRow(pixels.width());
        for (int y = 0; y < pixels.height(); y++) {
            row.read(pixels, y);
            row.bin();
            mesh.add(y, row);
        }
        mesh.done();
        return mesh;
    }

    /**
     * Takes a row in.
     *
     * @param y from 0, each once
     * @param scanned the row, with its bins
     */
    public void add(int y, ScannedRow scanned) {
        int row = y / cell * columns;
        for (int cx = 0; cx < columns; cx++) {
            int[] c = counts[row + cx];
            int to = Math.min(width, (cx + 1) * cell);
            long full = 0;
            for (int x = cx * cell; x < to; x++) {
                c[scanned.bins[x]]++;
                full += scanned.most[x] >= Tones.FULL ? 1 : 0;
            }
            clipped[row + cx] += full;
        }
    }

    /** Adds how often each bin was met in all cells. */
    void sum(int[] whole) {
        for (int[] c : counts) {
            for (int i = 0; i < c.length; i++) {
                whole[i] += c[i];
            }
        }
    }

    /** When all rows are in. */
    public void done() {
        for (int i = 0; i < counts.length; i++) {
            int[] c = counts[i];
            long all = 0;
            for (int n : c) {
                all += n;
            }
            double middle = quantile(c, all, 0.5);
            double low = quantile(c, all, 0.1587);
            double spread = Math.max(1.0, middle - low);
            // Once more of what lies about it: stars lift the middle a little.
            long inside = 0;
            double sum = 0;
            int from = (int) Math.max(0, Math.floor(middle - 2.5 * spread));
            int to = (int) Math.min(Tones.BINS - 1, Math.ceil(middle + 2.0 * spread));
            for (int k = from; k <= to; k++) {
                inside += c[k];
                sum += c[k] * Tones.linear(k);
            }
            light[i] = (float) (inside == 0 ? Tones.linear(middle) : sum / inside);
            noise[i] = (float) Math.max(1e-5, Tones.linear(middle) - Tones.linear(middle - spread));
            burnt[i] = (float) ((double) clipped[i] / Math.max(1, all));
        }
    }

    private static double quantile(int[] c, long all, double share) {
        double wanted = share * all;
        double sum = 0;
        for (int k = 0; k < c.length; k++) {
            if (sum + c[k] >= wanted) {
                return k - 0.5 + (c[k] == 0 ? 0 : (wanted - sum) / c[k]);
            }
            sum += c[k];
        }
        return c.length - 1;
    }

    /** The cell that a pixel lies in. @return its number, row by row from 0 */
    public int at(double x, double y) {
        int cx = (int) Math.max(0, Math.min(columns - 1, x / cell));
        int cy = (int) Math.max(0, Math.min(rows - 1, y / cell));
        return cy * columns + cx;
    }

    /** Which of so many by so many equal parts of the frame a place lies in, by rows from the top left. */
    public int part(int side, double x, double y) {
        int px = (int) Math.max(0, Math.min(side - 1, x * side / width));
        int py = (int) Math.max(0, Math.min(side - 1, y * side / height));
        return py * side + px;
    }

    /** Whether the light about a place is nearly even: as much in the cells beside its own. */
    public boolean calm(double x, double y) {
        return calm(x, y, 1);
    }

    /** The same of all cells so far from its own. */
    public boolean calm(double x, double y, int reach) {
        int i = at(x, y);
        int cx = i % columns;
        int cy = i / columns;
        for (int ny = Math.max(0, cy - reach); ny <= Math.min(rows - 1, cy + reach); ny++) {
            for (int nx = Math.max(0, cx - reach); nx <= Math.min(columns - 1, cx + reach); nx++) {
                if (Math.abs(light[ny * columns + nx] - light[i]) > UNEVEN * light[i]) {
                    return false;
                }
            }
        }
        return true;
    }

    /** Light of some cells, the darkest first. */
    public double[] sorted(boolean[] which) {
        return IntStream.range(0, light.length)
                .filter(i -> which[i])
                .mapToDouble(i -> light[i])
                .sorted()
                .toArray();
    }

    private static final double UNEVEN = 0.12;

    /** The smooth light along a row, between the middles of cells. */
    public void lightRow(int y, float[] out) {
        double fy = Math.max(0, Math.min(rows - 1, (y + 0.5) / cell - 0.5));
        int y0 = (int) fy;
        int y1 = Math.min(rows - 1, y0 + 1);
        float wy = (float) (fy - y0);
        for (int c = 0; c < columns; c++) {
            between[c] = light[y0 * columns + c] * (1 - wy) + light[y1 * columns + c] * wy;
        }
        float half = cell / 2f;
        int first = Math.min(width, cell / 2);
        Arrays.fill(out, 0, first, between[0]);
        for (int c = 0; c < columns; c++) {
            float left = between[c];
            float step = c + 1 < columns ? (between[c + 1] - left) / cell : 0;
            int from = Math.min(width, first + c * cell);
            int to = c + 1 < columns ? Math.min(width, from + cell) : width;
            float v = left + step * (from + 0.5f - half - c * cell);
            for (int x = from; x < to; x++) {
                out[x] = v;
                v += step;
            }
        }
    }

    private final float[] between;
}
