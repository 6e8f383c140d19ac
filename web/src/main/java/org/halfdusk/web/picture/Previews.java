package org.halfdusk.web.picture;

import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.Arrays;
import java.util.Iterator;
import javax.imageio.IIOImage;
import javax.imageio.ImageIO;
import javax.imageio.ImageWriteParam;
import javax.imageio.ImageWriter;
import javax.imageio.stream.ImageOutputStream;
import org.halfdusk.frame.picture.Pixels;
import org.halfdusk.photometry.Srgb;

/** Smaller pictures of a frame, to be looked at: averaged in linear light, as sRGB. */
public final class Previews {
    private static final float QUALITY = 0.85f;

    /** Light is looked up by its power of two and nine digits below it: to a ninth of a code at the brightest. */
    private static final int DIGITS = 9;

    private static final int DROPPED = 23 - DIGITS;

    /** Darker than this the code is 0. */
    private static final int DARKEST = index(1f / (1 << 13));

    private static final byte[] CODES = codes();

    private Previews() {}

    private static int index(float linear) {
        return Float.floatToRawIntBits(linear) >> DROPPED;
    }

    private static byte[] codes() {
        byte[] all = new byte[index(1) - DARKEST + 1];
        for (int i = 0; i < all.length; i++) {
            float from = Float.intBitsToFloat(DARKEST + i << DROPPED);
            float to = Float.intBitsToFloat(DARKEST + i + 1 << DROPPED);
            all[i] = (byte) Math.round(255 * Srgb.code(Math.min(1, (from + to) / 2)));
        }
        return all;
    }

    private static byte code(float linear) {
        return CODES[Math.max(0, Math.min(CODES.length - 1, index(linear) - DARKEST))];
    }

    /** No longer than so many pixels each way; one that is smaller stays as it is. */
    public static BufferedImage fitted(Pixels p, int most) {
        double by = Math.max(1, Math.max(p.width(), p.height()) / (double) most);
        int w = Math.max(1, (int) Math.round(p.width() / by));
        int h = Math.max(1, (int) Math.round(p.height() / by));
        int width = p.width();
        float[] red = new float[width];
        float[] green = new float[width];
        float[] blue = new float[width];
        // Red, green and blue of each column, as they lie in the picture.
        float[] sum = new float[3 * w];
        int[] column = new int[width];
        int[] across = new int[w];
        for (int x = 0; x < width; x++) {
            int c = (int) ((long) x * w / width);
            column[x] = 3 * c;
            across[c]++;
        }
        byte[] codes = new byte[3 * w * h];
        for (int y = 0; y < h; y++) {
            int from = (int) ((long) y * p.height() / h);
            int to = Math.max(from + 1, (int) ((long) (y + 1) * p.height() / h));
            Arrays.fill(sum, 0);
            for (int sy = from; sy < to; sy++) {
                p.row(sy, 0, width, red, green, blue);
                for (int x = 0; x < width; x++) {
                    int c = column[x];
                    sum[c] += red[x];
                    sum[c + 1] += green[x];
                    sum[c + 2] += blue[x];
                }
            }
            for (int c = 0, i = 0; c < w; c++) {
                float pixels = across[c] * (to - from);
                for (int colour = 0; colour < 3; colour++, i++) {
                    codes[3 * y * w + i] = code(sum[i] / pixels);
                }
            }
        }
        return RgbImage.of(w, h, codes);
    }

    /** A square about a pixel as it is, from the sky's light to the brightest in it; what lies outside the frame is black. */
    public static BufferedImage about(Pixels p, int x, int y, int side) {
        BufferedImage out = new BufferedImage(side, side, BufferedImage.TYPE_INT_RGB);
        float[][] light = new float[side][side];
        float[] r = new float[1];
        float[] g = new float[1];
        float[] b = new float[1];
        float most = 0;
        float least = 1;
        for (int dy = 0; dy < side; dy++) {
            for (int dx = 0; dx < side; dx++) {
                int sx = x + dx - side / 2;
                int sy = y + dy - side / 2;
                if (sx >= 0 && sy >= 0 && sx < p.width() && sy < p.height()) {
                    p.row(sy, sx, 1, r, g, b);
                    light[dy][dx] = Pixels.luminance(r[0], g[0], b[0]);
                    most = Math.max(most, light[dy][dx]);
                    least = Math.min(least, light[dy][dx]);
                }
            }
        }
        for (int dy = 0; dy < side; dy++) {
            for (int dx = 0; dx < side; dx++) {
                int c = code((light[dy][dx] - least) / Math.max(1e-6f, most - least)) & 0xff;
                out.setRGB(dx, dy, c << 16 | c << 8 | c);
            }
        }
        return out;
    }

    /** One that was {@link #fitted} no longer than so many pixels each way. */
    public static BufferedImage smaller(BufferedImage image, int most) {
        return Math.max(image.getWidth(), image.getHeight()) <= most ? image : fitted(RgbImage.light(image), most);
    }

    public static byte[] jpeg(BufferedImage image) throws IOException {
        return jpeg(image, QUALITY);
    }

    /** @param quality 0 to 1 */
    public static byte[] jpeg(BufferedImage image, float quality) throws IOException {
        Iterator<ImageWriter> writers = ImageIO.getImageWritersByFormatName("jpeg");
        ImageWriter writer = writers.next();
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (ImageOutputStream stream = ImageIO.createImageOutputStream(out)) {
            ImageWriteParam param = writer.getDefaultWriteParam();
            param.setCompressionMode(ImageWriteParam.MODE_EXPLICIT);
            param.setCompressionQuality(quality);
            writer.setOutput(stream);
            writer.write(null, new IIOImage(image, null, null), param);
        } finally {
            writer.dispose();
        }
        return out.toByteArray();
    }

    public static byte[] png(BufferedImage image) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ImageIO.write(image, "png", out);
        return out.toByteArray();
    }
}
