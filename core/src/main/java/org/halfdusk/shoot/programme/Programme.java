package org.halfdusk.shoot.programme;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.IntStream;
import org.halfdusk.exposure.IsoSchool;
import org.halfdusk.exposure.ShutterTime;
import org.halfdusk.sequence.Block;
import org.halfdusk.sequence.BlockSpec;
import org.halfdusk.sequence.Frame;
import org.halfdusk.sequence.Panorama;
import org.halfdusk.sequence.Phases;
import org.halfdusk.sequence.ScriptRow;
import org.halfdusk.sequence.Timer;
import org.halfdusk.sequence.Timing;
import org.halfdusk.sequence.camera.RunSimulation;
import org.halfdusk.shoot.Plan;
import org.halfdusk.shoot.choices.RigChoices;
import org.halfdusk.shoot.packing.Air;
import org.halfdusk.shoot.setting.ExposurePlan;
import org.halfdusk.time.Interval;

/**
 * One rig's night, in order of time: blocks that the plan computes, or that a person has laid. Everything that is shown, typed into a
 * timer, exported or reckoned of it derives from this. Subjects whose frames follow from the sky's own times (eclipses, the moon,
 * fireworks) keep their computed blocks, and a person's come beside them.
 *
 * @param turns of the camera after a disc that drifts, in order of time; no frame is open meanwhile
 * @param leftOut rows of a person's that the script has no place for as the plan is now
 */
public record Programme(List<Planned> planned, List<ScriptRow> leftOut, List<Turn> turns) {
    /**
     * A block with its identity for life.
     *
     * @param id a computed block is the how manieth of its kind ("stack-1"); laid by hand it keeps that, or has one of its own
     * @param laid as the person laid it; nothing where it is computed
     * @param jpeg whether a JPEG is written beside the raw file
     */
    public record Planned(String id, Block block, Optional<BlockSpec> laid, boolean jpeg) {
        /** What is typed into a rig's timer for it; nothing where that does not do it. */
        public Optional<Timer> timer(Plan plan) {
            return Timer.of(block, plan.rig().camera().shutter().timer());
        }

        /**
         * Where the plan has another setting by now than the one it was laid for, and it is set otherwise: what the plan says now.
         */
        public Optional<BlockSpec.Made> madeForOther(Plan plan) {
            return laid.flatMap(s -> NewBlock.given(plan, s)
                    .filter(now -> s.made().isPresent()
                            && !s.as(now)
                            && !s.made().get().equals(now)));
        }
    }

    public Programme {
        planned = List.copyOf(planned);
        leftOut = List.copyOf(leftOut);
        turns = List.copyOf(turns);
    }

    /**
     * The frames of a plan: computed, changed by the choices, or the photographer's own blocks alone where they take the plan's
     * place.
     */
    public static Programme of(Plan plan, RigChoices choices) {
        List<BlockSpec> own = choices.blocks();
        List<Planned> all = new ArrayList<>();
        List<ScriptRow> leftOut = List.of();
        List<Turn> turned = List.of();
        if (own.isEmpty() || !replaces(plan)) {
            Script script = computed(plan, choices);
            Turns turns = Turns.of(script.blocks(), replaces(plan) ? Optional.empty() : plan.recentring());
            leftOut = script.leftOut();
            turned = turns.turns();
            Phases phases = plan.wishes().phases();
            turns.blocks()
                    .forEach(n -> all.add(new Planned(
                            n.id(),
                            n.block(),
                            Optional.empty(),
                            phases.jpeg(n.block().kind()))));
        }
        Timing timing = timing(plan);
        for (BlockSpec s : own) {
            Block block = followsLight(s) ? ramp(plan, s, timing) : s.block(timing);
            all.add(new Planned(
                    s.id(),
                    block,
                    Optional.of(s),
                    s.how().jpeg().orElse(choices.recording().jpeg())));
        }
        all.sort(Comparator.comparing((Planned p) -> p.block().start())
                .thenComparing(p -> p.block().end()));
        return new Programme(all, leftOut, turned);
    }

    /** The plan's own blocks, each under its identity, with the rows that a person has changed. */
    private static Script computed(Plan plan, RigChoices choices) {
        return Script.of(
                plan.blocks(),
                replaces(plan) ? List.of() : choices.script().rows(),
                timing(plan).times());
    }

    /** A wished panorama with the plan's rig as it is aimed. */
    public static Panorama panorama(Plan plan, Panorama.Wish wish) {
        return Panorama.of(
                wish,
                plan.rig(),
                plan.framing().upright(),
                plan.framing().altitude().degrees());
    }

    /**
     * Where each frame of a block is aimed, where it is a panorama's; none where the camera stays, or
     * tiles were wished otherwise since; of a tile that is a bracket, once for each of its frames.
     */
    public static List<Panorama.Tile> tiles(Block block, Plan plan, RigChoices choices) {
        if (block.kind() != Block.Kind.PANORAMA || choices.panorama().isEmpty()) {
            return List.of();
        }
        List<Panorama.Tile> tiles =
                panorama(plan, choices.panorama().orElseThrow()).tiles();
        int frames = block.frames().size();
        int each = frames / tiles.size();
        return each * tiles.size() == frames
                ? IntStream.range(0, frames).mapToObj(i -> tiles.get(i / each)).toList()
                : List.of();
    }

