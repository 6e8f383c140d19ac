package org.halfdusk.web.picture;

import com.drew.metadata.exif.ExifDirectoryBase;
import java.awt.color.ColorSpace;
import java.awt.color.ICC_Profile;
import java.awt.image.BufferedImage;
import java.awt.image.DataBufferByte;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.ShortBuffer;
import java.nio.channels.FileChannel;
import java.nio.file.FileAlreadyExistsException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.time.format.DateTimeFormatter;
import java.util.Locale;
import java.util.stream.IntStream;
import javax.imageio.IIOImage;
import javax.imageio.ImageIO;
import javax.imageio.ImageTypeSpecifier;
import javax.imageio.ImageWriteParam;
import javax.imageio.ImageWriter;
import javax.imageio.metadata.IIOMetadata;
import javax.imageio.metadata.IIOMetadataNode;
import javax.imageio.stream.ImageOutputStream;
import org.halfdusk.frame.picture.Pixels;
import org.halfdusk.frame.stack.held.Every;
import org.halfdusk.frame.stack.held.Picture;
import org.halfdusk.photometry.Srgb;
import org.halfdusk.shoot.review.taken.Shot;
import org.halfdusk.web.picture.tags.ExifOut;
import org.halfdusk.web.picture.tags.TiffDirectory;
import org.w3c.dom.Element;
import org.w3c.dom.Node;

/**
 * Writes pictures of linear light as others read them: TIFF of 16 bits or JPEG, in sRGB with its profile, with what Exif says of how they were
 * made. A file that is there is never overwritten; one is there whole or not at all.
 */
public final class PictureOut {
    private static final DateTimeFormatter WRITTEN = DateTimeFormatter.ofPattern("yyyy:MM:dd HH:mm:ss", Locale.ROOT);
    private static final String PROGRAM = "Half Dusk";
    private static final float QUALITY = 0.95f;
    private static final int CODES = 1 << 16;
    private static final int ROWS = 64;

    /** What TIFF 6.0 calls an uncompressed picture in red, green and blue, the three side by side. */
    private static final int UNPACKED = 1;

    private static final int RGB = 2;
    private static final int PIXEL_BY_PIXEL = 1;

    private static final ICC_Profile SRGB = ICC_Profile.getInstance(ColorSpace.CS_sRGB);

    private PictureOut() {}

    /** What a file's name asks for. */
    public enum Kind {
        TIFF,
        JPEG
    }

    /** @throws IllegalArgumentException where the name ends otherwise than .tif, .tiff, .jpg or .jpeg */
    public static Kind kind(Path file) {
        String name = String.valueOf(file.getFileName()).toLowerCase(Locale.ROOT);
        if (name.endsWith(".tif") || name.endsWith(".tiff")) {
            return Kind.TIFF;
        }
        if (name.endsWith(".jpg") || name.endsWith(".jpeg")) {
            return Kind.JPEG;
        }
        throw new IllegalArgumentException(
                "the file to be written, “" + name + "”, says no format; .tif for 16 bits or .jpg is allowed");
    }

    /**
     * Writes a file beside where it will stand, then gives it its name.
     *
     * @throws FileAlreadyExistsException where the name is taken
     */
    public static void write(Picture picture, Made made, Path file) throws IOException {
        Path part = file.resolveSibling(file.getFileName() + ".part");
        try {
            if (kind(file) == Kind.TIFF) {
                tiff(picture, made, part);
            } else {
                jpeg(picture, made, part);
            }
            Files.move(part, file);
        } finally {
            Files.deleteIfExists(part);
        }
    }

    private static void tiff(Picture picture, Made made, Path file) throws IOException {
        ByteBuffer head = ByteBuffer.wrap(directory(picture, made));
        try (FileChannel out = FileChannel.open(file, StandardOpenOption.CREATE_NEW, StandardOpenOption.WRITE)) {
            full(out, head);
            ByteBuffer strip =
                    ByteBuffer.allocateDirect(6 * picture.width() * ROWS).order(ByteOrder.LITTLE_ENDIAN);
            for (int s = 0; s < count(picture); s++) {
                fill(strip, picture, s);
                full(out, strip);
            }
        }
    }

