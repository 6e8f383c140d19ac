package org.halfdusk.frame.stack.held;

import org.halfdusk.frame.picture.ScanLines;

/** A picture of linear light in sixteen bits that is read line by line, from any thread. */
public interface Picture extends ScanLines {
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

            @Override
            public void lighten(int y, short[] most, int from) {
                pixels.lighten(y, most, from);
            }
        };
    }
}
