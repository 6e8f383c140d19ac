package org.halfdusk.web.sequence;

import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import org.halfdusk.optics.Camera;
import org.halfdusk.sequence.RunSimulation;
import org.halfdusk.shoot.RigChoices;
import org.halfdusk.web.layout.Words;
import org.halfdusk.web.shoot.ShootDesk;
import org.halfdusk.web.subject.Line;
import org.halfdusk.web.subject.ReasonWords;

/**
 * What the programme takes of card, battery and buffer.
 *
 * @param warnings each with what it costs and two ways out
 */
record BudgetPart(
        List<Line> lines,
        List<String> warnings,
        boolean batteryEnds,
        boolean jpeg,
        boolean noiseReduction,
        String celsius) {
    static BudgetPart of(ShootDesk.Open open, RunSimulation run, String typedCelsius) {
        Camera camera = open.plan().rig().camera();
        RigChoices choices = open.shoot().it().rig().choices();
        ZoneId zone = open.plan().night().zone();
        boolean jpeg = choices.recording().jpeg();
        boolean reduction = choices.recording().noiseReduction();
        List<Line> lines = new ArrayList<>();
        lines.add(
                camera.film()
                        ? ReasonWords.rolls(run.taken())
                        : new Line("Card", Words.gigabytes(run.megabytes()) + (jpeg ? ", raw and JPEG" : ", raw")));
        lines.add(new Line("Battery at " + ReasonWords.air(open.air()), ReasonWords.charges(run.charges())));
        lines.add(new Line(
                "Frames taken",
                run.taken()
                        + (run.dropped().isEmpty()
                                ? ", none dropped"
                                : ", " + run.dropped().size() + " dropped")));
        return new BudgetPart(
                lines,
                warnings(run, camera, reduction, zone),
                run.emptyAt().isPresent(),
                jpeg,
                reduction,
                typedCelsius);
    }

    private static List<String> warnings(RunSimulation run, Camera camera, boolean reduction, ZoneId zone) {
        List<String> warnings = new ArrayList<>();
        if (!run.dropped().isEmpty()) {
            RunSimulation.Dropped d = run.dropped().get(0);
            String first = "Frame " + d.number() + " at " + Words.clockSeconds(d.at(), zone);
            warnings.add(
                    d.why() == RunSimulation.Why.CAMERA_BUSY
                            ? first + " is dropped, " + run.dropped().size()
                                    + " in all: the camera still works on the one before"
                                    + (reduction
                                            ? ", whose dark frame takes as long again. Switch noise reduction off and take one "
                                                    + "frame with the cap on, or double the interval."
                                            : ". Lengthen the gap, or shorten the time by a mark.")
                            : first + " is dropped, " + run.dropped().size() + " in all: the buffer of "
                                    + camera.bufferFrames()
                                    + " is full. Write raw alone, or leave longer gaps; a faster card helps too.");
        }
        run.emptyAt()
                .ifPresent(t -> warnings.add("A battery ends at about " + Words.clock(t, zone)
                        + " with no pause before it: a gap of a minute or more, in the middle of a block. Lay a pause and "
                        + "change it there, or feed the camera from outside."));
        return warnings;
    }
}
