package org.halfdusk.shoot;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import org.halfdusk.exposure.ShutterTime;
import org.halfdusk.sequence.Block;
import org.halfdusk.sequence.BlockSpec;
import org.halfdusk.shoot.milkyway.MilkyWayPlan;
import org.halfdusk.shoot.trails.TrailsPlan;

/**
 * The frames of one rig's night: those that the plan computes, or those that a person has laid. Subjects whose frames follow
 * from the sky's own times (eclipses, the moon, fireworks) keep their computed blocks, and a person's come beside them.
 */
public final class Programme {
    private Programme() {}

    /** Whether laid blocks take the place of the computed ones. */
    public static boolean replaces(Plan plan) {
        return plan instanceof MilkyWayPlan || plan instanceof TrailsPlan;
    }

    /** All blocks in order of time. */
    public static List<Block> blocks(Plan plan, RigChoices choices) {
        List<BlockSpec> own = BlockSpec.parse(choices.of(ShootField.BLOCKS));
        if (own.isEmpty()) {
            return plan.blocks();
        }
        List<ShutterTime> times = ExposurePlan.times(plan.rig());
        List<Block> blocks = new ArrayList<>(replaces(plan) ? List.of() : plan.blocks());
        own.forEach(s -> blocks.add(s.block(times)));
        blocks.sort(Comparator.comparing(Block::start).thenComparing(Block::end));
        return blocks;
    }

    /** What a person can lay otherwise: their own blocks, or the computed ones where they may be replaced. */
    public static List<BlockSpec> laid(Plan plan, RigChoices choices) {
        List<BlockSpec> own = BlockSpec.parse(choices.of(ShootField.BLOCKS));
        return own.isEmpty() && replaces(plan)
                ? plan.blocks().stream().map(BlockSpec::of).toList()
                : own;
    }
}
