package org.halfdusk.web.sequence.block;

import java.time.ZoneId;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import org.halfdusk.exposure.Ladder;
import org.halfdusk.photometry.FNumber;
import org.halfdusk.photometry.Iso;
import org.halfdusk.sequence.Block;
import org.halfdusk.sequence.Frame;
import org.halfdusk.sequence.PhaseChoice;
import org.halfdusk.shoot.choices.RigChoices;
import org.halfdusk.shoot.choices.ScriptChoices;
import org.halfdusk.shoot.choices.ShootField;
import org.halfdusk.typed.TypedNumber;
import org.halfdusk.web.layout.FormErrors;
import org.halfdusk.web.layout.words.Times;

/**
 * A phase of a computed script as its forms show it: what is fixed for it, and its rows.
 *
 * @param kind of block; empty where the block is none of a script
 * @param every and all the rest: empty for as computed
 * @param cadence whether its frames have a cadence that can be chosen
 * @param brackets whether each of its frames can be a bracket
 * @param first whether it is the first block of its kind, under which the phase is set
 * @param rows its frames, to be chosen from
 */
public record ScriptPart(
        String kind,
        String every,
        String seconds,
        String aperture,
        String iso,
        String frames,
        String thirds,
        String files,
        boolean cadence,
        boolean brackets,
        boolean first,
        boolean chosen,
        String error,
        List<Row> rows,
        Typed typed) {
    /** A frame to be chosen. @param at when it opens, for the form */
    public record Row(String at, String words) {}

    /** A row as it was typed and refused. */
    public record Typed(String was, String start, String seconds, String aperture, String iso) {
        static final Typed NONE = new Typed("", "", "", "", "");
    }

    static final ScriptPart NONE =
            new ScriptPart("", "", "", "", "", "", "", "", false, false, false, false, "", List.of(), Typed.NONE);

    /** Frames of a block among which one is chosen. */
    private static final int MOST_ROWS = FrameRows.AT_A_TIME;

    private static final Set<Block.Kind> OF_SHOWS =
            Set.of(Block.Kind.SHOW, Block.Kind.TRIAL, Block.Kind.FINALE, Block.Kind.TOWN);

    static ScriptPart of(String id, Block block, boolean first, RigChoices choices, ZoneId zone, FormErrors errors) {
        Block.Kind kind = block.kind();
        if (!PhaseChoice.of(kind)) {
            return NONE;
        }
        ScriptChoices script = choices.script();
        Optional<PhaseChoice> kept = kept(script, kind);
        PhaseChoice c = kept.orElse(PhaseChoice.none(kind));
        String phaseWrong = first && errors.text("kind").equals(kind.name()) ? errors.of(ShootField.PHASES.name()) : "";
        String rowWrong = errors.text("piece").equals(id) ? errors.of(ShootField.ROWS.name()) : "";
        boolean refused = !phaseWrong.isEmpty();
        return new ScriptPart(
                kind.name(),
                shown(refused, errors, "every", plain(c.everySeconds())),
                shown(refused, errors, "seconds", plain(c.seconds())),
                shown(
                        refused,
                        errors,
                        "aperture",
                        c.fNumber().map(FNumber::value).map(ScriptPart::plain).orElse("")),
                shown(refused, errors, "iso", c.iso().map(Iso::toString).orElse("")),
                shown(
                        refused,
                        errors,
                        "frames",
                        c.frames().isPresent() ? "" + c.frames().getAsInt() : ""),
                shown(refused, errors, "thirds", c.frames().isPresent() ? "" + c.thirds() : ""),
                shown(
                        refused,
                        errors,
                        "files",
                        c.jpeg().map(PhaseChoice.FILES::write).orElse("")),
                kind != Block.Kind.TOTALITY,
                !OF_SHOWS.contains(kind),
                first,
                kept.isPresent() || changed(script, kind),
                refused ? phaseWrong : rowWrong,
                rows(block, zone),
                rowWrong.isEmpty() ? Typed.NONE : typed(errors));
    }

    private static Optional<PhaseChoice> kept(ScriptChoices script, Block.Kind kind) {
        return script.phases().stream().filter(c -> c.kind() == kind).findFirst();
    }

    private static boolean changed(ScriptChoices script, Block.Kind kind) {
        return script.rows().stream().anyMatch(r -> r.kind() == kind);
    }

    private static List<Row> rows(Block block, ZoneId zone) {
        return block.frames().stream()
                .limit(MOST_ROWS)
                .map(f -> new Row(f.open().toString(), words(f, zone)))
                .toList();
    }

    private static Typed typed(FormErrors errors) {
        return new Typed(
                errors.text("was"),
                errors.text("start"),
                errors.text("seconds"),
                errors.text("aperture"),
                errors.text("iso"));
    }

    private static String plain(OptionalDouble seconds) {
        return seconds.isPresent() ? plain(seconds.getAsDouble()) : "";
    }

    private static String shown(boolean refused, FormErrors errors, String field, String kept) {
        return refused ? errors.text(field) : kept;
    }

    private static String words(Frame f, ZoneId zone) {
        return Times.clockSeconds(f.open(), zone) + ", " + f.shutter().label() + " "
                + f.fNumber().label() + " ISO " + f.iso();
    }

    private static String plain(double value) {
        return TypedNumber.plain(value);
    }

    /** Step that a bracket has until another is typed. */
    public String usualThirds() {
        return Integer.toString(Ladder.USUAL.thirds());
    }
}
