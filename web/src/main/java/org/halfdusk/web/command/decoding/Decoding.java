package org.halfdusk.web.command.decoding;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentSkipListSet;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import org.halfdusk.frame.points.StarPlaces;
import org.halfdusk.frame.stack.DarkFrame;
import org.halfdusk.frame.stack.held.Held;
import org.halfdusk.frame.stack.held.Picture;
import org.halfdusk.web.picture.PictureFile;

/** The frames of a stack, decoded as they are wanted, several at once; those that cannot be are left out, each with why. */
public final class Decoding {
    private final Progress progress;
    private final List<FrameFiles.Left> left = new ArrayList<>();
    private final PictureFile.Buffers buffers = new PictureFile.Buffers();
    private FrameFiles files;
    private Optional<DarkFrame> dark = Optional.empty();

    public Decoding(FrameFiles files, Progress progress) {
        this.files = files;
        this.progress = progress;
        this.left.addAll(files.left());
    }

    public FrameFiles files() {
        return files;
    }

    public long pixels() {
        return (long) files.width() * files.height();
    }

    /** What every frame has taken off from here on. */
    public void takeOff(Optional<DarkFrame> master) {
        dark = master;
    }

    public Optional<DarkFrame> dark() {
        return dark;
    }

    /** Says that something is not in the picture. */
    public synchronized void leave(FrameFiles.Left out) {
        left.add(out);
    }

    public synchronized List<FrameFiles.Left> left() {
        return List.copyOf(left);
    }

    /** What is done with a frame's light. */
    public interface Use {
        void with(Picture frame) throws IOException;
    }

    /** Decodes a file; one that cannot be read is left out. @return whether it was used */
    public boolean used(FrameFiles.Frame f, Use use) throws IOException {
        try {
            return PictureFile.read(f.head(), buffers, p -> {
                use.with(Picture.of(p.pixels()));
                return true;
            });
        } catch (IllegalArgumentException e) {
            leave(new FrameFiles.Left(f.name(), String.valueOf(e.getMessage())));
            return false;
        }
    }

    /** The same with its dark taken off. */
    public boolean clean(FrameFiles.Frame f, Use use) throws IOException {
        return used(f, l -> use.with(dark.map(d -> d.off(l)).orElse(l)));
    }

    /** What is done with each frame; false where it is left out. */
    public interface Each {
        boolean with(int number) throws IOException;
    }

    /** All frames, so many at once. @param done keys of those that are in it already @return numbers of those that are in it, in order */
    public List<Integer> all(String what, int workers, Set<String> done, Each each) throws IOException {
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
            ended(pool);
        }
        return List.copyOf(in);
    }

    /** Nothing of a run writes any more when it is over: what goes on from there lays the same frames under the same names. */
    private static void ended(ExecutorService pool) {
        pool.shutdownNow();
        try {
            pool.awaitTermination(A_FRAME_SECONDS, TimeUnit.SECONDS);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    /** More than the largest frame takes to be read. */
    private static final int A_FRAME_SECONDS = 120;

    /** What a frame is called in what is kept between runs. */
    public static String key(int number) {
        return "f" + number;
    }

    /** Only these frames from here on. */
    public void keep(List<Integer> numbers) {
        if (numbers.isEmpty()) {
            throw new IllegalArgumentException("none of the frames can be used: " + left());
        }
        files = new FrameFiles(
                numbers.stream().map(files.frames()::get).toList(), files.left(), files.width(), files.height());
    }

    /** A frame's stars; none where it cannot be read, which is said. */
    public StarPlaces stars(int number) throws IOException {
        List<StarPlaces> found = new ArrayList<>();
        clean(files.frames().get(number), l -> found.add(StarPlaces.of(Held.of(l))));
        return found.isEmpty() ? new StarPlaces(files.width(), files.height(), List.of(), Double.NaN) : found.get(0);
    }

    /** Focal length in pixels as the first frame that knows it says; else as of a usual lens. */
    public double focalPx() {
        return files.frames().stream()
                .map(FrameFiles.Frame::shot)
                .filter(s -> s.focalMm().isPresent() && s.pitchMicrons().isPresent())
                .mapToDouble(s ->
                        s.focalMm().getAsDouble() * PER_MM / s.pitchMicrons().getAsDouble())
                .findFirst()
                .orElse(USUAL_FOCAL * Math.max(files.width(), files.height()));
    }

    private static final double PER_MM = 1000;

    /** A frame that says nothing of its lens is taken to be as wide as this many times its longer side. */
    private static final double USUAL_FOCAL = 1;
}
