package org.halfdusk.frame.stack.held;

/**
 * Every so manieth pixel of a picture, to be looked at while it is made.
 *
 * @param step px, 1 or more
 */
public record Every(Picture of, int step) implements Picture {
    /** @throws IllegalArgumentException where the step is less than 1 */
    public Every {
        if (step < 1) {
            throw new IllegalArgumentException("a step of " + step + " pixels is none; 1 or more is allowed");
        }
    }

    /** As small as it has to be. @param longest of the longer side, px */
    public static Every within(Picture picture, int longest) {
        return new Every(picture, step(picture.width(), picture.height(), longest));
    }

    /** How many pixels one stands for where the longer side may have so many. */
    public static int step(int width, int height, int longest) {
        return Math.max(1, (Math.max(width, height) + longest - 1) / longest);
    }

    @Override
    public int width() {
        return of.width() / step;
    }

    @Override
    public int height() {
        return of.height() / step;
    }

    @Override
    public void line(int y, short[] rgb) {
        short[] whole = new short[3 * of.width()];
        of.line(y * step, whole);
        for (int x = 0; x < width(); x++) {
            System.arraycopy(whole, 3 * x * step, rgb, 3 * x, 3);
        }
    }
}
