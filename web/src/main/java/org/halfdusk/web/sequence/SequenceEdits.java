package org.halfdusk.web.sequence;

import java.time.DateTimeException;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import org.halfdusk.exposure.Ladder;
import org.halfdusk.photometry.FNumber;
import org.halfdusk.photometry.Iso;
import org.halfdusk.sequence.Block;
import org.halfdusk.sequence.BlockSpec;
import org.halfdusk.sequence.PhaseChoice;
import org.halfdusk.sequence.Timing;
import org.halfdusk.shoot.choices.RigChoices;
import org.halfdusk.shoot.choices.Shoot;
import org.halfdusk.shoot.choices.ShootField;
import org.halfdusk.shoot.kept.Shoots;
import org.halfdusk.shoot.programme.Laying;
import org.halfdusk.shoot.programme.NewBlock;
import org.halfdusk.shoot.programme.Programme;
import org.halfdusk.time.CivilTime;
import org.halfdusk.time.Interval;
import org.halfdusk.typed.Codec;
import org.halfdusk.typed.Faults;
import org.halfdusk.typed.TypedNumber;
import org.halfdusk.web.layout.FormErrors;
import org.halfdusk.web.shoot.ShootDesk;

/** What a form of the Sequence step does to the laid blocks: changes one, takes one away, adds one, or lets them be computed. */
final class SequenceEdits {
    private SequenceEdits() {}

    /**
     * What becomes of the blocks; nothing where the form is refused, which is noted under their name with all that is wrong.
     *
     * @param fresh gives an identity that no block has or had
     */
    static List<Shoots.Edit<?>> edits(ShootDesk.Open open, FormErrors form, Supplier<String> fresh) {
        if (ScriptEdits.of(form)) {
            return ScriptEdits.edits(open, form);
        }
        Shoot shoot = open.shoot().it();
        Laying laid = Programme.laid(open.plan(), shoot.rig().choices());
        Laying next = form.check(
                ShootField.BLOCKS.name(),
                () -> next(form.text("action"), laid, open, form).named(fresh));
        return next == null ? List.of() : List.of(Shoots.Edit.of(shoot, ShootField.BLOCKS, next.blocks()));
    }

    private static Laying next(String action, Laying laid, ShootDesk.Open open, FormErrors form) {
        RigChoices choices = open.shoot().it().rig().choices();
        return switch (action) {
            case "computed" -> new Laying(List.of(), laid.timing());
            case "battery" -> Programme.withChanges(open.plan(), choices, open.air());
            case "remove" -> laid.without(block(form, laid).id());
            case "change" -> laid.changed(changed(block(form, laid), form, open));
            case "take" -> laid.changed(block(form, laid).taking(given(open, form)));
            case "keep" -> laid.changed(block(form, laid).madeFor(given(open, form)));
            default ->
                laid.with(Codec.constant("block", NewBlock.class).read(action).laid(open.at(), open.plan(), choices));
        };
    }