    private static void full(FileChannel out, ByteBuffer bytes) throws IOException {
        while (bytes.hasRemaining()) {
            out.write(bytes);
        }
    }

    private static int count(Picture picture) {
        return (picture.height() + ROWS - 1) / ROWS;
    }

    /** All of the file before its pixels: written once to know its length, and again when that says where they lie. */
    private static byte[] directory(Picture picture, Made made) {
        int[] lengths = IntStream.range(0, count(picture))
                .map(i -> 6 * picture.width() * rows(picture, i))
                .toArray();
        int[] offsets = new int[lengths.length];
        TiffDirectory root = exif(made)
                .root()
                .longs(ExifDirectoryBase.TAG_IMAGE_WIDTH, picture.width())
                .longs(ExifDirectoryBase.TAG_IMAGE_HEIGHT, picture.height())
                .shorts(ExifDirectoryBase.TAG_BITS_PER_SAMPLE, 16, 16, 16)
                .shorts(ExifDirectoryBase.TAG_COMPRESSION, UNPACKED)
                .shorts(ExifDirectoryBase.TAG_PHOTOMETRIC_INTERPRETATION, RGB)
                .shorts(ExifDirectoryBase.TAG_SAMPLES_PER_PIXEL, 3)
                .shorts(ExifDirectoryBase.TAG_PLANAR_CONFIGURATION, PIXEL_BY_PIXEL)
                .longs(ExifDirectoryBase.TAG_ROWS_PER_STRIP, ROWS)
                .longs(ExifDirectoryBase.TAG_STRIP_BYTE_COUNTS, lengths)
                .longs(ExifDirectoryBase.TAG_STRIP_OFFSETS, offsets)
                .bytes(ExifDirectoryBase.TAG_INTER_COLOR_PROFILE, SRGB.getData());
        int at = root.file().length;
        for (int i = 0; i < lengths.length; i++) {
            offsets[i] = at;
            at += lengths[i];
        }
        return root.longs(ExifDirectoryBase.TAG_STRIP_OFFSETS, offsets).file();
    }

    private static int rows(Picture picture, int strip) {
        return Math.min(ROWS, picture.height() - strip * ROWS);
    }

    /** Codes of sixteen bits, the low byte first. */
    private static void fill(ByteBuffer bytes, Picture picture, int strip) {
        int w = 3 * picture.width();
        int rows = rows(picture, strip);
        bytes.clear().limit(2 * w * rows);
        ShortBuffer shorts = bytes.asShortBuffer();
        IntStream.range(0, rows).parallel().forEach(y -> {
            short[] row = new short[w];
            picture.line(strip * ROWS + y, row);
            for (int i = 0; i < w; i++) {
                row[i] = CODE[row[i] & 0xffff];
            }
            shorts.put(y * w, row);
        });
    }

    private static void jpeg(Picture picture, Made made, Path file) throws IOException {
        Files.write(file, exif(made).in(plain(picture), picture.width(), picture.height()));
    }

    private static ExifOut exif(Made made) {
        Shot first = made.first();
        ExifOut exif = ExifOut.by(PROGRAM);
        exif.root().text(ExifDirectoryBase.TAG_IMAGE_DESCRIPTION, made.description());
        TiffDirectory exposure = exif.exposure().rational(ExifDirectoryBase.TAG_EXPOSURE_TIME, made.seconds());
        first.taken().ifPresent(t -> exposure.text(ExifDirectoryBase.TAG_DATETIME_ORIGINAL, WRITTEN.format(t)));
        first.aperture().ifPresent(n -> exposure.rational(ExifDirectoryBase.TAG_FNUMBER, n));
        first.iso().ifPresent(exif::iso);
        first.focalMm().ifPresent(mm -> exposure.rational(ExifDirectoryBase.TAG_FOCAL_LENGTH, mm));
        return exif;
    }

