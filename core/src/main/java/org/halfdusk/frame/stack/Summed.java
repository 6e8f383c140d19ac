package org.halfdusk.frame.stack;

import org.halfdusk.frame.stack.held.Growing;
import org.halfdusk.frame.stack.held.Picture;
import org.halfdusk.frame.stack.held.RowLocks;

/**
 * The mean of frames, pixel by pixel, in sums of 32 bits: exact up to {@link #MOST} frames. Threads may add at once. Of aligned frames each
 * pixel counts those that show it.
 */
public final class Summed implements Growing {
    /** More could overflow where all of them clip. */
    public static final int MOST = 65_536;

    private final int width;
    private final int height;
    private final int[] sums;
    private final short[] counts;
    private final RowLocks locks;
    private int frames;

    /** @param aligned whether frames do not show all of it: then each pixel counts for itself, which takes two bytes more */
    public Summed(int width, int height, boolean aligned) {
        this(width, height, new int[3 * width * height], aligned ? new short[width * height] : new short[0], 0);
    }

    /** Going on from what was reached before. @param counts empty where every frame shows all of it */
    public Summed(int width, int height, int[] sums, short[] counts, int frames) {
        this.width = width;
        this.height = height;
        this.sums = sums;
        this.counts = counts;
        this.frames = frames;
        this.locks = new RowLocks(height);
    }

    @Override
    public void add(Picture frame) {
        synchronized (this) {
            if (frames == MOST) {
                throw new IllegalArgumentException("more than " + MOST + " frames are not summed");
            }
            frames++;
        }
        short[] row = new short[3 * width];
        for (int y = 0; y < height; y++) {
            if (counts.length == 0) {
                synchronized (locks.of(y)) {
                    frame.sum(y, sums, row.length * y);
                }
            } else {
                frame.line(y, row);
                synchronized (locks.of(y)) {
                    add(y, row);
                }
            }
        }
    }

    private void add(int y, short[] row) {
        int from = row.length * y;
        for (int x = 0; x < width; x++) {
            int i = 3 * x;
            if (row[i] != Picture.NOTHING) {
                sums[from + i] += row[i] & 0xffff;
                sums[from + i + 1] += row[i + 1] & 0xffff;
                sums[from + i + 2] += row[i + 2] & 0xffff;
                counts[width * y + x]++;
            }
        }
    }

    /** The mean by now; black where no frame showed anything. */
    @Override
    public Picture sofar() {
        return new Picture() {
            @Override
            public int width() {
                return width;
            }

            @Override
            public int height() {
                return height;
            }

            @Override
            public void line(int y, short[] rgb) {
                for (int x = 0; x < width; x++) {
                    int n = counts.length == 0 ? frames : counts[width * y + x] & 0xffff;
                    // Numbers under 2^33 divided so and cut off are exact, and that is faster than dividing them whole.
                    for (int i = 3 * x; i < 3 * x + 3; i++) {
                        long sum = sums[3 * width * y + i] & 0xffff_ffffL;
                        rgb[i] = n == 0 ? 0 : (short) (int) ((sum + n / 2) / (double) n);
                    }
                }
            }
        };
    }

    @Override
    public int[] ints() {
        return sums;
    }

    /** How many frames show each pixel; empty where every frame shows all of it. */
    @Override
    public short[] shorts() {
        return counts;
    }

    /** How many were added so far. */
    public int frames() {
        return frames;
    }
}
