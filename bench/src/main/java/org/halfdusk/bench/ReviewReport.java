package org.halfdusk.bench;

import java.awt.image.BufferedImage;
import java.awt.image.DataBufferByte;
import java.io.BufferedOutputStream;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.DataOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Arrays;
import java.util.Iterator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import javax.imageio.IIOImage;
import javax.imageio.ImageIO;
import javax.imageio.ImageWriteParam;
import javax.imageio.ImageWriter;
import javax.imageio.stream.ImageOutputStream;
import org.halfdusk.ephemeris.ChebyshevEphemeris;
import org.halfdusk.ephemeris.Ephemeris;
import org.halfdusk.ephemeris.SeriesEphemeris;
import org.halfdusk.frame.FrameReading;
import org.halfdusk.frame.picture.Exposed;
import org.halfdusk.frame.picture.Pixels;
import org.halfdusk.frame.solved.CatalogueSky;
import org.halfdusk.frame.solved.SkyGuess;
import org.halfdusk.light.DarkSite;
import org.halfdusk.optics.Camera;
import org.halfdusk.optics.Lens;
import org.halfdusk.optics.Rig;
import org.halfdusk.optics.Sensor;
import org.halfdusk.photometry.SkyBrightness;
import org.halfdusk.place.Observer;
import org.halfdusk.place.Place;
import org.halfdusk.shoot.Plan;
import org.halfdusk.shoot.Site;
import org.halfdusk.shoot.milkyway.MilkyWayPlanner;
import org.halfdusk.shoot.setting.wished.Wishes;
import org.halfdusk.shoot.simulated.Conditions;
import org.halfdusk.shoot.simulated.SimulatedFrame;
import org.halfdusk.sky.Sky;
import org.halfdusk.time.DeltaT;

/**
 * How long a frame of 24 megapixels takes to be read, on one core, from its JPEG: beside decoding alone, and beside a general star extractor
 * of Debian's on the same picture in the same run, where one is installed.
 */
final class ReviewReport {
    private static final int LONG_PX = 6000;
    private static final int ROUNDS = 7;
    private static final int WARMING = 3;

    private ReviewReport() {}

    static void print() throws IOException, InterruptedException {
        Plan plan = plan();
        Instant open = Instant.parse("2027-06-05T00:20:00Z");
        SimulatedFrame made = SimulatedFrame.of(plan, plan.setting(), open, Conditions.good(7), LONG_PX);
        byte[] jpeg = jpeg(made);
        System.out.printf(
                Locale.ROOT, "frame of %d by %d px, JPEG of %.1f MB%n", made.width(), made.height(), jpeg.length / 1e6);
        Exposed exposed = new Exposed(
                OptionalDouble.of(plan.setting().shutter().realSeconds()),
                OptionalDouble.of(18),
                OptionalDouble.of(35_900.0 / LONG_PX));
        SkyGuess guess = new SkyGuess(
                CatalogueSky.seen(plan.night().sky(), open.plusSeconds(4)),
                plan.framing().azimuth().degrees(),
                plan.framing().altitude().degrees(),
                18,
                false,
                35_900.0 / LONG_PX,
                true);
        double[] decode = new double[ROUNDS];
        double[] read = new double[ROUNDS];
        double[] solved = new double[ROUNDS];
        FrameReading last = null;
        for (int i = -WARMING; i < ROUNDS; i++) {
            long a = System.nanoTime();
            Pixels p = decoded(jpeg);
            long b = System.nanoTime();
            last = FrameReading.of(p, exposed);
            long c = System.nanoTime();
            FrameReading s = FrameReading.of(p, exposed, Optional.of(guess));
            long d = System.nanoTime();
            if (i >= 0) {
                decode[i] = (b - a) / 1e6;
                read[i] = (c - a) / 1e6;
                solved[i] = (d - c + b - a) / 1e6;
            }
            if (s.solved().isEmpty()) {
                throw new IllegalStateException("the frame was not solved");
            }
        }
        line("decode alone", decode);
        line("decode and read", read);
        line("decode, read and solve", solved);
        System.out.println("stars found " + (last == null ? 0 : last.stars()));
        extractor(made);
    }

    private static void line(String what, double[] ms) {
        double[] sorted = ms.clone();
        Arrays.sort(sorted);
        System.out.printf(
                Locale.ROOT, "%-24s median %7.0f ms, best %7.0f ms%n", what, sorted[sorted.length / 2], sorted[0]);
    }

    private static Pixels decoded(byte[] jpeg) throws IOException {
        BufferedImage image = ImageIO.read(new ByteArrayInputStream(jpeg));
        byte[] data = ((DataBufferByte) image.getRaster().getDataBuffer()).getData();
        return new Decoded(image.getWidth(), image.getHeight(), data);
    }

    private record Decoded(int width, int height, byte[] bgr) implements Pixels {
        private static final float[] LINEAR = Pixels.linearOf(256);

        @Override
        public void row(int y, int x, int n, float[] red, float[] green, float[] blue) {
            int i = 3 * (y * width + x);
            for (int k = 0; k < n; k++, i += 3) {
                blue[k] = LINEAR[bgr[i] & 0xff];
                green[k] = LINEAR[bgr[i + 1] & 0xff];
                red[k] = LINEAR[bgr[i + 2] & 0xff];
            }
        }
    }

