package org.halfdusk.web.picture;

import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.util.Random;
import javax.imageio.ImageIO;
import org.apache.commons.imaging.common.RationalNumber;
import org.apache.commons.imaging.formats.jpeg.exif.ExifRewriter;
import org.apache.commons.imaging.formats.tiff.constants.ExifTagConstants;
import org.apache.commons.imaging.formats.tiff.constants.TiffTagConstants;
import org.apache.commons.imaging.formats.tiff.write.TiffOutputDirectory;
import org.apache.commons.imaging.formats.tiff.write.TiffOutputSet;

/** Small picture files with what a camera writes into them, written by a library that the application does not read with. */
public final class PictureFiles {
    private PictureFiles() {}

    /** A grey JPEG. */
    public static byte[] jpeg(int width, int height) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ImageIO.write(new BufferedImage(width, height, BufferedImage.TYPE_BYTE_GRAY), "jpg", out);
        return out.toByteArray();
    }

    /** The same, taken at a time by its camera's clock: "2027:05:24 20:00:05", "37" hundredths. */
    public static byte[] taken(String at, String fraction) throws IOException {
        TiffOutputSet set = new TiffOutputSet();
        TiffOutputDirectory exif = set.getOrCreateExifDirectory();
        exif.add(ExifTagConstants.EXIF_TAG_DATE_TIME_ORIGINAL, at);
        exif.add(ExifTagConstants.EXIF_TAG_SUB_SEC_TIME_ORIGINAL, fraction);
        exif.add(ExifTagConstants.EXIF_TAG_EXPOSURE_TIME, RationalNumber.valueOf(1 / 200.0));
        exif.add(ExifTagConstants.EXIF_TAG_FNUMBER, RationalNumber.valueOf(8));
        exif.add(ExifTagConstants.EXIF_TAG_ISO, (short) 100);
        exif.add(ExifTagConstants.EXIF_TAG_FOCAL_LENGTH, RationalNumber.valueOf(400));
        exif.add(ExifTagConstants.EXIF_TAG_FOCAL_PLANE_XRESOLUTION_EXIF_IFD, RationalNumber.valueOf(1952.5));
        exif.add(ExifTagConstants.EXIF_TAG_FOCAL_PLANE_RESOLUTION_UNIT_EXIF_IFD, (short) 3);
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        new ExifRewriter().updateExifMetadataLossless(jpeg(64, 48), out, set);
        return out.toByteArray();
    }

    /** A sky of noise with round stars in it. @param sigma standard deviation of a star, px */
    public static BufferedImage sky(int width, int height, int seed, double sigma) {
        Random random = new Random(seed);
        double[] light = new double[width * height];
        for (int n = 0; n < width * height / 900; n++) {
            double x = random.nextDouble() * width;
            double y = random.nextDouble() * height;
            double peak = 0.02 / Math.pow(0.02 + random.nextDouble(), 1.1);
            int reach = (int) Math.ceil(4 * sigma);
            for (int py = Math.max(0, (int) y - reach); py < Math.min(height, (int) y + reach); py++) {
                for (int px = Math.max(0, (int) x - reach); px < Math.min(width, (int) x + reach); px++) {
                    double d = Math.hypot(px - x, py - y) / sigma;
                    light[py * width + px] += peak * Math.exp(-d * d / 2);
                }
            }
        }
        BufferedImage image = new BufferedImage(width, height, BufferedImage.TYPE_3BYTE_BGR);
        for (int i = 0; i < light.length; i++) {
            double v = Math.max(0, Math.min(1, 0.02 + light[i] + 0.002 * random.nextGaussian()));
            int c = (int) Math.round(255 * (v <= 0.0031308 ? 12.92 * v : 1.055 * Math.pow(v, 1 / 2.4) - 0.055));
            image.setRGB(i % width, i / width, c << 16 | c << 8 | c);
        }
        return image;
    }

    public static byte[] jpeg(BufferedImage image) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ImageIO.write(image, "jpg", out);
        return out.toByteArray();
    }

    /** The same as a camera would have written it, turned by its orientation. */
    public static byte[] written(BufferedImage image, String at, double seconds, int orientation) throws IOException {
        TiffOutputSet set = new TiffOutputSet();
        set.getOrCreateRootDirectory().add(TiffTagConstants.TIFF_TAG_ORIENTATION, (short) orientation);
        TiffOutputDirectory exif = set.getOrCreateExifDirectory();
        exif.add(ExifTagConstants.EXIF_TAG_DATE_TIME_ORIGINAL, at);
        exif.add(ExifTagConstants.EXIF_TAG_EXPOSURE_TIME, RationalNumber.valueOf(seconds));
        exif.add(ExifTagConstants.EXIF_TAG_FNUMBER, RationalNumber.valueOf(2));
        exif.add(ExifTagConstants.EXIF_TAG_ISO, (short) 1250);
        exif.add(ExifTagConstants.EXIF_TAG_FOCAL_LENGTH, RationalNumber.valueOf(18));
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        new ExifRewriter().updateExifMetadataLossless(jpeg(image), out, set);
        return out.toByteArray();
    }

    /**
     * A raw file as small as can be (DNG 1.4, a TIFF of one directory with its Exif): a preview as JPEG, and beside it the size of a raw
     * picture that is not there.
     */
    public static byte[] dng(byte[] preview, int rawWidth, int rawHeight) {
        int exifAt = 8 + 2 + 9 * 12 + 4;
        int sub = exifAt + 2 + 5 * 12 + 4;
        int extra = sub + 2 + 2 * 12 + 4;
        int previewAt = extra + 64;
        ByteBuffer b = ByteBuffer.allocate(previewAt + preview.length).order(ByteOrder.LITTLE_ENDIAN);
        b.put((byte) 'I').put((byte) 'I').putShort((short) 42).putInt(8);
        b.putShort((short) 9);
        entry(b, 0x100, 4, 1, 160);
        entry(b, 0x101, 4, 1, 120);
        entry(b, 0x103, 3, 1, 7);
        entry(b, 0x111, 4, 1, previewAt);
        entry(b, 0x112, 3, 1, 6);
        entry(b, 0x117, 4, 1, preview.length);
        entry(b, 0x14a, 4, 1, sub);
        entry(b, 0x8769, 4, 1, exifAt);
        entry(b, 0xc612, 1, 4, 0x0401);
        b.putInt(0);
        b.putShort((short) 5);
        entry(b, 0x829a, 5, 1, extra);
        entry(b, 0x8827, 3, 1, 1600);
        entry(b, 0x9003, 2, 20, extra + 8);
        entry(b, 0xa20e, 5, 1, extra + 28);
        entry(b, 0xa210, 3, 1, 3);
        b.putInt(0);
        b.putShort((short) 2);
        entry(b, 0x100, 4, 1, rawWidth);
        entry(b, 0x101, 4, 1, rawHeight);
        b.putInt(0);
        b.position(extra);
        b.putInt(10).putInt(1);
        b.put("2027:06:05 03:07:00\0".getBytes(StandardCharsets.US_ASCII));
        b.position(extra + 28);
        // 2000 pixels a centimetre: 5 µm.
        b.putInt(2000).putInt(1);
        b.position(previewAt);
        b.put(preview);
        return b.array();
    }

    private static void entry(ByteBuffer b, int tag, int type, int count, int value) {
        b.putShort((short) tag).putShort((short) type).putInt(count).putInt(value);
    }
}
