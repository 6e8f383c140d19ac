package org.halfdusk.frame.solved;

import java.util.Arrays;

/** Detections by place: each is kept in its cell and in the eight about it, so that one cell is asked for all that may be near. */
final class Detections {
    /** Of finer cells there are more than detections, px. */
    private static final int FINEST = 24;

    private final double[][] found;
    private final double reach;
    private final int cell;
    private final int columns;
    private final int[] first;
    private final int[] next;
    private final int[] kept;

    /**
     * @param found x and y in px, within a frame of so many px
     * @param count how many of them, from the first
     * @param reach how far away one may be, px
     */
    Detections(double[][] found, int count, int width, int height, double reach) {
        this.found = found;
        this.reach = reach;
        this.cell = Math.max(FINEST, (int) Math.ceil(reach));
        this.columns = width / cell + 1;
        int rows = height / cell + 1;
        this.first = new int[columns * rows];
        this.next = new int[9 * count];
        this.kept = new int[9 * count];
        Arrays.fill(first, -1);
        int n = 0;
        for (int i = count - 1; i >= 0; i--) {
            int cx = (int) Math.max(0, Math.min(width - 1, found[i][0])) / cell;
            int cy = (int) Math.max(0, Math.min(height - 1, found[i][1])) / cell;
            for (int y = Math.max(0, cy - 1); y <= Math.min(rows - 1, cy + 1); y++) {
                for (int x = Math.max(0, cx - 1); x <= Math.min(columns - 1, cx + 1); x++) {
                    kept[n] = i;
                    next[n] = first[y * columns + x];
                    first[y * columns + x] = n++;
                }
            }
        }
    }

    /** The nearest within reach of a place in the frame; −1 for none. */
    int nearest(double x, double y) {
        int best = -1;
        double least = reach * reach;
        for (int k = first[(int) y / cell * columns + (int) x / cell]; k >= 0; k = next[k]) {
            double[] at = found[kept[k]];
            double d = (at[0] - x) * (at[0] - x) + (at[1] - y) * (at[1] - y);
            if (d < least) {
                least = d;
                best = kept[k];
            }
        }
        return best;
    }
}
