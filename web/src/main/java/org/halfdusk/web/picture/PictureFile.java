package org.halfdusk.web.picture;

import java.awt.image.BufferedImage;
import java.awt.image.DataBuffer;
import java.awt.image.DataBufferByte;
import java.awt.image.DataBufferUShort;
import java.awt.image.PixelInterleavedSampleModel;
import java.io.IOException;
import java.nio.file.Path;
import java.util.Iterator;
import java.util.Locale;
import javax.imageio.IIOException;
import javax.imageio.ImageIO;
import javax.imageio.ImageReader;
import javax.imageio.event.IIOReadWarningListener;
import javax.imageio.stream.ImageInputStream;
import org.halfdusk.frame.Pixels;
import org.halfdusk.typed.TypedNumber;

/**
 * A picture's file decoded: JPEG, or TIFF of 8 and 16 bits, turned as it says it is shown. What cannot be read is refused in a sentence that
 * names the file and says what is allowed.
 */
public final class PictureFile {
    /** More is not decoded: it would not fit into the memory that the application asks for. */
    public static final long MOST_PIXELS = 60_000_000;

    private static final String ALLOWED = "a JPEG, or a TIFF of 8 or 16 bits, in RGB or grey, is allowed";

    private PictureFile() {}

    /**
     * Its pixels.
     *
     * @param orientation as of {@link Exif}
     * @throws IllegalArgumentException naming the file and what is allowed
     */
    public static Pixels read(Path file, String name, int orientation) throws IOException {
        try (ImageInputStream in = ImageIO.createImageInputStream(file.toFile())) {
            if (in == null) {
                throw refused(name, "cannot be opened");
            }
            Iterator<ImageReader> readers = ImageIO.getImageReaders(in);
            if (!readers.hasNext()) {
                throw refused(name, "is no picture that can be read");
            }
            ImageReader reader = readers.next();
            try {
                return turned(decoded(reader, in, name), orientation);
            } catch (IIOException | IndexOutOfBoundsException | IllegalStateException | NegativeArraySizeException e) {
                throw refused(name, "cannot be read: it is damaged, cut off, or of a kind that is not known");
            } finally {
                reader.dispose();
            }
        }
    }

    private static Pixels decoded(ImageReader reader, ImageInputStream in, String name) throws IOException {
        String format = reader.getFormatName().toLowerCase(Locale.ROOT);
        if (!format.startsWith("jp") && !format.startsWith("tif")) {
            throw refused(name, "is a " + format + " file");
        }
        boolean[] cut = {false};
        reader.addIIOReadWarningListener(warnings(cut));
        reader.setInput(in, true, true);
        int width = reader.getWidth(0);
        int height = reader.getHeight(0);
        if ((long) width * height > MOST_PIXELS) {
            throw refused(
                    name,
                    "has " + Math.round(width * (double) height / 1e6) + " megapixels, and up to "
                            + MOST_PIXELS / 1_000_000 + " are read");
        }
        if (width < LEAST || height < LEAST) {
            throw refused(
                    name, "has " + width + " by " + height + " pixels; at least " + LEAST + " each way are needed");
        }
        BufferedImage image = reader.read(0);
        if (cut[0]) {
            throw refused(name, "is cut off");
        }
        return raster(image, name);
    }

    private static final int LEAST = 48;

    private static IIOReadWarningListener warnings(boolean[] cut) {
        return (source, warning) -> cut[0] |= warning.toLowerCase(Locale.ROOT).contains("premature")
                || warning.toLowerCase(Locale.ROOT).contains("truncat");
    }

    private static IllegalArgumentException refused(String name, String why) {
        return new IllegalArgumentException("the file “" + TypedNumber.shown(name) + "” " + why + "; " + ALLOWED);
    }

