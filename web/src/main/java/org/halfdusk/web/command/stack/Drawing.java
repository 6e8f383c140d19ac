package org.halfdusk.web.command.stack;

import java.io.IOException;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ArrayBlockingQueue;
import java.util.concurrent.BlockingQueue;
import org.halfdusk.frame.stack.Faded;
import org.halfdusk.frame.stack.NoiseGain;
import org.halfdusk.frame.stack.held.Held;
import org.halfdusk.frame.stack.held.Picture;
import org.halfdusk.frame.stack.matched.Alignment;
import org.halfdusk.frame.stack.matched.Resampled;
import org.halfdusk.web.command.decoding.Decoding;
import org.halfdusk.web.command.decoding.FrameFiles;

/** Gives frames on as a stack takes them: fading where that is asked for, turned as the reference stood where they are aligned. */
final class Drawing {
    private static final int MEASURED = 4;

    private final StackOrder order;
    private final Decoding frames;
    private final Optional<Alignment> alignment;
    private final int workers;
    private final NoiseGain.Measuring measuring = new NoiseGain.Measuring();

    /** @param workers how many frames are held at once */
    Drawing(StackOrder order, Decoding frames, Optional<Alignment> alignment, int workers) {
        this.order = order;
        this.frames = frames;
        this.alignment = alignment;
        this.workers = workers;
    }

    /** Whether frames do not all show all of the picture. */
    boolean aligned() {
        return alignment.isPresent();
    }

    /** How much less noise a picture of so many has than the frames that were measured on their way. */
    Optional<NoiseGain> gain(Picture picture, int of) {
        return order.mode().points() && of > 1 ? measuring.gain(picture, of) : Optional.empty();
    }

    /** What takes a frame as it is wanted. */
    interface Sink {
        void take(int number, Picture frame) throws IOException;
    }

    /** Gives each frame on but those that are done. @return numbers of those that are in it */
    List<Integer> all(String what, Set<String> done, Sink sink) throws IOException {
        List<FrameFiles.Frame> in = frames.files().frames();
        int n = in.size();
        // Pictures that are held whole to be drawn otherwise, used again and again.
        BlockingQueue<Held> held = new ArrayBlockingQueue<>(workers);
        for (int i = 0; alignment.isPresent() && i < workers; i++) {
            held.add(Held.black(frames.files().width(), frames.files().height()));
        }
        return frames.all(
                what,
                workers,
                done,
                i -> frames.clean(in.get(i), f -> {
                    Picture frame = order.fading() ? new Faded(f, i, n) : f;
                    if (alignment.isEmpty()) {
                        taken(i, n, frame, sink);
                    } else {
                        Held own = taken(held);
                        try {
                            own.take(frame);
                            Alignment a = alignment.get();
                            Picture turned = new Resampled(
                                    own, a.frames().get(i).orElseThrow().to());
                            // The reference alone is not drawn otherwise, and so not smoothed as all others are.
                            if (a.reference() == i) {
                                sink.take(i, turned);
                            } else {
                                taken(i, n, turned, sink);
                            }
                        } finally {
                            held.add(own);
                        }
                    }
                }));
    }

    /** Gives a frame on; of some all over the set the noise is measured. */
    private void taken(int number, int of, Picture frame, Sink sink) throws IOException {
        if (order.mode().points() && number % Math.max(1, of / MEASURED) == 0) {
            measuring.single(frame);
        }
        sink.take(number, frame);
    }

    private static Held taken(BlockingQueue<Held> held) throws IOException {
        try {
            return held.take();
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IOException("stopped", e);
        }
    }
}
