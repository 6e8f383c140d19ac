package org.halfdusk.web.sequence.block;

import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import org.halfdusk.sequence.Block;
import org.halfdusk.sequence.Frame;
import org.halfdusk.sequence.Timer;
import org.halfdusk.shoot.Plan;
import org.halfdusk.shoot.choices.RigChoices;
import org.halfdusk.shoot.programme.Laying;
import org.halfdusk.shoot.programme.Programme;
import org.halfdusk.web.layout.FormErrors;
import org.halfdusk.web.layout.words.Times;
import org.halfdusk.web.layout.words.Words;
import org.halfdusk.web.shoot.ShootDesk;
import org.halfdusk.web.subject.words.BlockWords;

/**
 * A block of a programme as the Sequence step lists it, with the form that changes it.
 *
 * @param tone stop for filter steps
 * @param rows its first frames
 * @param id for life
 * @param timer what an intervalometer is set to, in words
 * @param edit how it can be laid otherwise; NONE where it is computed
 */
public record BlockPart(
        String id,
        String name,
        String from,
        String to,
        String count,
        String settings,
        String tone,
        FrameRows rows,
        TimerWords.Dial dial,
        String timer,
        boolean editable,
        boolean open,
        BlockForm edit,
        ScriptPart script) {
    /** The blocks in order. @param numbers of those that were laid, negative for computed ones @param chosen the one at the moment shown @param over of each block, see {@link #over} */
    public static List<BlockPart> of(
            ShootDesk.Open open,
            Laying laid,
            List<Integer> numbers,
            int chosen,
            Set<Instant> dropped,
            List<List<OptionalDouble>> over,
            FormErrors errors) {
        Plan plan = open.plan();
        RigChoices choices = open.shoot().it().rig().choices();
        ZoneId zone = plan.place().zone();
        List<BlockPart> parts = new ArrayList<>();
        for (int i = 0; i < numbers.size(); i++) {
            int n = numbers.get(i);
            Programme.Planned planned = open.programme().planned().get(i);
            Block block = planned.block();
            BlockForm edit = n < 0
                    ? BlockForm.NONE
                    : BlockForm.of(n, laid.blocks().get(n), BlockForm.other(planned, plan), zone, errors);
            boolean first = parts.stream()
                    .noneMatch(p -> p.script().kind().equals(block.kind().name()));
            ScriptPart script =
                    n < 0 ? ScriptPart.of(planned.id(), block, first, choices, zone, errors) : ScriptPart.NONE;
            boolean shown = i == chosen || !script.error().isEmpty();
            parts.add(
                    part(planned, open, edit, script, shown, FrameRows.of(block, open, dropped, over.get(i)::get, 1)));
        }
        return parts;
    }

    private static BlockPart part(
            Programme.Planned planned,
            ShootDesk.Open open,
            BlockForm edit,
            ScriptPart script,
            boolean chosen,
            FrameRows rows) {
        ZoneId zone = open.plan().place().zone();
        Block b = planned.block();
        Optional<Timer> timer = planned.timer(open.plan());
        List<Frame> frames = b.frames();
        boolean filter = b.kind() == Block.Kind.FILTER_OFF || b.kind() == Block.Kind.FILTER_ON;
        return new BlockPart(
                planned.id(),
                BlockWords.name(b.kind()),
                Times.clockSeconds(b.start(), zone),
                b.end().equals(b.start()) ? "" : Times.clockSeconds(b.end(), zone),
                frames.isEmpty() ? "" : Words.count(frames.size(), "frame"),
                BlockWords.settings(frames),
                filter ? "stop" : "",
                rows,
                timer.map(t -> TimerWords.Dial.of(b, t, zone)).orElse(TimerWords.Dial.NONE),
                timer.map(t -> TimerWords.of(b, t)).orElse(""),
                edit.number() >= 0,
                chosen,
                edit,
                script);
    }

    /** How far each frame of a block is over what keeps it sharp. */
    public static List<OptionalDouble> over(Block block, Plan plan) {
        return block.frames().stream()
                .map(f -> Programme.overLimit(block, f, plan))
                .toList();
    }
}
