package org.halfdusk.web.picture;

import java.awt.color.ColorSpace;
import java.awt.color.ICC_Profile;
import java.awt.image.BufferedImage;
import java.awt.image.ComponentColorModel;
import java.awt.image.DataBuffer;
import java.awt.image.DataBufferByte;
import java.awt.image.DataBufferUShort;
import java.awt.image.Raster;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.FileAlreadyExistsException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.format.DateTimeFormatter;
import java.util.Iterator;
import java.util.Locale;
import java.util.OptionalDouble;
import javax.imageio.IIOImage;
import javax.imageio.ImageIO;
import javax.imageio.ImageTypeSpecifier;
import javax.imageio.ImageWriteParam;
import javax.imageio.ImageWriter;
import javax.imageio.metadata.IIOMetadata;
import javax.imageio.plugins.tiff.BaselineTIFFTagSet;
import javax.imageio.plugins.tiff.ExifParentTIFFTagSet;
import javax.imageio.plugins.tiff.ExifTIFFTagSet;
import javax.imageio.plugins.tiff.TIFFDirectory;
import javax.imageio.plugins.tiff.TIFFField;
import javax.imageio.plugins.tiff.TIFFTag;
import javax.imageio.plugins.tiff.TIFFTagSet;
import javax.imageio.stream.ImageOutputStream;
import org.apache.commons.imaging.common.RationalNumber;
import org.apache.commons.imaging.formats.jpeg.exif.ExifRewriter;
import org.apache.commons.imaging.formats.tiff.constants.ExifTagConstants;
import org.apache.commons.imaging.formats.tiff.constants.TiffTagConstants;
import org.apache.commons.imaging.formats.tiff.write.TiffOutputDirectory;
import org.apache.commons.imaging.formats.tiff.write.TiffOutputSet;
import org.halfdusk.frame.Pixels;
import org.halfdusk.frame.stack.Picture;

/**
 * Writes pictures of linear light as others read them: TIFF of 16 bits or JPEG, in sRGB with its profile, with what Exif says of how they were
 * made. A file that is there is never overwritten; one is there whole or not at all.
 */
