package org.halfdusk.web.sequence;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.function.Function;
import java.util.function.Supplier;
import org.halfdusk.photometry.FNumber;
import org.halfdusk.photometry.Iso;
import org.halfdusk.sequence.Block;
import org.halfdusk.sequence.BlockSpec;
import org.halfdusk.sequence.Frame;
import org.halfdusk.sequence.PhaseChoice;
import org.halfdusk.sequence.Phases;
import org.halfdusk.sequence.ScriptRow;
import org.halfdusk.shoot.choices.RigChoices;
import org.halfdusk.shoot.choices.Shoot;
import org.halfdusk.shoot.choices.ShootField;
import org.halfdusk.shoot.kept.Shoots;
import org.halfdusk.shoot.programme.Programme;
import org.halfdusk.typed.Codec;
import org.halfdusk.typed.Faults;
import org.halfdusk.typed.TypedNumber;
import org.halfdusk.web.layout.FormErrors;
import org.halfdusk.web.layout.words.Times;
import org.halfdusk.web.shoot.ShootDesk;

/** What a form of the Sequence step does to a computed script: fixes a phase, sets a row or takes it away, lets a phase be computed. */
final class ScriptEdits {
    private ScriptEdits() {}

    /** Whether the form is one of a script. */
    static boolean of(FormErrors form) {
        return switch (form.text("action")) {
            case "phase", "row", "row-away", "phase-computed" -> true;
            default -> false;
        };
    }

    /** What becomes of the script; nothing where the form is refused, which is noted with all that is wrong. */
    static List<Shoots.Edit<?>> edits(ShootDesk.Open open, FormErrors form) {
        Shoot shoot = open.shoot().it();
        RigChoices choices = shoot.rig().choices();
        return switch (form.text("action")) {
            case "phase" -> phases(shoot, form, kind -> choice(kind, form));
            case "phase-computed" -> {
                List<Shoots.Edit<?>> edits = new ArrayList<>(phases(shoot, form, PhaseChoice::none));
                edits.addAll(rows(
                        shoot,
                        form,
                        () -> choices.script().rows().stream()
                                .filter(r -> !r.kind().name().equals(form.text("kind")))
                                .toList()));
                yield edits;
            }
            default -> rows(shoot, form, () -> row(open, form));
        };
    }

    private static List<Shoots.Edit<?>> phases(Shoot shoot, FormErrors form, Function<Block.Kind, PhaseChoice> choice) {
        Phases kept = new Phases(false, shoot.rig().choices().script().phases());
        Phases next = form.check(ShootField.PHASES.name(), () -> kept.with(choice.apply(kind(form))));
        return next == null ? List.of() : List.of(Shoots.Edit.of(shoot, ShootField.PHASES, next.choices()));
    }

    private static List<Shoots.Edit<?>> rows(Shoot shoot, FormErrors form, Supplier<List<ScriptRow>> make) {
        List<ScriptRow> next = form.check(ShootField.ROWS.name(), () -> ScriptRow.inOrder(make.get()));
        return next == null ? List.of() : List.of(Shoots.Edit.of(shoot, ShootField.ROWS, next));
    }

    private static Block.Kind kind(FormErrors form) {
        return Codec.constant("phase", Block.Kind.class).read(form.text("kind"));
    }

    /** @throws IllegalArgumentException naming all of the form's values that are not allowed */
    private static PhaseChoice choice(Block.Kind kind, FormErrors form) {
        Faults faults = new Faults();
        PhaseChoice none = PhaseChoice.none(kind);
        OptionalDouble every = faults.or(
                OptionalDouble.empty(), () -> Codec.perhaps(PhaseChoice.EVERY).read(form.text("every")));
        OptionalDouble seconds = faults.or(
                OptionalDouble.empty(), () -> Codec.perhaps(BlockSpec.SECONDS).read(form.text("seconds")));
        OptionalDouble aperture = faults.or(
                OptionalDouble.empty(), () -> Codec.perhaps(FNumber.RANGE).read(form.text("aperture")));
        OptionalDouble iso =
                faults.or(OptionalDouble.empty(), () -> Codec.perhaps(Iso.RANGE).read(form.text("iso")));
        OptionalInt frames = faults.or(
                OptionalInt.empty(),
                () -> form.text("frames").isEmpty()
                        ? OptionalInt.empty()
                        : OptionalInt.of(PhaseChoice.FRAMES.whole(form.text("frames"))));
        int thirds = faults.or(none.thirds(), () -> SequenceEdits.thirds(form.text("thirds")));
        Optional<Boolean> files =
                faults.or(Optional.empty(), () -> PhaseChoice.FILES.perhaps().read(form.text("files")));
        faults.refuse();
        return none.every(every)
                .timed(seconds)
                .at(perhaps(aperture).map(FNumber::of))
                .by(perhaps(iso).map(i -> Iso.of((int) Math.round(i))))
                .bracketed(frames, thirds)
                .writing(files);
    }

