package org.halfdusk.web.command;

import static org.junit.jupiter.api.Assertions.assertArrayEquals;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.awt.image.BufferedImage;
import java.io.IOException;
import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.halfdusk.frame.stack.held.Held;
import org.halfdusk.frame.stack.held.Picture;
import org.halfdusk.shoot.review.taken.Shot;
import org.halfdusk.web.Stranger;
import org.halfdusk.web.command.decoding.Progress;
import org.halfdusk.web.command.stack.StackJob;
import org.halfdusk.web.command.stack.StackMode;
import org.halfdusk.web.command.stack.StackOrder;
import org.halfdusk.web.picture.PictureFile;
import org.halfdusk.web.picture.PictureFiles;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** The jar's commands, asked as a person or a script asks them. */
@Tag("slow")
class CommandsTest {
    private static final int W = 240;
    private static final int H = 160;

    @TempDir
    private Path folder;

    private final StringWriter out = new StringWriter();
    private final StringWriter err = new StringWriter();

    @BeforeEach
    void frames() throws IOException {
        for (int i = 0; i < 5; i++) {
            write("frame-" + i + ".jpg", noisy(i), "2027:06:05 00:2" + i + ":00", 10);
        }
    }

    /** The same stars each time, other noise. */
    private static BufferedImage noisy(int seed) {
        BufferedImage image = PictureFiles.sky(W, H, 4, 1);
        Random random = new Random(seed);
        for (int y = 0; y < H; y++) {
            for (int x = 0; x < W; x++) {
                int c = Math.max(
                        0, Math.min(255, (image.getRGB(x, y) & 0xff) + (int) Math.round(4 * random.nextGaussian())));
                image.setRGB(x, y, c << 16 | c << 8 | c);
            }
        }
        return image;
    }

    private void write(String name, BufferedImage image, String at, double seconds) throws IOException {
        Files.write(folder.resolve(name), PictureFiles.written(image, at, seconds, 1));
    }

    private int run(String... args) {
        out.getBuffer().setLength(0);
        err.getBuffer().setLength(0);
        return Commands.run(new PrintWriter(out, true), new PrintWriter(err, true), args);
    }

    private int stack(String mode, String to, String... more) {
        List<String> args = new ArrayList<>(List.of("stack", "--mode", mode, "--out", path(to)));
        args.addAll(List.of(more));
        for (int i = 0; i < 5; i++) {
            args.add(path("frame-" + i + ".jpg"));
        }
        return run(args.toArray(String[]::new));
    }

    /** Frames as they lie. */
    private StackOrder order(StackMode mode, List<Path> frames, String out, java.util.Optional<Path> preview) {
        return new StackOrder(
                mode,
                frames,
                List.of(),
                List.of(),
                java.util.Optional.empty(),
                false,
                false,
                false,
                folder.resolve(out),
                preview,
                folder.resolve("work"));
    }

    private String path(String name) {
        return folder.resolve(name).toString();
    }

    private Held read(String name) throws IOException {
        return PictureFile.read(folder.resolve(name), name, p -> Held.of(Picture.of(p.pixels())));
    }

    private Shot shot(String name) throws IOException {
        return PictureFile.read(folder.resolve(name), name, p -> p.exif().shot());
    }

    @ParameterizedTest
    @CsvSource({"lightest, tif", "mean, tif", "clipped, jpg", "median, tif", "bursts, jpg"})
    void everyModeMakesAPicture(String mode, String kind) throws IOException {
        assertEquals(Commands.DONE, stack(mode, "made." + kind), err::toString);
        Held made = read("made." + kind);
        assertEquals(W, made.width());
        assertEquals(H, made.height());
        Shot shot = shot("made." + kind);
        assertEquals("2027-06-05T00:20", shot.taken().orElseThrow().toString(), "the first frame's time");
        assertEquals(50, shot.seconds().orElseThrow(), 1e-6, "all exposures together");
        assertTrue(out.toString().contains("5 frames of 240 by 160"), out::toString);
        String bytes = Files.readString(folder.resolve("made." + kind), StandardCharsets.ISO_8859_1);
        assertTrue(bytes.contains("acsp"), "a profile of colours is in it");
        try (Stream<Path> left = Files.list(folder)) {
            assertEquals(6, left.count(), "nothing is left behind beside the frames and the picture");
        }
    }

