package org.halfdusk.show;

import org.halfdusk.photometry.Srgb;
import org.halfdusk.photometry.Stops;

/**
 * A frame as its camera records it: linear light by cell, 1 where a channel is full, rows from the top.
 *
 * @param channels red, green, blue, each of width × height
 * @param strokes share of full that strokes have on the sensor in their strongest channel, averaged over their length; more than 1 where
 *     they clip, 0 without any
 */
public record Developed(int width, int height, float[][] channels, double strokes) {
    /** A cell counts as lit from this share of full on, some two stops over what a black sky gives†. */
    private static final float LIT = 0.12f;

    /** sRGB of the cells, 0xRRGGBB (IEC 61966-2-1). */
    public int[] colours() {
        int[] colours = new int[width * height];
        for (int i = 0; i < colours.length; i++) {
            colours[i] = coded(channels[0][i]) << 16 | coded(channels[1][i]) << 8 | coded(channels[2][i]);
        }
        return colours;
    }

    private static final int STEPS = 4096;
    private static final byte[] CODES = new byte[STEPS + 1];

    static {
        for (int i = 0; i <= STEPS; i++) {
            CODES[i] = (byte) Math.round(255 * Srgb.code((double) i / STEPS));
        }
    }

    private static int coded(float linear) {
        return CODES[(int) (Math.min(1, Math.max(0, linear)) * STEPS)] & 255;
    }

    /** Of the cells that are lit the share that is full in all channels: white without colour. */
    public double whiteShare() {
        int lit = 0;
        int white = 0;
        for (int i = 0; i < width * height; i++) {
            float most = Math.max(channels[0][i], Math.max(channels[1][i], channels[2][i]));
            float least = Math.min(channels[0][i], Math.min(channels[1][i], channels[2][i]));
            lit += most >= LIT ? 1 : 0;
            white += least >= 1 ? 1 : 0;
        }
        return lit == 0 ? 0 : (double) white / lit;
    }

    /** Stops from strokes to full: positive for room above them; without end in blackness. */
    public double headroomStops() {
        return Stops.between(1, strokes);
    }

    /**
     * The lightest of two frames of one size, cell by cell.
     *
     * @throws IllegalArgumentException for a frame of another size
     */
    public Developed lightest(Developed other) {
        if (other.width != width || other.height != height) {
            throw new IllegalArgumentException("frames of " + width + " × " + height + " and " + other.width + " × "
                    + other.height + " cells cannot be put together: the same size is needed");
        }
        float[][] both = new float[3][width * height];
        for (int c = 0; c < 3; c++) {
            for (int i = 0; i < both[c].length; i++) {
                both[c][i] = Math.max(channels[c][i], other.channels[c][i]);
            }
        }
        return new Developed(width, height, both, Math.max(strokes, other.strokes));
    }
}
