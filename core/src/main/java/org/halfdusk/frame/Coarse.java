package org.halfdusk.frame;

import java.util.ArrayDeque;
import java.util.Deque;

/** A frame in blocks of some pixels: what is large in it. */
final class Coarse {
    static final int BLOCK = 8;

    final int columns;
    final int rows;
    private final float[] sum;
    private final short[] burnt;
    private final float[] light;

    Coarse(int width, int height) {
        this.columns = Math.max(1, width / BLOCK);
        this.rows = Math.max(1, height / BLOCK);
        this.sum = new float[columns * rows];
        this.burnt = new short[columns * rows];
        this.light = new float[columns * rows];
    }

    void add(int y, ScannedRow scanned) {
        int row = y / BLOCK;
        if (row >= rows) {
            return;
        }
        for (int c = 0; c < columns; c++) {
            float s = 0;
            short n = 0;
            for (int x = c * BLOCK; x < (c + 1) * BLOCK; x++) {
                s += scanned.luminance[x];
                n += scanned.most[x] > 0.985f ? 1 : 0;
            }
            sum[row * columns + c] += s;
            burnt[row * columns + c] += n;
        }
    }

    void done() {
        for (int i = 0; i < sum.length; i++) {
            light[i] = sum[i] / (BLOCK * BLOCK);
        }
    }

    /** Blocks of which nearly all pixels have a colour at the end. */
    int burntBlocks() {
        int n = 0;
        for (short b : burnt) {
            n += b >= BLOCK * BLOCK * 0.9 ? 1 : 0;
        }
        return n;
    }

    /** Share of the blocks above a light. */
    double shareAbove(double least) {
        int n = 0;
        for (float l : light) {
            n += l > least ? 1 : 0;
        }
        return (double) n / light.length;
    }

    /**
     * The largest bright patch.
     *
     * @param fill of the box about it @param side longer to shorter side of that @param edge whether it reaches the frame's edge
     * @param x and y: its middle, px @param radius of a disc as wide as its box, px
     */
    record Patch(int blocks, double fill, double side, boolean edge, double x, double y, double radius, double most) {}

    /** Above half of the brightest light. */
    Patch patch() {
        float most = 0;
        for (float l : light) {
            most = Math.max(most, l);
        }
        float least = most * 0.25f;
        boolean[] seen = new boolean[light.length];
        Patch best = new Patch(0, 0, 1, false, 0, 0, 0, most);
        for (int i = 0; i < light.length; i++) {
            if (!seen[i] && light[i] > least) {
                Patch p = grown(i, least, seen, most);
                best = p.blocks() > best.blocks() ? p : best;
            }
        }
        return best;
    }

    private Patch grown(int from, float least, boolean[] seen, float most) {
        Deque<Integer> open = new ArrayDeque<>();
        open.add(from);
        seen[from] = true;
        int n = 0;
        int x0 = columns;
        int x1 = 0;
        int y0 = rows;
        int y1 = 0;
        while (!open.isEmpty()) {
            int i = open.removeLast();
            int x = i % columns;
            int y = i / columns;
            n++;
            x0 = Math.min(x0, x);
            x1 = Math.max(x1, x);
            y0 = Math.min(y0, y);
            y1 = Math.max(y1, y);
            for (int d = 0; d < 4; d++) {
                int nx = x + (d == 0 ? 1 : d == 1 ? -1 : 0);
                int ny = y + (d == 2 ? 1 : d == 3 ? -1 : 0);
                int k = ny * columns + nx;
                if (nx >= 0 && ny >= 0 && nx < columns && ny < rows && !seen[k] && light[k] > least) {
                    seen[k] = true;
                    open.add(k);
                }
            }
        }
        int w = x1 - x0 + 1;
        int h = y1 - y0 + 1;
        boolean edge = x0 == 0 || y0 == 0 || x1 == columns - 1 || y1 == rows - 1;
        return new Patch(
                n,
                (double) n / (w * h),
                (double) Math.max(w, h) / Math.min(w, h),
                edge,
                (x0 + x1 + 1) * BLOCK / 2.0,
                (y0 + y1 + 1) * BLOCK / 2.0,
                Math.max(w, h) * BLOCK / 2.0,
                most);
    }
}