    private static Pixels raster(BufferedImage image, String name) {
        if (!(image.getSampleModel() instanceof PixelInterleavedSampleModel m)
                || m.getNumBands() == 2
                || m.getNumBands() > 4) {
            return converted(image, name);
        }
        int bands = m.getNumBands() >= 3 ? 3 : 1;
        int[] offsets = m.getBandOffsets();
        DataBuffer data = image.getRaster().getDataBuffer();
        int w = image.getWidth();
        int h = image.getHeight();
        Layout layout = new Layout(
                w, h, m.getScanlineStride(), m.getPixelStride(), offsets[0], offsets[bands / 2], offsets[bands - 1]);
        if (data instanceof DataBufferByte b) {
            return new Bytes(layout, b.getData());
        }
        if (data instanceof DataBufferUShort s) {
            return new Shorts(layout, s.getData());
        }
        return converted(image, name);
    }

    /** What lies otherwise in memory, as bytes of three colours. */
    private static Pixels converted(BufferedImage image, String name) {
        if (image.getColorModel().getNumColorComponents() > 3) {
            throw refused(name, "is in CMYK");
        }
        BufferedImage rgb = new BufferedImage(image.getWidth(), image.getHeight(), BufferedImage.TYPE_3BYTE_BGR);
        rgb.getGraphics().drawImage(image, 0, 0, null);
        return raster(rgb, name);
    }

    /** Where a pixel's colours lie in memory. */
    private record Layout(int width, int height, int row, int pixel, int red, int green, int blue) {}

    private static final float[] EIGHT = linear(1 << 8);
    private static final float[] SIXTEEN = linear(1 << 16);

    private static float[] linear(int codes) {
        float[] all = new float[codes];
        for (int i = 0; i < codes; i++) {
            all[i] = (float) Pixels.linear(i / (codes - 1.0));
        }
        return all;
    }

    /** Pixels as they lie in memory. */
    private abstract static class Stored implements Pixels {
        private final Layout at;
        private final float[] linear;

        /** @param linear light of each code */
        Stored(Layout at, float[] linear) {
            this.at = at;
            this.linear = linear;
        }

        abstract int code(int i);

        @Override
        public int width() {
            return at.width();
        }

        @Override
        public int height() {
            return at.height();
        }

        @Override
        public void row(int y, int x, int n, float[] red, float[] green, float[] blue) {
            int i = y * at.row() + x * at.pixel();
            for (int k = 0; k < n; k++, i += at.pixel()) {
                red[k] = linear[code(i + at.red())];
                green[k] = linear[code(i + at.green())];
                blue[k] = linear[code(i + at.blue())];
            }
        }
    }

    private static final class Bytes extends Stored {
        private final byte[] data;

        Bytes(Layout at, byte[] data) {
            super(at, EIGHT);
            this.data = data;
        }

        @Override
        int code(int i) {
            return data[i] & 0xff;
        }
    }

    private static final class Shorts extends Stored {
        private final short[] data;

        Shorts(Layout at, short[] data) {
            super(at, SIXTEEN);
            this.data = data;
        }

        @Override
        int code(int i) {
            return data[i] & 0xffff;
        }
    }

    /** As it is shown: orientations of Exif 2.32, 1 upright, 3 on its head, 6 and 8 lying; mirrored ones are even less often seen. */
    private static Pixels turned(Pixels stored, int orientation) {
        return orientation <= 1 || orientation > 8 ? stored : new Turned(stored, orientation);
    }

    private record Turned(Pixels stored, int orientation) implements Pixels {
        @Override
        public int width() {
            return orientation >= 5 ? stored.height() : stored.width();
        }

        @Override
        public int height() {
            return orientation >= 5 ? stored.width() : stored.height();
        }

        @Override
        public void row(int y, int x, int n, float[] red, float[] green, float[] blue) {
            float[] r = new float[1];
            float[] g = new float[1];
            float[] b = new float[1];
            int w = stored.width() - 1;
            int h = stored.height() - 1;
            for (int k = 0; k < n; k++) {
                int dx = x + k;
                int sx = switch (orientation) {
                    case 2, 3 -> w - dx;
                    case 4 -> dx;
                    case 5, 6 -> y;
                    default -> w - y;
                };
                int sy = switch (orientation) {
                    case 2 -> y;
                    case 3, 4 -> h - y;
                    case 5, 8 -> dx;
                    default -> h - dx;
                };
                stored.row(sy, sx, 1, r, g, b);
                red[k] = r[0];
                green[k] = g[0];
                blue[k] = b[0];
            }
        }
    }
}
