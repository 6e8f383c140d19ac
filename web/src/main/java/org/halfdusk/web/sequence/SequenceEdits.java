package org.halfdusk.web.sequence;

import java.time.DateTimeException;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import org.halfdusk.exposure.ShutterTime;
import org.halfdusk.photometry.FNumber;
import org.halfdusk.photometry.Iso;
import org.halfdusk.sequence.Block;
import org.halfdusk.sequence.BlockSpec;
import org.halfdusk.shoot.ExposurePlan;
import org.halfdusk.shoot.NewBlock;
import org.halfdusk.shoot.Programme;
import org.halfdusk.shoot.Shoot;
import org.halfdusk.shoot.ShootField;
import org.halfdusk.shoot.Shoots;
import org.halfdusk.time.CivilTime;
import org.halfdusk.typed.Codec;
import org.halfdusk.typed.Faults;
import org.halfdusk.typed.TypedNumber;
import org.halfdusk.web.layout.FormErrors;
import org.halfdusk.web.shoot.ShootDesk;

/** What a form of the Sequence step does to the laid blocks: changes one, takes one away, adds one, or lets them be computed. */
final class SequenceEdits {
    private SequenceEdits() {}

    /** What becomes of the blocks; nothing where the form is refused, which is noted under their name with all that is wrong. */
    static List<Shoots.Edit<?>> edits(ShootDesk.Open open, FormErrors form) {
        Shoot shoot = open.shoot().it();
        List<BlockSpec> laid =
                new ArrayList<>(Programme.laid(open.plan(), shoot.rig().choices()));
        List<BlockSpec> next = form.check(ShootField.BLOCKS.name(), () -> next(form.text("action"), laid, open, form));
        return next == null ? List.of() : List.of(Shoots.Edit.of(shoot, ShootField.BLOCKS, next));
    }

    private static List<BlockSpec> next(String action, List<BlockSpec> laid, ShootDesk.Open open, FormErrors form) {
        switch (action) {
            case "computed" -> laid.clear();
            case "battery" -> {
                return Programme.withChanges(
                        open.plan(), open.shoot().it().rig().choices(), open.air());
            }
            case "remove" -> laid.remove(index(form, laid.size()));
            case "change" -> {
                int i = index(form, laid.size());
                laid.set(i, changed(laid.get(i), form, open));
            }
            default -> laid.add(added(action, open));
        }
        return BlockSpec.inOrder(laid);
    }

    private static int index(FormErrors form, int size) {
        int i = (int) TypedNumber.whole("block", form.text("block"), 0, BlockSpec.MOST_FRAMES, "");
        if (i >= size) {
            throw new IllegalArgumentException("block number “" + TypedNumber.shown(form.text("block"))
                    + "” is not there any more; choose one of the " + size + " that the page shows");
        }
        return i;
    }

    /** @throws IllegalArgumentException naming all of the form's values that are not allowed */
    private static BlockSpec changed(BlockSpec old, FormErrors form, ShootDesk.Open open) {
        Faults faults = new Faults();
        Instant start = faults.or(old.start(), () -> start(form.text("start"), open));
        if (old.kind() == Block.Kind.PAUSE) {
            double minutes = faults.or(1.0, () -> BlockSpec.MINUTES.read(form.text("amount")));
            faults.refuse();
            return old.at(start).lasting(minutes * 60, List.of());
        }
        double seconds = faults.or(old.seconds(), () -> BlockSpec.SECONDS.read(form.text("seconds")));
        double gap = faults.or(old.gapSeconds(), () -> BlockSpec.GAP.read(form.text("gap")));
        FNumber f = faults.or(old.fNumber(), () -> FNumber.of(BlockSpec.APERTURE.read(form.text("aperture"))));
        Iso iso = faults.or(old.iso(), () -> Iso.of(BlockSpec.ISO.whole(form.text("iso"))));
        boolean lapse = old.kind() == Block.Kind.TIME_LAPSE;
        int thirds = lapse ? (form.text("light").isEmpty() ? 0 : 1) : old.thirds();
        BlockSpec next = faults.or(
                old,
                () -> counted(
                        new BlockSpec(old.kind(), start, Math.max(1, old.frames()), seconds, gap, f, iso, thirds),
                        form,
                        ExposurePlan.times(open.plan().rig())));
        faults.refuse();
        return next;
    }

    /** As many frames as the form says, counted in what it says. */
    private static BlockSpec counted(BlockSpec spec, FormErrors form, List<ShutterTime> times) {
        String amount = form.text("amount");
        return switch (form.text("by")) {
            case "minutes" -> spec.lasting(BlockSpec.MINUTES.read(amount) * 60, times);
            case "arc" -> spec.sweeping(BlockSpec.ARC.read(amount), times);
            case "clip" -> spec.playing(BlockSpec.CLIP.read(amount), BlockSpec.CLIP_RATE);
            case "gain" -> spec.gaining(BlockSpec.GAIN.read(amount));
            default -> spec.with(BlockSpec.framesOf(spec.kind()).whole(amount));
        };
    }

    /** A time of day on the night's own dates, or an instant that the pointer has set. */
    private static Instant start(String text, ShootDesk.Open open) {
        String t = text.trim();
        if (t.contains("T")) {
            try {
                return Instant.parse(t);
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

    private static IllegalArgumentException noTime(String t) {
        return new IllegalArgumentException("start “" + TypedNumber.shown(t)
                + "” is not a time; write it as 00:20 or 00:20:30, where it comes twice with its offset, 02:30+02:00");
    }

    private static BlockSpec added(String action, ShootDesk.Open open) {
        NewBlock kind = Codec.constant("block", NewBlock.class).read(action);
        return kind.after(
                open.blocks(), open.at(), open.plan(), open.shoot().it().rig().choices());
    }

    /** As a field of the form takes it. */
    static String typed(double value) {
        return TypedNumber.plain(value);
    }
}
