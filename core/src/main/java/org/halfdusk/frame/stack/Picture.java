package org.halfdusk.frame.stack;

/** A picture of linear light in sixteen bits that is read line by line, from any thread. */
public interface Picture {
    int width();

    int height();

    /** Red, green and blue of each pixel in turn, as unsigned numbers; see {@link org.halfdusk.frame.Pixels#line}. */
    void line(int y, short[] rgb);

    /** Of a frame as it was decoded. */
    static Picture of(org.halfdusk.frame.Pixels pixels) {
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
        };
    }
}
