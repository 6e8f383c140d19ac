package org.halfdusk.frame.picture;

import org.halfdusk.photometry.Srgb;

/** A decoded picture as it is shown, turned upright: x to the right, y down, (0, 0) the centre of the top left pixel. */
public interface Pixels extends ScanLines {
    /**
     * Part of a row as linear light, 0 to 1 where 1 is clipping.
     *
     * @param x of the first pixel, with {@code n} of them inside the picture
     */
    void row(int y, int x, int n, float[] red, float[] green, float[] blue);

    @Override
    default void line(int y, short[] rgb) {
        int n = width();
        float[] red = new float[n];
        float[] green = new float[n];
        float[] blue = new float[n];
        row(y, 0, n, red, green, blue);
        for (int x = 0; x < n; x++) {
            rgb[3 * x] = sixteen(red[x]);
            rgb[3 * x + 1] = sixteen(green[x]);
            rgb[3 * x + 2] = sixteen(blue[x]);
        }
    }

    /** Of linear light from 0 to 1, as an unsigned number of sixteen bits up to {@link #FULL}. */
    static short sixteen(float linear) {
        return (short) (int) (Math.max(0, Math.min(1, linear)) * FULL + 0.5f);
    }

    /** Clipping in sixteen bits; the one number above it is left to say that nothing is there. */
    int FULL = 65_534;

    /** Luminance of linear colours (ITU-R BT.709). */
    static float luminance(float red, float green, float blue) {
        return 0.2126f * red + 0.7152f * green + 0.0722f * blue;
    }

    /** Linear light of each of so many codes, from 0 to 1. */
    static float[] linearOf(int codes) {
        float[] all = new float[codes];
        for (int i = 0; i < codes; i++) {
            all[i] = (float) Srgb.linear(i / (codes - 1.0));
        }
        return all;
    }
}