    /** All that Exif and TIFF call mandatory is there, and nothing that they do not allow. */
    @ParameterizedTest
    @ValueSource(strings = {"made.tif", "made.jpg"})
    void aValidatorFindsNothing(String name) throws Exception {
        Stranger.needed("exiftool", "libimage-exiftool-perl");
        stack("lightest", name, "--align", "none");
        String said = Stranger.run("exiftool", "-validate", "-warning", "-a", "-s3", path(name));
        assertEquals("OK", said.strip());
    }

    /** The mean by the jar is the mean of the linear light that the files hold, to half a step of sixteen bits. */
    @Test
    void theMeanIsTheMean() throws IOException {
        assertEquals(Commands.DONE, stack("mean", "mean.tif", "--align", "none"));
        Held made = read("mean.tif");
        double[] sums = new double[3 * W * H];
        for (int i = 0; i < 5; i++) {
            short[] light = read("frame-" + i + ".jpg").light();
            for (int k = 0; k < sums.length; k++) {
                sums[k] += (light[k] & 0xffff) / 5.0;
            }
        }
        for (int k = 0; k < sums.length; k++) {
            assertEquals(sums[k], made.light()[k] & 0xffff, 2.5);
        }
        Matcher fell = Pattern.compile("noise fell by ([0-9.]+) times").matcher(out.toString());
        assertTrue(fell.find(), out::toString);
        // Part of these frames' noise is the same in all: it does not fall.
        double gain = Double.parseDouble(fell.group(1));
        assertTrue(gain > 1.4 && gain < Math.sqrt(5) + 0.1, out::toString);
    }

    /** However the frames are named and in whatever order, the same bytes of light come out. */
    @Test
    void orderDoesNotMatter() throws IOException {
        stack("clipped", "one.tif");
        List<String> args = new ArrayList<>();
        for (int i = 0; i < 5; i++) {
            args.add(path("frame-" + i + ".jpg"));
        }
        Collections.shuffle(args, new Random(2));
        args.addAll(0, List.of("stack", "--mode", "clipped", "--out", path("two.tif")));
        assertEquals(Commands.DONE, run(args.toArray(String[]::new)));
        assertArrayEquals(read("one.tif").light(), read("two.tif").light());
    }

    @Test
    void nothingIsOverwritten() throws IOException {
        Files.writeString(folder.resolve("there.tif"), "mine");
        assertEquals(Commands.NOTHING, stack("mean", "there.tif"));
        assertTrue(err.toString().contains("“there.tif” is there already"), err::toString);
        assertEquals("mine", Files.readString(folder.resolve("there.tif")));
    }

    /** What is damaged, of another size or turned is left out by name; the rest is made, and the exit code says so. */
    @Test
    void whatCannotBeUsedIsLeftOut() throws IOException {
        Files.write(
                folder.resolve("small.jpg"),
                PictureFiles.written(PictureFiles.sky(100, 80, 1, 1), "2027:06:05 00:30:00", 10, 1));
        Files.write(folder.resolve("turned.jpg"), PictureFiles.written(noisy(9), "2027:06:05 00:31:00", 10, 6));
        byte[] whole = Files.readAllBytes(folder.resolve("frame-2.jpg"));
        Files.write(folder.resolve("cut.jpg"), Arrays.copyOf(whole, whole.length / 2));
        Files.writeString(folder.resolve("words.jpg"), "no picture");
        int code = stack("mean", "rest.tif", path("small.jpg"), path("turned.jpg"), path("cut.jpg"), path("words.jpg"));
        assertEquals(Commands.IN_PART, code);
        String said = err.toString();
        assertTrue(said.contains("small.jpg is 100 by 80 pixels; 240 by 160 is what the others have"), said);
        assertTrue(said.contains("turned.jpg is 160 by 240 pixels") && said.contains("the camera was turned"), said);
        assertTrue(said.contains("“cut.jpg”") && said.contains("cut off"), said);
        assertTrue(said.contains("“words.jpg” is no picture that can be read"), said);
        assertTrue(out.toString().contains("5 frames of"), out::toString);
        assertTrue(Files.exists(folder.resolve("rest.tif")));
    }

