package org.halfdusk.shoot.programme;

import java.time.Instant;
import java.util.Optional;
import org.halfdusk.exposure.Ladder;
import org.halfdusk.exposure.Setting;
import org.halfdusk.exposure.ShutterTime;
import org.halfdusk.optics.Rig;
import org.halfdusk.photometry.FNumber;
import org.halfdusk.sequence.Block;
import org.halfdusk.sequence.BlockSpec;
import org.halfdusk.sequence.Panorama;
import org.halfdusk.shoot.Plan;
import org.halfdusk.shoot.choices.RigChoices;
import org.halfdusk.shoot.setting.ExposurePlan;

/** A block as a person begins with it, set as the plan is set; all its figures are working figures† that are there to be changed. */
public enum NewBlock {
    STACK(Block.Kind.STACK, 16, 2),
    TRAILS(Block.Kind.TRAILS, 60, 1),
    GROUND(Block.Kind.GROUND, GroundFrames.FRAMES, GroundFrames.GAP_SECONDS) {
        @Override
        BlockSpec at(Instant start, Plan plan, RigChoices choices) {
            return of(start, frames(), GroundFrames.of(plan, start).setting(), 0);
        }
    },
    PEOPLE(Block.Kind.PEOPLE, 5, 2),
    HEADLIGHTS(Block.Kind.HEADLIGHTS, 8, 1) {
        @Override
        BlockSpec at(Instant start, Plan plan, RigChoices choices) {
            return of(start, frames(), headlights(plan), 0);
        }
    },
    TIME_LAPSE(Block.Kind.TIME_LAPSE, 300, 5),
    BRACKET(Block.Kind.BRACKET, Ladder.USUAL.count(), 1) {
        @Override
        BlockSpec at(Instant start, Plan plan, RigChoices choices) {
            Ladder ladder = choices.bracket().orElse(Ladder.USUAL);
            return of(start, ladder.count(), plan.setting(), ladder.thirds());
        }
    },
    DARK_FRAME(Block.Kind.DARK_FRAME, 1, 2),
    PAUSE(Block.Kind.PAUSE, 0, 0) {
        @Override
        BlockSpec at(Instant start, Plan plan, RigChoices choices) {
            Setting s = plan.setting();
            return new BlockSpec(Block.Kind.PAUSE, start, 0, PAUSE_SECONDS, 0, s.fNumber(), s.iso(), 0);
        }
    },
    PANORAMA(Block.Kind.PANORAMA, 1, Panorama.TURNING_SECONDS) {
        @Override
        BlockSpec at(Instant start, Plan plan, RigChoices choices) {
            Panorama.Wish wish = choices.panorama()
                    .orElseThrow(
                            () -> new IllegalArgumentException("a panorama has no tiles yet; lay them on Frame first"));
            int tiles = Programme.panorama(plan, wish).tiles().size();
            return of(start, tiles, plan.setting(), 0);
        }
    };

    /** Long enough for a car to cross the frame, at an aperture that keeps its lamps' colour†. */
    private static final double CAR_SECONDS = 20;

    private static final FNumber CAR_APERTURE = new FNumber(8);

    private static Setting headlights(Plan plan) {
        Rig rig = plan.rig();
        return new Setting(
                ShutterTime.nearest(CAR_SECONDS, ExposurePlan.times(rig)),
                CAR_APERTURE.atLeast(rig.widestAperture()).nearest(rig.apertures()),
                rig.camera().isos().get(0),
                plan.setting().kelvin());
    }

    private static final double PAUSE_SECONDS = 300;

    private final Block.Kind kind;
    private final int frames;
    private final double gapSeconds;

    /** @param frames of it, where nothing that is chosen says otherwise */
    NewBlock(Block.Kind kind, int frames, double gapSeconds) {
        this.kind = kind;
        this.frames = frames;
        this.gapSeconds = gapSeconds;
    }

    int frames() {
        return frames;
    }

    /**
     * @param start of it
     * @throws IllegalArgumentException where something has to be chosen for it first, saying what
     */
    BlockSpec at(Instant start, Plan plan, RigChoices choices) {
        return of(start, frames, plan.setting(), 0);
    }

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
            case HEADLIGHTS -> Optional.of(BlockSpec.Made.of(headlights(plan)));
            default -> Optional.of(BlockSpec.Made.of(plan.setting()));
        };
    }

    BlockSpec of(Instant start, int count, Setting s, int thirds) {
        return new BlockSpec(
                kind, start, count, s.shutter().nominalSeconds(), gapSeconds, s.fNumber(), s.iso(), thirds);
    }
}
