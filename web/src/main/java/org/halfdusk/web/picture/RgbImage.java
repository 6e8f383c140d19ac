package org.halfdusk.web.picture;

import java.awt.Transparency;
import java.awt.color.ColorSpace;
import java.awt.image.BufferedImage;
import java.awt.image.ColorModel;
import java.awt.image.ComponentColorModel;
import java.awt.image.DataBuffer;
import java.awt.image.DataBufferByte;
import java.awt.image.Raster;
import java.awt.image.WritableRaster;
import org.halfdusk.frame.picture.Pixels;

/**
 * Pictures of eight bits that lie red, green, blue in memory, as decoders give them and encoders take them: with the usual ones, blue first
 * or a pixel a number, each colour is put singly, which takes as long again as decoding.
 */
public final class RgbImage {
    private static final int BANDS = 3;
    private static final ColorModel COLOURS = new ComponentColorModel(
            ColorSpace.getInstance(ColorSpace.CS_sRGB), false, false, Transparency.OPAQUE, DataBuffer.TYPE_BYTE);

    private RgbImage() {}

    /** A black one. */
    static BufferedImage of(int width, int height) {
        return of(width, height, new byte[BANDS * width * height]);
    }

    /** @param codes red, green and blue of each pixel, row by row, in sRGB; they are the picture's own from now on */
    public static BufferedImage of(int width, int height, byte[] codes) {
        WritableRaster raster = Raster.createInterleavedRaster(
                new DataBufferByte(codes, codes.length),
                width,
                height,
                BANDS * width,
                BANDS,
                new int[] {0, 1, 2},
                null);
        return new BufferedImage(COLOURS, raster, false, null);
    }

    @SuppressWarnings("ReferenceEquality") // made here, not one like it
    static boolean is(BufferedImage image) {
        return image.getColorModel() == COLOURS;
    }

    /** The light of one that was made here. */
    static Pixels light(BufferedImage image) {
        int w = image.getWidth();
        byte[] codes = ((DataBufferByte) image.getRaster().getDataBuffer()).getData();
        return new StoredPixels.Bytes(new StoredPixels.Layout(w, image.getHeight(), BANDS * w, BANDS, 0, 1, 2), codes);
    }
}
