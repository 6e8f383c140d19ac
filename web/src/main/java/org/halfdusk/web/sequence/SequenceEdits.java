package org.halfdusk.web.sequence;

import java.time.DateTimeException;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.halfdusk.exposure.Setting;
import org.halfdusk.exposure.ShutterTime;
import org.halfdusk.photometry.FNumber;
import org.halfdusk.photometry.Iso;
import org.halfdusk.sequence.Block;
import org.halfdusk.sequence.BlockSpec;
import org.halfdusk.sequence.Panorama;
import org.halfdusk.shoot.ExposurePlan;
import org.halfdusk.shoot.GroundFrames;
import org.halfdusk.shoot.PanoramaWish;
import org.halfdusk.shoot.Plan;
import org.halfdusk.shoot.Programme;
import org.halfdusk.shoot.RigChoices;
import org.halfdusk.shoot.ShootField;
import org.halfdusk.time.CivilTime;
import org.halfdusk.typed.TypedNumber;
import org.halfdusk.web.shoot.ShootDesk;

/** What a form of the Sequence step does to the laid blocks: changes one, takes one away, adds one, or lets them be computed. */
final class SequenceEdits {
    private static final double TURNING = 6;
    private static final int LAPSE_FRAMES = 300;
    private static final double PAUSE_SECONDS = 300;
    private static final int MOST_CHANGES = 12;

    private SequenceEdits() {}

    /** The form with the field BLOCKS as it would be; a value that cannot be read stands in it, so that it is refused by name. */
    static Map<String, String> fields(ShootDesk.Open open, Map<String, String> form) {
        String action = form.getOrDefault("action", "");
        if (action.isEmpty()) {
            return form;
        }
        Map<String, String> fields = new HashMap<>(form);
        RigChoices choices = open.shoot().it().rig().choices();
        fields.put("was.BLOCKS", choices.of(ShootField.BLOCKS));
        List<BlockSpec> laid = new ArrayList<>(Programme.laid(open.plan(), choices));
        try {
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
            fields.put("BLOCKS", BlockSpec.text(laid));
        } catch (IllegalArgumentException e) {
            // Said by the field itself: the text names the value and what is allowed.
            fields.put("BLOCKS", "!" + e.getMessage());
        }
        return fields;
    }

    /** Divides each block in which a battery ends, one change after another. */
    private static void change(ShootDesk.Open open, List<BlockSpec> laid) {
        RigChoices choices = open.shoot().it().rig().choices();
        Plan plan = open.plan();
        List<ShutterTime> times = ExposurePlan.times(plan.rig());
        for (int changes = 0; changes < MOST_CHANGES; changes++) {
            RigChoices now = choices.with(ShootField.BLOCKS, BlockSpec.text(laid));
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

    private static int index(Map<String, String> form, int size) {
        int i = (int) TypedNumber.whole("block", form.getOrDefault("block", ""), 0, BlockSpec.MOST_FRAMES, "");
        if (i >= size) {
            throw new IllegalArgumentException("block number “" + TypedNumber.shown(form.getOrDefault("block", ""))
                    + "” is not there any more; choose one of the " + size + " that the page shows");
        }
        return i;
    }

    private static BlockSpec changed(BlockSpec old, Map<String, String> form, ShootDesk.Open open) {
        boolean pause = old.kind() == Block.Kind.PAUSE;
        Instant start = start(form.getOrDefault("start", ""), old.start(), open);
        List<ShutterTime> times = ExposurePlan.times(open.plan().rig());
        String amount = form.getOrDefault("amount", "");
        String by = form.getOrDefault("by", "frames");
        BlockSpec next = new BlockSpec(
                old.kind(),
                start,
                pause
                        ? 0
                        : by.equals("frames")
                                ? whole("frames", amount, 1, BlockSpec.MOST_FRAMES)
                                : Math.max(1, old.frames()),
                pause ? old.seconds() : number("time", form.getOrDefault("seconds", ""), 1.0 / 64_000, 86_400, "s"),
                pause ? 0 : number("gap", form.getOrDefault("gap", ""), 0, 3600, "s"),
                pause
                        ? old.fNumber()
                        : FNumber.of(number(
                                "aperture f/",
                                form.getOrDefault("aperture", ""),
                                FNumber.WIDEST,
                                FNumber.SMALLEST,
                                "")),
                pause ? old.iso() : Iso.of(whole("ISO", form.getOrDefault("iso", ""), Iso.LOWEST, Iso.HIGHEST)),
                old.kind() == Block.Kind.TIME_LAPSE
                        ? (form.getOrDefault("light", "").isEmpty() ? 0 : 1)
                        : old.thirds());
        return switch (by) {
            case "minutes" -> next.lasting(number("minutes", amount, LEAST_AMOUNT, 24 * 60, "min") * 60, times);
            case "arc" -> next.sweeping(number("arc", amount, LEAST_AMOUNT, 360, "°"), times);
            case "clip" -> next.playing(number("clip", amount, LEAST_AMOUNT, 600, "s"), SequencePage.CLIP_RATE);
            case "gain" -> next.gaining(number("gain", amount, LEAST_AMOUNT, 5, "stops"));
            default -> next;
        };
    }

    private static final double LEAST_AMOUNT = 0.01;

    private static int whole(String what, String text, int least, int most) {
        return (int) TypedNumber.whole(what, text, least, most, "");
    }

    private static double number(String what, String text, double least, double most, String unit) {
        return TypedNumber.decimal(what, text, least, most, unit);
    }

    /** A time of day on the night's own dates, or an instant that the pointer has set. */
    private static Instant start(String text, Instant old, ShootDesk.Open open) {
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
        String kept = open.shoot().it().rig().choices().of(ShootField.BRACKET);
        String[] parts = (kept.isEmpty() ? "5 3" : kept).split(" ");
        return new BlockSpec(
                Block.Kind.BRACKET,
                after,
                Integer.parseInt(parts[0]),
                open.plan().setting().shutter().nominalSeconds(),
                1,
                open.plan().setting().fNumber(),
                open.plan().setting().iso(),
                Integer.parseInt(parts[1]));
    }

    private static BlockSpec panorama(ShootDesk.Open open, Instant after) {
        String kept = open.shoot().it().rig().choices().of(ShootField.PANORAMA);
        if (kept.isEmpty()) {
            throw new IllegalArgumentException("a panorama has no tiles yet; lay them on Frame first");
        }
        Plan plan = open.plan();
        int tiles = Panorama.of(
                        PanoramaWish.parse(kept).it(),
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
