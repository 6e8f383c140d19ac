package org.halfdusk.web.shoot;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.halfdusk.exposure.Setting;
import org.halfdusk.optics.Rig;
import org.halfdusk.sequence.Block;
import org.halfdusk.sequence.camera.RunSimulation;
import org.halfdusk.shoot.Plan;
import org.halfdusk.shoot.Subject;
import org.halfdusk.shoot.SubjectNight;
import org.halfdusk.shoot.camera.ClockOffset;
import org.halfdusk.shoot.choices.Shoot;
import org.halfdusk.shoot.choices.ShootField;
import org.halfdusk.shoot.kept.Kept;
import org.halfdusk.shoot.kept.Shoots;
import org.halfdusk.shoot.kept.done.RunLog;
import org.halfdusk.shoot.packing.Air;
import org.halfdusk.shoot.planning.Planner;
import org.halfdusk.shoot.programme.Programme;
import org.halfdusk.time.CivilTime;
import org.halfdusk.time.Interval;
import org.halfdusk.weather.Forecast;
import org.halfdusk.weather.Spell;
import org.halfdusk.web.door.refusal.NotFound;
import org.halfdusk.web.layout.drawing.NightStrip;
import org.halfdusk.web.layout.drawing.Theme;
import org.halfdusk.web.layout.words.Times;
import org.halfdusk.web.layout.words.Words;
import org.halfdusk.web.subject.Subjects;
import org.halfdusk.web.subject.words.EclipseWords;
import org.halfdusk.web.subject.words.ReasonWords;
import org.springframework.stereotype.Component;

/** Opens a shoot, plans it and words its frame. */
@Component
public class ShootDesk {
    /** Steps that show how the setting goes over the night. */
    private static final Set<String> CURVED = Set.of("night", "expose");

    private final Shoots shoots;
    private final Planner planner;
    private final Subjects subjects;
    private final StepAnswers answers;
    private final Curves curves;
    private final RunLog log;

    ShootDesk(Shoots shoots, Planner planner, Subjects subjects, StepAnswers answers, Curves curves, RunLog log) {
        this.log = log;
        this.curves = curves;
        this.answers = answers;
        this.shoots = shoots;
        this.planner = planner;
        this.subjects = subjects;
    }

    /**
     * A shoot with all that follows from it, at a moment of its night.
     *
     * @param plan the programme's, for its own moment
     * @param now the same at the playhead
     * @param rig the number of the rig it is seen through
     * @param skipped the time that was asked for, where clocks skip it in this night; empty otherwise
     * @param forecast the weather ahead of its place, where any is known
     * @param programme the rig's blocks: computed, or laid by the person
     * @param clock how far its camera's clock is off, where that was compared
     */
    public record Open(
            Kept<Shoot> shoot,
            Plan plan,
            Plan now,
            Subjects.Bound<?, ?> subject,
            Instant at,
            int rig,
            String skipped,
            Optional<Forecast> forecast,
            Programme programme,
            Optional<ClockOffset> clock) {
        /** The blocks alone. */
        public List<Block> blocks() {
            return programme.blocks();
        }

        /** The weather of its window, where all of that is forecast. */
        public Optional<Spell> weather() {
            return forecast.flatMap(f -> plan.night().main().flatMap(f::during));
        }

        /** The air that all its pages reckon with. */
        public Air air() {
            return Air.of(shoot.it(), weather());
        }

        /** What becomes of its programme on the camera. */
        public RunSimulation simulated() {
            return programme.simulated(plan, shoot.it().rig().choices(), air());
        }

        /** Whether a person has laid blocks. */
        public boolean laid() {
            return !shoot.it().rig().choices().blocks().isEmpty();
        }

        /** Where a step of this shoot is. */
        public String address(String step) {
            return base() + "/" + step;
        }

        public String base() {
            return base(shoot.id(), rig);
        }

        /** Where the steps of a shoot through one of its rigs begin; people count rigs from one. */
        public static String base(long id, int rig) {
            return "/shoots/" + id + (rig == Shoots.FIRST_RIG ? "" : "/rig" + (rig + 1));
        }
    }