    @Test
    void darkFramesMustMatch() throws IOException {
        Files.createDirectories(folder.resolve("dark"));
        write("dark/good.jpg", new BufferedImage(W, H, BufferedImage.TYPE_3BYTE_BGR), "2027:06:05 01:00:00", 10);
        assertEquals(Commands.DONE, stack("lightest", "one.tif", "--dark", path("dark")), err::toString);
        assertTrue(out.toString().contains("0 hot pixels"), out::toString);
        write("dark/long.jpg", new BufferedImage(W, H, BufferedImage.TYPE_3BYTE_BGR), "2027:06:05 01:01:00", 30);
        assertEquals(Commands.IN_PART, stack("lightest", "two.tif", "--dark", path("dark")));
        assertTrue(
                err.toString().contains("long.jpg is a dark frame exposed for 30s; 10s is what the frames have"),
                err::toString);
        assertArrayEquals(read("one.tif").light(), read("two.tif").light());
    }

    /** Ground of its own frames under the mask, sky above. */
    @Test
    void groundIsJoined() throws IOException {
        Files.createDirectories(folder.resolve("ground"));
        BufferedImage land = new BufferedImage(W, H, BufferedImage.TYPE_3BYTE_BGR);
        BufferedImage mask = new BufferedImage(W, H, BufferedImage.TYPE_BYTE_GRAY);
        for (int y = 0; y < H; y++) {
            for (int x = 0; x < W; x++) {
                land.setRGB(x, y, 0x808080);
                mask.setRGB(x, y, y < H / 2 ? 0xffffff : 0);
            }
        }
        write("ground/land.jpg", land, "2027:06:05 01:10:00", 60);
        javax.imageio.ImageIO.write(mask, "png", folder.resolve("mask.png").toFile());
        assertEquals(
                Commands.DONE,
                stack("mean", "joined.tif", "--ground", path("ground"), "--mask", path("mask.png")),
                err::toString);
        short[] made = read("joined.tif").light();
        assertEquals(
                org.halfdusk.photometry.Srgb.linear(128 / 255.0),
                (made[3 * W * (H - 5) + 60] & 0xffff) / 65535.0,
                0.005);
        assertTrue((made[60] & 0xffff) / 65535.0 < 0.15, "the sky above is not the land");
        assertEquals(Commands.WRONG_USE, stack("mean", "no.tif", "--ground", path("ground")));
        assertTrue(err.toString().contains("--ground and --mask go together"), err::toString);
    }

    /** Stopped in the middle it goes on: what an interrupted run had reached is not read again, and the picture is the same. */
    @ParameterizedTest
    @EnumSource(
            value = StackMode.class,
            names = {"MEAN", "LIGHTEST", "CLIPPED", "MEDIAN"})
    void itGoesOnWhereItWas(StackMode mode) throws IOException {
        stack(mode.name().toLowerCase(Locale.ROOT), "whole.tif", "--align", "none");
        List<Path> frames = new ArrayList<>();
        for (int i = 0; i < 5; i++) {
            frames.add(folder.resolve("frame-" + i + ".jpg"));
        }
        StackOrder order = order(mode, frames, "again.tif", java.util.Optional.empty());
        List<Integer> read = new ArrayList<>();
        Progress stops = new Progress() {
            @Override
            public synchronized void step(String what, int done, int of, long pixels) {
                if (pixels > 0) {
                    read.add(done);
                }
                if (done == 3) {
                    throw new IllegalArgumentException("stopped");
                }
            }

            @Override
            public void grown(Picture sofar) {}
        };
        org.junit.jupiter.api.Assertions.assertThrows(
                IllegalArgumentException.class, () -> StackJob.run(order, stops, java.time.Duration.ZERO));
        String reached = mode == StackMode.MEAN || mode == StackMode.LIGHTEST ? "reached" : ".*-frames/f\\d\\.lines";
        Path work = folder.resolve("work");
        try (Stream<Path> kept = Files.walk(work)) {
            assertTrue(
                    kept.anyMatch(p -> work.relativize(p).toString().matches(reached)), "what was reached lies there");
        }
        assertFalse(Files.exists(folder.resolve("again.tif")));
        List<Integer> more = new ArrayList<>();
        StackJob.run(order, new Progress() {
            @Override
            public synchronized void step(String what, int done, int of, long pixels) {
                if (pixels > 0) {
                    more.add(done);
                }
            }

            @Override
            public void grown(Picture sofar) {}
        });
        assertTrue(read.contains(3), () -> "read at first: " + read);
        assertTrue(more.size() <= 3, () -> "read again: " + more);
        assertArrayEquals(read("whole.tif").light(), read("again.tif").light());
        assertFalse(Files.exists(folder.resolve("work")), "swept");
    }

