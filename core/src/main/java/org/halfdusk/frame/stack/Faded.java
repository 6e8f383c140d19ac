package org.halfdusk.frame.stack;

import org.halfdusk.frame.stack.held.Picture;

/**
 * A frame of trails that fade towards their beginning as a comet's tail does: the first has a tenth of its light, the last all of it, and
 * between them each the same factor more.
 *
 * @param number of it in order of time, from 0
 * @param of how many
 */
public record Faded(Picture frame, int number, int of) implements Picture {
    private static final double FIRST = 0.1;

    @Override
    public int width() {
        return frame.width();
    }

    @Override
    public int height() {
        return frame.height();
    }

    @Override
    public void line(int y, short[] rgb) {
        frame.line(y, rgb);
        float share = (float) (of < 2 ? 1 : Math.pow(FIRST, 1 - number / (of - 1.0)));
        for (int i = 0; i < rgb.length; i++) {
            rgb[i] = (short) Math.round((rgb[i] & 0xffff) * share);
        }
    }
}
