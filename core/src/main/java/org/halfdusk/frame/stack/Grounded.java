package org.halfdusk.frame.stack;

import org.halfdusk.frame.stack.held.Picture;

/**
 * A sky over ground of its own frames, joined at a soft edge.
 *
 * @param sky share of the sky in each pixel, by rows from the top, 0 to 1
 */
public record Grounded(Picture above, Picture below, float[][] sky) implements Picture {
    @Override
    public int width() {
        return above.width();
    }

    @Override
    public int height() {
        return above.height();
    }

    @Override
    public void line(int y, short[] rgb) {
        short[] ground = new short[rgb.length];
        above.line(y, rgb);
        below.line(y, ground);
        for (int i = 0; i < rgb.length; i++) {
            float share = sky[y][i / 3];
            rgb[i] = (short) Math.round((rgb[i] & 0xffff) * share + (ground[i] & 0xffff) * (1 - share));
        }
    }
}
