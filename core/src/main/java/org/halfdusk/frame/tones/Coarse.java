package org.halfdusk.frame.tones;

import java.util.ArrayDeque;
import java.util.Deque;

/** A frame in blocks of some pixels: what is large in it. */
public final class Coarse {
    public static final int BLOCK = 8;

    final int columns;
    final int rows;
    private final short[] burnt;
    private final float[] light;

    /**
     * @param width of the frame, px
     * @param height of the frame, px
     */
    public Coarse(int width, int height) {
        this.columns = Math.max(1, width / BLOCK);
        this.rows = Math.max(1, height / BLOCK);
        this.burnt = new short[columns * rows];
        this.light = new float[columns * rows];
    }

    /**
     * Takes a row in; the rest of rows that fill no block is left out.
     *
     * @param y from 0, each once
     */
    public void add(int y, ScannedRow scanned) {
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
            light[row * columns + c] += s / (BLOCK * BLOCK);
            burnt[row * columns + c] += n;
        }
    }

    /** Blocks of which nearly all pixels have a colour at the end. */
    public int burntBlocks() {
        int n = 0;
        for (short b : burnt) {
            n += b >= BLOCK * BLOCK * 0.9 ? 1 : 0;
        }
        return n;
    }

    /** Share of the blocks above a light. */
    public double shareAbove(double least) {
        int n = 0;
        for (float l : light) {
            n += l > least ? 1 : 0;
        }
        return (double) n / light.length;
    }

    /**
     * The largest patch of light above a quarter of the brightest.
     *
     * @param blocks of it
     * @param bright blocks of all patches
     * @param fill of the box about it
     * @param side longer to shorter side of that
     * @param edge whether it reaches the frame's edge
     * @param most the brightest light
     */
    public record Patch(int blocks, int bright, double fill, double side, boolean edge, double most) {}

    /** The largest patch of blocks with more than a quarter of the brightest block's light. */
    public Patch patch() {
        float most = 0;
        for (float l : light) {
            most = Math.max(most, l);
        }
        float least = most * 0.25f;
        int bright = 0;
        boolean[] seen = new boolean[light.length];
        Box best = new Box();
        for (int i = 0; i < light.length; i++) {
            bright += light[i] > least ? 1 : 0;
            if (!seen[i] && light[i] > least) {
                Box b = grown(i, least, seen);
                best = b.blocks > best.blocks ? b : best;
            }
        }
        int w = Math.max(1, best.x1 - best.x0 + 1);
        int h = Math.max(1, best.y1 - best.y0 + 1);
        boolean edge = best.x0 == 0 || best.y0 == 0 || best.x1 == columns - 1 || best.y1 == rows - 1;
        return new Patch(
                best.blocks,
                bright,
                (double) best.blocks / (w * h),
                (double) Math.max(w, h) / Math.min(w, h),
                edge,
                most);
    }

    /** About blocks that hang together. */
    private static final class Box {
        private int blocks;
        private int x0 = Integer.MAX_VALUE;
        private int x1 = -1;
        private int y0 = Integer.MAX_VALUE;
        private int y1 = -1;

        private void add(int x, int y) {
            blocks++;
            x0 = Math.min(x0, x);
            x1 = Math.max(x1, x);
            y0 = Math.min(y0, y);
            y1 = Math.max(y1, y);
        }
    }

    private Box grown(int from, float least, boolean[] seen) {
        Deque<Integer> open = new ArrayDeque<>();
        open.add(from);
        seen[from] = true;
        Box box = new Box();
        while (!open.isEmpty()) {
            int i = open.removeLast();
            int x = i % columns;
            int y = i / columns;
            box.add(x, y);
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
        return box;
    }
}