    /** While frames are laid out to be compared their mean is shown, at last the picture itself. */
    @Test
    void whatIsComparedIsShownWhileItGrows() throws IOException {
        List<Path> frames = java.util.stream.IntStream.range(0, 5)
                .mapToObj(i -> folder.resolve("frame-" + i + ".jpg"))
                .toList();
        StackOrder order =
                order(StackMode.MEDIAN, frames, "median.tif", java.util.Optional.of(folder.resolve("small.jpg")));
        List<Held> shown = new ArrayList<>();
        StackJob.run(
                order,
                new Progress() {
                    @Override
                    public void step(String what, int done, int of, long pixels) {}

                    @Override
                    public synchronized void grown(Picture sofar) {
                        shown.add(Held.of(sofar));
                    }
                },
                java.time.Duration.ZERO);
        assertTrue(shown.size() >= 3, () -> shown.size() + " times");
        long[] light = new long[2];
        short[] first = shown.get(0).light();
        short[] last = shown.get(shown.size() - 1).light();
        for (int i = 0; i < first.length; i++) {
            light[0] += first[i] & 0xffff;
            light[1] += last[i] & 0xffff;
        }
        assertEquals(1, light[0] / (double) light[1], 0.05, "as bright from the first frame on");
        assertArrayEquals(read("median.tif").light(), last);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "stack --mode sharpest --out a.tif FRAME | sharpest",
                "stack --mode mean --out a.png FRAME | .tif for 16 bits or .jpg is allowed",
                "stack --mode mean FRAME | --out",
                "stack --mode mean --out a.tif | FRAMES",
                "stack --mode mean --fill-gaps --out a.tif FRAME | --fill-gaps goes with --mode lightest",
                "stack --mode mean --out a.tif nowhere.jpg | nowhere.jpg",
                "read | FRAMES",
                "stack --mode mean --out a.tif --nonsense FRAME | nonsense"
            })
    void wrongUseIsSaid(String asked, String said) {
        String[] args = asked.replace("FRAME ", path("frame-0.jpg") + " ")
                .replaceFirst("FRAME$", java.util.regex.Matcher.quoteReplacement(path("frame-0.jpg")))
                .split(" ");
        int code = run(args);
        assertTrue(code == Commands.WRONG_USE || code == Commands.NOTHING, () -> "exit code " + code);
        assertTrue(err.toString().contains(said), err::toString);
        assertFalse(err.toString().contains("\tat "), "no stack trace");
    }

    @Test
    void helpTellsTheExitCodes() {
        for (String command : List.of("stack", "read")) {
            assertEquals(Commands.DONE, run(command, "--help"));
            assertTrue(out.toString().contains("0 done, 1 nothing done, 2 wrong use, 3 done in"), out::toString);
        }
        assertTrue(Commands.meant(new String[] {"stack", "--help"}));
        assertFalse(Commands.meant(new String[] {"--server.port=9000"}));
    }

    @Test
    void framesAreReadAsLinesOfJson() throws IOException {
        Files.writeString(folder.resolve("words.jpg"), "no picture");
        assertEquals(Commands.IN_PART, run("read", path("frame-0.jpg"), path("words.jpg"), path("frame-1.jpg")));
        String[] lines = out.toString().strip().split("\n");
        assertEquals(2, lines.length);
        JsonNode first = new JsonMapper().readTree(lines[0]);
        assertEquals(path("frame-0.jpg"), first.get("file").asString());
        assertEquals(W, first.get("read").get("size").get("width").asInt());
        assertTrue(first.get("read").get("stars").get("count").asInt() > 5);
        assertTrue(err.toString().contains("“words.jpg”"), err::toString);
        assertEquals(Commands.NOTHING, run("read", path("words.jpg")));
    }
}
