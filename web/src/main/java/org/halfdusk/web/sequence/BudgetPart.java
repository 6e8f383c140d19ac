package org.halfdusk.web.sequence;

import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import org.halfdusk.optics.Camera;
import org.halfdusk.sequence.Block;
import org.halfdusk.sequence.RunSimulation;
import org.halfdusk.shoot.RigChoices;
import org.halfdusk.shoot.ShootField;
import org.halfdusk.web.layout.Words;
import org.halfdusk.web.subject.Line;

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
    private static final double USUAL_CELSIUS = 10;

    static BudgetPart of(List<Block> blocks, Camera camera, RigChoices choices, ZoneId zone, String typedCelsius) {
        boolean jpeg = !choices.of(ShootField.FILES).isEmpty();
        boolean reduction = !choices.of(ShootField.NOISE_REDUCTION).isEmpty();
        double celsius = celsius(choices);
        RunSimulation run = simulated(blocks, camera, choices);
        List<Line> lines = new ArrayList<>();
        lines.add(new Line("Card", Words.gigabytes(run.megabytes()) + (jpeg ? ", raw and JPEG" : ", raw")));
        lines.add(new Line(
                "Battery at " + Words.celsius(celsius),
                run.charges() < 0.05
                        ? "hardly any of a charge"
                        : Words.tenths(run.charges()) + (run.charges() <= 1 ? " of a charge" : " charges")));
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

    private static double celsius(RigChoices choices) {
        String kept = choices.of(ShootField.CELSIUS);
        return kept.isEmpty() ? USUAL_CELSIUS : Double.parseDouble(kept);
    }

    /** What becomes of the programme with the files, noise reduction and air that were chosen. */
    static RunSimulation simulated(List<Block> blocks, Camera camera, RigChoices choices) {
        return RunSimulation.of(
                blocks,
                camera,
                !choices.of(ShootField.FILES).isEmpty(),
                !choices.of(ShootField.NOISE_REDUCTION).isEmpty(),
                celsius(choices));
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
