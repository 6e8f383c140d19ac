package org.halfdusk.web.sequence;

import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Stream;
import org.halfdusk.sequence.Block;
import org.halfdusk.sequence.BlockSpec;
import org.halfdusk.sequence.camera.RunSimulation;
import org.halfdusk.shoot.Plan;
import org.halfdusk.shoot.choices.RigChoices;
import org.halfdusk.shoot.choices.ShootField;
import org.halfdusk.shoot.programme.Laying;
import org.halfdusk.shoot.programme.NewBlock;
import org.halfdusk.shoot.programme.Programme;
import org.halfdusk.shoot.programme.check.ProgrammeCheck;
import org.halfdusk.web.layout.FormErrors;
import org.halfdusk.web.layout.drawing.Theme;
import org.halfdusk.web.layout.words.Words;
import org.halfdusk.web.sequence.block.BlockPart;
import org.halfdusk.web.sequence.drawing.Timeline;
import org.halfdusk.web.shoot.ShootDesk;
import org.halfdusk.web.shoot.edit.WishForm;
import org.halfdusk.web.subject.SequenceStep;
import org.halfdusk.web.subject.words.BlockWords;

/**
 * The Sequence step: the programme as a list of blocks, each with its frames.
 *
 * @param laid whether a person has laid blocks
 * @param replaces whether laid blocks stand in the computed ones' place
 * @param error of the last form
 * @param ring whether only a hand sets the aperture: then no frame has its own
 */
public record SequencePage(
        SequenceStep step,
        WishForm wishes,
        List<BlockPart> blocks,
        int frames,
        boolean laid,
        boolean replaces,
        String error,
        Timeline timeline,
        List<String> checks,
        List<FocusAnew> refocus,
        BudgetPart budget,
        List<Add> adds,
        List<Copy> copies,
        boolean ring,
        String celsiusError) {
    /** A block that can be added. */
    record Add(String action, String words) {}

    /** Another rig of the shoot that the blocks can be copied to. @param to counted from one */
    record Copy(String to, String name) {}

    static SequencePage of(ShootDesk.Open open, ShootDesk desk, FormErrors errors, Theme theme) {
        Plan plan = open.plan();
        RigChoices choices = open.shoot().it().rig().choices();
        List<Block> blocks = open.blocks();
        Laying laid = Programme.laid(plan, choices);
        ZoneId zone = plan.place().zone();
        List<Integer> numbers = numbers(open.programme(), laid);
        List<ProgrammeCheck> found = ProgrammeCheck.of(plan, blocks);
        int chosen = chosen(blocks, open.at());
        RunSimulation run = open.simulated();
        Set<Instant> dropped = run.droppedAt();
        List<ShootDesk.Open> rigs = desk.all(open);
        List<List<OptionalDouble>> over =
                blocks.stream().map(b -> BlockPart.over(b, plan)).toList();
        List<BlockPart> parts = BlockPart.of(open, laid, numbers, chosen, dropped, over, errors);
        return new SequencePage(
                SequenceAnswer.taken(SequenceAnswer.of(open, blocks, zone), blocks, run.taken(), dropped),
                WishForm.of(open.shoot().it(), errors),
                parts,
                Block.frames(blocks),
                open.laid(),
                Programme.replaces(plan),
                error(errors, parts),
                timeline(open, rigs, run, numbers, found, theme),
                SequenceChecks.checks(open, rigs, found, over, zone),
                FocusAnew.of(open, rigs),
                BudgetPart.of(
                        open,
                        run,
                        errors.of("CELSIUS").isEmpty() ? RigChoices.CELSIUS.text(choices) : errors.text("CELSIUS")),
                adds(choices),
                copies(open, rigs),
                !plan.rig().lens().electronicAperture(),
                errors.of("CELSIUS"));
    }

    /** What is wrong and stands by no block of its own. */
    private static String error(FormErrors errors, List<BlockPart> parts) {
        boolean said = parts.stream().anyMatch(p -> !p.script().error().isEmpty());
        return Stream.of(ShootField.BLOCKS, ShootField.PHASES, ShootField.ROWS)
                .map(f -> errors.of(f.name()))
                .filter(e -> !e.isEmpty() && !said)
                .findFirst()
                .orElse("");
    }

    /** The panorama where its tiles are laid. */
    private static List<Add> adds(RigChoices choices) {
        return Arrays.stream(NewBlock.values())
                .filter(b -> b != NewBlock.PANORAMA || choices.panorama().isPresent())
                .map(b -> new Add(b.name(), BlockWords.added(b)))
                .toList();
    }

    private static List<Copy> copies(ShootDesk.Open open, List<ShootDesk.Open> rigs) {
        return rigs.stream()
                .filter(r -> r.rig() != open.rig())
                .map(r -> new Copy(Integer.toString(r.rig() + 1), name(r.plan())))
                .toList();
    }

    /** The block that is told in full: what runs at the playhead, else the first with frames. */
    static int chosen(List<Block> blocks, Instant at) {
        int first = -1;
        for (int i = 0; i < blocks.size(); i++) {
            Block b = blocks.get(i);
            boolean frames = !b.frames().isEmpty();
            if (frames && !b.start().isAfter(at) && b.end().isAfter(at)) {
                return i;
            }
            first = first < 0 && frames ? i : first;
        }
        return first;
    }

    /** For each block its place among the laid ones, −1 for a computed one that stays. */
    static List<Integer> numbers(Programme programme, Laying laid) {
        List<String> ids = laid.blocks().stream().map(BlockSpec::id).toList();
        return programme.planned().stream().map(p -> ids.indexOf(p.id())).toList();
    }

    private static Timeline timeline(
            ShootDesk.Open open,
            List<ShootDesk.Open> rigs,
            RunSimulation run,
            List<Integer> numbers,
            List<ProgrammeCheck> found,
            Theme theme) {
        List<Timeline.Rig> lanes = new ArrayList<>();
        for (ShootDesk.Open one : rigs) {
            boolean current = one.rig() == open.rig();
            List<Integer> wrong = !current
                    ? List.of()
                    : found.stream()
                            .filter(c -> c.what() == ProgrammeCheck.What.CLASH)
                            .map(ProgrammeCheck::block)
                            .toList();
            lanes.add(new Timeline.Rig(
                    one.plan(),
                    current,
                    one.blocks(),
                    current ? numbers : one.blocks().stream().map(b -> -1).toList(),
                    wrong,
                    current ? run : one.simulated(),
                    one.shoot().it().rig().choices().recording().outsidePower()));
        }
        return Timeline.of(lanes, open.plan(), open.at(), theme);
    }

    /** A rig by its kit. */
    public static String name(Plan plan) {
        return Words.rig(plan.rig());
    }
}
