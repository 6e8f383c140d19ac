package org.halfdusk.frame.tones;

import org.halfdusk.frame.picture.Pixels;

/** A row of a frame with what all that count need of it, worked out once. */
public final class ScannedRow {
    final int width;
    final float[] red;
    final float[] green;
    final float[] blue;

    /** Linear luminance, and the brightest of the three colours. */
    public final float[] luminance;

    public final float[] most;

    /** Where each luminance is counted in {@link Tones}, once {@link #bin} was called. */
    final short[] bins;

    /** @param width of the frame, px */
    public ScannedRow(int width) {
        this.width = width;
        this.red = new float[width];
        this.green = new float[width];
        this.blue = new float[width];
        this.luminance = new float[width];
        this.most = new float[width];
        this.bins = new short[width];
    }

    /**
     * Takes a frame's row into the arrays, 0 to 1 in linear light.
     *
     * @param y from 0
     */
    public void read(Pixels pixels, int y) {
        pixels.row(y, 0, width, red, green, blue);
        for (int x = 0; x < width; x++) {
            float r = red[x];
            float g = green[x];
            float b = blue[x];
            luminance[x] = Pixels.luminance(r, g, b);
            float higher = g > b ? g : b;
            most[x] = r > higher ? r : higher;
        }
    }

    /** Sorts the luminance of the row that was read into the bins of {@link Tones}. */
    public void bin() {
        for (int x = 0; x < width; x++) {
            bins[x] = Tones.bin(luminance[x]);
        }
    }
}
