package org.halfdusk.web.command.stack;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HexFormat;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.halfdusk.frame.points.StarPlaces;
import org.halfdusk.frame.stack.DarkFrame;
import org.halfdusk.frame.stack.Grounded;
import org.halfdusk.frame.stack.Lightest;
import org.halfdusk.frame.stack.NoiseGain;
import org.halfdusk.frame.stack.Summed;
import org.halfdusk.frame.stack.held.Growing;
import org.halfdusk.frame.stack.held.Held;
import org.halfdusk.frame.stack.held.Picture;
import org.halfdusk.frame.stack.matched.Alignment;
import org.halfdusk.frame.stack.matched.SkyTurn;
import org.halfdusk.web.command.decoding.Decoding;
import org.halfdusk.web.command.decoding.FrameFiles;
import org.halfdusk.web.command.decoding.Progress;
import org.halfdusk.web.picture.Made;
import org.halfdusk.web.picture.PictureOut;

/**
 * Makes frames one. As many are decoded at once as there are processors and room; what is reached is saved every now and then, and an order that
 * was stopped goes on from there. What cannot be used is left out and named; the rest is made all the same.
 */
public final class StackJob {
    private static final Duration SAVED_EVERY = Duration.ofSeconds(30);

    private final StackOrder order;
    private final Progress progress;
    private final Duration savedEvery;
    private final Decoding frames;
    private final String id;

    private StackJob(StackOrder order, Progress progress, FrameFiles files, Duration savedEvery) throws IOException {
        this.order = order;
        this.progress = progress;
        this.savedEvery = savedEvery;
        this.frames = new Decoding(files, progress);
        this.id = fingerprint(order);
    }

    /**
     * @throws IllegalArgumentException in words, where nothing can be made of it
     * @throws IOException where the disk fails; what was reached stays
     */
    public static StackFigures run(StackOrder order, Progress progress) throws IOException {
        return run(order, progress, SAVED_EVERY);
    }

    /** @param savedEvery how long at the most is lost where it is killed */
    public static StackFigures run(StackOrder order, Progress progress, Duration savedEvery) throws IOException {
        if (Files.exists(order.out())) {
            throw new IllegalArgumentException("the file “" + order.out().getFileName()
                    + "” is there already, and nothing is overwritten; another name is allowed");
        }
        PictureOut.kind(order.out());
        FrameFiles files = FrameFiles.of(order.frames());
        if (files.frames().isEmpty()) {
            throw new IllegalArgumentException(
                    "none of the " + order.frames().size() + " files is a frame that can be read: " + files.left());
        }
        Files.createDirectories(order.work());
        return new StackJob(order, progress, files, savedEvery).made();
    }

    private StackFigures made() throws IOException {
        long begun = System.nanoTime();
        frames.takeOff(new Shelved(order, frames, progress, id).dark());
        int workers = workers();
        Optional<Alignment> alignment = order.aligned() ? Optional.of(aligned(workers)) : Optional.empty();
        Drawing drawing = new Drawing(order, frames, alignment, workers);
        Reached reached = new Reached(order, frames, progress, savedEvery, id);
        TrailGaps gaps = TrailGaps.NONE;
        Picture sky;
        if (order.mode().compares()) {
            sky = reached.compared(drawing);
        } else {
            Growing growing = reached.grown(drawing);
            if (order.filled() && growing instanceof Lightest trails) {
                gaps = TrailGaps.fill(frames, trails, progress);
            }
            sky = growing.sofar();
        }
        FrameFiles files = frames.files();
        int n = files.frames().size();
        Optional<NoiseGain> noise = drawing.gain(sky, n);
        Picture whole = order.ground().isEmpty() ? sky : grounded(sky);
        written(whole);
        double seconds = (System.nanoTime() - begun) / 1e9;
        return new StackFigures(
                order.out().toString(),
                files.width(),
                files.height(),
                n,
                frames.left(),
                exposed(),
                seconds,
                frames.pixels() * n / 1e6 / seconds,
                noise.map(g -> new StackFigures.Noise(g.single(), g.stacked(), g.gain(), g.expected()))
                        .orElse(null),
                alignment.map(this::figures).orElse(null),
                frames.dark().map(DarkFrame::hotPixels).orElse(null),
                gaps.turn().flatMap(SkyTurn::poleAt).orElse(null),
                gaps.filled());
    }

    /** Writes the picture, and takes away what was kept between runs. */
    private void written(Picture whole) throws IOException {
        List<FrameFiles.Frame> all = frames.files().frames();
        progress.grown(whole);
        progress.step("writing " + order.out().getFileName(), 0, 1, 0);
        PictureOut.write(whole, new Made(all.get(0).shot(), exposed(), all.size(), words()), order.out());
        swept();
    }

    /** Seconds of light in all frames. */
    private double exposed() {
        return frames.files().frames().stream()
                .mapToDouble(f -> f.shot().seconds().orElse(0))
                .sum();
    }

    private String words() {
        return order.mode().words()
                + (order.aligned() ? ", aligned to the stars" : "")
                + (order.filled() ? ", gaps filled" : "")
                + (order.fading() ? ", fading" : "")
                + (frames.dark().isPresent() ? ", dark frames off" : "")
                + (order.ground().isEmpty() ? "" : ", ground of its own");
    }

