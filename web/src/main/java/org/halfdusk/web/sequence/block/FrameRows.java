package org.halfdusk.web.sequence.block;

import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.function.IntFunction;
import org.halfdusk.sequence.Block;
import org.halfdusk.sequence.Frame;
import org.halfdusk.shoot.programme.Programme;
import org.halfdusk.web.layout.words.Times;
import org.halfdusk.web.layout.words.Words;
import org.halfdusk.web.shoot.ShootDesk;

/**
 * Frames of one block as a table, some hundreds at a time.
 *
 * @param from number of the first, counted from one
 * @param of how many the block has
 */
public record FrameRows(List<Shot> shots, int from, int of) {
    /** So many are listed at a time: more nobody reads, and a page stays quick. */
    static final int AT_A_TIME = 400;

    /**
     * @param number in its block, counted from one
     * @param turn how the camera is turned before it; empty where it is not
     * @param wrong what is wrong with it, in a word or two
     */
    record Shot(
            int number,
            String at,
            String opens,
            String shutter,
            String aperture,
            String iso,
            String turn,
            String wrong) {}

    /**
     * @param dropped when the frames open that the camera does not take
     * @param over what a frame of the block, counted from zero, moves farther than it may, px
     * @param from number of the first to be listed, counted from one
     */
    public static FrameRows of(
            Block block, ShootDesk.Open open, Set<Instant> dropped, IntFunction<OptionalDouble> over, int from) {
        ZoneId zone = open.plan().place().zone();
        List<Frame> frames = block.frames();
        List<Shot> shots = new ArrayList<>();
        int first = Math.max(0, Math.min(from - 1, frames.size() - 1));
        for (int i = first; i < Math.min(first + AT_A_TIME, frames.size()); i++) {
            Frame f = frames.get(i);
            Optional<Frame> before = i > 0 ? Optional.of(frames.get(i - 1)) : before(open.programme(), block);
            OptionalDouble turn = open.programme().turnBefore(f, before);
            shots.add(new Shot(
                    i + 1,
                    Times.clockSeconds(f.open(), zone),
                    f.open().toString(),
                    f.shutter().label(),
                    f.fNumber().label(),
                    f.iso().toString(),
                    turn.isPresent() ? "turn the disc to the middle first, " + Words.degrees(turn.getAsDouble()) : "",
                    wrong(dropped.contains(f.open()), over.apply(i))));
        }
        return new FrameRows(shots, first + 1, frames.size());
    }

    /** The last frame that is taken before a block. */
    private static Optional<Frame> before(Programme programme, Block block) {
        return programme.blocks().stream()
                .filter(b -> b.start().isBefore(block.start()))
                .flatMap(b -> b.frames().stream().skip(Math.max(0, b.frames().size() - 1)))
                .reduce((a, b) -> b.open().isAfter(a.open()) ? b : a);
    }

    private static String wrong(boolean dropped, OptionalDouble overPx) {
        return dropped ? "dropped" : overPx.isPresent() ? "moves " + Words.tenths(overPx.getAsDouble()) + " px" : "";
    }

    /** How many follow. */
    public int more() {
        return of - from + 1 - shots.size();
    }

    /** Where those before begin; 0 where there are none. */
    public int earlier() {
        return from > 1 ? Math.max(1, from - AT_A_TIME) : 0;
    }

    /** Where those that follow begin. */
    public int later() {
        return from + shots.size();
    }
}
