package org.halfdusk.web.picture.tags;

import com.drew.metadata.exif.ExifDirectoryBase;
import com.drew.metadata.exif.ExifIFD0Directory;
import java.io.ByteArrayOutputStream;
import java.nio.charset.StandardCharsets;

/**
 * Exif (CIPA DC-008, version 2.32): what a file tells of how its picture was taken, and what the standard asks of every picture in sRGB.
 *
 * @param root a file's first directory, the other one in it
 * @param exposure the directory for the exposure
 */
public record ExifOut(TiffDirectory root, TiffDirectory exposure) {
    private static final byte[] VERSION = ascii("0232");
    private static final byte[] FLASHPIX = ascii("0100");
    private static final byte[] NAME = ascii("Exif\0\0");

    /** Luminance, then two differences of colour: how a JPEG holds its picture. */
    private static final byte[] COMPONENTS = {1, 2, 3, 0};

    private static final int MOST_ISO = 65_535;
    private static final int SRGB = 1;
    private static final int INCH = 2;
    private static final int CENTRED = 1;

    /** Pixels an inch that are written where nobody knows how large a picture will be printed. */
    private static final int UNKNOWN = 72;

    private static final int APP0 = 0xe0;
    private static final int APP1 = 0xe1;

    /** Of a picture that a program has made. */
    public static ExifOut by(String program) {
        TiffDirectory exposure = new TiffDirectory()
                .bytes(ExifDirectoryBase.TAG_EXIF_VERSION, VERSION)
                .bytes(ExifDirectoryBase.TAG_FLASHPIX_VERSION, FLASHPIX)
                .shorts(ExifDirectoryBase.TAG_COLOR_SPACE, SRGB);
        TiffDirectory root = new TiffDirectory()
                .text(ExifDirectoryBase.TAG_SOFTWARE, program)
                .rational(ExifDirectoryBase.TAG_X_RESOLUTION, UNKNOWN)
                .rational(ExifDirectoryBase.TAG_Y_RESOLUTION, UNKNOWN)
                .shorts(ExifDirectoryBase.TAG_RESOLUTION_UNIT, INCH)
                .inner(ExifIFD0Directory.TAG_EXIF_SUB_IFD_OFFSET, exposure);
        return new ExifOut(root, exposure);
    }

    /** With a speed of ISO 12232; of all above 65,535 the standard writes that. */
    public ExifOut iso(double iso) {
        exposure.shorts(ExifDirectoryBase.TAG_ISO_EQUIVALENT, (int) Math.min(MOST_ISO, Math.round(iso)));
        return this;
    }

    /**
     * A JPEG with this in it, behind JFIF's head where there is one; its picture stays as it is.
     *
     * @param jpeg one without Exif
     * @param width of the picture, px
     * @param height of the picture, px
     */
    public byte[] in(byte[] jpeg, int width, int height) {
        exposure.bytes(ExifDirectoryBase.TAG_COMPONENTS_CONFIGURATION, COMPONENTS)
                .longs(ExifDirectoryBase.TAG_EXIF_IMAGE_WIDTH, width)
                .longs(ExifDirectoryBase.TAG_EXIF_IMAGE_HEIGHT, height);
        byte[] exif =
                root.shorts(ExifDirectoryBase.TAG_YCBCR_POSITIONING, CENTRED).file();
        boolean jfif = jpeg.length > 6 && (jpeg[3] & 0xff) == APP0;
        int at = jfif ? 4 + ((jpeg[4] & 0xff) << 8 | jpeg[5] & 0xff) : 2;
        int length = 2 + NAME.length + exif.length;
        ByteArrayOutputStream out = new ByteArrayOutputStream(jpeg.length + 2 + length);
        out.write(jpeg, 0, at);
        out.write(0xff);
        out.write(APP1);
        out.write(length >> 8);
        out.write(length);
        out.writeBytes(NAME);
        out.writeBytes(exif);
        out.write(jpeg, at, jpeg.length - at);
        return out.toByteArray();
    }

    private static byte[] ascii(String text) {
        return text.getBytes(StandardCharsets.US_ASCII);
    }
}
