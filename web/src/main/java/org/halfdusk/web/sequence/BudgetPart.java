package org.halfdusk.web.sequence;

import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import org.halfdusk.optics.Camera;
import org.halfdusk.sequence.RunSimulation;
import org.halfdusk.shoot.RigChoices;
import org.halfdusk.shoot.setting.Recording;
import org.halfdusk.typed.Field;
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
        List<Warning> warnings,
        boolean batteryEnds,
        boolean jpeg,
        boolean noiseReduction,
        boolean outsidePower,
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
        lines.add(
                choices.recording().outsidePower()
                        ? new Line("Power", "from outside, no charge used")
                        : new Line("Battery at " + ReasonWords.air(open.air()), ReasonWords.charges(run.charges())));
        lines.add(new Line(
                "Frames taken",
                run.taken()
                        + (run.dropped().isEmpty()
                                ? ", none dropped"
                                : ", " + run.dropped().size() + " dropped")));
        return new BudgetPart(
                lines,
                warnings(run, camera, choices.recording(), zone),
                run.emptyAt().isPresent(),
                jpeg,
                reduction,
                choices.recording().outsidePower(),
                typedCelsius);
    }

    /** What goes wrong, what it costs, and choices that mend it. */
    record Warning(String words, List<Way> ways) {}

    /** A way out: a field, and what to set it to. */
    record Way(String label, String field, String value) {}

    private static List<Warning> warnings(RunSimulation run, Camera camera, Recording recording, ZoneId zone) {
        List<Warning> warnings = new ArrayList<>();
        if (!run.dropped().isEmpty()) {
            RunSimulation.Dropped d = run.dropped().get(0);
            String first = "Frame " + d.number() + " at " + Words.clockSeconds(d.at(), zone) + " is dropped, "
                    + run.dropped().size() + " in all: ";
            warnings.add(
                    d.why() == RunSimulation.Why.CAMERA_BUSY ? busy(first, recording) : full(first, camera, recording));
        }
        run.emptyAt()
                .ifPresent(t -> warnings.add(new Warning(
                        "A battery ends at about " + Words.clock(t, zone)
                                + " with no pause before it: a gap of a minute or more, in the middle of a block. Lay a pause "
                                + "and change it there, or feed the camera from outside.",
                        List.of(way("Feed it from outside", RigChoices.POWER, true)))));
        return warnings;
    }

    private static Warning busy(String first, Recording recording) {
        String works = "the camera still works on the one before";
        return recording.noiseReduction()
                ? new Warning(
                        first + works
                                + ", whose dark frame takes as long again. Switch noise reduction off and take one frame "
                                + "with the cap on, or double the interval.",
                        List.of(way("Switch noise reduction off", RigChoices.NOISE_REDUCTION, false)))
                : new Warning(first + works + ". Lengthen the gap, or shorten the time by a mark.", List.of());
    }

    private static Warning full(String first, Camera camera, Recording recording) {
        return new Warning(
                first + "the buffer of " + camera.bufferFrames()
                        + " is full. Write raw alone, or leave longer gaps; a faster card helps too.",
                recording.jpeg() ? List.of(way("Write raw alone", RigChoices.FILES, false)) : List.of());
    }

    private static Way way(String label, Field<RigChoices, Boolean> field, boolean value) {
        return new Way(label, field.name(), field.codec().write(value));
    }
}
