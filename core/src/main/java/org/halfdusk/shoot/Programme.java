package org.halfdusk.shoot;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.halfdusk.exposure.IsoSchool;
import org.halfdusk.exposure.ShutterTime;
import org.halfdusk.sequence.Block;
import org.halfdusk.sequence.BlockSpec;
import org.halfdusk.sequence.FrameRun;
import org.halfdusk.sequence.RunSimulation;

/**
 * The frames of one rig's night: those that the plan computes, or those that a person has laid. Subjects whose frames follow
 * from the sky's own times (eclipses, the moon, fireworks) keep their computed blocks, and a person's come beside them.
 */
public final class Programme {
    /** A battery is changed a little before it ends. */
    private static final Duration EARLY = Duration.ofMinutes(2);

    private static final double CHANGE_SECONDS = 120;

    private Programme() {}

    /** Whether laid blocks take the place of the computed ones. */
    public static boolean replaces(Plan plan) {
        return plan.traits().replaceable();
    }

    /** All blocks in order of time. */
    public static List<Block> blocks(Plan plan, RigChoices choices) {
        List<BlockSpec> own = choices.blocks();
        if (own.isEmpty()) {
            return plan.blocks();
        }
        List<ShutterTime> times = ExposurePlan.times(plan.rig());
        List<Block> blocks = new ArrayList<>(replaces(plan) ? List.of() : plan.blocks());
        double place = IsoSchool.LIFT_AT_CAMERA.histogramPosition();
        own.forEach(s -> blocks.add(followsLight(s) ? ramp(plan, s, times, place) : s.block(times)));
        blocks.sort(Comparator.comparing(Block::start).thenComparing(Block::end));
        return blocks;
    }

    /** Whether a time lapse's exposure follows the light. */
    public static boolean followsLight(BlockSpec s) {
        return s.kind() == Block.Kind.TIME_LAPSE && s.thirds() > 0;
    }

    private static Block ramp(Plan plan, BlockSpec s, List<ShutterTime> times, double histogramPosition) {
        Block even = s.block(times);
        ShutterTime longest = even.frames().get(0).shutter();
        return Block.of(
                s.kind(),
                Ramp.frames(
                        plan,
                        s.start(),
                        s.frames(),
                        longest,
                        new FrameRun(longest, s.gapSeconds(), s.frames()).intervalSeconds(),
                        s.fNumber(),
                        s.iso(),
                        histogramPosition));
    }

    /** So many times a battery is changed in a night at the most. */
    private static final int MOST_CHANGES = 12;

    /**
     * What is laid, with a pause wherever a battery ends: one change after another.
     *
     * @throws IllegalArgumentException where a battery ends in no laid block
     */
    public static List<BlockSpec> withChanges(Plan plan, RigChoices choices, Air air) {
        List<ShutterTime> times = ExposurePlan.times(plan.rig());
        List<BlockSpec> laid = laid(plan, choices);
        for (int changes = 0; changes < MOST_CHANGES; changes++) {
            RigChoices now = choices.laying(laid);
            Optional<Instant> empty =
                    simulated(plan, blocks(plan, now), now, air).emptyAt();
            if (empty.isEmpty()) {
                break;
            }
            laid = withChange(laid, empty.get(), times);
        }
        return laid;
    }

    /** What becomes of some blocks on the camera. */
    public static RunSimulation simulated(Plan plan, List<Block> blocks, RigChoices choices, Air air) {
        return RunSimulation.of(
                blocks,
                plan.rig().camera(),
                choices.recording().jpeg(),
                choices.recording().noiseReduction(),
                air.celsius());
    }

    /**
     * The same blocks with a pause to change the battery in before a moment: the block that holds it is divided between two of
     * its frames, and what follows in it begins after the pause.
     *
     * @throws IllegalArgumentException where no laid block holds the moment
     */
    public static List<BlockSpec> withChange(List<BlockSpec> laid, Instant empty, List<ShutterTime> times) {
        List<BlockSpec> next = new ArrayList<>();
        boolean done = false;
        for (BlockSpec s : laid) {
            Block b = s.block(times);
            boolean holds = !done
                    && s.frames() > 1
                    && !b.start().isAfter(empty)
                    && b.end().isAfter(empty);
            if (!holds) {
                next.add(s);
                continue;
            }
            Instant latest = empty.minus(EARLY);
            int before = (int) Math.max(
                    1,
                    b.frames().stream().filter(f -> f.close().isBefore(latest)).count());
            BlockSpec first = s.with(before);
            Instant pause = first.block(times).end().plusSeconds(1);
            next.add(first);
            next.add(new BlockSpec(Block.Kind.PAUSE, pause, 0, CHANGE_SECONDS, 0, s.fNumber(), s.iso(), 0));
            if (s.frames() > before) {
                next.add(s.with(s.frames() - before).at(pause.plusSeconds((long) CHANGE_SECONDS + 1)));
            }
            done = true;
        }
        if (!done) {
            throw new IllegalArgumentException("no laid block holds the moment at which the battery ends");
        }
        return next;
    }

    /** What a person can lay otherwise: their own blocks, or the computed ones where they may be replaced. */
    public static List<BlockSpec> laid(Plan plan, RigChoices choices) {
        List<BlockSpec> own = choices.blocks();
        return own.isEmpty() && replaces(plan)
                ? plan.blocks().stream().map(BlockSpec::of).toList()
                : own;
    }
}
