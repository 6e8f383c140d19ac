package org.halfdusk.web.command;

import java.io.IOException;
import java.io.UncheckedIOException;
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
import java.util.OptionalDouble;
import java.util.Set;
import java.util.TreeSet;
import java.util.concurrent.ArrayBlockingQueue;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.ConcurrentSkipListSet;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.concurrent.locks.ReentrantReadWriteLock;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.halfdusk.frame.StarPlaces;
import org.halfdusk.frame.stack.Alignment;
import org.halfdusk.frame.stack.Among;
import org.halfdusk.frame.stack.DarkFrame;
import org.halfdusk.frame.stack.Faded;
import org.halfdusk.frame.stack.GapFilling;
import org.halfdusk.frame.stack.Grounded;
import org.halfdusk.frame.stack.Held;
import org.halfdusk.frame.stack.Lightest;
import org.halfdusk.frame.stack.NoiseGain;
import org.halfdusk.frame.stack.Picture;
import org.halfdusk.frame.stack.Registration;
import org.halfdusk.frame.stack.Resampled;
import org.halfdusk.frame.stack.SkyTurn;
import org.halfdusk.frame.stack.Summed;
import org.halfdusk.web.picture.Made;
import org.halfdusk.web.picture.PictureFile;
import org.halfdusk.web.picture.PictureOut;

/**
 * Makes frames one. As many are decoded at once as there are processors and room; what is reached is saved every now and then, and an order that
 * was stopped goes on from there. What cannot be used is left out and named; the rest is made all the same.
 */
final class StackJob {
    private static final Duration SAVED_EVERY = Duration.ofSeconds(30);
    private static final Duration SHOWN_EVERY = Duration.ofSeconds(2);
    private static final double PER_MM = 1000;

    /** A frame that says nothing of its lens is taken to be as wide as this many times its longer side. */
    private static final double USUAL_FOCAL = 1;

    private final StackOrder order;
    private final Progress progress;
    private final Duration savedEvery;
    private final List<FrameFiles.Left> left = new ArrayList<>();
    private final ReentrantReadWriteLock adding = new ReentrantReadWriteLock();
    private long saved = System.nanoTime();
    private long shown = System.nanoTime();

    private FrameFiles files;
    private final PictureFile.Buffers decoding = new PictureFile.Buffers();
    private final NoiseGain.Measuring measuring = new NoiseGain.Measuring();
    private Optional<DarkFrame> dark = Optional.empty();
    private int workers = 1;

    private StackJob(StackOrder order, Progress progress, FrameFiles files, Duration savedEvery) {
        this.savedEvery = savedEvery;
        this.order = order;
        this.progress = progress;
        this.files = files;
        this.left.addAll(files.left());
    }

    /**
     * @throws IllegalArgumentException in words, where nothing can be made of it
     * @throws IOException where the disk fails; what was reached stays
     */
    static StackFigures run(StackOrder order, Progress progress) throws IOException {
        return run(order, progress, SAVED_EVERY);
    }

    /** @param savedEvery how long at the most is lost where it is killed */
    static StackFigures run(StackOrder order, Progress progress, Duration savedEvery) throws IOException {
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
        dark = dark();
        workers = workers();
        Optional<Alignment> alignment = order.aligned() ? Optional.of(aligned()) : Optional.empty();
        List<StackFigures.Gap> gaps = new ArrayList<>();
        Optional<SkyTurn> turn = Optional.empty();
        Picture sky;
        if (order.mode().compares()) {
            sky = compared(alignment);
        } else if (order.mode() == StackMode.MEAN) {
            sky = summed(alignment);
        } else {
            Lightest lightest = lightest(alignment);
            if (order.filled()) {
                turn = turn();
                turn.ifPresent(t -> filled(t, lightest, gaps));
            }
            sky = lightest.sofar();
        }
        Optional<NoiseGain> noise = noise(sky);
        Picture whole = order.ground().isEmpty() ? sky : grounded(sky);
        Made made =
                new Made(files.frames().get(0).shot(), exposed(), files.frames().size(), words());
        progress.grown(whole);
        progress.step("writing " + order.out().getFileName(), 0, 1, 0);
        PictureOut.write(whole, made, order.out());
        swept();
        double seconds = (System.nanoTime() - begun) / 1e9;
        return new StackFigures(
                order.out().toString(),
                files.width(),
                files.height(),
                files.frames().size(),
                List.copyOf(left),
                exposed(),
                seconds,
                pixels() * files.frames().size() / 1e6 / seconds,
                noise.map(n -> new StackFigures.Noise(n.single(), n.stacked(), n.gain(), n.expected()))
                        .orElse(null),
                alignment.map(this::figures).orElse(null),
                dark.map(DarkFrame::hotPixels).orElse(null),
                turn.flatMap(SkyTurn::poleAt).orElse(null),
                gaps);
    }