    /**
     * @param at what the address says of the playhead: an instant, a time of day, or nothing for the best moment
     * @throws NotFound where there is no such shoot
     */
    public Open open(long id, Optional<String> at) {
        return open(id, Shoots.FIRST_RIG, at);
    }

    /** As people count: the first rig has no number in the address, the second is rig2. */
    public static int rigNumber(Optional<Integer> counted) {
        return counted.map(r -> r - 1).orElse(Shoots.FIRST_RIG);
    }

    /** The same at its best moment, through a rig as an address counts it. */
    public Open through(long id, Optional<Integer> rig) {
        return open(id, rigNumber(rig), Optional.empty());
    }

    /** The same with one of its rigs. */
    public Open open(long id, int rig, Optional<String> at) {
        Kept<Shoot> shoot = shoots.find(id, rig).orElseThrow(() -> NotFound.shoot(id));
        Plan plan = planner.plan(shoot.it());
        Interval axis = plan.night().axis();
        Optional<CivilTime.Meant> meant = Playhead.understood(at)
                .flatMap(a -> Playhead.in(a, axis, plan.place().zone()));
        Instant wished = meant.map(CivilTime.Meant::at).orElse(plan.moment());
        Instant inside =
                wished.isBefore(axis.start()) ? axis.start() : wished.isAfter(axis.end()) ? axis.end() : wished;
        return new Open(
                shoot,
                plan,
                inside.equals(plan.moment()) ? plan : plan.at(inside),
                subjects.of(shoot.it().subject(), plan.night()),
                inside,
                rig,
                meant.filter(CivilTime.Meant::skipped).flatMap(m -> at).orElse(""),
                planner.forecast(plan.place()),
                Programme.of(plan, shoot.it().rig().choices()),
                Optional.ofNullable(log.clocks().get(shoot.it().rig().cameraId())));
    }

    /** A shoot through each of its rigs. */
    public List<Open> all(long id) {
        return shoots.rigs(id).stream()
                .map(r -> open(id, (int) r.id(), Optional.empty()))
                .toList();
    }

    /** The same, that which is open already among them as it is. */
    public List<Open> all(Open shown) {
        long id = shown.shoot().id();
        return shoots.rigs(id).stream()
                .map(r -> r.id() == shown.rig() ? shown : open(id, (int) r.id(), Optional.empty()))
                .toList();
    }

    private static NightStrip strip(Open open, Theme theme) {
        return NightStrip.large(
                open.plan().night(),
                theme,
                open.at(),
                open.subject().stripMarks(),
                open.blocks(),
                open.forecast(),
                open.subject().words().sentence());
    }

    /** The frame of a page of this shoot. */
    public ShootPage page(Open open, String step, Theme theme) {
        Shoot shoot = open.shoot().it();
        Plan plan = open.plan();
        Subjects.Bound<?, ?> subject = open.subject();
        ZoneId zone = plan.place().zone();
        List<String> caption = caption(open);
        return new ShootPage(
                open.shoot().id(),
                open.base(),
                rigs(open, step),
                subjects.name(shoot.subject()),
                shoot.title(),
                plan.place().name(),
                subject.date(),
                Times.clockOf(shoot.savedAt(), zone),
                shoots.undoable(open.shoot().id()),
                step,
                subjects.dayName(shoot.subject()),
                steps(open, step),
                strip(open, theme),
                open.at().toString(),
                Times.clock(open.at(), zone),
                CivilTime.text(open.at(), zone),
                Times.clocksChange(plan.night().axis(), zone).orElse(""),
                Words.units().twelveHours(),
                step.equals("night") ? nextGoodNight(open) : "",
                subject.contacts(),
                subject.banner(plan),
                eclipses(open),
                caption,
                String.join("  ", caption),
                subject.verdict(plan),
                Moment.of(open, step, subject.shown(plan), subject.moment(plan, open.now())),
                CURVED.contains(step) ? curves.of(open) : Optional.empty(),
                ShootField.texts(shoot));
    }

