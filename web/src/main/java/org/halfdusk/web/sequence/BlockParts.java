package org.halfdusk.web.sequence;

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
import org.halfdusk.web.layout.words.Words;
import org.halfdusk.web.shoot.ShootDesk;
import org.halfdusk.web.subject.words.BlockWords;

/** The blocks of a programme as the Sequence step lists them, each with the form that changes it. */
final class BlockParts {
    private BlockParts() {}

    /** The blocks in order. @param numbers of those that were laid, negative for computed ones @param chosen the one at the moment shown */
    static List<SequencePage.Part> parts(
            ShootDesk.Open open,
            Laying laid,
            List<Integer> numbers,
            int chosen,
            Set<Instant> dropped,
            FormErrors errors) {
        Plan plan = open.plan();
        RigChoices choices = open.shoot().it().rig().choices();
        ZoneId zone = plan.place().zone();
        List<SequencePage.Part> parts = new ArrayList<>();
        for (int i = 0; i < numbers.size(); i++) {
            int n = numbers.get(i);
            Programme.Planned planned = open.programme().planned().get(i);
            Block block = planned.block();
            SequencePage.Edit edit = n < 0
                    ? SequencePage.Edit.NONE
                    : SequencePage.edit(n, laid.blocks().get(n), SequencePage.other(planned, plan), zone, errors);
            List<OptionalDouble> over = SequencePage.over(block, plan);
            boolean first = parts.stream()
                    .noneMatch(p -> p.script().kind().equals(block.kind().name()));
            ScriptPart script =
                    n < 0 ? ScriptPart.of(planned.id(), block, first, choices, zone, errors) : ScriptPart.NONE;
            boolean shown = i == chosen || !script.error().isEmpty();
            parts.add(part(planned, open, edit, script, shown, FrameRows.of(block, open, dropped, over::get, 1)));
        }
        return parts;
    }

    private static SequencePage.Part part(
            Programme.Planned planned,
            ShootDesk.Open open,
            SequencePage.Edit edit,
            ScriptPart script,
            boolean chosen,
            FrameRows rows) {
        ZoneId zone = open.plan().place().zone();
        Block b = planned.block();
        Optional<Timer> timer = planned.timer(open.plan());
        List<Frame> frames = b.frames();
        boolean filter = b.kind() == Block.Kind.FILTER_OFF || b.kind() == Block.Kind.FILTER_ON;
        return new SequencePage.Part(
                planned.id(),
                BlockWords.name(b.kind()),
                Words.clockSeconds(b.start(), zone),
                b.end().equals(b.start()) ? "" : Words.clockSeconds(b.end(), zone),
                frames.isEmpty() ? "" : Words.count(frames.size(), "frame"),
                SequencePage.settings(frames),
                filter ? "stop" : "",
                rows,
                timer.map(t -> SequencePage.Dial.of(b, t, zone)).orElse(SequencePage.Dial.NONE),
                timer.map(t -> SequencePage.timer(b, t)).orElse(""),
                edit.number() >= 0,
                chosen,
                edit,
                script);
    }
}
