package org.halfdusk.shoot.programme;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.halfdusk.exposure.ShutterTime;
import org.halfdusk.sequence.Block;
import org.halfdusk.sequence.Frame;
import org.halfdusk.sequence.ScriptRow;

/**
 * A computed script with the rows that a person has set or taken away. A row that they set takes the place of the computed frames that
 * it would overlap; it never stands in a pause or in another block, nor on the wrong side of the filter.
 *
 * @param blocks in order of time, each under its identity
 * @param leftOut rows that the script has no place for as the plan is now
 */
record Script(List<Named> blocks, List<ScriptRow> leftOut) {
    /** A block with its identity for life: the how manieth of its kind, or the moment of the row that made it. */
    record Named(String id, Block block) {
        Named with(List<Frame> frames) {
            return new Named(id, Block.of(block.kind(), frames));
        }
    }

    static Script of(List<Block> computed, List<ScriptRow> rows, List<ShutterTime> times) {
        List<Named> blocks = named(computed);
        List<ScriptRow> leftOut = new ArrayList<>();
        for (ScriptRow r : rows) {
            if (r.set().isEmpty()) {
                without(blocks, r);
            }
        }
        for (ScriptRow r : rows) {
            Optional<Frame> frame = r.frame(times);
            if (frame.isPresent() && !with(blocks, r.kind(), frame.get())) {
                leftOut.add(r);
            }
        }
        blocks.sort(Comparator.comparing((Named n) -> n.block().start())
                .thenComparing(n -> n.block().end()));
        return new Script(List.copyOf(blocks), List.copyOf(leftOut));
    }

    private static List<Named> named(List<Block> computed) {
        Map<Block.Kind, Integer> seen = new EnumMap<>(Block.Kind.class);
        List<Named> named = new ArrayList<>();
        for (Block b : computed) {
            int n = seen.merge(b.kind(), 1, Integer::sum);
            named.add(new Named(b.kind().name().toLowerCase(Locale.ROOT) + "-" + n, b));
        }
        return named;
    }

    private static void without(List<Named> blocks, ScriptRow row) {
        for (int i = 0; i < blocks.size(); i++) {
            Named n = blocks.get(i);
            List<Frame> left = n.block().frames().stream()
                    .filter(f -> !f.open().equals(row.at()))
                    .toList();
            if (n.block().kind() == row.kind()
                    && left.size() < n.block().frames().size()) {
                if (left.isEmpty()) {
                    blocks.remove(i);
                } else {
                    blocks.set(i, n.with(left));
                }
                return;
            }
        }
    }

    /** Whether there is a place for it. */
    private static boolean with(List<Named> blocks, Block.Kind kind, Frame frame) {
        if (!onItsSide(blocks, kind, frame)) {
            return false;
        }
        List<Named> near = blocks.stream()
                .filter(n -> n.block().kind() == kind)
                .sorted(Comparator.comparing(n -> apart(n.block(), frame)))
                .toList();
        for (Named n : near) {
            List<Frame> frames = together(n.block().frames(), frame);
            Named next = n.with(frames);
            if (blocks.stream().allMatch(other -> other.equals(n) || !overlap(other.block(), next.block()))) {
                blocks.set(blocks.indexOf(n), next);
                return true;
            }
        }
        Named alone = new Named(
                kind.name().toLowerCase(Locale.ROOT) + "-at-" + frame.open().toEpochMilli(),
                Block.of(kind, List.of(frame)));
        boolean free = blocks.stream().noneMatch(other -> overlap(other.block(), alone.block()));
        return free && blocks.add(alone);
    }

    /** Bare frames only between the filter's two steps, all others only outside them. */
    private static boolean onItsSide(List<Named> blocks, Block.Kind kind, Frame frame) {
        Optional<Instant> off = step(blocks, Block.Kind.FILTER_OFF);
        Optional<Instant> on = step(blocks, Block.Kind.FILTER_ON);
        if (off.isEmpty() || on.isEmpty()) {
            return kind != Block.Kind.TOTALITY;
        }
        return kind == Block.Kind.TOTALITY
                ? !frame.open().isBefore(off.get()) && !frame.close().isAfter(on.get())
                : !frame.open().isBefore(on.get()) || !frame.close().isAfter(off.get());
    }

    private static Optional<Instant> step(List<Named> blocks, Block.Kind kind) {
        return blocks.stream()
                .filter(n -> n.block().kind() == kind)
                .map(n -> n.block().start())
                .findFirst();
    }

    private static Duration apart(Block b, Frame f) {
        if (f.close().isBefore(b.start())) {
            return Duration.between(f.close(), b.start());
        }
        return f.open().isAfter(b.end()) ? Duration.between(b.end(), f.open()) : Duration.ZERO;
    }

    /** The frame in the place of those that it overlaps. */
    private static List<Frame> together(List<Frame> frames, Frame frame) {
        List<Frame> next = new ArrayList<>(frames.stream()
                .filter(f -> !f.open().isBefore(frame.close()) || !f.close().isAfter(frame.open()))
                .toList());
        next.add(frame);
        next.sort(Comparator.comparing(Frame::open));
        return next;
    }

    private static boolean overlap(Block a, Block b) {
        return a.start().isBefore(b.end()) && b.start().isBefore(a.end());
    }
}
