package org.halfdusk.web.picture;

import org.halfdusk.frame.picture.Pixels;

/** Pixels as a decoder laid them in memory, 8 or 16 bits a colour, as linear light. */
abstract class StoredPixels implements Pixels {
    /** Where a pixel's colours lie in memory. */
    record Layout(int width, int height, int row, int pixel, int red, int green, int blue) {}

    private static final float[] EIGHT = Pixels.linearOf(1 << 8);
    private static final float[] SIXTEEN = Pixels.linearOf(1 << 16);
    private static final short[] EIGHT_IN_SIXTEEN = sixteen(EIGHT);
    private static final short[] SIXTEEN_IN_SIXTEEN = sixteen(SIXTEEN);

    private static short[] sixteen(float[] linear) {
        short[] all = new short[linear.length];
        for (int i = 0; i < all.length; i++) {
            all[i] = Pixels.sixteen(linear[i]);
        }
        return all;
    }

    private final Layout at;
    private final float[] linear;
    private final short[] sixteen;

    /** @param linear light of each code @param sixteen the same in sixteen bits */
    private StoredPixels(Layout at, float[] linear, short[] sixteen) {
        this.at = at;
        this.linear = linear;
        this.sixteen = sixteen;
    }

    @Override
    public void line(int y, short[] rgb) {
        int i = y * at.row();
        for (int k = 0; k < 3 * at.width(); k += 3, i += at.pixel()) {
            rgb[k] = sixteen[code(i + at.red())];
            rgb[k + 1] = sixteen[code(i + at.green())];
            rgb[k + 2] = sixteen[code(i + at.blue())];
        }
    }

    abstract int code(int i);

    Layout layout() {
        return at;
    }

    @Override
    public int width() {
        return at.width();
    }

    @Override
    public int height() {
        return at.height();
    }

    @Override
    public void row(int y, int x, int n, float[] red, float[] green, float[] blue) {
        int i = y * at.row() + x * at.pixel();
        for (int k = 0; k < n; k++, i += at.pixel()) {
            red[k] = linear[code(i + at.red())];
            green[k] = linear[code(i + at.green())];
            blue[k] = linear[code(i + at.blue())];
        }
    }

    static final class Bytes extends StoredPixels {
        private final byte[] data;

        Bytes(Layout at, byte[] data) {
            super(at, EIGHT, EIGHT_IN_SIXTEEN);
            this.data = data;
        }

        @Override
        int code(int i) {
            return data[i] & 0xff;
        }

        /** As the other does, without asking for each code: most frames are such. */
        @Override
        public void row(int y, int x, int n, float[] red, float[] green, float[] blue) {
            Layout l = layout();
            float[] light = EIGHT;
            byte[] from = data;
            int i = y * l.row() + x * l.pixel();
            int r = i + l.red();
            int g = i + l.green();
            int b = i + l.blue();
            for (int k = 0, at = 0; k < n; k++, at += l.pixel()) {
                red[k] = light[from[r + at] & 0xff];
                green[k] = light[from[g + at] & 0xff];
                blue[k] = light[from[b + at] & 0xff];
            }
        }

        /** Adds as it reads: a mean of many frames takes little longer so than to decode them. */
        @Override
        public void sum(int y, int[] sums, int to) {
            Layout l = layout();
            if (l.pixel() != 3 || l.red() != 0 || l.blue() != 2) {
                super.sum(y, sums, to);
                return;
            }
            int[] light = EIGHT_UNSIGNED;
            byte[] from = data;
            int at = y * l.row();
            for (int k = 0; k < 3 * l.width(); k++) {
                sums[to + k] += light[from[at + k] & 0xff];
            }
        }

        @Override
        public void lighten(int y, short[] most, int to) {
            Layout l = layout();
            if (l.pixel() != 3 || l.red() != 0 || l.blue() != 2) {
                super.lighten(y, most, to);
                return;
            }
            int[] light = EIGHT_UNSIGNED;
            byte[] from = data;
            int at = y * l.row();
            for (int k = 0; k < 3 * l.width(); k++) {
                int here = light[from[at + k] & 0xff];
                // Most pixels of most frames are no lighter: nothing is written for them.
                if (here > (most[to + k] & 0xffff)) {
                    most[to + k] = (short) here;
                }
            }
        }

        /** As the other does, without asking for each code: most frames are such. */
        @Override
        public void line(int y, short[] rgb) {
            Layout l = layout();
            if (l.pixel() != 3) {
                super.line(y, rgb);
                return;
            }
            short[] light = EIGHT_IN_SIXTEEN;
            byte[] from = data;
            int red = y * l.row() + l.red();
            int green = y * l.row() + l.green();
            int blue = y * l.row() + l.blue();
            for (int k = 0; k < 3 * l.width(); k += 3) {
                rgb[k] = light[from[red + k] & 0xff];
                rgb[k + 1] = light[from[green + k] & 0xff];
                rgb[k + 2] = light[from[blue + k] & 0xff];
            }
        }
    }

    private static int[] unsigned(short[] all) {
        int[] wide = new int[all.length];
        for (int i = 0; i < all.length; i++) {
            wide[i] = all[i] & 0xffff;
        }
        return wide;
    }

    private static final int[] EIGHT_UNSIGNED = unsigned(EIGHT_IN_SIXTEEN);

    static final class Shorts extends StoredPixels {
        private final short[] data;

        Shorts(Layout at, short[] data) {
            super(at, SIXTEEN, SIXTEEN_IN_SIXTEEN);
            this.data = data;
        }

        @Override
        int code(int i) {
            return data[i] & 0xffff;
        }
    }
}
