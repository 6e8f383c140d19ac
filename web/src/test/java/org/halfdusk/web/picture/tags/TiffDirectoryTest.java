package org.halfdusk.web.picture.tags;

import static org.junit.jupiter.api.Assertions.assertArrayEquals;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.drew.metadata.exif.ExifDirectoryBase;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.util.Arrays;
import java.util.Random;
import java.util.function.Consumer;
import org.apache.commons.imaging.Imaging;
import org.apache.commons.imaging.formats.jpeg.JpegImageMetadata;
import org.apache.commons.imaging.formats.tiff.TiffImageMetadata;
import org.apache.commons.imaging.formats.tiff.constants.ExifTagConstants;
import org.apache.commons.imaging.formats.tiff.constants.TiffTagConstants;
import org.halfdusk.web.picture.PictureFiles;
import org.junit.jupiter.api.RepeatedTest;
import org.junit.jupiter.api.RepetitionInfo;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What is written into pictures, byte by byte as TIFF 6.0 lays it down, and read by a library that does not write it. */
class TiffDirectoryTest {
    private static final int INNER = ExifDirectoryBase.TAG_MAKERNOTE;

    private static TiffImageMetadata readBack(Consumer<ExifOut> told) throws Exception {
        ExifOut exif = ExifOut.by("A program");
        told.accept(exif);
        return ((JpegImageMetadata) Imaging.getMetadata(exif.in(PictureFiles.jpeg(16, 8), 16, 8))).getExif();
    }

    /** The example is written out by hand: II, 42, a directory at 8 of two entries, a short inside its entry, text behind both. */
    @Test
    void bytesByHand() {
        byte[] file = new TiffDirectory().text(0x131, "Dusk").shorts(0x103, 1).file();
        ByteBuffer expected = ByteBuffer.allocate(44).order(ByteOrder.LITTLE_ENDIAN);
        expected.put(new byte[] {'I', 'I', 42, 0}).putInt(8).putShort((short) 2);
        expected.putShort((short) 0x103).putShort((short) 3).putInt(1).putInt(1);
        expected.putShort((short) 0x131).putShort((short) 2).putInt(5).putInt(38);
        expected.putInt(0).put(new byte[] {'D', 'u', 's', 'k', 0, 0});
        assertArrayEquals(expected.array(), file);
    }

    /** Section 2: entries ascend, values that do not fit lie at even offsets inside the file, none over another, and no directory follows. */
    @RepeatedTest(50)
    void laidDownAsTheStandardSays(RepetitionInfo repetition) {
        Random random = new Random(repetition.getCurrentRepetition());
        TiffDirectory inner = new TiffDirectory();
        TiffDirectory outer = new TiffDirectory();
        for (int i = random.nextInt(6); i > 0; i--) {
            outer.text(random.nextInt(0x8000), "nine signs".substring(random.nextInt(10)));
            inner.bytes(random.nextInt(0x8000), new byte[random.nextInt(10)]);
        }
        int[] numbers = random.ints(1 + random.nextInt(9), 0, 65_536).toArray();
        inner.shorts(0x8310, numbers).rational(0x8311, numbers[0] + 1.0);
        byte[] file = outer.inner(INNER, inner).longs(0x8100, numbers).file();
        boolean[] taken = new boolean[file.length];
        walk(ByteBuffer.wrap(file).order(ByteOrder.LITTLE_ENDIAN), 8, taken);
        assertEquals(0, file.length % 2);
    }

    private static void walk(ByteBuffer file, int at, boolean[] taken) {
        int entries = file.getShort(at);
        take(taken, at, 2 + 12 * entries + 4);
        assertEquals(0, file.getInt(at + 2 + 12 * entries), "the offset of a next directory");
        int before = -1;
        for (int e = at + 2; e < at + 2 + 12 * entries; e += 12) {
            int tag = file.getShort(e) & 0xffff;
            assertTrue(tag > before, () -> "entry " + tag);
            before = tag;
            int size = new int[] {0, 1, 1, 2, 4, 8, 0, 1}[file.getShort(e + 2)] * file.getInt(e + 4);
            if (tag == INNER) {
                walk(file, file.getInt(e + 8), taken);
            } else if (size > 4) {
                take(taken, file.getInt(e + 8), size);
            }
        }
    }