    /** What a frame of a block moves, px, where that is over the plan's limit; frames within a hundredth of it are not. */
    public static OptionalDouble overLimit(Block block, Frame frame, Plan plan) {
        OptionalDouble px = block.kind().sharp() ? plan.motionPx(frame) : OptionalDouble.empty();
        return px.isPresent() && px.getAsDouble() > plan.mostMotionPx() * (1 + ShutterTime.FORGIVEN)
                ? px
                : OptionalDouble.empty();
    }

    /** By how much the camera is turned before a frame, degrees: what was not done before the one before it. */
    public OptionalDouble turnBefore(Frame frame, Optional<Frame> before) {
        double degrees = turns.stream()
                .filter(t -> !t.until().isAfter(frame.open()))
                .filter(t -> before.isEmpty() || !t.at().isBefore(before.get().close()))
                .mapToDouble(Turn::degrees)
                .sum();
        return degrees > 0 ? OptionalDouble.of(degrees) : OptionalDouble.empty();
    }

    /** The blocks alone. */
    public List<Block> blocks() {
        return planned.stream().map(Planned::block).toList();
    }

    /** Whether laid blocks take the place of the computed ones. */
    public static boolean replaces(Plan plan) {
        return plan.traits().replaceable();
    }

    /** Whether a time lapse's exposure follows the light. */
    public static boolean followsLight(BlockSpec s) {
        return s.kind() == Block.Kind.TIME_LAPSE && s.thirds() > 0;
    }

    private static Block ramp(Plan plan, BlockSpec s, Timing timing) {
        Block even = s.block(timing);
        ShutterTime longest = even.frames().get(0).shutter();
        return Block.of(
                s.kind(),
                Ramp.frames(
                        plan,
                        s.start(),
                        s.frames(),
                        longest,
                        timing.timer().intervalSeconds(longest.realSeconds(), s.gapSeconds()),
                        s.fNumber(),
                        s.iso(),
                        IsoSchool.LIFT_AT_CAMERA.histogramPosition()));
    }

    /** What a person can lay otherwise: their own blocks, or the computed ones where they may be replaced, as they stand. */
    public static Laying laid(Plan plan, RigChoices choices) {
        List<BlockSpec> own = choices.blocks();
        List<BlockSpec> blocks = own.isEmpty() && replaces(plan)
                ? computed(plan, choices).blocks().stream()
                        .map(p -> BlockSpec.of(p.block()).named(p.id()))
                        .map(s -> NewBlock.given(plan, s).map(s::madeFor).orElse(s))
                        .toList()
                : own;
        return new Laying(blocks, timing(plan));
    }

    /** What times a plan's rig can be told. */
    public static Timing timing(Plan plan) {
        return new Timing(
                ExposurePlan.times(plan.rig()), plan.rig().camera().shutter().timer(), plan::bracket);
    }

    /**
     * What is laid on one rig, as it would be laid on another: the same starts and lengths, set as the other rig's plan gives, by
     * what that rig's shutter and timer can do.
     */
    public static Laying copied(Plan from, RigChoices choices, Plan to) {
        Timing theirs = timing(to);
        Laying own = laid(from, choices);
        List<BlockSpec> blocks = own.blocks().stream()
                .map(s -> copied(s, s.block(own.timing()), to, theirs))
                .toList();
        return new Laying(blocks, theirs).settled();
    }

    private static BlockSpec copied(BlockSpec s, Block before, Plan to, Timing theirs) {
        BlockSpec set = NewBlock.given(to, s).map(s::taking).orElse(s);
        boolean ofOnePiece = s.frames() < 2 || s.kind() == Block.Kind.BRACKET || s.kind() == Block.Kind.PANORAMA;
        double seconds = Duration.between(before.start(), before.end()).toMillis() / 1000.0;
        return ofOnePiece ? set : set.lasting(seconds, theirs);
    }

    /** So many times a battery is changed in a night at the most. */
    private static final int MOST_CHANGES = 12;

    /**
     * What is laid, with a pause wherever a battery ends: one change after another.
     *
     * @throws IllegalArgumentException where a battery ends in no laid block
     */
    public static Laying withChanges(Plan plan, RigChoices choices, Air air) {
        Laying laid = laid(plan, choices);
        for (int changes = 0; changes < MOST_CHANGES; changes++) {
            RigChoices now = choices.laying(laid.blocks());
            Optional<Instant> empty = of(plan, now).simulated(plan, now, air).emptyAt();
            if (empty.isEmpty()) {
                break;
            }
            laid = laid.withChange(empty.get());
        }
        return laid;
    }

    /** What becomes of it on the camera: the one simulation of card, battery and buffer. */
    public RunSimulation simulated(Plan plan, RigChoices choices, Air air) {
        return RunSimulation.of(
                planned.stream()
                        .map(p -> new RunSimulation.Recorded(p.block(), p.jpeg()))
                        .toList(),
                plan.rig(),
                choices.recording().noiseReduction(),
                choices.recording().outsidePower(),
                air.celsius());
    }

    /** The first span in which frames of both are taken; nothing where one is over before the other begins. */
    public static Optional<Interval> overlap(List<Block> one, List<Block> other) {
        return one.stream()
                .filter(b -> !b.frames().isEmpty())
                .flatMap(b -> other.stream()
                        .filter(o -> !o.frames().isEmpty())
                        .flatMap(o ->
                                Interval.of(b.start(), b.end()).intersect(Interval.of(o.start(), o.end())).stream()))
                .min(Comparator.comparing(Interval::start));
    }
}
