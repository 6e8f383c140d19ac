package org.halfdusk.frame.stack;

import org.halfdusk.frame.picture.ScanLines;
import org.halfdusk.frame.stack.held.Growing;
import org.halfdusk.frame.stack.held.Held;
import org.halfdusk.frame.stack.held.Picture;
import org.halfdusk.frame.stack.held.RowLocks;

/** Of each pixel and colour the lightest that any frame has: whole trails, bursts beside each other. Threads may add at once. */
public final class Lightest implements Growing {
    private final Held most;
    private final RowLocks locks;

    /** Empty, of so many pixels. */
    public Lightest(int width, int height) {
        this(Held.black(width, height));
    }

    /** Going on from what was reached before. */
    public Lightest(Held most) {
        this.most = most;
        this.locks = new RowLocks(most.height());
    }

    @Override
    public void add(Picture frame) {
        for (int y = 0; y < most.height(); y++) {
            synchronized (locks.of(y)) {
                frame.lighten(y, most.rgb, 3 * most.width() * y);
            }
        }
    }

    void add(int y, short[] row) {
        synchronized (locks.of(y)) {
            ScanLines.lighten(row, most.rgb, row.length * y);
        }
    }

    /** Where both rows are lighter than what is there: the mean of the two. */
    void addBetween(int y, short[] one, short[] other) {
        short[] all = most.rgb;
        int from = one.length * y;
        synchronized (locks.of(y)) {
            for (int i = 0; i < one.length; i++) {
                int a = one[i] & 0xffff;
                int b = other[i] & 0xffff;
                if (Math.min(a, b) > (all[from + i] & 0xffff)) {
                    all[from + i] = (short) ((a + b + 1) / 2);
                }
            }
        }
    }

    @Override
    public Held sofar() {
        return most;
    }

    @Override
    public short[] shorts() {
        return most.light();
    }

    @Override
    public int[] ints() {
        return new int[0];
    }
}