    /** As many as there are processors, where memory has room for what each holds. */
    private int workers() {
        long pixels = frames.pixels();
        long common = (order.mode() == StackMode.MEAN ? (order.aligned() ? 14L : 12L) : 6L) * pixels
                + (frames.dark().isPresent() ? 6 * pixels : 0);
        long each = (order.aligned() ? 9L : 3L) * pixels + FIXED;
        long room = (long) (OF_MEMORY * Runtime.getRuntime().maxMemory()) - common;
        if (room < each) {
            throw new IllegalArgumentException("frames of " + Math.round(pixels / 1e6) + " megapixels need "
                    + (common + each) / 900_000 + " MB of memory for this, and "
                    + Runtime.getRuntime().maxMemory() / 1_000_000 + " are allowed; java -Xmx gives more");
        }
        return (int) Math.max(1, Math.min(Runtime.getRuntime().availableProcessors(), room / each));
    }

    private static final double OF_MEMORY = 0.9;
    /** Rows and lists beside the pixels. */
    private static final long FIXED = 12_000_000;

    private Alignment aligned(int workers) throws IOException {
        StarPlaces[] places = new StarPlaces[frames.files().frames().size()];
        List<Integer> read = frames.all(
                "looking for stars",
                workers,
                Set.of(),
                i -> frames.clean(frames.files().frames().get(i), f -> places[i] = StarPlaces.of(Held.of(f))));
        frames.keep(read);
        List<StarPlaces> found = read.stream().map(i -> places[i]).toList();
        Alignment a = Alignment.of(found, frames.focalPx(), false);
        List<FrameFiles.Frame> all = frames.files().frames();
        List<Integer> matched = new ArrayList<>();
        List<Optional<Alignment.Turned>> turned = new ArrayList<>();
        for (int i = 0; i < found.size(); i++) {
            if (a.frames().get(i).isPresent()) {
                matched.add(i);
                turned.add(a.frames().get(i));
            } else {
                frames.leave(new FrameFiles.Left(
                        all.get(i).name(),
                        "shows " + found.get(i).stars().size() + " stars that do not match those of "
                                + all.get(a.reference()).name() + "; left out"));
            }
        }
        int reference = matched.indexOf(a.reference());
        if (reference < 0) {
            throw new IllegalArgumentException("no stars are found to align by; --align none lays frames as they are");
        }
        frames.keep(matched);
        return new Alignment(reference, turned);
    }

    private StackFigures.Aligned figures(Alignment a) {
        List<FrameFiles.Frame> in = frames.files().frames();
        List<Alignment.Turned> all =
                a.frames().stream().map(Optional::orElseThrow).toList();
        return new StackFigures.Aligned(
                in.get(Math.min(a.reference(), in.size() - 1)).name(),
                all.stream().mapToDouble(Alignment.Turned::residualPx).max().orElse(0),
                all.stream().mapToDouble(Alignment.Turned::movedPx).max().orElse(0),
                all.stream().mapToInt(Alignment.Turned::matched).min().orElse(0));
    }

    private Picture grounded(Picture sky) throws IOException {
        Path file = order.mask()
                .orElseThrow(
                        () -> new IllegalArgumentException(
                                "ground frames are joined at a mask, and none is named; --mask FILE, white where the sky is, is allowed"));
        FrameFiles files = frames.files();
        float[][] mask = PictureOut.mask(file, files.width(), files.height());
        FrameFiles ground = FrameFiles.of(order.ground());
        ground.left().forEach(frames::leave);
        Summed sum = new Summed(files.width(), files.height(), false);
        for (FrameFiles.Frame g : ground.frames()) {
            if (ground.width() != files.width() || ground.height() != files.height()) {
                frames.leave(new FrameFiles.Left(g.name(), "is a ground frame of another size"));
            } else {
                frames.used(g, sum::add);
            }
        }
        return sum.frames() == 0 ? sky : new Grounded(sky, sum.sofar(), mask);
    }

    /** What an order that goes on must have in common with the one that was stopped. */
    private static String fingerprint(StackOrder order) throws IOException {
        StringBuilder all =
                new StringBuilder().append(order.mode()).append(order.aligned()).append(order.fading());
        for (Path p : Stream.concat(order.frames().stream(), order.darks().stream())
                .sorted(Comparator.comparing(Path::toString))
                .toList()) {
            all.append('\n')
                    .append(p.toAbsolutePath())
                    .append(' ')
                    .append(Files.size(p))
                    .append(' ')
                    .append(Files.getLastModifiedTime(p).toMillis());
        }
        try {
            byte[] hash =
                    MessageDigest.getInstance("SHA-256").digest(all.toString().getBytes(StandardCharsets.UTF_8));
            return HexFormat.of().formatHex(hash, 0, 12);
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException(e);
        }
    }

    /** What was kept between runs is not needed any more. */
    private void swept() throws IOException {
        try (Stream<Path> all = Files.walk(order.work())) {
            for (Path p : all.sorted(Comparator.reverseOrder()).toList()) {
                Files.deleteIfExists(p);
            }
        }
    }
}
