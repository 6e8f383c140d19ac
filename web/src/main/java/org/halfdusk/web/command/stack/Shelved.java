package org.halfdusk.web.command.stack;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.halfdusk.frame.stack.Among;
import org.halfdusk.frame.stack.DarkFrame;
import org.halfdusk.frame.stack.held.Held;
import org.halfdusk.web.command.decoding.Decoding;
import org.halfdusk.web.command.decoding.FrameFiles;
import org.halfdusk.web.command.decoding.Progress;

/** Frames laid out on the disk and compared there, pixel by pixel: all values of one are asked for at once, which no memory holds. */
final class Shelved {
    private final StackOrder order;
    private final Decoding frames;
    private final Progress progress;
    private final String id;

    /** @param id of the order: what is laid out is found again by it */
    Shelved(StackOrder order, Decoding frames, Progress progress, String id) {
        this.order = order;
        this.frames = frames;
        this.progress = progress;
        this.id = id;
    }

    /** Where frames of this order are laid out. */
    ShelfFolder open(String what) throws IOException {
        return new ShelfFolder(
                order.work().resolve(id + "-" + what),
                frames.files().width(),
                frames.files().height());
    }

    /** The middle of the dark frames; nothing where none is there or fits. */
    Optional<DarkFrame> dark() throws IOException {
        if (order.darks().isEmpty()) {
            return Optional.empty();
        }
        FrameFiles files = frames.files();
        FrameFiles darks = FrameFiles.of(order.darks()).darksOf(files);
        darks.left().forEach(frames::leave);
        if (darks.frames().isEmpty()) {
            return Optional.empty();
        }
        room(darks.frames().size());
        try (ShelfFolder shelf = open("dark")) {
            List<String> names = new ArrayList<>();
            for (int i = 0; i < darks.frames().size(); i++) {
                String name = Decoding.key(i);
                if (shelf.has(name) || frames.used(darks.frames().get(i), f -> shelf.lay(name, f))) {
                    names.add(name);
                }
                progress.step("dark frames", i + 1, darks.frames().size(), frames.pixels());
            }
            return names.isEmpty()
                    ? Optional.empty()
                    : Optional.of(new DarkFrame(among(shelf, names, Among.Kept.MEDIAN, "dark pixels")));
        }
    }

    /** Frames that lie on a shelf made one. */
    Held among(ShelfFolder shelf, List<String> names, Among.Kept kept, String what) throws IOException {
        FrameFiles files = frames.files();
        shelf.open(names);
        try {
            return Held.ofAll(new Among(shelf, names.size(), files.width(), files.height(), kept), done -> {
                if (done % ROWS == 0) {
                    progress.step(what, done, files.height(), 0);
                }
            });
        } catch (UncheckedIOException e) {
            throw e.getCause();
        }
    }

    private static final int ROWS = 200;

    /** Refuses, saying how much, where the disk has no room for so many frames. */
    void room(int count) throws IOException {
        long need =
                ShelfFolder.bytes(count, frames.files().width(), frames.files().height());
        long free = Files.getFileStore(order.work()).getUsableSpace();
        if (free < need + need / 20) {
            throw new IllegalArgumentException(
                    "comparing " + count + " frames needs " + mega(need) + " in " + order.work() + ", and " + mega(free)
                            + " are free; --work names another folder, or mean needs none");
        }
    }

    private static String mega(long bytes) {
        return bytes / 1_000_000 + " MB";
    }
}
