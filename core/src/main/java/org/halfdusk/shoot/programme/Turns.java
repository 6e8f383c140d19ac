package org.halfdusk.shoot.programme;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.halfdusk.sequence.Block;
import org.halfdusk.sequence.Frame;
import org.halfdusk.shoot.setting.Recentring;

/**
 * A script through a long lens on a mount that does not follow: where the disc is brought back to the middle of the frame, between two
 * frames where there is room, else in a gap that frames are left out for.
 *
 * @param blocks with what frames are left
 */
record Turns(List<Script.Named> blocks, List<Turn> turns) {
    /** Turning, settling and a look at the screen†. */
    private static final Duration TURNING = Duration.ofSeconds(10);

    /** The hand is at the filter by then†. */
    private static final Duration HAND = Duration.ofSeconds(30);

    /** A disc that is gone sooner is not kept by hand: that needs a mount. */
    private static final Duration LEAST = TURNING.multipliedBy(3);

    static Turns of(List<Script.Named> blocks, Optional<Recentring> recentring) {
        return recentring
                .filter(r -> r.byHand() && r.after().compareTo(LEAST) >= 0)
                .map(r -> laid(blocks, r))
                .orElseGet(() -> new Turns(blocks, List.of()));
    }

    private static Turns laid(List<Script.Named> blocks, Recentring r) {
        List<Script.Named> left = new ArrayList<>();
        List<Turn> turns = new ArrayList<>();
        Instant centred = null;
        Instant free = Instant.MIN;
        for (Script.Named n : blocks) {
            List<Frame> frames = new ArrayList<>();
            for (Frame f : n.block().frames()) {
                centred = centred == null ? f.open() : centred;
                // Between two blocks it is done for the whole next one, so that a totality is not broken for it.
                boolean first = frames.isEmpty() && !f.open().isBefore(free.plus(TURNING));
                Instant last = first ? n.block().end() : f.close();
                if (last.isAfter(centred.plus(r.after())) && free.isAfter(centred)) {
                    Instant at = latest(blocks, free, f.open());
                    turns.add(new Turn(at, at.plus(TURNING), drift(r, centred, at)));
                    centred = at.plus(TURNING);
                    free = centred;
                }
                if (!f.open().isBefore(free)) {
                    frames.add(f);
                    free = f.close();
                }
            }
            if (n.block().frames().isEmpty()) {
                left.add(n);
            } else if (!frames.isEmpty()) {
                left.add(frames.size() == n.block().frames().size() ? n : n.with(frames));
            }
        }
        return new Turns(left, turns);
    }

    /** As late as it goes before a frame; with some time to spare for the hand that takes the filter off. */
    private static Instant latest(List<Script.Named> blocks, Instant free, Instant frame) {
        Instant by = blocks.stream()
                .filter(n -> n.block().kind() == Block.Kind.FILTER_OFF)
                .map(n -> n.block().start())
                .filter(t -> t.isAfter(free) && !t.isAfter(frame))
                .map(t -> t.minus(HAND))
                .findFirst()
                .orElse(frame);
        Instant at = by.minus(TURNING);
        return at.isAfter(free) ? at : free;
    }

    private static double drift(Recentring r, Instant from, Instant to) {
        return r.degrees() * Duration.between(from, to).toMillis() / r.after().toMillis();
    }
}