    /** What the plan says by now for the block of the form. */
    private static BlockSpec.Made given(ShootDesk.Open open, FormErrors form) {
        return open.programme().planned().stream()
                .filter(p -> p.id().equals(form.text("block")))
                .flatMap(p -> p.madeForOther(open.plan()).stream())
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException("the plan gives this block nothing new any more"));
    }

    private static BlockSpec block(FormErrors form, Laying laid) {
        String id = form.text("block");
        return laid.blocks().stream()
                .filter(s -> s.id().equals(id))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException("block “" + TypedNumber.shown(id)
                        + "” is not there any more; choose one of the "
                        + laid.blocks().size()
                        + " that the page shows"));
    }

    /** @throws IllegalArgumentException naming all of the form's values that are not allowed */
    private static BlockSpec changed(BlockSpec old, FormErrors form, ShootDesk.Open open) {
        Faults faults = new Faults();
        Instant start = faults.or(old.start(), () -> start(form.text("start"), open));
        if (old.kind() == Block.Kind.PAUSE) {
            double minutes = faults.or(1.0, () -> BlockSpec.MINUTES.read(form.text("amount")));
            faults.refuse();
            return old.at(start).lasting(minutes * 60, Programme.timing(open.plan()));
        }
        double seconds = faults.or(old.seconds(), () -> BlockSpec.SECONDS.read(form.text("seconds")));
        double gap = faults.or(old.gapSeconds(), () -> BlockSpec.GAP.read(form.text("gap")));
        FNumber f = faults.or(old.fNumber(), () -> FNumber.of(FNumber.RANGE.read(form.text("aperture"))));
        Iso iso = faults.or(old.iso(), () -> Iso.of(Iso.RANGE.whole(form.text("iso"))));
        int thirds = faults.or(old.thirds(), () -> thirds(old, form));
        BlockSpec.How how = faults.or(old.how(), () -> how(old, form));
        BlockSpec next = faults.or(
                old,
                () -> counted(
                        new BlockSpec(
                                old.kind(),
                                start,
                                Math.max(1, old.frames()),
                                seconds,
                                gap,
                                f,
                                iso,
                                thirds,
                                old.id(),
                                old.made(),
                                how),
                        form,
                        Programme.timing(open.plan())));
        faults.refuse();
        return next;
    }

    /** Of a time lapse whether it follows the light, of a bracket its steps. */
    private static int thirds(BlockSpec old, FormErrors form) {
        if (old.kind() == Block.Kind.TIME_LAPSE) {
            return form.text("light").isEmpty() ? 0 : 1;
        }
        return old.kind() == Block.Kind.BRACKET && !form.text("thirds").isEmpty()
                ? Ladder.THIRDS.whole(form.text("thirds"))
                : old.thirds();
    }

    /** How each frame is taken: a bracket in its place, and which files. */
    private static BlockSpec.How how(BlockSpec old, FormErrors form) {
        Optional<Boolean> files = PhaseChoice.FILES.perhaps().read(form.text("files"));
        if (!BlockSpec.BRACKETED.contains(old.kind())) {
            return new BlockSpec.How(Optional.empty(), files);
        }
        Faults faults = new Faults();
        int each = faults.or(1, () -> form.text("each").isEmpty() ? 1 : PhaseChoice.FRAMES.whole(form.text("each")));
        int apart = faults.or(Ladder.USUAL.thirds(), () -> thirds(form.text("apart")));
        faults.refuse();
        return new BlockSpec.How(each > 1 ? Optional.of(new Ladder(each, apart)) : Optional.empty(), files);
    }

    /** Between a bracket's frames, as it was typed; as usual where nothing was. */
    static int thirds(String typed) {
        return typed.isEmpty() ? Ladder.USUAL.thirds() : Ladder.THIRDS.whole(typed);
    }

    /** As many frames as the form says, counted in what it says. */
    private static BlockSpec counted(BlockSpec spec, FormErrors form, Timing timing) {
        String amount = form.text("amount");
        return switch (form.text("by")) {
            case "minutes" -> spec.lasting(BlockSpec.MINUTES.read(amount) * 60, timing);
            case "arc" -> spec.sweeping(BlockSpec.ARC.read(amount), timing);
            case "clip" -> spec.playing(BlockSpec.CLIP.read(amount), BlockSpec.CLIP_RATE);
            case "gain" -> spec.gaining(BlockSpec.GAIN.read(amount));
            default -> spec.with(BlockSpec.framesOf(spec.kind()).whole(amount));
        };
    }

    /** A time of day on the night's own dates, or an instant that the pointer has set. */
    static Instant start(String text, ShootDesk.Open open) {
        String t = text.trim();
        if (t.contains("T")) {
            try {
                return inside(Instant.parse(t), t, open);
            } catch (DateTimeException e) {
                throw noTime(t);
            }
        }
        CivilTime time = CivilTime.read(t).orElseThrow(() -> noTime(t));
        CivilTime.Meant meant = time.on(
                        open.plan().night().axis(), open.plan().place().zone())
                .orElseThrow(() -> new IllegalArgumentException(
                        "start “" + TypedNumber.shown(t) + "” is outside this night's strip"));
        if (meant.skipped()) {
            throw new IllegalArgumentException("start “" + TypedNumber.shown(t)
                    + "” is skipped in this night, in which clocks go forward; other times are allowed");
        }
        return meant.at();
    }

    private static Instant inside(Instant at, String typed, ShootDesk.Open open) {
        Interval whole = open.plan().night().whole();
        if (at.isBefore(whole.start()) || at.isAfter(whole.end())) {
            throw new IllegalArgumentException("start “" + TypedNumber.shown(typed) + "” is outside this night, "
                    + whole.start() + " to " + whole.end());
        }
        return at;
    }

    private static IllegalArgumentException noTime(String t) {
        return new IllegalArgumentException("start “" + TypedNumber.shown(t)
                + "” is not a time; write it as 00:20 or 00:20:30, where it comes twice with its offset, 02:30+02:00");
    }
}
