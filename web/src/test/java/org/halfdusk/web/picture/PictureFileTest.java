package org.halfdusk.web.picture;

import static org.junit.jupiter.api.Assertions.assertArrayEquals;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.Random;
import javax.imageio.ImageIO;
import org.halfdusk.frame.FrameReading;
import org.halfdusk.frame.picture.Pixels;
import org.halfdusk.photometry.Srgb;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class PictureFileTest {
    @TempDir
    Path folder;

    private static final BufferedImage SKY = PictureFiles.sky(900, 600, 3, 1.2);

    private Path file(String name, byte[] bytes) throws Exception {
        return Files.write(folder.resolve(name), bytes);
    }

    private String refused(String name, byte[] bytes) throws Exception {
        Path file = file(name, bytes);
        return String.valueOf(
                assertThrows(IllegalArgumentException.class, () -> PictureFile.read(file, name, PictureFile::pixels))
                        .getMessage());
    }

    private FrameReading read(String name, byte[] bytes) throws Exception {
        return PictureFile.read(
                file(name, bytes),
                name,
                p -> FrameReading.of(p.pixels(), p.exif().shot().exposed()));
    }

    /** The preview in a raw file is read, turned as the raw file says, with pixels as much larger as it is smaller. */
    @Test
    void aRawFilesPreview() throws Exception {
        byte[] dng = PictureFiles.dng(PictureFiles.jpeg(SKY), 3600, 2400);
        PictureFile.read(file("A.DNG", dng), "A.DNG", p -> {
            assertEquals(600, p.pixels().width(), "orientation 6 stands it up");
            assertEquals(900, p.pixels().height());
            assertEquals(20, p.exif().shot().pitchMicrons().orElseThrow(), 1e-6, "5 µm on 3600, 20 on 900");
            assertEquals(10, p.exif().shot().seconds().orElseThrow(), 1e-9);
            assertEquals(1600, p.exif().shot().iso().orElseThrow());
            FrameReading r = FrameReading.of(p.pixels(), p.exif().shot().exposed());
            assertEquals(FrameReading.Kind.STARS, r.kind());
            assertEquals(1.2 * 2.3548, r.all().fwhmPx(), 0.25);
            return p;
        });
    }

    /** Where no directory names the preview it is looked for in the file; a raw file without one is refused. */
    @Test
    void aRawFileWhosePreviewIsHidden() throws Exception {
        byte[] jpeg = PictureFiles.jpeg(SKY);
        byte[] dng = PictureFiles.dng(jpeg, 3600, 2400);
        // Without its compression the strip is no JPEG by name.
        ByteBuffer.wrap(dng).put(8 + 2 + 2 * 12 + 8, (byte) 1);
        Pixels found = PictureFile.read(file("B.DNG", dng), "B.DNG", PictureFile::pixels);
        assertEquals(600, found.width());
        String none = refused("C.DNG", PictureFiles.dng(new byte[4000], 3600, 2400));
        assertTrue(none.contains("raw file without a preview"), none);
    }

    /** What it is goes by what stands in it. */
    @Test
    void aWrongExtension() throws Exception {
        assertEquals(
                FrameReading.Kind.STARS,
                read("frame.tif", PictureFiles.jpeg(SKY)).kind());
        ByteArrayOutputStream png = new ByteArrayOutputStream();
        ImageIO.write(SKY, "png", png);
        String said = refused("frame.jpg", png.toByteArray());
        assertTrue(said.contains("“frame.jpg”") && said.contains("png"), said);
    }

    /** Turned each way the frame is the same frame: as many stars, as wide, and a pixel where it belongs. */
    @Test
    void turnedEachWay() throws Exception {
        // Whole cells of the mesh, so that it begins alike at each edge.
        BufferedImage even = PictureFiles.sky(896, 608, 3, 1.2);
        FrameReading upright = read("1.jpg", PictureFiles.written(even, "2027:06:05 03:07:00", 8, 1));
        for (int orientation = 2; orientation <= 8; orientation++) {
            FrameReading r =
                    read(orientation + ".jpg", PictureFiles.written(even, "2027:06:05 03:07:00", 8, orientation));
            assertEquals(upright.stars(), r.stars(), upright.stars() * 0.03, "orientation " + orientation);
            assertEquals(upright.all().fwhmPx(), r.all().fwhmPx(), 0.03, "orientation " + orientation);
        }
        BufferedImage corner = new BufferedImage(80, 60, BufferedImage.TYPE_3BYTE_BGR);
        for (int y = 0; y < 8; y++) {
            for (int x = 0; x < 8; x++) {
                corner.setRGB(x, y, 0xffffff);
            }
        }
        // Where the first pixel of the file is shown: Exif 2.32, table of orientations.
        int[][] at = {{0, 0}, {1, 0}, {1, 1}, {0, 1}, {0, 0}, {1, 0}, {1, 1}, {0, 1}};
        for (int o = 1; o <= 8; o++) {
            int[] where = at[o - 1];
            int orientation = o;
            PictureFile.read(
                    file("c" + o + ".jpg", PictureFiles.written(corner, "2027:06:05 03:07:00", 1, o)), "c", p -> {
                        int x = where[0] * (p.pixels().width() - 8) + 4;
                        int y = where[1] * (p.pixels().height() - 8) + 4;
                        assertTrue(light(p.pixels(), x, y) > 0.9, "orientation " + orientation);
                        return p;
                    });
        }
    }

    /** However its pixels lie in memory, a JPEG is what the usual reader makes of it; sums of it are what its lines say. */
    @Test
    void aJpegIsWhatTheUsualReaderMakesOfIt() throws Exception {
        Path file = file("sky.jpg", PictureFiles.jpeg(SKY));
        BufferedImage usual = ImageIO.read(file.toFile());
        PictureFile.read(file, "sky.jpg", p -> {
            short[] line = new short[3 * usual.getWidth()];
            for (int y = 0; y < usual.getHeight(); y += 7) {
                p.pixels().line(y, line);
                int[] sums = new int[5 + line.length];
                p.pixels().sum(y, sums, 5);
                p.pixels().sum(y, sums, 5);
                short[] most = new short[5 + line.length];
                most[5] = (short) Pixels.FULL;
                p.pixels().lighten(y, most, 5);
                assertEquals(Pixels.FULL, most[5] & 0xffff, "what is lighter stays");
                assertArrayEquals(Arrays.copyOfRange(line, 1, line.length), Arrays.copyOfRange(most, 6, most.length));
                for (int x = 0; x < usual.getWidth(); x++) {
                    int rgb = usual.getRGB(x, y);
                    for (int c = 0; c < 3; c++) {
                        int code = rgb >> 8 * (2 - c) & 0xff;
                        assertEquals(Pixels.FULL * Srgb.linear(code / 255.0), line[3 * x + c] & 0xffff, 0.51);
                        assertEquals(2 * (line[3 * x + c] & 0xffff), sums[5 + 3 * x + c]);
                    }
                }
            }
            return p;
        });
    }

    private static float light(Pixels p, int x, int y) {
        float[] r = new float[1];
        float[] g = new float[1];
        float[] b = new float[1];
        p.row(y, x, 1, r, g, b);
        return Pixels.luminance(r[0], g[0], b[0]);
    }

    /** Cut off, lying, of a foreign kind, too large: a sentence that names the file, and nothing else. */
    @Test
    void badFilesAreRefusedInASentence() throws Exception {
        byte[] whole = PictureFiles.jpeg(SKY);
        for (byte[] bytes : new byte[][] {
            {},
            "no picture".getBytes(StandardCharsets.UTF_8),
            Arrays.copyOf(whole, 30),
            Arrays.copyOf(whole, whole.length / 2)
        }) {
            String said = refused("bad.jpg", bytes);
            assertTrue(said.startsWith("the file “bad.jpg” ") && said.endsWith("is allowed"), said);
        }
        String large = refused("large.jpg", lying(whole, 20_000, 20_000));
        assertTrue(large.contains("400 megapixels"), large);
        String cmyk = refused("cmyk.jpg", inkJpeg(whole));
        assertTrue(cmyk.contains("CMYK"), cmyk);
    }

    /** A JPEG whose header says another size. */
    private static byte[] lying(byte[] jpeg, int width, int height) {
        byte[] out = jpeg.clone();
        int at = frameHeader(out);
        ByteBuffer.wrap(out).putShort(at + 5, (short) height).putShort(at + 7, (short) width);
        return out;
    }

    private static int frameHeader(byte[] jpeg) {
        for (int i = 2; i + 9 < jpeg.length; i++) {
            if ((jpeg[i] & 0xff) == 0xff && (jpeg[i + 1] & 0xff) == 0xc0) {
                return i;
            }
        }
        throw new IllegalStateException("a JPEG without a frame");
    }

    /** A JPEG whose frame says four colours. */
    private static byte[] inkJpeg(byte[] jpeg) {
        int at = frameHeader(jpeg);
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        out.write(jpeg, 0, at + 2);
        out.write(0);
        out.write(20);
        out.write(jpeg, at + 4, 5);
        out.write(4);
        out.write(jpeg, at + 10, 9);
        out.write(new byte[] {4, 0x11, 1}, 0, 3);
        out.write(jpeg, at + 19, jpeg.length - at - 19);
        return out.toByteArray();
    }

    /** Whatever is flipped in a file: it is read, or refused in a sentence. */
    @Test
    void damagedFilesNeverThrowAnythingElse() throws Exception {
        byte[] jpeg = PictureFiles.written(PictureFiles.sky(200, 150, 5, 1.2), "2027:06:05 03:07:00", 8, 1);
        byte[] dng = PictureFiles.dng(jpeg, 800, 600);
        Random random = new Random(9);
        int read = 0;
        for (int i = 0; i < 120; i++) {
            byte[] bytes = (i % 2 == 0 ? jpeg : dng).clone();
            for (int k = 0; k < 4; k++) {
                bytes[random.nextInt(Math.min(700, bytes.length))] = (byte) random.nextInt();
            }
            try {
                read += PictureFile.read(file("d", bytes), "d", p -> 1);
            } catch (IllegalArgumentException e) {
                assertTrue(String.valueOf(e.getMessage()).startsWith("the file “d” "), e.getMessage());
            }
        }
        assertTrue(read > 10 && read < 120, "read " + read);
    }

    @Test
    void previewsAreFittedAndKeepTheirLight() throws Exception {
        PictureFile.read(file("p.jpg", PictureFiles.jpeg(SKY)), "p", p -> {
            BufferedImage small = Previews.fitted(p.pixels(), 300);
            assertEquals(300, small.getWidth());
            assertEquals(200, small.getHeight());
            double mean = 0;
            for (int y = 0; y < 200; y++) {
                for (int x = 0; x < 300; x++) {
                    mean += Srgb.linear((small.getRGB(x, y) >> 8 & 0xff) / 255.0) / 60_000;
                }
            }
            double whole = 0;
            float[] r = new float[900];
            float[] g = new float[900];
            float[] b = new float[900];
            for (int y = 0; y < 600; y++) {
                p.pixels().row(y, 0, 900, r, g, b);
                for (float v : g) {
                    whole += v / 540_000;
                }
            }
            assertEquals(whole, mean, 0.03 * whole, "averaged in linear light");
            assertEquals(25, Previews.about(p.pixels(), 0, 0, 25).getWidth(), "at the edge as well");
            return p;
        });
    }

    /** What is small enough stays as it is: each of the 256 codes, and the mean of two that are alike. */
    @Test
    void codesComeBack() {
        byte[] codes = new byte[3 * 512];
        for (int i = 0; i < codes.length; i++) {
            codes[i] = (byte) (i / 6);
        }
        Pixels light = RgbImage.light(RgbImage.of(512, 1, codes));
        BufferedImage same = Previews.fitted(light, 512);
        BufferedImage half = Previews.fitted(light, 256);
        for (int c = 0; c < 256; c++) {
            assertEquals(c, same.getRGB(2 * c, 0) & 0xff);
            assertEquals(c, same.getRGB(2 * c + 1, 0) >> 16 & 0xff);
            assertEquals(c, half.getRGB(c, 0) >> 8 & 0xff);
        }
        assertEquals(0, Previews.fitted(RgbImage.light(RgbImage.of(4, 4)), 4).getRGB(1, 1) & 0xffffff);
    }
}
