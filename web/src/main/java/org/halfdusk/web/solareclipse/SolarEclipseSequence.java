package org.halfdusk.web.solareclipse;

import java.util.ArrayList;
import java.util.List;
import org.halfdusk.sequence.Block;
import org.halfdusk.sequence.camera.CameraBuffer;
import org.halfdusk.shoot.solareclipse.SolarEclipsePlan;
import org.halfdusk.web.layout.words.Times;
import org.halfdusk.web.layout.words.Words;
import org.halfdusk.web.subject.SequenceStep;
import org.halfdusk.web.subject.page.Because;
import org.halfdusk.web.subject.page.Line;
import org.halfdusk.web.subject.page.Table;
import org.halfdusk.web.subject.words.ReasonWords;

/** What the Sequence step says of a solar eclipse. */
final class SolarEclipseSequence {
    private SolarEclipseSequence() {}

    static SequenceStep step(SolarEclipsePlan plan) {
        List<Block> blocks = plan.blocks();
        int frames = Block.frames(blocks);
        double writes = CameraBuffer.of(plan.rig(), plan.wishes().phases().jpeg(Block.Kind.TOTALITY))
                .framesPerSecond();
        int totality = blocks.stream()
                .filter(b -> b.kind() == Block.Kind.TOTALITY)
                .mapToInt(b -> b.frames().size())
                .sum();
        List<Table.Row> checks = new ArrayList<>();
        checks.add(Table.Row.of(
                false,
                "Buffer",
                plan.rig().camera().files().bufferFrames() + " frames",
                "then " + Words.tenths(writes) + " a second"));
        checks.add(ReasonWords.recentring(plan.recentring()));
        if (totality > 0) {
            checks.add(Table.Row.of(false, "Totality", Words.count(totality, "frame"), "short to long and back"));
        }
        return new SequenceStep(
                new Because(
                        "The script",
                        frames == 0 ? "Nothing to take" : Words.count(frames, "frame"),
                        script(plan, frames)),
                Table.of("Checks", "", checks, "check", "value#", "verdict"),
                List.of(
                        new Line("Clock", "to the second, all cameras"),
                        new Line("Rehearse", "the whole script, clock set to the day"),
                        new Line("Refocus, recentre", "between partial frames"),
                        new Line("Battery, card", "in the pause, not later")));
    }

    private static final String GUARD =
            "Contacts are those of the mean moon; the filter comes off only where a smaller moon, as "
                    + "its valleys leave it, still covers the sun, and stays on some seconds longer at each end.";

    private static String script(SolarEclipsePlan plan, int frames) {
        if (frames == 0) {
            return SolarEclipseNightWords.sentence(plan.night());
        }
        String partial = "A partial every " + Times.minutes(plan.cadence()) + " through the filter";
        return plan.night().filter().off().isPresent()
                ? partial
                        + ". " + GUARD
                        + " Beads stand outside that time: leaders differ on baring a lens for them, this "
                        + "script does not."
                : partial + ", all the time. " + SolarEclipseView.neverBare(plan.night());
    }
}
