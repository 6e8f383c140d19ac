package org.halfdusk.frame.stack;

import org.halfdusk.frame.picture.ScanLines;

/** A picture of linear light in sixteen bits that is read line by line, from any thread. */
public interface Picture extends ScanLines {
    /** Said of a place that a picture does not show; no light is as high, clipping is one less. */
    short NOTHING = (short) 0xffff;

    /** Whether of two lights the one is lighter; all light, black too, is lighter than nothing. */
    static boolean lighter(short one, short other) {
        return ((one + 1) & 0xffff) > ((other + 1) & 0xffff);
    }

    /** Of a frame as it was decoded. */
    static Picture of(org.halfdusk.frame.picture.Pixels pixels) {
        return new Picture() {
            @Override
            public int width() {
                return pixels.width();
            }

            @Override
            public int height() {
                return pixels.height();
            }

            @Override
            public void line(int y, short[] rgb) {
                pixels.line(y, rgb);
            }

            @Override
            public void sum(int y, int[] sums, int from) {
                pixels.sum(y, sums, from);
            }
        };
    }
}
