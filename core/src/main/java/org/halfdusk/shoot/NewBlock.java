package org.halfdusk.shoot;

import java.time.Instant;
import java.util.Optional;
import org.halfdusk.exposure.Ladder;
import org.halfdusk.exposure.Setting;
import org.halfdusk.sequence.Block;
import org.halfdusk.sequence.BlockSpec;
import org.halfdusk.sequence.Panorama;

/** A block as a person begins with it, set as the plan is set; all its figures are working figures† that are there to be changed. */
public enum NewBlock {
    STACK {
        @Override
        BlockSpec at(Instant start, Plan plan, RigChoices choices) {
            return of(Block.Kind.STACK, start, STACKED, STACK_GAP, plan.setting(), 0);
        }
    },
    TRAILS {
        @Override
        BlockSpec at(Instant start, Plan plan, RigChoices choices) {
            return of(Block.Kind.TRAILS, start, TRAIL_FRAMES, TRAIL_GAP, plan.setting(), 0);
        }
    },
    GROUND {
        @Override
        BlockSpec at(Instant start, Plan plan, RigChoices choices) {
            Setting ground = GroundFrames.of(plan, start).setting();
            return of(Block.Kind.GROUND, start, GroundFrames.FRAMES, GroundFrames.GAP_SECONDS, ground, 0);
        }
    },
    TIME_LAPSE {
        @Override
        BlockSpec at(Instant start, Plan plan, RigChoices choices) {
            return of(Block.Kind.TIME_LAPSE, start, LAPSE_FRAMES, LAPSE_GAP, plan.setting(), 0);
        }
    },
    BRACKET {
        @Override
        BlockSpec at(Instant start, Plan plan, RigChoices choices) {
            Ladder ladder = choices.bracket().orElse(Ladder.USUAL);
            return of(Block.Kind.BRACKET, start, ladder.count(), BRACKET_GAP, plan.setting(), ladder.thirds());
        }
    },
    DARK_FRAME {
        @Override
        BlockSpec at(Instant start, Plan plan, RigChoices choices) {
            return of(Block.Kind.DARK_FRAME, start, 1, STACK_GAP, plan.setting(), 0);
        }
    },
    PAUSE {
        @Override
        BlockSpec at(Instant start, Plan plan, RigChoices choices) {
            Setting s = plan.setting();
            return new BlockSpec(Block.Kind.PAUSE, start, 0, PAUSE_SECONDS, 0, s.fNumber(), s.iso(), 0);
        }
    },
    PANORAMA {
        @Override
        BlockSpec at(Instant start, Plan plan, RigChoices choices) {
            Panorama.Wish wish = choices.panorama()
                    .orElseThrow(
                            () -> new IllegalArgumentException("a panorama has no tiles yet; lay them on Frame first"));
            int tiles = Panorama.of(
                            wish,
                            plan.rig(),
                            plan.framing().upright(),
                            plan.framing().altitude().degrees())
                    .tiles()
                    .size();
            return of(Block.Kind.PANORAMA, start, tiles, Panorama.TURNING_SECONDS, plan.setting(), 0);
        }
    };

    private static final int STACKED = 16;
    private static final double STACK_GAP = 2;
    private static final int TRAIL_FRAMES = 60;
    private static final double TRAIL_GAP = 1;
    private static final int LAPSE_FRAMES = 300;
    private static final double LAPSE_GAP = 5;
    private static final double BRACKET_GAP = 1;
    private static final double PAUSE_SECONDS = 300;

    /**
     * @param start of it
     * @throws IllegalArgumentException where something has to be chosen for it first, saying what
     */
    abstract BlockSpec at(Instant start, Plan plan, RigChoices choices);

    /** The same, made for what the plan gives. */
    public BlockSpec laid(Instant start, Plan plan, RigChoices choices) {
        BlockSpec spec = at(Block.onTheSecond(start), plan, choices);
        return given(plan, spec).map(spec::madeFor).orElse(spec);
    }

    /** What a plan gives a block of its kind and time: ground its own exposure, a pause none. */
    static Optional<BlockSpec.Made> given(Plan plan, BlockSpec spec) {
        return switch (spec.kind()) {
            case PAUSE -> Optional.empty();
            case GROUND ->
                Optional.of(
                        BlockSpec.Made.of(GroundFrames.of(plan, spec.start()).setting()));
            default -> Optional.of(BlockSpec.Made.of(plan.setting()));
        };
    }

    private static BlockSpec of(Block.Kind kind, Instant start, int frames, double gapSeconds, Setting s, int thirds) {
        return new BlockSpec(
                kind, start, frames, s.shutter().nominalSeconds(), gapSeconds, s.fNumber(), s.iso(), thirds);
    }
}
