package org.halfdusk.shoot.programme;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import org.halfdusk.sequence.Block;
import org.halfdusk.sequence.BlockSpec;
import org.halfdusk.sequence.Timing;

/**
 * What becomes of a rig's laid blocks when one is added, changed or a pause is made in them: nothing ever overlaps, what follows is
 * pushed, and no frame stands in a pause.
 *
 * @param blocks in order of time
 * @param timing how blocks stand behind one another
 */
public record Laying(List<BlockSpec> blocks, Timing timing) {
    /** From the end of a block to the next that was pushed behind it, s. */
    private static final int BEHIND_SECONDS = 1;

    public Laying {
        blocks = BlockSpec.inOrder(blocks);
    }

    /** Each block not before the one before it is over, on whole seconds; what stands free stays where it is. */
    public Laying settled() {
        List<BlockSpec> next = new ArrayList<>();
        Instant free = Instant.MIN;
        for (BlockSpec s : blocks) {
            BlockSpec placed = s.start().isBefore(free) ? s.at(free) : s;
            next.add(placed);
            free = behind(placed);
        }
        return new Laying(next, timing);
    }

    private Instant behind(BlockSpec s) {
        return Block.onTheSecond(s.block(timing).end().plusSeconds(BEHIND_SECONDS));
    }

    /**
     * With one more where it is asked for: a pause divides the frames that run then; other blocks wait until those are over. What
     * follows is pushed.
     */
    public Laying with(BlockSpec added) {
        return running(added.start())
                .map(r ->
                        added.kind() == Block.Kind.PAUSE && divisible(r) ? divided(r, added) : and(added.at(behind(r))))
                .orElseGet(() -> and(added))
                .settled();
    }

    /** What runs at a moment. */
    private Optional<BlockSpec> running(Instant at) {
        return blocks.stream()
                .filter(s -> !s.start().isAfter(at) && s.block(timing).end().isAfter(at))
                .findFirst();
    }

    /** A bracket is of one piece, as one frame is. */
    private static boolean divisible(BlockSpec s) {
        return s.frames() > 1 && s.kind() != Block.Kind.BRACKET;
    }

    private Laying and(BlockSpec added) {
        List<BlockSpec> next = new ArrayList<>(blocks);
        next.add(added);
        return new Laying(next, timing);
    }

    /** The frames that are over by the pause's start come before it, the others after it. */
    private Laying divided(BlockSpec running, BlockSpec pause) {
        int before = running.taken(pause.start(), timing);
        List<BlockSpec> next = new ArrayList<>(blocks);
        next.remove(running);
        if (before == 0) {
            BlockSpec stop = pause.at(running.start());
            next.add(stop);
            next.add(running.at(behind(stop)));
            return new Laying(next, timing);
        }
        BlockSpec first = running.with(before);
        BlockSpec stop = pause.at(behind(first));
        next.add(first);
        next.add(stop);
        if (before < running.frames()) {
            next.add(running.with(running.frames() - before).at(behind(stop)).named(""));
        }
        return new Laying(next, timing);
    }

    /** With a block in the place of the one of the same identity; what follows is pushed. */
    public Laying changed(BlockSpec other) {
        return new Laying(
                        blocks.stream()
                                .map(s -> s.id().equals(other.id()) ? other : s)
                                .toList(),
                        timing)
                .settled();
    }

    /** Without the block of a name; as it is where there is none such. */
    public Laying without(String id) {
        return new Laying(blocks.stream().filter(s -> !s.id().equals(id)).toList(), timing);
    }

    /**
     * With a pause to change the battery in a little before it ends.
     *
     * @throws IllegalArgumentException where nothing is laid at that moment
     */
    Laying withChange(Instant empty) {
        BlockSpec holds = running(empty)
                .filter(s -> s.frames() > 1)
                .orElseThrow(
                        () -> new IllegalArgumentException("no laid block holds the moment at which the battery ends"));
        Instant wished = empty.minus(EARLY);
        Instant first = holds.block(timing).frames().get(0).close();
        return with(new BlockSpec(
                Block.Kind.PAUSE,
                wished.isBefore(first) ? first : wished,
                0,
                CHANGE_SECONDS,
                0,
                holds.fNumber(),
                holds.iso(),
                0));
    }

    /** A battery is changed a little before it ends, and that takes so long. */
    private static final Duration EARLY = Duration.ofMinutes(2);

    private static final double CHANGE_SECONDS = 120;

    /** All under an identity: what has none gets the next that no block has or had. @param fresh gives one that was never given */
    public Laying named(Supplier<String> fresh) {
        return new Laying(
                blocks.stream()
                        .map(s -> s.id().isEmpty() ? s.named(fresh.get()) : s)
                        .toList(),
                timing);
    }
}
