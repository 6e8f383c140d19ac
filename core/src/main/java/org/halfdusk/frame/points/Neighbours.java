package org.halfdusk.frame.points;

import java.util.Arrays;

/** Places in a frame by cells, so that what is near one is found without looking at all. */
public final class Neighbours {
    private static final int CELL = 32;

    private final double[][] places;
    private final int columns;
    private final int rows;
    private final int[] begin;
    private final int[] next;

    /**
     * @param places x and y in px; one outside the frame counts as in the cell at its edge
     * @param count how many of them, from the first
     * @param width of the frame, px
     * @param height of the frame, px
     */
    public Neighbours(double[][] places, int count, int width, int height) {
        this.places = places;
        this.columns = width / CELL + 1;
        this.rows = height / CELL + 1;
        this.begin = new int[columns * rows];
        this.next = new int[count];
        Arrays.fill(begin, -1);
        for (int i = count - 1; i >= 0; i--) {
            int c = cell(places[i][1], rows) * columns + cell(places[i][0], columns);
            next[i] = begin[c];
            begin[c] = i;
        }
    }

    private static int cell(double at, int cells) {
        return (int) Math.max(0, Math.min(cells - 1, at / CELL));
    }

    /** The number of the nearest within a reach in px, from 0; −1 for none. */
    public int nearest(double x, double y, double reach) {
        int best = -1;
        double least = reach * reach;
        for (int cy = cell(y - reach, rows); cy <= cell(y + reach, rows); cy++) {
            for (int cx = cell(x - reach, columns); cx <= cell(x + reach, columns); cx++) {
                for (int i = begin[cy * columns + cx]; i >= 0; i = next[i]) {
                    double dx = places[i][0] - x;
                    double dy = places[i][1] - y;
                    if (dx * dx + dy * dy < least) {
                        least = dx * dx + dy * dy;
                        best = i;
                    }
                }
            }
        }
        return best;
    }
}
