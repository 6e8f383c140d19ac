package org.halfdusk.web.api;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.Random;
import javax.imageio.ImageIO;
import org.halfdusk.photometry.Srgb;
import org.halfdusk.web.DemoPages;
import org.halfdusk.web.picture.PictureFiles;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Frames read over HTTP, good files and bad ones. */
@Tag("slow")
class FramesApiTest extends DemoPages {
    private static final JsonMapper JSON = JsonMapper.builder().build();

    private static HttpResponse<String> read(byte[] file, String name, String header) throws Exception {
        return app.upload("/api/v1/frames/read", "frame", name, file, "X-Half-Dusk", header);
    }

    private static byte[] stars(String format, int kind) throws Exception {
        BufferedImage image = new BufferedImage(600, 400, kind);
        Random random = new Random(5);
        double[] light = new double[600 * 400];
        for (int i = 0; i < light.length; i++) {
            light[i] = 0.03 + 0.002 * random.nextGaussian();
        }
        for (int s = 0; s < 220; s++) {
            int x = 10 + random.nextInt(580);
            int y = 10 + random.nextInt(380);
            double top = 0.06 + 0.5 * random.nextDouble();
            for (int dy = -5; dy <= 5; dy++) {
                for (int dx = -5; dx <= 5; dx++) {
                    light[(y + dy) * 600 + x + dx] += top * Math.exp(-(dx * dx + dy * dy) / 2.2);
                }
            }
        }
        for (int i = 0; i < light.length; i++) {
            int l = (int) Math.round(255 * Srgb.code(Math.max(0, Math.min(1, light[i]))));
            // Codes as they are: a grey image would be given them through another curve.
            for (int band = 0; band < image.getRaster().getNumBands(); band++) {
                image.getRaster().setSample(i % 600, i / 600, band, l);
            }
        }
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        assertTrue(ImageIO.write(image, format, out), format);
        return out.toByteArray();
    }

    @Test
    void aFrameIsReadFromJpegAndTiff() throws Exception {
        for (byte[] file : new byte[][] {
            stars("jpg", BufferedImage.TYPE_INT_RGB),
            stars("tiff", BufferedImage.TYPE_INT_RGB),
            stars("jpg", BufferedImage.TYPE_BYTE_GRAY)
        }) {
            HttpResponse<String> r = read(file, "stars.x", "1");
            assertEquals(200, r.statusCode(), r.body());
            JsonNode n = JSON.readTree(r.body());
            assertEquals("STARS", n.get("kind").asString());
            assertEquals(600, n.get("size").get("width").asInt());
            assertEquals(3, n.get("stars").get("grid").size());
            assertTrue(n.get("stars").get("count").asInt() > 150, r.body());
            assertEquals(2.47, n.get("stars").get("fwhmPx").asDouble(), 0.25);
            assertEquals(0.03, n.get("background").asDouble(), 0.001);
            assertTrue(n.get("solved").isNull());
            assertTrue(n.get("exif").get("taken").isNull());
        }
    }

    private static void refused(byte[] file, String name, String said) throws Exception {
        HttpResponse<String> r = read(file, name, "1");
        assertEquals(400, r.statusCode(), r.body());
        assertEquals(
                "application/problem+json",
                r.headers().firstValue("Content-Type").orElse(""));
        assertTrue(r.body().contains(said) && r.body().contains("allowed"), r.body());
    }

    /** Each in a sentence that names the file; nothing breaks and the next one is read. */
    @Test
    void badFiles() throws Exception {
        byte[] good = stars("jpg", BufferedImage.TYPE_INT_RGB);
        refused("no picture".getBytes(StandardCharsets.UTF_8), "notes.jpg", "“notes.jpg” is no picture");
        refused(stars("png", BufferedImage.TYPE_INT_RGB), "screen.jpg", "“screen.jpg” is a png file");
        refused(Arrays.copyOf(good, good.length / 2), "half.jpg", "“half.jpg”");
        refused(PictureFiles.jpeg(8, 8), "stamp.jpg", "8 by 8 pixels");
        refused(new byte[0], "empty.jpg", "“frame” is missing or empty");
        // A header that lies of its size asks for no memory.
        byte[] lies = good.clone();
        for (int i = 2; i + 8 < lies.length; i++) {
            if ((lies[i] & 0xff) == 0xff && (lies[i + 1] & 0xff) == 0xc0) {
                lies[i + 5] = (byte) 0x4e;
                lies[i + 6] = (byte) 0x20;
                lies[i + 7] = (byte) 0x4e;
                lies[i + 8] = (byte) 0x20;
                break;
            }
        }
        refused(lies, "large.jpg", "has 400 megapixels");
        assertEquals(400, read(good, "stars.jpg", "").statusCode(), "without the header that no foreign page sends");
        assertEquals(200, read(good, "stars.jpg", "1").statusCode());
    }
}
