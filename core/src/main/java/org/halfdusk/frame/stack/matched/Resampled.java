package org.halfdusk.frame.stack.matched;

import org.halfdusk.frame.picture.Projection;
import org.halfdusk.frame.stack.held.Held;
import org.halfdusk.frame.stack.held.Picture;

/**
 * A frame drawn as another stood. Where each pixel comes from is worked out exactly every few pixels and by straight lines between, which is
 * off by less than a hundredth of a pixel, at the rim of a fisheye by some. What the frame does not show is {@link Picture#NOTHING}.
 */
public final class Resampled implements Picture {
    private static final int STEP = 16;

    private final Held frame;
    private final int columns;

    /** x and y of the frame at every so manieth pixel; NaN where it is not to be seen. */
    private final float[] places;

    /** @param turned from the other's places to the frame's */
    public Resampled(Held frame, Registration turned) {
        this.frame = frame;
        this.columns = frame.width() / STEP + 2;
        int rows = frame.height() / STEP + 2;
        this.places = new float[2 * columns * rows];
        Projection lens = turned.lens();
        double[] at = new double[2];
        for (int r = 0; r < rows; r++) {
            for (int c = 0; c < columns; c++) {
                int i = 2 * (r * columns + c);
                boolean seen = turned.place(lens.direction(c * (double) STEP, r * (double) STEP), at);
                places[i] = seen ? (float) at[0] : Float.NaN;
                places[i + 1] = seen ? (float) at[1] : Float.NaN;
            }
        }
    }

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
        int r = y / STEP;
        float down = (y - r * STEP) / (float) STEP;
        int[] out = new int[3];
        for (int c = 0; c < columns - 1; c++) {
            int i = 2 * (r * columns + c);
            int j = i + 2 * columns;
            float x0 = places[i] * (1 - down) + places[j] * down;
            float y0 = places[i + 1] * (1 - down) + places[j + 1] * down;
            float x1 = places[i + 2] * (1 - down) + places[j + 2] * down;
            float y1 = places[i + 3] * (1 - down) + places[j + 3] * down;
            int to = Math.min(frame.width(), (c + 1) * STEP);
            for (int x = c * STEP; x < to; x++) {
                float f = (x - c * STEP) / (float) STEP;
                int k = 3 * x;
                if (frame.at(x0 + (x1 - x0) * f, y0 + (y1 - y0) * f, out)) {
                    rgb[k] = (short) out[0];
                    rgb[k + 1] = (short) out[1];
                    rgb[k + 2] = (short) out[2];
                } else {
                    rgb[k] = NOTHING;
                    rgb[k + 1] = NOTHING;
                    rgb[k + 2] = NOTHING;
                }
            }
        }
    }
}
