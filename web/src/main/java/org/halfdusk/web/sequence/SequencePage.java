package org.halfdusk.web.sequence;

import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Stream;
import org.halfdusk.exposure.Ladder;
import org.halfdusk.optics.IntervalTimer;
import org.halfdusk.photometry.Stops;
import org.halfdusk.sequence.Block;
import org.halfdusk.sequence.BlockSpec;
import org.halfdusk.sequence.Frame;
import org.halfdusk.sequence.PhaseChoice;
import org.halfdusk.sequence.Timer;
import org.halfdusk.sequence.camera.RunSimulation;
import org.halfdusk.shoot.Plan;
import org.halfdusk.shoot.choices.RigChoices;
import org.halfdusk.shoot.choices.ShootField;
import org.halfdusk.shoot.programme.Laying;
import org.halfdusk.shoot.programme.NewBlock;
import org.halfdusk.shoot.programme.Programme;
import org.halfdusk.shoot.programme.check.ProgrammeCheck;
import org.halfdusk.time.CivilTime;
import org.halfdusk.time.SiderealTime;
import org.halfdusk.web.layout.FormErrors;
import org.halfdusk.web.layout.drawing.Theme;
import org.halfdusk.web.layout.words.Words;
import org.halfdusk.web.sequence.drawing.Timeline;
import org.halfdusk.web.shoot.ShootDesk;
import org.halfdusk.web.shoot.WishForm;
import org.halfdusk.web.subject.SequenceStep;
import org.halfdusk.web.subject.page.Because;
import org.halfdusk.web.subject.page.Table;
import org.halfdusk.web.subject.words.BlockWords;

/**
 * The Sequence step: the programme as a list of blocks, each with its frames.
 *
 * @param laid whether a person has laid blocks
 * @param replaces whether laid blocks stand in the computed ones' place
 * @param error of the last form
 * @param ring whether only a hand sets the aperture: then no frame has its own
 */