    private Optional<NoiseGain> noise(Picture sky) {
        int n = files.frames().size();
        return order.mode().points() && n > 1 ? measuring.gain(sky, n) : Optional.empty();
    }

    private String words() {
        return order.mode().words()
                + (order.aligned() ? ", aligned to the stars" : "")
                + (order.filled() ? ", gaps filled" : "")
                + (order.fading() ? ", fading" : "")
                + (dark.isPresent() ? ", dark frames off" : "")
                + (order.ground().isEmpty() ? "" : ", ground of its own");
    }

    private long pixels() {
        return (long) files.width() * files.height();
    }

    private double exposed() {
        return files.frames().stream()
                .mapToDouble(f -> f.shot().seconds().orElse(0))
                .sum();
    }

    /** As many as there are processors, where memory has room for what each holds. */
    private int workers() {
        long pixels = pixels();
        long common = (order.mode() == StackMode.MEAN ? (order.aligned() ? 14L : 12L) : 6L) * pixels
                + (dark.isPresent() ? 6 * pixels : 0);
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
    private static final long FIXED = 24_000_000;

    private Optional<DarkFrame> dark() throws IOException {
        if (order.darks().isEmpty()) {
            return Optional.empty();
        }
        FrameFiles darks = FrameFiles.of(order.darks()).darksOf(files);
        left.addAll(darks.left());
        if (darks.frames().isEmpty()) {
            return Optional.empty();
        }
        room(darks.frames().size());
        try (ShelfFolder shelf = new ShelfFolder(order.work().resolve("dark"), files.width(), files.height())) {
            List<String> names = new ArrayList<>();
            for (FrameFiles.Frame d : darks.frames()) {
                String name = "d" + names.size();
                if (shelf.has(name) || used(d, f -> shelf.lay(name, f))) {
                    names.add(name);
                }
                progress.step("dark frames", names.size(), darks.frames().size(), pixels());
            }
            if (names.isEmpty()) {
                return Optional.empty();
            }
            shelf.open(names);
            return Optional.of(new DarkFrame(
                    held(new Among(shelf, names.size(), files.width(), files.height(), Among.Kept.MEDIAN))));
        }
    }

    /** What is done with a frame's light. */
    private interface Use {
        void with(Picture frame) throws IOException;
    }

    /** Decodes a file; one that cannot be read is left out. @return whether it was used */
    private boolean used(FrameFiles.Frame f, Use use) throws IOException {
        try {
            return PictureFile.read(f.file(), f.name(), f.known(), decoding, p -> {
                use.with(Picture.of(p.pixels()));
                return true;
            });
        } catch (IllegalArgumentException e) {
            synchronized (left) {
                left.add(new FrameFiles.Left(f.name(), String.valueOf(e.getMessage())));
            }
            return false;
        }
    }

    /** The same with its dark taken off. */
    private boolean clean(FrameFiles.Frame f, Use use) throws IOException {
        return used(f, l -> use.with(dark.map(d -> d.off(l)).orElse(l)));
    }

    /** What is done with each frame; false where it is left out. */
    private interface Each {
        boolean with(int number) throws IOException;
    }

    /** All frames, several at once. @return numbers of those that are in it, in order */
    private List<Integer> all(String what, Set<String> done, Each each) throws IOException {
        Set<Integer> in = new ConcurrentSkipListSet<>();
        AtomicInteger count = new AtomicInteger();
        List<FrameFiles.Frame> frames = files.frames();
        ExecutorService pool = Executors.newFixedThreadPool(workers);
        try {
            List<Future<?>> tasks = new ArrayList<>();
            for (int i = 0; i < frames.size(); i++) {
                int number = i;
                tasks.add(pool.submit(() -> {
                    boolean before = done.contains(key(number));
                    if (before || each.with(number)) {
                        in.add(number);
                    }
                    progress.step(what, count.incrementAndGet(), frames.size(), before ? 0 : pixels());
                    return null;
                }));
            }
            for (Future<?> t : tasks) {
                t.get();
            }
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IOException("stopped", e);
        } catch (ExecutionException e) {
            if (e.getCause() instanceof IOException io) {
                throw io;
            }
            if (e.getCause() instanceof UncheckedIOException io) {
                throw io.getCause();
            }
            if (e.getCause() instanceof IllegalArgumentException words) {
                throw words;
            }
            throw new IllegalStateException(e.getCause());
        } finally {
            pool.shutdownNow();
        }
        return List.copyOf(in);
    }

    private static String key(int number) {
        return "f" + number;
    }

    /** Only these frames from here on. */
    private void keep(List<Integer> numbers) {
        if (numbers.isEmpty()) {
            throw new IllegalArgumentException("none of the frames can be used: " + left);
        }
        files = new FrameFiles(
                numbers.stream().map(files.frames()::get).toList(), files.left(), files.width(), files.height());
    }

    private double focalPx() {
        return files.frames().stream()
                .map(FrameFiles.Frame::shot)
                .filter(s -> s.focalMm().isPresent() && s.pitchMicrons().isPresent())
                .mapToDouble(s ->
                        s.focalMm().getAsDouble() * PER_MM / s.pitchMicrons().getAsDouble())
                .findFirst()
                .orElse(USUAL_FOCAL * Math.max(files.width(), files.height()));
    }

    private StarPlaces stars(int number) throws IOException {
        List<StarPlaces> found = new ArrayList<>();
        clean(files.frames().get(number), l -> found.add(StarPlaces.of(pixels(l))));
        return found.isEmpty() ? new StarPlaces(files.width(), files.height(), List.of(), Double.NaN) : found.get(0);
    }

    private static org.halfdusk.frame.Pixels pixels(Picture l) {
        return l instanceof Held h ? h : Held.of(l);
    }

    private Alignment aligned() throws IOException {
        StarPlaces[] places = new StarPlaces[files.frames().size()];
        keep(all("looking for stars", Set.of(), i -> {
            places[i] = stars(i);
            if (places[i].stars().isEmpty() && left(files.frames().get(i).name())) {
                places[i] = null;
                return false;
            }
            return true;
        }));
        List<StarPlaces> found = Stream.of(places).filter(p -> p != null).toList();
        Alignment a = Alignment.of(found, focalPx(), false);
        List<Integer> matched = new ArrayList<>();
        List<Optional<Alignment.Turned>> turned = new ArrayList<>();
        for (int i = 0; i < found.size(); i++) {
            if (a.frames().get(i).isPresent()) {
                matched.add(i);
                turned.add(a.frames().get(i));
            } else {
                left.add(new FrameFiles.Left(
                        files.frames().get(i).name(),
                        "shows " + found.get(i).stars().size() + " stars that do not match those of "
                                + files.frames().get(a.reference()).name() + "; left out"));
            }
        }
        int reference = matched.indexOf(a.reference());
        if (reference < 0) {
            throw new IllegalArgumentException("no stars are found to align by; --align none lays frames as they are");
        }
        keep(matched);
        return new Alignment(reference, turned);
    }

    private boolean left(String name) {
        synchronized (left) {
            return left.stream().anyMatch(l -> l.name().equals(name));
        }
    }

    private StackFigures.Aligned figures(Alignment a) {
        List<Alignment.Turned> all =
                a.frames().stream().map(Optional::orElseThrow).toList();
        return new StackFigures.Aligned(
                files.frames()
                        .get(Math.min(a.reference(), files.frames().size() - 1))
                        .name(),
                all.stream().mapToDouble(Alignment.Turned::residualPx).max().orElse(0),
                all.stream().mapToDouble(Alignment.Turned::movedPx).max().orElse(0),
                all.stream().mapToInt(Alignment.Turned::matched).min().orElse(0));
    }

    /** Pictures that are held whole to be drawn otherwise, used again and again. */
    private BlockingQueue<Held> buffers() {
        BlockingQueue<Held> all = new ArrayBlockingQueue<>(workers);
        for (int i = 0; i < workers; i++) {
            all.add(Held.black(files.width(), files.height()));
        }
        return all;
    }

    /** A frame as the reference stood, or as it is. */
    private void turned(Picture frame, Optional<Registration> to, BlockingQueue<Held> buffers, Use use)
            throws IOException {
        if (to.isEmpty()) {
            use.with(frame);
            return;
        }
        try {
            Held held = buffers.take();
            try {
                held.take(frame);
                use.with(new Resampled(held, to.get()));
            } finally {
                buffers.add(held);
            }
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IOException("stopped", e);
        }
    }

    private Optional<Registration> to(Optional<Alignment> alignment, int number) {
        return alignment.map(a -> a.frames().get(number).orElseThrow().to());
    }

    private Picture summed(Optional<Alignment> alignment) throws IOException {
        int w = files.width();
        int h = files.height();
        String id = fingerprint();
        Optional<Saved> before = Saved.read(state(), id);
        Set<String> done = new ConcurrentSkipListSet<>(before.map(Saved::done).orElseGet(TreeSet::new));
        Summed sum = before.map(
                        s -> new Summed(w, h, s.ints(), s.shorts(), s.done().size()))
                .orElseGet(() -> new Summed(w, h, alignment.isPresent()));
        BlockingQueue<Held> buffers = alignment.isPresent() ? buffers() : new ArrayBlockingQueue<>(1);
        keep(all(
                "adding frames",
                Set.copyOf(done),
                i -> clean(
                        files.frames().get(i),
                        f -> turned(
                                f,
                                to(alignment, i),
                                buffers,
                                l -> added(
                                        i,
                                        done,
                                        () -> {
                                            measure(i, alignment, l);
                                            sum.add(l);
                                        },
                                        () -> new Saved(id, done, sum.counts(), sum.sums()),
                                        sum::mean)))));
        return sum.mean();
    }

    private Lightest lightest(Optional<Alignment> alignment) throws IOException {
        String id = fingerprint();
        Optional<Saved> before = Saved.read(state(), id);
        Set<String> done = new ConcurrentSkipListSet<>(before.map(Saved::done).orElseGet(TreeSet::new));
        Held most = before.map(s -> Held.of(files.width(), files.height(), s.shorts()))
                .orElseGet(() -> Held.black(files.width(), files.height()));
        Lightest lightest = new Lightest(most);
        BlockingQueue<Held> buffers = alignment.isPresent() ? buffers() : new ArrayBlockingQueue<>(1);
        int n = files.frames().size();
        keep(all(
                "adding frames",
                Set.copyOf(done),
                i -> clean(
                        files.frames().get(i),
                        f -> turned(
                                order.fading() ? new Faded(f, i, n) : f,
                                to(alignment, i),
                                buffers,
                                l -> added(
                                        i,
                                        done,
                                        () -> lightest.add(Resampled.seen(l)),
                                        () -> new Saved(id, done, most.light(), new int[0]),
                                        lightest::sofar)))));
        return lightest;
    }

    private interface Reached {
        Saved all();
    }

    private interface Grown {
        Picture sofar();
    }

    /** Adds a frame; what is reached is saved and shown now and then, while none is half in it. */
    private void added(int number, Set<String> done, Runnable add, Reached reached, Grown grown) throws IOException {
        adding.readLock().lock();
        try {
            add.run();
            done.add(key(number));
        } finally {
            adding.readLock().unlock();
        }
        boolean save;
        boolean show;
        synchronized (adding) {
            long now = System.nanoTime();
            save = now - saved > savedEvery.toNanos();
            saved = save ? now : saved;
            show = now - shown > SHOWN_EVERY.toNanos();
            shown = show ? now : shown;
        }
        if (save) {
            adding.writeLock().lock();
            try {
                reached.all().write(state());
            } finally {
                adding.writeLock().unlock();
            }
        }
        if (show) {
            progress.grown(grown.sofar());
        }
    }

    private Picture compared(Optional<Alignment> alignment) throws IOException {
        room(files.frames().size());
        int w = files.width();
        int h = files.height();
        Path folder = order.work().resolve(fingerprint());
        Held all = Held.black(w, h);
        try (ShelfFolder shelf = new ShelfFolder(folder, w, h)) {
            BlockingQueue<Held> buffers = alignment.isPresent() ? buffers() : new ArrayBlockingQueue<>(1);
            List<Integer> in = all(
                    "laying frames out",
                    Set.of(),
                    i -> shelf.has(key(i))
                            || clean(
                                    files.frames().get(i),
                                    f -> turned(f, to(alignment, i), buffers, l -> {
                                        measure(i, alignment, l);
                                        shelf.lay(key(i), l);
                                    })));
            shelf.open(in.stream().map(StackJob::key).toList());
            keep(in);
            Among.Kept kept = order.mode() == StackMode.MEDIAN ? Among.Kept.MEDIAN : Among.Kept.CLIPPED;
            Among among = new Among(shelf, in.size(), w, h, kept);
            AtomicInteger rows = new AtomicInteger();
            IntStream.range(0, h).parallel().forEach(y -> {
                short[] row = new short[3 * w];
                among.line(y, row);
                all.put(y, row);
                int done = rows.incrementAndGet();
                if (done % ROWS == 0) {
                    progress.step("comparing rows", done, h, 0);
                }
            });
        } catch (UncheckedIOException e) {
            throw e.getCause();
        }
        return all;
    }

    private static final int ROWS = 200;

    /** Refuses, saying how much, where the disk has no room for so many frames. */
    private void room(int frames) throws IOException {
        long need = ShelfFolder.bytes(frames, files.width(), files.height());
        long free = Files.getFileStore(order.work()).getUsableSpace();
        if (free < need + need / 20) {
            throw new IllegalArgumentException(
                    "comparing " + frames + " frames needs " + mega(need) + " in " + order.work() + ", and "
                            + mega(free) + " are free; --work names another folder, or mean needs none");
        }
    }

    private static String mega(long bytes) {
        return bytes / 1_000_000 + " MB";
    }

    private static Held held(Picture lines) {
        Held held = Held.black(lines.width(), lines.height());
        IntStream.range(0, lines.height()).parallel().forEach(y -> {
            short[] row = new short[3 * lines.width()];
            lines.line(y, row);
            held.put(y, row);
        });
        return held;
    }

    /** About what the sky turns; nothing, and said why, where that cannot be known. */
    private Optional<SkyTurn> turn() throws IOException {
        List<FrameFiles.Frame> frames = files.frames();
        int last = frames.size() - 1;
        OptionalDouble seconds = between(frames.get(0), frames.get(last));
        if (last == 0 || seconds.isEmpty()) {
            left.add(new FrameFiles.Left("gaps", "are not filled: the frames do not say when they were taken"));
            return Optional.empty();
        }
        Optional<SkyTurn> turn = SkyTurn.of(stars(0), stars(last), seconds.getAsDouble(), focalPx(), false);
        if (turn.isEmpty()) {
            left.add(new FrameFiles.Left(
                    "gaps", "are not filled: the stars of the first frame and the last do not turn as the sky does"));
        }
        return turn;
    }

    /** From the opening of one to that of another, s. */
    private static OptionalDouble between(FrameFiles.Frame a, FrameFiles.Frame b) {
        return a.shot().taken().isPresent() && b.shot().taken().isPresent()
                ? OptionalDouble.of(Duration.between(
                                        a.shot().taken().get(), b.shot().taken().get())
                                .toNanos()
                        / 1e9)
                : OptionalDouble.empty();
    }

    private void filled(SkyTurn turn, Lightest trails, List<StackFigures.Gap> gaps) {
        List<FrameFiles.Frame> frames = files.frames();
        double rate = turn.fastestPxPerSecond();
        try {
            double fwhm = stars(0).fwhmPx();
            GapFilling filling = new GapFilling(turn, Double.isNaN(fwhm) ? USUAL_FWHM : fwhm);
            Held before = Held.black(files.width(), files.height());
            Held after = Held.black(files.width(), files.height());
            for (int i = 0; i + 1 < frames.size(); i++) {
                FrameFiles.Frame a = frames.get(i);
                double exposure = a.shot().seconds().orElse(0);
                double open = between(a, frames.get(i + 1)).orElse(0) - exposure;
                if (!(exposure > 0 && open >= 0)) {
                    continue;
                }
                GapFilling.Gap gap = new GapFilling.Gap(exposure, open);
                progress.step("filling gaps", i + 1, frames.size() - 1, 0);
                if (filling.needed(gap) && clean(a, before::take) && clean(frames.get(i + 1), after::take)) {
                    StarPlaces stars = StarPlaces.of(before);
                    double deep = filling.depth(trails.sofar(), stars, gap);
                    filling.fill(before, after, gap, trails);
                    double filled = filling.depth(trails.sofar(), stars, gap);
                    gaps.add(new StackFigures.Gap(a.name(), open, open * rate, number(deep), number(filled)));
                    progress.grown(trails.sofar());
                }
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static final double USUAL_FWHM = 2;

    private static @org.jspecify.annotations.Nullable Double number(double v) {
        return Double.isNaN(v) ? null : v;
    }

    /** Whether a frame's noise is looked at: some all over the set, none that alone is not drawn otherwise and so not smoothed as all others are. */
    private boolean measured(int number, Optional<Alignment> alignment) {
        int step = Math.max(1, files.frames().size() / MEASURED);
        boolean reference = alignment.filter(a -> a.reference() == number).isPresent();
        return number % step == 0 && !reference;
    }

    private void measure(int number, Optional<Alignment> alignment, Picture frame) {
        if (measured(number, alignment)) {
            measuring.single(frame);
        }
    }

    private static final int MEASURED = 4;

    private Picture grounded(Picture sky) throws IOException {
        Path file = order.mask()
                .orElseThrow(
                        () -> new IllegalArgumentException(
                                "ground frames are joined at a mask, and none is named; --mask FILE, white where the sky is, is allowed"));
        float[][] mask = PictureOut.mask(file, files.width(), files.height());
        FrameFiles ground = FrameFiles.of(order.ground());
        left.addAll(ground.left());
        Summed sum = new Summed(files.width(), files.height(), false);
        for (FrameFiles.Frame g : ground.frames()) {
            if (ground.width() != files.width() || ground.height() != files.height()) {
                left.add(new FrameFiles.Left(g.name(), "is a ground frame of another size"));
            } else {
                used(g, sum::add);
            }
        }
        return sum.frames() == 0 ? sky : new Grounded(sky, sum.mean(), mask);
    }

    private Path state() {
        return order.work().resolve("reached");
    }

    /** What an order that goes on must have in common with the one that was stopped. */
    private String fingerprint() throws IOException {
        StringBuilder all = new StringBuilder()
                .append(order.mode())
                .append(order.aligned())
                .append(order.fading())
                .append(dark.map(DarkFrame::hotPixels));
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
