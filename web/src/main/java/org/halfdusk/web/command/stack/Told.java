package org.halfdusk.web.command.stack;

import java.io.IOException;
import java.io.PrintWriter;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.time.Duration;
import java.util.Optional;
import org.halfdusk.frame.stack.held.Picture;
import org.halfdusk.web.command.decoding.Progress;
import org.halfdusk.web.picture.PictureOut;
import tools.jackson.databind.json.JsonMapper;

/** Tells how far a stack is, a line at a time on standard error, twice a second at the most. */
public final class Told implements Progress {
    private static final Duration EVERY = Duration.ofMillis(500);
    static final int PREVIEW = 1280;

    private final PrintWriter err;
    private final boolean json;
    private final Optional<Path> preview;
    private final long begun = System.nanoTime();
    private String what = "";
    private long stage = begun;
    private long last;
    private long pixels;

    public Told(PrintWriter err, boolean json, Optional<Path> preview) {
        this.err = err;
        this.json = json;
        this.preview = preview;
    }

    /** @param secondsLeft of this step; negative where nothing can be said */
    record Line(String what, int done, int of, double megapixelsPerSecond, double secondsLeft, long memoryMegabytes) {}

    @Override
    public synchronized void step(String step, int done, int of, long more) {
        long now = System.nanoTime();
        if (!step.equals(what)) {
            what = step;
            stage = now;
            pixels = 0;
            last = 0;
        }
        pixels += more;
        if (now - last < EVERY.toNanos() && done != of) {
            return;
        }
        last = now;
        double seconds = (now - stage) / 1e9;
        double rate = seconds > 0 ? pixels / 1e6 / seconds : 0;
        double rest = done > 0 ? seconds / done * (of - done) : -1;
        Runtime r = Runtime.getRuntime();
        long memory = (r.totalMemory() - r.freeMemory()) / 1_000_000;
        Line line = new Line(step, done, of, tenth(rate), tenth(rest), memory);
        err.println(json ? Mapper.ONE.writeValueAsString(line) : words(line));
    }

    /** Made only where it is asked for: it costs a tenth of a second. */
    private static final class Mapper {
        private static final JsonMapper ONE = new JsonMapper();
    }

    private static String words(Line l) {
        return l.what() + ": " + l.done() + " of " + l.of()
                + (l.megapixelsPerSecond() > 0 ? ", " + l.megapixelsPerSecond() + " megapixels a second" : "")
                + (l.secondsLeft() > 0 ? ", " + Math.round(l.secondsLeft()) + " s left" : "");
    }

    private static double tenth(double v) {
        return Math.rint(v * 10) / 10;
    }

    @Override
    public void grown(Picture sofar) {
        preview.ifPresent(file -> {
            try {
                Path part = file.resolveSibling(file.getFileName() + ".part");
                Files.write(part, PictureOut.small(sofar, PREVIEW));
                Files.move(part, file, StandardCopyOption.REPLACE_EXISTING, StandardCopyOption.ATOMIC_MOVE);
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
        });
    }

    public synchronized void over() {
        err.flush();
    }
}