    private static Optional<Double> perhaps(OptionalDouble value) {
        return value.isPresent() ? Optional.of(value.getAsDouble()) : Optional.empty();
    }

    /** The rows with that of the form: set, moved, or taken away. */
    private static List<ScriptRow> row(ShootDesk.Open open, FormErrors form) {
        Block.Kind kind = kind(form);
        List<ScriptRow> next =
                new ArrayList<>(open.shoot().it().rig().choices().script().rows());
        Optional<Frame> was = was(open, kind, form.text("was"));
        if (form.text("action").equals("row-away")) {
            Frame gone =
                    was.orElseThrow(() -> new IllegalArgumentException("frame “" + TypedNumber.shown(form.text("was"))
                            + "” is not one to be taken away; allowed are those of the list"));
            take(next, kind, gone);
            return next;
        }
        Faults faults = new Faults();
        String typed = form.text("start");
        Instant at = faults.or(
                open.at(),
                () -> typed.isEmpty() && was.isPresent() ? was.get().open() : SequenceEdits.start(typed, open));
        double seconds = number(
                faults,
                was.map(f -> f.shutter().nominalSeconds()),
                () -> BlockSpec.SECONDS.read(form.text("seconds")),
                form.text("seconds"));
        double n = number(
                faults,
                was.map(f -> f.fNumber().value()),
                () -> FNumber.RANGE.read(form.text("aperture")),
                form.text("aperture"));
        double iso = number(
                faults,
                was.map(f -> (double) f.iso().number()),
                () -> (double) Iso.RANGE.whole(form.text("iso")),
                form.text("iso"));
        faults.refuse();
        was.ifPresent(f -> take(next, kind, f));
        ScriptRow set = new ScriptRow(
                kind, at, Optional.of(new ScriptRow.Shot(seconds, FNumber.of(n), Iso.of((int) Math.round(iso)))));
        next.add(set);
        refuseWithoutPlace(open, next, set);
        return next;
    }

    /** What is computed is told to be away; what a person has set is simply not there any more. */
    private static void take(List<ScriptRow> rows, Block.Kind kind, Frame frame) {
        rows.removeIf(r -> r.kind() == kind && r.at().equals(frame.open()));
        rows.add(new ScriptRow(kind, frame.open(), Optional.empty()));
    }

    private static double number(Faults faults, Optional<Double> was, Supplier<Double> read, String typed) {
        return faults.or(1.0, () -> typed.isEmpty() && was.isPresent() ? was.get() : read.get());
    }

    private static Optional<Frame> was(ShootDesk.Open open, Block.Kind kind, String at) {
        if (at.isEmpty()) {
            return Optional.empty();
        }
        Instant opens = BlockSpec.instant(at);
        return Optional.of(open.blocks().stream()
                .filter(b -> b.kind() == kind)
                .flatMap(b -> b.frames().stream())
                .filter(f -> f.open().equals(opens))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException("frame “" + TypedNumber.shown(at)
                        + "” is not there any more; choose one of those that the page shows")));
    }

    private static void refuseWithoutPlace(ShootDesk.Open open, List<ScriptRow> rows, ScriptRow set) {
        RigChoices choices = RigChoices.ROWS.with(open.shoot().it().rig().choices(), ScriptRow.inOrder(rows));
        if (Programme.of(open.plan(), choices).leftOut().contains(set)) {
            throw new IllegalArgumentException("there is no place for a frame at "
                    + Times.clockSeconds(set.at(), open.plan().place().zone())
                    + ": it would stand in a pause, in another phase, or on the wrong side of the filter; allowed are moments "
                    + "that are free, bare frames between filter off and filter on alone");
        }
    }
}