    static byte[] jpeg(SimulatedFrame f) throws IOException {
        BufferedImage image = new BufferedImage(f.width(), f.height(), BufferedImage.TYPE_3BYTE_BGR);
        byte[] to = ((DataBufferByte) image.getRaster().getDataBuffer()).getData();
        byte[] codes = f.codes();
        for (int i = 0; i < codes.length; i += 3) {
            to[i] = codes[i + 2];
            to[i + 1] = codes[i + 1];
            to[i + 2] = codes[i];
        }
        Iterator<ImageWriter> writers = ImageIO.getImageWritersByFormatName("jpeg");
        ImageWriter writer = writers.next();
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (ImageOutputStream stream = ImageIO.createImageOutputStream(out)) {
            ImageWriteParam param = writer.getDefaultWriteParam();
            param.setCompressionMode(ImageWriteParam.MODE_EXPLICIT);
            param.setCompressionQuality(0.95f);
            writer.setOutput(stream);
            writer.write(null, new IIOImage(image, null, null), param);
        } finally {
            writer.dispose();
        }
        return out.toByteArray();
    }

    /** A general star extractor on the luminance as a FITS file, its start-up and reading of the file in the time, as in ours. */
    private static void extractor(SimulatedFrame f) throws IOException, InterruptedException {
        Path folder = Files.createTempDirectory("half-dusk-bench");
        Path fits = folder.resolve("frame.fits");
        writeFits(f, fits);
        Files.writeString(
                folder.resolve("p.param"),
                "NUMBER\nX_IMAGE\nY_IMAGE\nFLUX_AUTO\nFWHM_IMAGE\nELONGATION\nTHETA_IMAGE\n");
        Files.writeString(folder.resolve("conv"), "CONV NORM\n1 2 1\n2 4 2\n1 2 1\n");
        for (String tool : List.of("source-extractor", "sex")) {
            double[] ms = new double[ROUNDS];
            boolean there = true;
            for (int i = 0; i < ROUNDS && there; i++) {
                long a = System.nanoTime();
                there = ran(folder, tool);
                ms[i] = (System.nanoTime() - a) / 1e6;
            }
            if (there) {
                line(tool + ", FITS, luminance", ms);
                try (var lines = Files.lines(folder.resolve("out.cat"))) {
                    System.out.println("stars found by it "
                            + lines.filter(l -> !l.startsWith("#")).count());
                }
                return;
            }
        }
        System.out.println(
                "SKIPPED: no general star extractor is installed (Debian: apt-get install source-extractor)");
    }

    private static boolean ran(Path folder, String tool) throws InterruptedException {
        try {
            Process p = new ProcessBuilder(
                            tool,
                            "frame.fits",
                            "-CATALOG_NAME",
                            "out.cat",
                            "-PARAMETERS_NAME",
                            "p.param",
                            "-FILTER_NAME",
                            "conv",
                            "-DETECT_MINAREA",
                            "4",
                            "-DETECT_THRESH",
                            "5",
                            "-VERBOSE_TYPE",
                            "QUIET")
                    .directory(folder.toFile())
                    .redirectErrorStream(true)
                    .redirectOutput(folder.resolve("log").toFile())
                    .start();
            return p.waitFor() == 0;
        } catch (IOException e) {
            return false;
        }
    }

    private static final int BLOCK = 2880;

    private static void writeFits(SimulatedFrame f, Path file) throws IOException {
        StringBuilder head = new StringBuilder();
        for (String[] card : new String[][] {
            {"SIMPLE", "T"},
            {"BITPIX", "-32"},
            {"NAXIS", "2"},
            {"NAXIS1", Integer.toString(f.width())},
            {"NAXIS2", Integer.toString(f.height())}
        }) {
            head.append(
                    String.format(Locale.ROOT, "%-80s", String.format(Locale.ROOT, "%-8s= %20s", card[0], card[1])));
        }
        head.append(String.format(Locale.ROOT, "%-80s", "END"));
        while (head.length() % BLOCK != 0) {
            head.append(' ');
        }
        float[] r = new float[f.width()];
        float[] g = new float[f.width()];
        float[] b = new float[f.width()];
        try (DataOutputStream out =
                new DataOutputStream(new BufferedOutputStream(Files.newOutputStream(file), 1 << 16))) {
            out.write(head.toString().getBytes(StandardCharsets.US_ASCII));
            for (int y = f.height() - 1; y >= 0; y--) {
                f.row(y, 0, f.width(), r, g, b);
                for (int x = 0; x < f.width(); x++) {
                    out.writeFloat(65_535 * Pixels.luminance(r[x], g[x], b[x]));
                }
            }
            long bytes = 4L * f.width() * f.height();
            for (long i = bytes; i % BLOCK != 0; i++) {
                out.write(0);
            }
        }
    }

    static Plan plan() {
        Observer observer = Observer.of(35.952, -3.048, 60);
        Ephemeris ephemeris = new ChebyshevEphemeris(new SeriesEphemeris());
        Site site = new Site(
                new Place("Isle", observer, ZoneId.of("Europe/Madrid"), SkyBrightness.of(21.4), List.of(), ""),
                Sky.over(observer, ephemeris, DeltaT.model()),
                DarkSite.withoutTowns(SkyBrightness.of(21.4)));
        MilkyWayPlanner planner = new MilkyWayPlanner();
        return planner.plan(
                site,
                planner.night(site, LocalDate.of(2027, 6, 4), planner.wishes().usual()),
                Rig.of(
                        new Camera(
                                "full frame 24 MP",
                                new Sensor(35.9, 23.9, 6000, 4000),
                                Camera.Sensitivity.of(100, 25_600),
                                Camera.Shutter.of(1 / 8000.0, 30, true),
                                new Camera.Files(28, 9, 90, 160),
                                Camera.Power.of(530, 190)),
                        new Lens("18 mm f/2", 18, 18, 2, 2, 16, 2.8),
                        Optional.empty(),
                        18),
                Optional.empty(),
                Wishes.DEFAULT,
                planner.wishes().usual());
    }
}
