package org.halfdusk.web.sequence;

import java.time.Instant;
import java.time.ZoneId;
import java.util.List;
import java.util.Set;
import org.halfdusk.photometry.Stops;
import org.halfdusk.sequence.Block;
import org.halfdusk.web.layout.words.Times;
import org.halfdusk.web.layout.words.Words;
import org.halfdusk.web.shoot.ShootDesk;
import org.halfdusk.web.subject.SequenceStep;
import org.halfdusk.web.subject.page.Because;
import org.halfdusk.web.subject.page.Table;

/** What the Sequence step answers: the subject's own words, or what laid blocks and the camera make of them. */
final class SequenceAnswer {
    private SequenceAnswer() {}

    /** The same answer, with what it comes to where the camera drops frames of it. */
    static SequenceStep taken(SequenceStep step, List<Block> blocks, int taken, Set<Instant> dropped) {
        if (dropped.isEmpty()) {
            return step;
        }
        long stacked = blocks.stream()
                .filter(b -> b.kind() == Block.Kind.STACK)
                .flatMap(b -> b.frames().stream())
                .filter(f -> !dropped.contains(f.open()))
                .count();
        String cost = " As the camera is set it takes only " + taken + " of these"
                + (stacked > 1
                        ? ": the mean of " + stacked + " gains " + Words.stops(Stops.ofAveraging((int) stacked)) + "."
                        : ".");
        Because said = step.answer();
        return new SequenceStep(
                new Because(said.heading(), said.answer(), said.reason() + cost), step.checks(), step.timer());
    }

    /** The subject's own answer, or what the laid blocks come to. */
    static SequenceStep of(ShootDesk.Open open, List<Block> blocks, ZoneId zone) {
        SequenceStep computed = open.subject().sequence(open.plan());
        if (!open.laid() || blocks.isEmpty()) {
            return computed;
        }
        String span = Times.clock(blocks.get(0).start(), zone) + " to "
                + Times.clock(blocks.get(blocks.size() - 1).end(), zone);
        int stacked = blocks.stream()
                .filter(b -> b.kind() == Block.Kind.STACK)
                .mapToInt(b -> b.frames().size())
                .sum();
        String gain = stacked > 1
                ? " The mean of the " + stacked + " stacked frames gains " + Words.stops(Stops.ofAveraging(stacked))
                        + " of signal-to-noise."
                : "";
        return new SequenceStep(
                new Because(
                        "Laid by hand",
                        Words.count(Block.frames(blocks), "frame"),
                        "In " + Words.count(blocks.size(), "block") + " from " + span + "." + gain
                                + " Computed, it would be: " + computed.answer().answer() + "."),
                Table.of("Checks", "", List.of(), "check"),
                List.of());
    }
}
