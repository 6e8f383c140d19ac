package org.halfdusk.web.sequence;

import java.time.DateTimeException;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.halfdusk.exposure.Ladder;
import org.halfdusk.exposure.Setting;
import org.halfdusk.exposure.ShutterTime;
import org.halfdusk.photometry.FNumber;
import org.halfdusk.photometry.Iso;
import org.halfdusk.sequence.Block;
import org.halfdusk.sequence.BlockSpec;
import org.halfdusk.sequence.Panorama;
import org.halfdusk.shoot.ExposurePlan;
import org.halfdusk.shoot.GroundFrames;
import org.halfdusk.shoot.Plan;
import org.halfdusk.shoot.Programme;
import org.halfdusk.shoot.RigChoices;
import org.halfdusk.shoot.Shoot;
import org.halfdusk.shoot.ShootField;
import org.halfdusk.shoot.Shoots;
import org.halfdusk.time.CivilTime;
import org.halfdusk.typed.Faults;
import org.halfdusk.typed.Range;
import org.halfdusk.typed.TypedNumber;
import org.halfdusk.web.layout.FormErrors;
import org.halfdusk.web.shoot.ShootDesk;

/** What a form of the Sequence step does to the laid blocks: changes one, takes one away, adds one, or lets them be computed. */
final class SequenceEdits {
    private static final double TURNING = 6;
    private static final int LAPSE_FRAMES = 300;
    private static final double PAUSE_SECONDS = 300;
    private static final int MOST_CHANGES = 12;

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
            case "battery" -> change(open, laid);
            case "remove" -> laid.remove(index(form, laid.size()));
            case "change" -> {
                int i = index(form, laid.size());
                laid.set(i, changed(laid.get(i), form, open));
            }
            default -> laid.add(added(action, open));
        }
        return BlockSpec.inOrder(laid);
    }

    /** Divides each block in which a battery ends, one change after another. */
    private static void change(ShootDesk.Open open, List<BlockSpec> laid) {
        RigChoices choices = open.shoot().it().rig().choices();
        Plan plan = open.plan();
        List<ShutterTime> times = ExposurePlan.times(plan.rig());
        for (int changes = 0; changes < MOST_CHANGES; changes++) {
            RigChoices now = choices.laying(laid);
            Optional<Instant> empty =
                    open.simulated(Programme.blocks(plan, now), now).emptyAt();
            if (empty.isEmpty()) {
                return;
            }
            List<BlockSpec> next = Programme.withChange(laid, empty.get(), times);
            laid.clear();
            laid.addAll(next);
        }
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
            double minutes = faults.or(1.0, () -> MINUTES.read(form.text("amount")));
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
            case "minutes" -> spec.lasting(MINUTES.read(amount) * 60, times);
            case "arc" -> spec.sweeping(new Range("arc", LEAST_AMOUNT, 360, "°").read(amount), times);
            case "clip" -> spec.playing(new Range("clip", LEAST_AMOUNT, 600, "s").read(amount), SequencePage.CLIP_RATE);
            case "gain" -> spec.gaining(new Range("gain", LEAST_AMOUNT, 5, "stops").read(amount));
            default -> spec.with(BlockSpec.framesOf(spec.kind()).whole(amount));
        };
    }

    private static final double LEAST_AMOUNT = 0.01;
    private static final Range MINUTES = new Range("minutes", LEAST_AMOUNT, 24 * 60, "min");

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
        Plan plan = open.plan();
        Instant after = open.blocks().stream()
                .map(Block::end)
                .max(Instant::compareTo)
                .filter(t -> plan.night().axis().contains(t.plusSeconds(30)))
                .map(t -> t.plusSeconds(30))
                .orElse(open.at());
        double seconds = plan.setting().shutter().nominalSeconds();
        FNumber f = plan.setting().fNumber();
        Iso iso = plan.setting().iso();
        return switch (action) {
            case "STACK" -> new BlockSpec(Block.Kind.STACK, after, 16, seconds, 2, f, iso, 0);
            case "TRAILS" -> new BlockSpec(Block.Kind.TRAILS, after, 60, seconds, 1, f, iso, 0);
            case "GROUND" -> ground(open, after);
            case "DARK_FRAME" -> new BlockSpec(Block.Kind.DARK_FRAME, after, 1, seconds, 2, f, iso, 0);
            case "TIME_LAPSE" -> new BlockSpec(Block.Kind.TIME_LAPSE, after, LAPSE_FRAMES, seconds, 5, f, iso, 0);
            case "PAUSE" -> new BlockSpec(Block.Kind.PAUSE, after, 0, PAUSE_SECONDS, 0, f, iso, 0);
            case "BRACKET" -> bracket(open, after);
            case "PANORAMA" -> panorama(open, after);
            default ->
                throw new IllegalArgumentException("block “" + TypedNumber.shown(action)
                        + "” is not known; the kinds that the page offers are allowed");
        };
    }

    private static BlockSpec ground(ShootDesk.Open open, Instant after) {
        Setting s = GroundFrames.of(open.plan(), after).setting();
        return new BlockSpec(
                Block.Kind.GROUND,
                after,
                GroundFrames.FRAMES,
                s.shutter().nominalSeconds(),
                GroundFrames.GAP_SECONDS,
                s.fNumber(),
                s.iso(),
                0);
    }

    private static BlockSpec bracket(ShootDesk.Open open, Instant after) {
        Ladder ladder = open.shoot().it().rig().choices().bracket().orElse(Ladder.USUAL);
        return new BlockSpec(
                Block.Kind.BRACKET,
                after,
                ladder.count(),
                open.plan().setting().shutter().nominalSeconds(),
                1,
                open.plan().setting().fNumber(),
                open.plan().setting().iso(),
                ladder.thirds());
    }

    private static BlockSpec panorama(ShootDesk.Open open, Instant after) {
        Panorama.Wish wish = open.shoot()
                .it()
                .rig()
                .choices()
                .panorama()
                .orElseThrow(
                        () -> new IllegalArgumentException("a panorama has no tiles yet; lay them on Frame first"));
        Plan plan = open.plan();
        int tiles = Panorama.of(
                        wish,
                        plan.rig(),
                        plan.framing().upright(),
                        plan.framing().altitude().degrees())
                .tiles()
                .size();
        return new BlockSpec(
                Block.Kind.PANORAMA,
                after,
                tiles,
                plan.setting().shutter().nominalSeconds(),
                TURNING,
                plan.setting().fNumber(),
                plan.setting().iso(),
                0);
    }

    /** As a field of the form takes it. */
    static String typed(double value) {
        return TypedNumber.plain(value);
    }
}
