package org.halfdusk.frame.picture;

/** A picture that is read line by line as linear light in sixteen bits, from any thread. */
public interface ScanLines {
    /** Said of a place that a picture does not show; no light is as high, clipping is one less. */
    short NOTHING = (short) 0xffff;

    /** Whether of two lights the one is lighter; all light, black too, is lighter than nothing. */
    static boolean lighter(short one, short other) {
        return ((one + 1) & 0xffff) > ((other + 1) & 0xffff);
    }

    /** Pixels from left to right. */
    int width();

    /** Lines from top to bottom. */
    int height();

    /**
     * A whole line, 65,534 of light clipping: red, green and blue of each pixel in turn, as unsigned numbers.
     *
     * @param rgb three for each pixel
     */
    void line(int y, short[] rgb);

    /**
     * Adds a line's light to sums, of pictures that show all of it.
     *
     * @param from where in the sums the line's first red lies, three for each pixel
     */
    default void sum(int y, int[] sums, int from) {
        short[] rgb = new short[3 * width()];
        line(y, rgb);
        for (int i = 0; i < rgb.length; i++) {
            sums[from + i] += rgb[i] & 0xffff;
        }
    }

    /**
     * Puts a line's light where it is lighter than what is there.
     *
     * @param most light as {@link #line} has it
     * @param from where in it the line's first red lies, three for each pixel
     */
    default void lighten(int y, short[] most, int from) {
        short[] rgb = new short[3 * width()];
        line(y, rgb);
        lighten(rgb, most, from);
    }

    /** The same of a line that was read. */
    static void lighten(short[] rgb, short[] most, int from) {
        for (int i = 0; i < rgb.length; i++) {
            if (lighter(rgb[i], most[from + i])) {
                most[from + i] = rgb[i];
            }
        }
    }
}