    private static void take(boolean[] taken, int from, int length) {
        assertEquals(0, from % 2, "an odd offset");
        for (int i = from; i < from + length; i++) {
            assertTrue(!taken[i], "two lie at byte " + i);
            taken[i] = true;
        }
    }

    @ParameterizedTest
    @CsvSource({
        "0.005, 1, 200",
        "0.000125, 1, 8000",
        "0.3, 300000, 1000000",
        "0.3333333333333333, 1, 3",
        "1, 1000, 1000",
        "1.3, 1300, 1000",
        "30, 30000, 1000",
        "11520.25, 11520250, 1000"
    })
    void fractions(double number, int numerator, int denominator) {
        byte[] file = new TiffDirectory()
                .rational(ExifDirectoryBase.TAG_EXPOSURE_TIME, number)
                .file();
        ByteBuffer read = ByteBuffer.wrap(file).order(ByteOrder.LITTLE_ENDIAN);
        assertEquals(numerator, read.getInt(file.length - 8));
        assertEquals(denominator, read.getInt(file.length - 4));
    }

    /** From the shortest shutter to the longest trail, to a part in a thousand. */
    @RepeatedTest(50)
    void fractionsAreTheirNumbers(RepetitionInfo repetition) throws Exception {
        double number = Math.pow(10, -4.5 + 10.5 * repetition.getCurrentRepetition() / 50);
        TiffImageMetadata exif = readBack(e -> e.exposure().rational(ExifDirectoryBase.TAG_EXPOSURE_TIME, number));
        double read = exif.getFieldValue(ExifTagConstants.EXIF_TAG_EXPOSURE_TIME)[0].doubleValue();
        assertEquals(number, read, number / 1000);
    }

    @Test
    void aStrangerReadsIt() throws Exception {
        TiffImageMetadata exif = readBack(e -> e.iso(51_200)
                .exposure()
                .text(ExifDirectoryBase.TAG_DATETIME_ORIGINAL, "2027:05:08 04:48:25")
                .text(ExifDirectoryBase.TAG_SUBSECOND_TIME_ORIGINAL, "07")
                .rational(ExifDirectoryBase.TAG_FNUMBER, 2.8));
        assertEquals("A program", exif.getFieldValue(TiffTagConstants.TIFF_TAG_SOFTWARE)[0]);
        assertEquals("2027:05:08 04:48:25", exif.getFieldValue(ExifTagConstants.EXIF_TAG_DATE_TIME_ORIGINAL)[0]);
        assertEquals("07", exif.getFieldValue(ExifTagConstants.EXIF_TAG_SUB_SEC_TIME_ORIGINAL)[0]);
        assertEquals(2.8, exif.getFieldValue(ExifTagConstants.EXIF_TAG_FNUMBER)[0].doubleValue(), 1e-9);
        assertEquals(51_200, exif.getFieldValue(ExifTagConstants.EXIF_TAG_ISO)[0] & 0xffff);
        TiffImageMetadata fast = readBack(e -> e.iso(102_400));
        assertEquals(65_535, fast.getFieldValue(ExifTagConstants.EXIF_TAG_ISO)[0] & 0xffff, "as Exif writes all above");
    }

    /** The picture itself is not touched, and JFIF's head stays the first (its standard asks for that). */
    @Test
    void theJpegStaysAsItWas() throws Exception {
        byte[] plain = PictureFiles.jpeg(16, 8);
        byte[] made = ExifOut.by("A program").in(plain, 16, 8);
        int more = made.length - plain.length;
        assertArrayEquals(Arrays.copyOf(plain, 20), Arrays.copyOf(made, 20));
        assertEquals("ffe1", String.format("%02x%02x", made[20], made[21]));
        assertEquals(more, 2 + ((made[22] & 0xff) << 8 | made[23] & 0xff));
        assertArrayEquals(
                Arrays.copyOfRange(plain, 20, plain.length), Arrays.copyOfRange(made, 20 + more, made.length));
        byte[] bare = new byte[plain.length - 18];
        System.arraycopy(plain, 0, bare, 0, 2);
        System.arraycopy(plain, 20, bare, 2, bare.length - 2);
        byte[] alsoMade = ExifOut.by("A program").in(bare, 16, 8);
        assertEquals("ffd8ffe1", String.format("%02x%02x%02x%02x", alsoMade[0], alsoMade[1], alsoMade[2], alsoMade[3]));
    }
}