    private static List<ShootPage.EclipseNotice> eclipses(Open open) {
        return open.subject().others().stream()
                .map(e -> new ShootPage.EclipseNotice(
                        EclipseWords.sentence(e, open.plan().place().zone()),
                        "/nights/" + e.night() + "?subject=" + e.subject() + "&place="
                                + open.shoot().it().placeId()))
                .toList();
    }

    /** The rigs of a shoot, each leading to the same step through it. */
    private List<ShootPage.RigTab> rigs(Open open, String step) {
        long id = open.shoot().id();
        List<ShootPage.RigTab> tabs = new ArrayList<>();
        for (Kept<Shoot.ShootRig> r : shoots.rigs(id)) {
            Rig rig = r.id() == open.rig() ? open.plan().rig() : planner.rig(r.it());
            tabs.add(new ShootPage.RigTab(
                    (int) r.id(),
                    Words.rig(rig),
                    Open.base(id, (int) r.id()) + "/" + step + "?at=" + open.at(),
                    r.id() == open.rig()));
        }
        return tabs;
    }

    private static List<String> caption(Open open) {
        Plan plan = open.plan();
        Setting s = open.now().setting();
        List<String> caption = new ArrayList<>(List.of(
                s.shutter().label(),
                s.fNumber().label(),
                "ISO " + s.iso(),
                Words.plain(plan.rig().focalMm()) + " mm " + (plan.framing().upright() ? "upright" : "level"),
                ReasonWords.balance(plan)));
        String frames = open.laid()
                ? "×" + Block.frames(open.blocks()) + " laid by hand"
                : open.subject().frames(plan);
        if (!frames.isEmpty()) {
            caption.add(frames);
        }
        return caption;
    }

    private List<ShootPage.Step> steps(Open open, String current) {
        Subjects.Bound<?, ?> subject = open.subject();
        String query = "?at=" + open.at();
        String day = subjects.dayName(open.shoot().it().subject());
        return List.of(
                step("night", day, subject.words().answer(), open.address("night") + query, current),
                step("frame", "Frame", answers.of(open, "frame"), open.address("frame") + query, current),
                step("expose", "Expose", subject.exposeAnswer(open.now()), open.address("expose") + query, current),
                step("sequence", "Sequence", sequenceAnswer(open), open.address("sequence") + query, current),
                step("pack", "Pack", answers.of(open, "pack"), open.address("pack") + query, current),
                step("run", "Run", answers.of(open, "run"), open.address("run") + query, current),
                step("review", "Review", answers.of(open, "review"), open.address("review") + query, current));
    }

    private static String sequenceAnswer(Open open) {
        return open.laid()
                ? Words.count(Block.frames(open.blocks()), "frame") + " in "
                        + Words.count(open.blocks().size(), "block")
                : open.subject().sequenceAnswer(open.plan());
    }

    private static ShootPage.Step step(String key, String name, String answer, String href, String current) {
        return new ShootPage.Step(key, name, answer, href, key.equals(current));
    }

    /** The next of the coming nights that is good beside the best in them. */
    private String nextGoodNight(Open open) {
        LocalDate after = open.shoot().it().night().plusDays(1);
        Subject subject = open.shoot().it().subject();
        List<SubjectNight> nights = planner.nights(subject, open.plan().place(), after, NightsAhead.count(subject));
        int most = Planner.best(nights).map(n -> n.score().total()).orElse(0);
        return nights.stream()
                .filter(n -> n.score().goodBeside(most))
                .findFirst()
                .map(n -> n.date().toString())
                .orElse("");
    }
}
