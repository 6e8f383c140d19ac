package org.halfdusk.web.picture;

import java.awt.image.BufferedImage;
import java.awt.image.DataBuffer;
import java.awt.image.DataBufferByte;
import java.awt.image.DataBufferUShort;
import java.awt.image.PixelInterleavedSampleModel;
import java.io.BufferedInputStream;
import java.io.EOFException;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Deque;
import java.util.Iterator;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.concurrent.ConcurrentLinkedDeque;
import javax.imageio.IIOException;
import javax.imageio.ImageIO;
import javax.imageio.ImageReadParam;
import javax.imageio.ImageReader;
import javax.imageio.ImageTypeSpecifier;
import javax.imageio.event.IIOReadWarningListener;
import javax.imageio.stream.ImageInputStream;
import javax.imageio.stream.MemoryCacheImageInputStream;
import org.halfdusk.frame.picture.Pixels;
import org.halfdusk.typed.TypedNumber;
import org.jspecify.annotations.Nullable;

/**
 * A picture's file decoded: JPEG, or TIFF of 8 and 16 bits, turned as it says it is shown; of a raw file the picture that its camera put in
 * to be looked at. What it is goes by what stands in it, not by its name. What cannot be read is refused in a sentence that names the file
 * and says what is allowed.
 *
 * @param exif with the size of a pixel of this picture
 */
public record PictureFile(Pixels pixels, Exif exif) {
    /** More is not decoded. */
    public static final long MOST_PIXELS = 60_000_000;

    private static final String ALLOWED =
            "a JPEG, a TIFF of 8 or 16 bits in RGB or grey, or a raw file with a preview in it, is allowed";

    /** Decoding holds the file's own pixels and as much again of a row of them, at the most; so much of the memory may go to it. */
    private static final double OF_MEMORY = 0.62;

    private static final DecodingMemory MEMORY =
            new DecodingMemory((long) (OF_MEMORY * Runtime.getRuntime().maxMemory()));

    /**
     * A picture's file looked into: its size as it is shown, and what it says, without its pixels.
     *
     * @param name as it is shown
     * @param preview where in a raw file the picture that is read begins
     */
    public record Head(Path file, String name, int width, int height, Exif exif, OptionalLong preview) {
        private static Head of(Path file, String name, int width, int height, Exif exif, OptionalLong preview) {
            boolean lying = exif.orientation() >= 5 && exif.orientation() <= 8;
            return new Head(file, name, lying ? height : width, lying ? width : height, exif, preview);
        }
    }

    /**
     * Looks into a file.
     *
     * @throws IllegalArgumentException naming the file and what is allowed
     */
    public static Head head(Path file, String name) throws IOException {
        Exif.Said said;
        try (InputStream in = new BufferedInputStream(Files.newInputStream(file))) {
            said = Exif.said(in);
        }
        if (said.colours() == CMYK) {
            throw refused(name, "is in CMYK");
        }
        if (EmbeddedPreview.raw(file)) {
            EmbeddedPreview p = EmbeddedPreview.of(file)
                    .orElseThrow(() -> refused(name, "is a raw file without a preview that can be read"));
            Exif exif = said.exif().coarser(p.coarser());
            return Head.of(file, name, p.width(), p.height(), exif, OptionalLong.of(p.offset()));
        }
        try (ImageInputStream in = ImageIO.createImageInputStream(file.toFile())) {
            return opened(in, name, reader -> {
                sure(() -> size(reader, in, name), name);
                return Head.of(file, name, reader.getWidth(0), reader.getHeight(0), said.exif(), OptionalLong.empty());
            });
        }
    }

    private interface Opened<T> {
        T with(ImageReader reader) throws IOException;
    }

    private static <T> T opened(@Nullable ImageInputStream in, String name, Opened<T> use) throws IOException {
        if (in == null) {
            throw refused(name, "cannot be opened");
        }
        Iterator<ImageReader> readers = ImageIO.getImageReaders(in);
        if (!readers.hasNext()) {
            throw refused(name, "is no picture that can be read");
        }
        ImageReader reader = readers.next();
        try {
            return use.with(reader);
        } finally {
            reader.dispose();
        }
    }

    /** What is done with a picture while it is held. */
    public interface Use<T> {
        T with(PictureFile picture) throws IOException;
    }

    /**
     * Decodes a file and does something with it. As many are held at once as the memory has room for; more wait.
     *
     * @param name as it is shown
     * @throws IllegalArgumentException naming the file and what is allowed
     */
    public static <T> T read(Path file, String name, Use<T> use) throws IOException {
        return read(head(file, name), new Buffers(), use);
    }

    /**
     * Room for pixels that is used again for pictures of one size, so that none has to be cleared and swept away for each. It keeps what it
     * has as long as it is held.
     */
    public static final class Buffers {
        private final Deque<BufferedImage> free = new ConcurrentLinkedDeque<>();

