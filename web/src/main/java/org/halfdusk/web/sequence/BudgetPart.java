package org.halfdusk.web.sequence;

import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import org.halfdusk.optics.Camera;
import org.halfdusk.optics.Rig;
import org.halfdusk.optics.kit.Card;
import org.halfdusk.sequence.camera.RunSimulation;
import org.halfdusk.shoot.choices.RigChoices;
import org.halfdusk.shoot.programme.Programme;
import org.halfdusk.shoot.setting.Recording;
import org.halfdusk.typed.Field;
import org.halfdusk.web.layout.words.Times;
import org.halfdusk.web.layout.words.Words;
import org.halfdusk.web.shoot.ShootDesk;
import org.halfdusk.web.subject.page.Line;
import org.halfdusk.web.subject.words.ReasonWords;

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
        lines.add(camera.film() ? ReasonWords.rolls(run.taken()) : new Line("Card", card(run, open)));
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
                warnings(run, open.plan().rig(), choices.recording(), zone),
                run.emptyAt().isPresent(),
                jpeg,
                reduction,
                choices.recording().outsidePower(),
                typedCelsius);
    }

    /** What is written, in which files, and onto what. */
    private static String card(RunSimulation run, ShootDesk.Open open) {
        List<Programme.Planned> taken = open.programme().planned().stream()
                .filter(p -> !p.block().frames().isEmpty())
                .toList();
        long both = taken.stream().filter(Programme.Planned::jpeg).count();
        String files = both == 0
                ? ", raw"
                : both == taken.size()
                        ? ", raw and JPEG"
                        : ", raw, in " + Words.count((int) both, "block") + " with JPEG";
        String onto = open.plan()
                .rig()
                .card()
                .map(c -> " of " + Words.plain(c.totalGigabytes()) + " GB")
                .orElse("");
        return Words.gigabytes(run.megabytes()) + onto + files;
    }

    /** What goes wrong, what it costs, and choices that mend it. */
    record Warning(String words, List<Way> ways) {}

    /** A way out: a field, and what to set it to. */
    record Way(String label, String field, String value) {}

    private static List<Warning> warnings(RunSimulation run, Rig rig, Recording recording, ZoneId zone) {
        List<Warning> warnings = new ArrayList<>();
        if (!run.dropped().isEmpty()) {
            RunSimulation.Dropped d = run.dropped().get(0);
            String first = "Frame " + d.number() + " at " + Times.clockSeconds(d.at(), zone) + " is dropped, "
                    + run.dropped().size() + " in all: ";
            warnings.add(
                    d.why() == RunSimulation.Why.CAMERA_BUSY ? busy(first, recording) : full(first, rig, recording));
        }
        run.cardFullAt()
                .ifPresent(t -> warnings.add(new Warning(
                        "The card is full at " + Times.clock(t, zone) + ": "
                                + rig.card().map(Card::name).orElse("") + " of this rig holds "
                                + Words.plain(
                                        rig.card().map(Card::totalGigabytes).orElse(0.0))
                                + " GB. Take another, or write raw alone.",
                        recording.jpeg() ? List.of(way("Write raw alone", RigChoices.FILES, false)) : List.of())));
        run.emptyAt()
                .ifPresent(t -> warnings.add(new Warning(
                        "A battery ends at about " + Times.clock(t, zone)
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

    private static Warning full(String first, Rig rig, Recording recording) {
        return new Warning(
                first + "the buffer of " + rig.camera().files().bufferFrames() + " is full; it empties at "
                        + Words.plain(rig.writeMegabytesPerSecond()) + " MB a second" + slower(rig)
                        + ". Write raw alone, or leave longer gaps.",
                recording.jpeg() ? List.of(way("Write raw alone", RigChoices.FILES, false)) : List.of());
    }

    private static String slower(Rig rig) {
        return rig.card()
                .filter(c -> c.writeMegabytesPerSecond() < rig.camera().files().writeMegabytesPerSecond())
                .map(c -> ", held back by the card " + c.name())
                .orElse("");
    }

    private static Way way(String label, Field<RigChoices, Boolean> field, boolean value) {
        return new Way(label, field.name(), field.codec().write(value));
    }
}
