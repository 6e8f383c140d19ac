package org.halfdusk.web.command.stack;

import java.io.IOException;
import java.nio.file.Path;
import java.time.Duration;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.concurrent.ConcurrentSkipListSet;
import java.util.concurrent.locks.ReentrantReadWriteLock;
import org.halfdusk.frame.stack.Among;
import org.halfdusk.frame.stack.Lightest;
import org.halfdusk.frame.stack.Summed;
import org.halfdusk.frame.stack.held.Every;
import org.halfdusk.frame.stack.held.Growing;
import org.halfdusk.frame.stack.held.Held;
import org.halfdusk.frame.stack.held.Picture;
import org.halfdusk.web.command.decoding.Decoding;
import org.halfdusk.web.command.decoding.Progress;

/** A picture that grows frame by frame: what is reached is saved and shown now and then, and an order that was stopped goes on from there. */
final class Reached {
    private static final Duration SHOWN_EVERY = Duration.ofSeconds(2);

    private final StackOrder order;
    private final Decoding frames;
    private final Progress progress;
    private final Duration savedEvery;
    private final String id;
    private final ReentrantReadWriteLock adding = new ReentrantReadWriteLock();
    private long saved = System.nanoTime();
    private long shown = System.nanoTime();

    /** @param savedEvery how long at the most is lost where it is killed; shown at least as often @param id of the order */
    Reached(StackOrder order, Decoding frames, Progress progress, Duration savedEvery, String id) {
        this.order = order;
        this.frames = frames;
        this.progress = progress;
        this.savedEvery = savedEvery;
        this.id = id;
    }

    /** Sums or lightest pixels, going on from what was saved. */
    Growing grown(Drawing drawing) throws IOException {
        int w = frames.files().width();
        int h = frames.files().height();
        Optional<Saved> before = Saved.read(state(), id);
        Set<String> done = new ConcurrentSkipListSet<>(before.map(Saved::done).orElseGet(TreeSet::new));
        Growing growing = order.mode() == StackMode.MEAN
                ? before.map(s ->
                                new Summed(w, h, s.ints(), s.shorts(), s.done().size()))
                        .orElseGet(() -> new Summed(w, h, drawing.aligned()))
                : new Lightest(before.map(s -> Held.of(w, h, s.shorts())).orElseGet(() -> Held.black(w, h)));
        frames.keep(drawing.all("adding frames", Set.copyOf(done), (i, f) -> added(i, f, growing, done)));
        return growing;
    }

    /** Adds a frame; what is reached is saved and shown now and then, while none is half in it. */
    private void added(int number, Picture frame, Growing growing, Set<String> done) throws IOException {
        adding.readLock().lock();
        try {
            growing.add(frame);
            done.add(Decoding.key(number));
        } finally {
            adding.readLock().unlock();
        }
        boolean save;
        synchronized (adding) {
            long now = System.nanoTime();
            save = now - saved > savedEvery.toNanos();
            saved = save ? now : saved;
        }
        if (save) {
            adding.writeLock().lock();
            try {
                new Saved(id, done, growing.shorts(), growing.ints()).write(state());
            } finally {
                adding.writeLock().unlock();
            }
        }
        show(growing);
    }

    /** Shows what grows, where it was not shown just now, while no frame is half in it: it would look too dark. */
    private void show(Growing growing) {
        if (order.preview().isEmpty()) {
            return;
        }
        boolean due;
        synchronized (adding) {
            long now = System.nanoTime();
            due = now - shown > Math.min(SHOWN_EVERY.toNanos(), savedEvery.toNanos());
            shown = due ? now : shown;
        }
        if (due) {
            adding.writeLock().lock();
            try {
                progress.grown(growing.sofar());
            } finally {
                adding.writeLock().unlock();
            }
        }
    }

    /** All values of each pixel compared, which lie on the disk meanwhile; what is shown while they are laid out is their mean. */
    Picture compared(Drawing drawing) throws IOException {
        int n = frames.files().frames().size();
        int w = frames.files().width();
        int h = frames.files().height();
        int step = Every.step(w, h, Told.PREVIEW);
        Summed sofar = new Summed(w / step, h / step, drawing.aligned());
        Shelved shelved = new Shelved(order, frames, progress, id);
        shelved.room(n);
        try (ShelfFolder shelf = shelved.open("frames")) {
            Set<String> done = new TreeSet<>();
            for (int i = 0; i < n; i++) {
                if (shelf.has(Decoding.key(i))) {
                    done.add(Decoding.key(i));
                }
            }
            List<Integer> in = drawing.all("laying frames out", done, (i, f) -> {
                shelf.lay(Decoding.key(i), f);
                if (order.preview().isPresent()) {
                    adding.readLock().lock();
                    try {
                        sofar.add(new Every(f, step));
                    } finally {
                        adding.readLock().unlock();
                    }
                    show(sofar);
                }
            });
            frames.keep(in);
            Among.Kept kept = order.mode() == StackMode.MEDIAN ? Among.Kept.MEDIAN : Among.Kept.CLIPPED;
            return shelved.among(shelf, in.stream().map(Decoding::key).toList(), kept, "comparing rows");
        }
    }

    private Path state() {
        return order.work().resolve("reached");
    }
}