        private BufferedImage of(int width, int height) {
            return Optional.ofNullable(free.pollFirst())
                    .filter(i -> i.getWidth() == width && i.getHeight() == height)
                    .orElseGet(() -> RgbImage.of(width, height));
        }

        private void give(BufferedImage image) {
            if (RgbImage.is(image)) {
                free.addFirst(image);
            }
        }
    }

    /** The same of a file that was looked into before. */
    public static <T> T read(Head head, Buffers buffers, Use<T> use) throws IOException {
        if (head.preview().isEmpty()) {
            try (ImageInputStream in =
                    ImageIO.createImageInputStream(head.file().toFile())) {
                return decoded(in, head, buffers, use);
            }
        }
        try (InputStream whole = Files.newInputStream(head.file())) {
            whole.skipNBytes(head.preview().getAsLong());
            try (ImageInputStream in = new MemoryCacheImageInputStream(whole)) {
                return decoded(in, head, buffers, use);
            }
        }
    }

    private static final int CMYK = 4;

    private static <T> T decoded(@Nullable ImageInputStream in, Head head, Buffers buffers, Use<T> use)
            throws IOException {
        String name = head.name();
        return opened(in, name, reader -> {
            long bytes = sure(() -> size(reader, in, name), name);
            MEMORY.take(bytes);
            try {
                BufferedImage image = sure(() -> decoded(reader, name, buffers), name);
                Pixels pixels =
                        sure(() -> turned(raster(image, name), head.exif().orientation()), name);
                T made = use.with(new PictureFile(pixels, head.exif()));
                buffers.give(image);
                return made;
            } finally {
                MEMORY.giveBack(bytes);
            }
        });
    }

    private interface Reading<T> {
        T read() throws IOException;
    }

    /** What readers throw at damaged files is one refusal. */
    private static <T> T sure(Reading<T> reading, String name) throws IOException {
        try {
            return reading.read();
        } catch (IIOException
                | EOFException
                | IndexOutOfBoundsException
                | IllegalStateException
                | NegativeArraySizeException
                | ArithmeticException e) {
            throw refused(name, "cannot be read: it is damaged, cut off, or of a kind that is not known");
        }
    }

    /** What its pixels take in memory, bytes. */
    private static long size(ImageReader reader, @Nullable ImageInputStream in, String name) throws IOException {
        String format = reader.getFormatName().toLowerCase(Locale.ROOT);
        if (!format.startsWith("jp") && !format.startsWith("tif")) {
            throw refused(name, "is a " + format + " file");
        }
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
        int deep = format.startsWith("tif") ? depth(reader) : 1;
        long bytes = (long) width * height * 3 * deep + FIXED_BYTES;
        if (bytes > MEMORY.all()) {
            throw refused(
                    name,
                    "has " + Math.round(width * (double) height / 1e6) + " megapixels of " + 8 * deep
                            + " bits, more than this application's memory of "
                            + Runtime.getRuntime().maxMemory() / 1_000_000 + " MB holds");
        }
        return bytes;
    }

    /** Rows, meshes and lists beside the pixels. */
    private static final long FIXED_BYTES = 24_000_000;

    private static int depth(ImageReader reader) throws IOException {
        ImageTypeSpecifier type = reader.getRawImageType(0);
        return type == null || type.getSampleModel().getSampleSize(0) > 8 ? 2 : 1;
    }

    private static BufferedImage decoded(ImageReader reader, String name, Buffers buffers) throws IOException {
        boolean[] cut = {false};
        reader.addIIOReadWarningListener(warnings(cut));
        ImageReadParam param = reader.getDefaultReadParam();
        if (plain(reader)) {
            param.setDestination(buffers.of(reader.getWidth(0), reader.getHeight(0)));
        }
        BufferedImage image = reader.read(0, param);
        if (cut[0]) {
            throw refused(name, "is cut off");
        }
        return image;
    }

    /** Whether it is a JPEG of three colours in sRGB, which fits the buffers: what has a profile of its own is decoded by that. */
    private static boolean plain(ImageReader reader) throws IOException {
        Iterator<ImageTypeSpecifier> types = reader.getImageTypes(0);
        return reader.getFormatName().toLowerCase(Locale.ROOT).startsWith("jp")
                && types.hasNext()
                && types.next().getBufferedImageType() == BufferedImage.TYPE_3BYTE_BGR;
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
        StoredPixels.Layout layout = new StoredPixels.Layout(
                w, h, m.getScanlineStride(), m.getPixelStride(), offsets[0], offsets[bands / 2], offsets[bands - 1]);
        if (data instanceof DataBufferByte b) {
            return new StoredPixels.Bytes(layout, b.getData());
        }
        if (data instanceof DataBufferUShort s) {
            return new StoredPixels.Shorts(layout, s.getData());
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

    /** As it is shown: orientations of Exif 2.32, 1 upright, 3 on its head, 6 and 8 lying; mirrored ones are even less often seen. */
    private static Pixels turned(Pixels stored, int orientation) {
        return orientation <= 1 || orientation > 8 ? stored : new TurnedPixels(stored, orientation);
    }
}