public final class PictureOut {
    private static final DateTimeFormatter WRITTEN = DateTimeFormatter.ofPattern("yyyy:MM:dd HH:mm:ss", Locale.ROOT);
    private static final String PROGRAM = "Half Dusk";
    private static final float QUALITY = 0.95f;
    private static final int CODES = 1 << 16;

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
        BufferedImage image = deep(picture);
        ImageWriter writer = tiffWriter();
        try (ImageOutputStream out = ImageIO.createImageOutputStream(file.toFile())) {
            writer.setOutput(out);
            ImageWriteParam param = writer.getDefaultWriteParam();
            IIOMetadata data = writer.getDefaultImageMetadata(new ImageTypeSpecifier(image), param);
            TIFFDirectory root = TIFFDirectory.createFromMetadata(data);
            fields(root, made);
            writer.write(null, new IIOImage(image, null, root.getAsMetadata()), param);
        } finally {
            writer.dispose();
        }
    }

    /** The platform's own, which writes every field it is given. */
    private static ImageWriter tiffWriter() throws IOException {
        Iterator<ImageWriter> all = ImageIO.getImageWritersByFormatName("tiff");
        while (all.hasNext()) {
            ImageWriter w = all.next();
            if (w.getOriginatingProvider().getVendorName().startsWith("Oracle")) {
                return w;
            }
        }
        throw new IOException("this Java has no writer of TIFF files");
    }

    private static void fields(TIFFDirectory root, Made made) {
        TIFFTagSet base = BaselineTIFFTagSet.getInstance();
        text(root, base, BaselineTIFFTagSet.TAG_IMAGE_DESCRIPTION, made.description());
        text(root, base, BaselineTIFFTagSet.TAG_SOFTWARE, PROGRAM);
        byte[] profile = ICC_Profile.getInstance(ColorSpace.CS_sRGB).getData();
        root.addTIFFField(new TIFFField(
                base.getTag(BaselineTIFFTagSet.TAG_ICC_PROFILE), TIFFTag.TIFF_UNDEFINED, profile.length, profile));
        ExifTIFFTagSet set = ExifTIFFTagSet.getInstance();
        TIFFDirectory exif = new TIFFDirectory(new TIFFTagSet[] {set}, parent());
        made.first().taken().ifPresent(t -> {
            text(root, base, BaselineTIFFTagSet.TAG_DATE_TIME, WRITTEN.format(t));
            text(exif, set, ExifTIFFTagSet.TAG_DATE_TIME_ORIGINAL, WRITTEN.format(t));
        });
        rational(exif, set, ExifTIFFTagSet.TAG_EXPOSURE_TIME, OptionalDouble.of(made.seconds()));
        rational(exif, set, ExifTIFFTagSet.TAG_F_NUMBER, made.first().aperture());
        rational(exif, set, ExifTIFFTagSet.TAG_FOCAL_LENGTH, made.first().focalMm());
        made.first()
                .iso()
                .ifPresent(iso -> exif.addTIFFField(new TIFFField(
                        set.getTag(ExifTIFFTagSet.TAG_ISO_SPEED_RATINGS), TIFFTag.TIFF_SHORT, 1, new char[] {(char) iso
                        })));
        root.addTIFFField(new TIFFField(parent(), TIFFTag.TIFF_LONG, 1L, exif));
    }

    private static TIFFTag parent() {
        return ExifParentTIFFTagSet.getInstance().getTag(ExifParentTIFFTagSet.TAG_EXIF_IFD_POINTER);
    }

    private static void text(TIFFDirectory to, TIFFTagSet set, int tag, String text) {
        to.addTIFFField(new TIFFField(set.getTag(tag), TIFFTag.TIFF_ASCII, 1, new String[] {text}));
    }

    private static void rational(TIFFDirectory to, TIFFTagSet set, int tag, OptionalDouble value) {
        value.ifPresent(v -> to.addTIFFField(new TIFFField(set.getTag(tag), TIFFTag.TIFF_RATIONAL, 1, new long[][] {
            {Math.round(v * 1000), 1000}
        })));
    }

    private static void jpeg(Picture picture, Made made, Path file) throws IOException {
        byte[] plain = plain(picture);
        try (OutputStream out = Files.newOutputStream(file)) {
            new ExifRewriter().updateExifMetadataLossless(plain, out, exif(made));
        }
    }

    private static TiffOutputSet exif(Made made) throws IOException {
        TiffOutputSet set = new TiffOutputSet();
        TiffOutputDirectory root = set.getOrCreateRootDirectory();
        root.add(TiffTagConstants.TIFF_TAG_IMAGE_DESCRIPTION, made.description());
        root.add(TiffTagConstants.TIFF_TAG_SOFTWARE, PROGRAM);
        TiffOutputDirectory exif = set.getOrCreateExifDirectory();
        exif.add(ExifTagConstants.EXIF_TAG_EXPOSURE_TIME, rational(made.seconds()));
        if (made.first().taken().isPresent()) {
            exif.add(
                    ExifTagConstants.EXIF_TAG_DATE_TIME_ORIGINAL,
                    WRITTEN.format(made.first().taken().get()));
        }
        if (made.first().aperture().isPresent()) {
            exif.add(
                    ExifTagConstants.EXIF_TAG_FNUMBER,
                    rational(made.first().aperture().getAsDouble()));
        }
        if (made.first().iso().isPresent()) {
            exif.add(ExifTagConstants.EXIF_TAG_ISO, (short) made.first().iso().getAsInt());
        }
        if (made.first().focalMm().isPresent()) {
            exif.add(
                    ExifTagConstants.EXIF_TAG_FOCAL_LENGTH,
                    rational(made.first().focalMm().getAsDouble()));
        }
        return set;
    }

    private static RationalNumber rational(double v) {
        return RationalNumber.valueOf(Math.round(v * 1000) / 1000.0);
    }

    /** A JPEG of its own bytes alone, smaller than it is long: also for what is looked at while it grows. */
    public static byte[] small(Picture picture, int longest) throws IOException {
        int step = Math.max(1, (Math.max(picture.width(), picture.height()) + longest - 1) / longest);
        return plain(new Every(picture, step));
    }

    /** Every so manieth pixel of a picture. */
    private record Every(Picture of, int step) implements Picture {
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
            writer.write(null, new IIOImage(image, null, null), param);
        } finally {
            writer.dispose();
        }
        return bytes.toByteArray();
    }

    private static byte eight(short linear) {
        return (byte) (((CODE[linear & 0xffff] & 0xffff) + 128) / 257);
    }

    /** Code of each linear light in sixteen bits. */
    private static final short[] CODE = codes();

    private static short[] codes() {
        short[] codes = new short[CODES];
        for (int i = 0; i < CODES; i++) {
            codes[i] = Pixels.sixteen((float) Pixels.code(i / (CODES - 1.0)));
        }
        return codes;
    }

    private static BufferedImage deep(Picture picture) {
        int w = picture.width();
        int h = picture.height();
        short[] data = new short[3 * w * h];
        short[] row = new short[3 * w];
        for (int y = 0; y < h; y++) {
            picture.line(y, row);
            int from = row.length * y;
            for (int i = 0; i < row.length; i++) {
                data[from + i] = CODE[row[i] & 0xffff];
            }
        }
        ComponentColorModel model = new ComponentColorModel(
                ColorSpace.getInstance(ColorSpace.CS_sRGB),
                false,
                false,
                java.awt.Transparency.OPAQUE,
                DataBuffer.TYPE_USHORT);
        return new BufferedImage(
                model,
                Raster.createInterleavedRaster(
                        new DataBufferUShort(data, data.length), w, h, 3 * w, 3, new int[] {0, 1, 2}, null),
                false,
                null);
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
