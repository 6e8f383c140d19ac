package org.halfdusk.frame.stack;

import java.util.Arrays;
import java.util.BitSet;
import org.halfdusk.frame.picture.Pixels;
import org.halfdusk.frame.stack.held.Held;
import org.halfdusk.frame.stack.held.Picture;

/**
 * What the sensor makes by itself, taken off frames: its own light subtracted, and where a pixel burns so brightly that nothing of the sky
 * can be told there, the middle of its neighbours in its place.
 */
public final class DarkFrame {
    /** Above the dark's middle by so much of full scale a pixel is a hot one†. */
    private static final double HOT = 0.006;

    private final Held master;

    /** Its hot pixels, numbered by rows. */
    private final BitSet hot;

    /** @param master the middle value of the dark frames, see {@link Among} */
    public DarkFrame(Picture master) {
        this.master = master instanceof Held h ? h : Held.of(master);
        this.hot = brighter(this.master, (int) (median(this.master) + HOT * Pixels.FULL));
    }

    private static int median(Held master) {
        int[] counts = new int[Pixels.FULL + 1];
        for (short s : master.rgb) {
            counts[s & 0xffff]++;
        }
        long seen = 0;
        int v = 0;
        while (2 * (seen + counts[v]) < master.rgb.length) {
            seen += counts[v++];
        }
        return v;
    }

    /** Pixels of which a colour is brighter. */
    private static BitSet brighter(Held master, int than) {
        BitSet found = new BitSet(master.rgb.length / 3);
        short[] d = master.rgb;
        for (int i = 0, pixel = 0; i < d.length; i += 3, pixel++) {
            if (Math.max(d[i] & 0xffff, Math.max(d[i + 1] & 0xffff, d[i + 2] & 0xffff)) > than) {
                found.set(pixel);
            }
        }
        return found;
    }

    /** How many hot pixels it knows. */
    public int hotPixels() {
        return hot.cardinality();
    }

    /** A frame of the same size without it. To be read by one thread, from the top. */
    public Picture off(Picture frame) {
        return new Off(frame);
    }

    private final class Off implements Picture {
        private final Picture frame;

        /** Rows with the dark subtracted: above, here, below; by the row's number modulo three. */
        private final short[][] rows = new short[3][3 * master.width()];

        private final int[] held = {-1, -1, -1};

        Off(Picture frame) {
            this.frame = frame;
        }

        @Override
        public int width() {
            return master.width();
        }

        @Override
        public int height() {
            return master.height();
        }

        private short[] row(int y) {
            int k = y % 3;
            if (held[k] != y) {
                frame.line(y, rows[k]);
                short[] row = rows[k];
                short[] dark = master.rgb;
                int from = 3 * master.width() * y;
                for (int i = 0; i < row.length; i++) {
                    row[i] = (short) Math.max(0, (row[i] & 0xffff) - (dark[from + i] & 0xffff));
                }
                held[k] = y;
            }
            return rows[k];
        }

        @Override
        public void line(int y, short[] rgb) {
            System.arraycopy(row(y), 0, rgb, 0, rgb.length);
            int from = width() * y;
            for (int i = hot.nextSetBit(from); i >= 0 && i < from + width(); i = hot.nextSetBit(i + 1)) {
                mend(i - from, y, rgb);
            }
        }

        private void mend(int x, int y, short[] rgb) {
            int[][] about = new int[3][8];
            int n = 0;
            for (int ny = Math.max(0, y - 1); ny <= Math.min(height() - 1, y + 1); ny++) {
                for (int nx = Math.max(0, x - 1); nx <= Math.min(width() - 1, x + 1); nx++) {
                    if ((nx != x || ny != y) && !hot.get(width() * ny + nx)) {
                        short[] row = row(ny);
                        for (int c = 0; c < 3; c++) {
                            about[c][n] = row[3 * nx + c] & 0xffff;
                        }
                        n++;
                    }
                }
            }
            for (int c = 0; c < 3 && n > 0; c++) {
                Arrays.sort(about[c], 0, n);
                rgb[3 * x + c] = (short) about[c][n / 2];
            }
        }
    }
}
