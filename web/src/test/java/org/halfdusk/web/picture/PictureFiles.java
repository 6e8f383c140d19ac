package org.halfdusk.web.picture;

import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import javax.imageio.ImageIO;
import org.apache.commons.imaging.common.RationalNumber;
import org.apache.commons.imaging.formats.jpeg.exif.ExifRewriter;
import org.apache.commons.imaging.formats.tiff.constants.ExifTagConstants;
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
}