public record SequencePage(
        SequenceStep step,
        WishForm wishes,
        List<Part> blocks,
        int frames,
        boolean laid,
        boolean replaces,
        String error,
        Timeline timeline,
        List<String> checks,
        List<FocusAnew> refocus,
        BudgetPart budget,
        List<Add> adds,
        List<Copy> copies,
        boolean ring,
        String celsiusError) {
    /** A block that can be added. */
    record Add(String action, String words) {}

    /** Another rig of the shoot that the blocks can be copied to. @param to counted from one */
    record Copy(String to, String name) {}

    /**
     * A block.
     *
     * @param tone stop for filter steps
     * @param rows its first frames
     * @param id for life
     * @param timer what an intervalometer is set to, in words
     * @param edit how it can be laid otherwise; NONE where it is computed
     */
    record Part(
            String id,
            String name,
            String from,
            String to,
            String count,
            String settings,
            String tone,
            FrameRows rows,
            Dial dial,
            String timer,
            boolean editable,
            boolean open,
            Edit edit,
            ScriptPart script) {}

    /** The four numbers of a timer, and when its key is pressed. @param delay empty where no timer does the block */
    record Dial(String delay, String exposure, String intervalName, String interval, String number, String press) {
        static final Dial NONE = new Dial("", "", "", "", "", "");

        static Dial of(Block b, Timer t, ZoneId zone) {
            Instant press = b.start().minusMillis(Math.round(t.delaySeconds() * 1000));
            return new Dial(
                    Words.plain(t.delaySeconds()) + " s",
                    t.exposure().label(),
                    t.from() == IntervalTimer.From.GAP ? "Gap" : "Interval",
                    Words.plain(t.intervalSeconds()) + " s",
                    t.endless() ? "no end" : Integer.toString(t.number()),
                    Words.clockSeconds(press, zone));
        }
    }

    /** A laid block as its form shows it. @param other what the plan says by now where it was made for something else */
    record Edit(
            int number,
            String id,
            String other,
            boolean pause,
            String start,
            String amount,
            String by,
            String seconds,
            String gap,
            String aperture,
            String iso,
            boolean lapse,
            boolean followsLight,
            boolean bracket,
            boolean bracketed,
            String thirds,
            String each,
            String apart,
            String files) {
        /** As it was typed, where that is refused. */
        Edit typed(FormErrors errors) {
            return new Edit(
                    number,
                    id,
                    other,
                    pause,
                    errors.text("start"),
                    errors.text("amount"),
                    errors.text("by"),
                    errors.text("seconds"),
                    errors.text("gap"),
                    errors.text("aperture"),
                    errors.text("iso"),
                    lapse,
                    followsLight,
                    bracket,
                    bracketed,
                    errors.text("thirds"),
                    errors.text("each"),
                    errors.text("apart"),
                    errors.text("files"));
        }

        static final Edit NONE =
                new Edit(-1, "", "", false, "", "", "", "", "", "", "", false, false, false, false, "", "", "", "");
    }

    static SequencePage of(ShootDesk.Open open, ShootDesk desk, FormErrors errors, Theme theme) {
        Plan plan = open.plan();
        RigChoices choices = open.shoot().it().rig().choices();
        List<Block> blocks = open.blocks();
        Laying laid = Programme.laid(plan, choices);
        ZoneId zone = plan.place().zone();
        List<Integer> numbers = numbers(open.programme(), laid);
        List<ProgrammeCheck> found = ProgrammeCheck.of(plan, blocks);
        int chosen = chosen(blocks, open.at());
        RunSimulation run = open.simulated();
        Set<Instant> dropped = run.droppedAt();
        List<ShootDesk.Open> rigs = desk.all(open);
        List<Part> parts = BlockParts.parts(open, laid, numbers, chosen, dropped, errors);
        List<String> moving = open.programme().planned().stream()
                .flatMap(p -> moving(p.block(), over(p.block(), plan), plan).stream())
                .toList();
        return new SequencePage(
                taken(step(open, blocks, zone), blocks, run.taken(), dropped),
                WishForm.of(open.shoot().it(), errors),
                parts,
                Block.frames(blocks),
                open.laid(),
                Programme.replaces(plan),
                error(errors, parts),
                timeline(open, rigs, run, numbers, found, theme),
                SequenceChecks.checks(open, rigs, found, moving, zone),
                FocusAnew.of(open, rigs),
                BudgetPart.of(
                        open,
                        run,
                        errors.of("CELSIUS").isEmpty() ? RigChoices.CELSIUS.text(choices) : errors.text("CELSIUS")),
                adds(choices),
                copies(open, rigs),
                !plan.rig().lens().electronicAperture(),
                errors.of("CELSIUS"));
    }

    /** How far each frame of a block is over what keeps it sharp. */
    static List<OptionalDouble> over(Block block, Plan plan) {
        return block.frames().stream()
                .map(f -> Programme.overLimit(block, f, plan))
                .toList();
    }

    /** What is wrong and stands by no block of its own. */
    private static String error(FormErrors errors, List<Part> parts) {
        boolean said = parts.stream().anyMatch(p -> !p.script().error().isEmpty());
        return Stream.of(ShootField.BLOCKS, ShootField.PHASES, ShootField.ROWS)
                .map(f -> errors.of(f.name()))
                .filter(e -> !e.isEmpty() && !said)
                .findFirst()
                .orElse("");
    }

    /** The panorama where its tiles are laid. */
    private static List<Add> adds(RigChoices choices) {
        return Arrays.stream(NewBlock.values())
                .filter(b -> b != NewBlock.PANORAMA || choices.panorama().isPresent())
                .map(b -> new Add(b.name(), BlockWords.added(b)))
                .toList();
    }

    private static List<Copy> copies(ShootDesk.Open open, List<ShootDesk.Open> rigs) {
        return rigs.stream()
                .filter(r -> r.rig() != open.rig())
                .map(r -> new Copy(Integer.toString(r.rig() + 1), name(r.plan())))
                .toList();
    }

    /** The block that is told in full: what runs at the playhead, else the first with frames. */
    static int chosen(List<Block> blocks, Instant at) {
        int first = -1;
        for (int i = 0; i < blocks.size(); i++) {
            Block b = blocks.get(i);
            boolean frames = !b.frames().isEmpty();
            if (frames && !b.start().isAfter(at) && b.end().isAfter(at)) {
                return i;
            }
            first = first < 0 && frames ? i : first;
        }
        return first;
    }

    /** The same answer, with what it comes to where the camera drops frames of it. */
    private static SequenceStep taken(SequenceStep step, List<Block> blocks, int taken, Set<Instant> dropped) {
        if (dropped.isEmpty()) {
            return step;
        }
        long stacked = blocks.stream()
                .filter(b -> b.kind() == Block.Kind.STACK)
                .flatMap(b -> b.frames().stream())
                .filter(f -> !dropped.contains(f.open()))
                .count();
        String cost = " As the camera is set it takes only " + taken + " of these"
                + (stacked > 1
                        ? ": the mean of " + stacked + " gains " + Words.stops(Stops.ofAveraging((int) stacked)) + "."
                        : ".");
        Because said = step.answer();
        return new SequenceStep(
                new Because(said.heading(), said.answer(), said.reason() + cost), step.checks(), step.timer());
    }

    /** The subject's own answer, or what the laid blocks come to. */
    private static SequenceStep step(ShootDesk.Open open, List<Block> blocks, ZoneId zone) {
        SequenceStep computed = open.subject().sequence(open.plan());
        if (!open.laid() || blocks.isEmpty()) {
            return computed;
        }
        String span = Words.clock(blocks.get(0).start(), zone) + " to "
                + Words.clock(blocks.get(blocks.size() - 1).end(), zone);
        int stacked = blocks.stream()
                .filter(b -> b.kind() == Block.Kind.STACK)
                .mapToInt(b -> b.frames().size())
                .sum();
        String gain = stacked > 1
                ? " The mean of the " + stacked + " stacked frames gains " + Words.stops(Stops.ofAveraging(stacked))
                        + " of signal-to-noise."
                : "";
        return new SequenceStep(
                new Because(
                        "Laid by hand",
                        Words.count(Block.frames(blocks), "frame"),
                        "In " + Words.count(blocks.size(), "block") + " from " + span + "." + gain
                                + " Computed, it would be: " + computed.answer().answer() + "."),
                Table.of("Checks", "", List.of(), "check"),
                List.of());
    }

    /** For each block its place among the laid ones, −1 for a computed one that stays. */
    static List<Integer> numbers(Programme programme, Laying laid) {
        List<String> ids = laid.blocks().stream().map(BlockSpec::id).toList();
        return programme.planned().stream().map(p -> ids.indexOf(p.id())).toList();
    }

    private static Timeline timeline(
            ShootDesk.Open open,
            List<ShootDesk.Open> rigs,
            RunSimulation run,
            List<Integer> numbers,
            List<ProgrammeCheck> found,
            Theme theme) {
        List<Timeline.Rig> lanes = new ArrayList<>();
        for (ShootDesk.Open one : rigs) {
            boolean current = one.rig() == open.rig();
            List<Integer> wrong = !current
                    ? List.of()
                    : found.stream()
                            .filter(c -> c.what() == ProgrammeCheck.What.CLASH)
                            .map(ProgrammeCheck::block)
                            .toList();
            lanes.add(new Timeline.Rig(
                    one.plan(),
                    current,
                    one.blocks(),
                    current ? numbers : one.blocks().stream().map(b -> -1).toList(),
                    wrong,
                    current ? run : one.simulated(),
                    one.shoot().it().rig().choices().recording().outsidePower()));
        }
        return Timeline.of(lanes, open.plan(), open.at(), theme);
    }

    /** A rig by its kit. */
    public static String name(Plan plan) {
        return Words.rig(plan.rig());
    }

    static String words(ProgrammeCheck c, ShootDesk.Open open, ZoneId zone) {
        Block b = open.blocks().get(c.block());
        String which = BlockWords.name(b.kind()) + " of " + Words.clock(b.start(), zone);
        String by = Words.minutes(c.by());
        return switch (c.what()) {
            case CLASH ->
                which + " begins " + by
                        + " before the block before it is over: start it later, or take fewer frames there.";
            case OUTSIDE_WINDOW ->
                which + " stands outside the night's window for " + by + ": move it, or take fewer frames.";
            case NOT_DARK ->
                which + ": the sky is not dark for " + by + " of it. Move it into the dark, or lower the ISO there.";
            case MOON -> which + ": the moon is up for " + by + " of it. Move it, or take it as light for the ground.";
            case CORE_HIDDEN ->
                which + ": " + open.subject().shown(open.plan()) + " is down or behind the skyline for " + by
                        + " of it.";
        };
    }

    /** What the plan says by now where a block was made for something else: "Made for 8 s f/2 ISO 1250; the plan now says …". */
    static String other(Programme.Planned planned, Plan plan) {
        return planned.madeForOther(plan)
                .map(now -> "Made for "
                        + set(planned.laid().flatMap(BlockSpec::made).orElseThrow()) + ". The plan now says " + set(now)
                        + ".")
                .orElse("");
    }

    static String set(BlockSpec.Made m) {
        return Words.seconds(m.seconds()) + " " + m.fNumber().label() + " ISO " + m.iso();
    }

    static Edit edit(int number, BlockSpec s, String other, ZoneId zone, FormErrors errors) {
        boolean pause = s.kind() == Block.Kind.PAUSE;
        Edit kept = new Edit(
                number,
                s.id(),
                other,
                pause,
                CivilTime.textSeconds(s.start(), zone),
                pause ? SequenceEdits.typed(Math.rint(s.seconds() / 60 * 10) / 10) : Integer.toString(s.frames()),
                pause ? "minutes" : "frames",
                SequenceEdits.typed(s.seconds()),
                SequenceEdits.typed(s.gapSeconds()),
                SequenceEdits.typed(Math.rint(s.fNumber().value() * 100) / 100),
                s.iso().toString(),
                s.kind() == Block.Kind.TIME_LAPSE,
                Programme.followsLight(s),
                s.kind() == Block.Kind.BRACKET,
                BlockSpec.BRACKETED.contains(s.kind()),
                Integer.toString(s.thirds()),
                s.how().bracket().map(l -> Integer.toString(l.count())).orElse("1"),
                Integer.toString(s.how().bracket().orElse(Ladder.USUAL).thirds()),
                s.how().jpeg().map(PhaseChoice.FILES::write).orElse(""));
        boolean refused = !errors.of("BLOCKS").isEmpty() && errors.text("block").equals(s.id());
        return refused ? kept.typed(errors) : kept;
    }

    /** How many frames move farther than the plan allows, and the farthest of them; for the list of checks. */
    static Optional<String> moving(Block b, List<OptionalDouble> over, Plan plan) {
        double[] px = over.stream()
                .filter(OptionalDouble::isPresent)
                .mapToDouble(OptionalDouble::getAsDouble)
                .toArray();
        return px.length == 0
                ? Optional.empty()
                : Optional.of(BlockWords.name(b.kind()) + " of "
                        + Words.clock(b.start(), plan.place().zone()) + ": "
                        + Words.count(px.length, "frame") + " move" + (px.length == 1 ? "s" : "") + " up to "
                        + Words.tenths(Arrays.stream(px).max().orElse(0)) + " px, "
                        + Words.plain(plan.mostMotionPx())
                        + " px is the limit: raise the ISO or open the aperture first.");
    }

    /** What an intervalometer asks for, with the trap of names and real times; what it sweeps or gives. */
    public static String timer(Programme.Planned p, ShootDesk.Open open) {
        return p.timer(open.plan()).map(t -> timer(p.block(), t)).orElse("");
    }

    public static String timer(Block b, Timer t) {
        Frame first = b.frames().get(0);
        double real = t.exposure().realSeconds();
        boolean bulb = t.exposure().bulb();
        double minutes = Duration.between(b.start(), b.end()).toMillis() / 60_000.0;
        String trap = first.shutter().namedOtherwise()
                ? " The “" + first.shutter().label() + "” is really " + Words.seconds(real)
                        + ": a timer set shorter than that drops every other frame."
                : "";
        String sweep = b.kind() == Block.Kind.TRAILS
                ? " Sweeps " + Words.degrees(minutes / 60 * SiderealTime.DEGREES_PER_HOUR)
                        + "; played one after another the same frames are a time lapse of "
                        + Words.seconds(b.frames().size() / BlockSpec.CLIP_RATE) + "."
                : b.kind() == Block.Kind.TIME_LAPSE
                        ? " Plays for " + Words.seconds(b.frames().size() / BlockSpec.CLIP_RATE)
                                + " at 25 frames a second."
                        : "";
        String interval = t.from() == IntervalTimer.From.GAP
                ? ", " + Words.plain(t.intervalSeconds()) + " s from close to open"
                : ", interval " + Words.plain(t.intervalSeconds()) + " s start to start (gap "
                        + Words.plain(Math.rint((t.intervalSeconds() - real) * 10) / 10) + " s)";
        return "Timer: delay " + Words.plain(t.delaySeconds()) + " s, "
                + (bulb
                        ? "bulb " + first.shutter().label()
                        : "exposure on the camera, " + first.shutter().label())
                + interval
                + (t.endless()
                        ? ", without an end: stop it by hand after " + t.number() + " frames."
                        : ", number " + t.number() + ".")
                + trap + sweep;
    }

    /** "1/500 s f/8 ISO 100", or from the shortest to the longest where they differ. */
    public static String settings(List<Frame> frames) {
        if (frames.isEmpty()) {
            return "";
        }
        List<Frame> byTime = new ArrayList<>(frames);
        byTime.sort((a, b) -> a.shutter().compareTo(b.shutter()));
        String shortest = byTime.get(0).shutter().label();
        String longest = byTime.get(byTime.size() - 1).shutter().label();
        Set<String> apertures = new LinkedHashSet<>();
        Set<Integer> isos = new LinkedHashSet<>();
        frames.forEach(f -> {
            apertures.add(f.fNumber().label());
            isos.add(f.iso().number());
        });
        return (shortest.equals(longest) ? shortest : shortest + " to " + longest) + ", "
                + range(List.copyOf(apertures)) + ", ISO "
                + range(isos.stream().sorted().map(String::valueOf).toList());
    }

    private static String range(List<String> values) {
        return values.size() == 1 ? values.get(0) : values.get(0) + " to " + values.get(values.size() - 1);
    }
}