    /** A JPEG of its own bytes alone, smaller than it is long: also for what is looked at while it grows. */
    public static byte[] small(Picture picture, int longest) throws IOException {
        return plain(Every.within(picture, longest));
    }

    private static byte[] plain(Picture picture) throws IOException {
        BufferedImage image = new BufferedImage(picture.width(), picture.height(), BufferedImage.TYPE_3BYTE_BGR);
        byte[] data = ((DataBufferByte) image.getRaster().getDataBuffer()).getData();
        short[] row = new short[3 * picture.width()];
        for (int y = 0; y < picture.height(); y++) {
            picture.line(y, row);
            int from = row.length * y;
            for (int i = 0; i < row.length; i += 3) {
                data[from + i] = eight(row[i + 2]);
                data[from + i + 1] = eight(row[i + 1]);
                data[from + i + 2] = eight(row[i]);
            }
        }
        ImageWriter writer = ImageIO.getImageWritersByFormatName("jpeg").next();
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (ImageOutputStream out = ImageIO.createImageOutputStream(bytes)) {
            ImageWriteParam param = writer.getDefaultWriteParam();
            param.setCompressionMode(ImageWriteParam.MODE_EXPLICIT);
            param.setCompressionQuality(QUALITY);
            writer.setOutput(out);
            writer.write(null, new IIOImage(image, null, profiled(writer, image, param)), param);
        } finally {
            writer.dispose();
        }
        return bytes.toByteArray();
    }

    /** What the writer says of a picture, with the profile of sRGB in it as ICC.1 lays down for JPEG (annex B.4). */
    private static IIOMetadata profiled(ImageWriter writer, BufferedImage image, ImageWriteParam param)
            throws IOException {
        IIOMetadata meta = writer.getDefaultImageMetadata(new ImageTypeSpecifier(image), param);
        String format = meta.getNativeMetadataFormatName();
        Node root = meta.getAsTree(format);
        IIOMetadataNode profile = new IIOMetadataNode("app2ICC");
        profile.setUserObject(SRGB);
        Node jfif = ((Element) root).getElementsByTagName("app0JFIF").item(0);
        jfif.appendChild(profile);
        meta.setFromTree(format, root);
        return meta;
    }

    private static byte eight(short linear) {
        return (byte) (((CODE[linear & 0xffff] & 0xffff) + 128) / 257);
    }

    /** Code of each linear light in sixteen bits. */
    private static final short[] CODE = codes();

    private static short[] codes() {
        short[] codes = new short[CODES];
        for (int i = 0; i < CODES; i++) {
            codes[i] = (short) Math.round((CODES - 1) * Srgb.code(Math.min(1, i / (double) Pixels.FULL)));
        }
        return codes;
    }

    /** Weight of a picture of greys, 0 to 1 a pixel, as a mask is read. @throws IllegalArgumentException where its size differs */
    public static float[][] mask(Path file, int width, int height) throws IOException {
        BufferedImage image = ImageIO.read(file.toFile());
        String size = image == null ? "no picture" : image.getWidth() + " by " + image.getHeight() + " pixels";
        if (image == null || image.getWidth() != width || image.getHeight() != height) {
            throw new IllegalArgumentException("the mask “" + file.getFileName() + "” is " + size
                    + "; the frames' size, " + width + " by " + height + ", is allowed");
        }
        float[][] weights = new float[height][width];
        int[] px = new int[4];
        double full = (1 << image.getSampleModel().getSampleSize(0)) - 1;
        for (int y = 0; y < height; y++) {
            for (int x = 0; x < width; x++) {
                weights[y][x] = (float) (image.getRaster().getPixel(x, y, px)[0] / full);
            }
        }
        return weights;
    }
}
