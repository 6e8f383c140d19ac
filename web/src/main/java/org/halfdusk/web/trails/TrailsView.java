package org.halfdusk.web.trails;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import org.halfdusk.exposure.SkyExposure;
import org.halfdusk.sequence.FrameRun;
import org.halfdusk.sequence.Timer;
import org.halfdusk.sequence.camera.TrailGap;
import org.halfdusk.shoot.Subject;
import org.halfdusk.shoot.trails.TrailsNight;
import org.halfdusk.shoot.trails.TrailsPlan;
import org.halfdusk.time.Interval;
import org.halfdusk.web.layout.drawing.NightStrip;
import org.halfdusk.web.layout.drawing.Theme;
import org.halfdusk.web.layout.words.Times;
import org.halfdusk.web.layout.words.Words;
import org.halfdusk.web.subject.ExposeStep;
import org.halfdusk.web.subject.Framed;
import org.halfdusk.web.subject.NightStep;
import org.halfdusk.web.subject.NightWords;
import org.halfdusk.web.subject.SequenceStep;
import org.halfdusk.web.subject.SubjectView;
import org.halfdusk.web.subject.page.Because;
import org.halfdusk.web.subject.page.Line;
import org.halfdusk.web.subject.page.Table;
import org.halfdusk.web.subject.words.ReasonWords;
import org.springframework.stereotype.Component;

/** Star trails on the pages. */
@Component
class TrailsView implements SubjectView<TrailsNight, TrailsPlan> {
    @Override
    public Subject subject() {
        return Subject.STAR_TRAILS;
    }

    @Override
    public Class<TrailsNight> nightType() {
        return TrailsNight.class;
    }

    @Override
    public Class<TrailsPlan> planType() {
        return TrailsPlan.class;
    }

    @Override
    public Framed framed(TrailsPlan plan) {
        return new Framed.OfPole(
                plan.poleInFrame().isPresent()
                        ? "It is in the frame: the stars draw circles about it. "
                        : "It is outside the frame: the stars draw arcs, straighter the farther from it. ");
    }

    @Override
    public boolean drawnAsTrails() {
        return true;
    }

    @Override
    public String shown(TrailsPlan plan) {
        return "the trail of a star";
    }

    @Override
    public String name() {
        return "Star trails";
    }

    @Override
    public String about() {
        return "dark for hours, the pole in the frame";
    }

    @Override
    public ListHeads heads() {
        return new ListHeads(
                "When is it dark for long",
                "Copper is dark, with the moon brightening the sky by at most a magnitude.",
                "dark, little moonlight",
                "pole");
    }

    @Override
    public NightWords words(TrailsNight n) {
        return TrailsNightWords.of(n);
    }

    private static boolean moonFree(TrailsNight n) {
        return n.main()
                .map(w -> Interval.intersect(List.of(w), n.night().moonUp()).isEmpty())
                .orElse(false);
    }

    static String sentence(TrailsNight n) {
        String lit = Words.percent(n.night().moonPhase().illuminatedFraction());
        if (n.main().isEmpty()) {
            return n.obstacle().orElse(TrailsNight.Obstacle.MOON) == TrailsNight.Obstacle.NEVER_DARK
                    ? "The sun never gets 18° down this night."
                    : "The moon, " + lit + " lit, brightens the dark by more than " + Words.plain(n.allowedMoonlight())
                            + " mag all night; allow more, or take the land it lights.";
        }
        Interval w = n.main().orElseThrow();
        return Times.duration(w.duration()) + " dark, the moon "
                + (moonFree(n) ? "down" : "adding less than " + Words.plain(n.allowedMoonlight()) + " mag")
                + " (" + lit
                + " lit). The sky turns " + Words.degrees(n.turningDegrees()) + " meanwhile.";
    }

    @Override
    public List<NightStrip.Mark> marks(TrailsNight n) {
        return NightStrip.marks(n.night());
    }

    @Override
    public NightStep night(TrailsPlan plan, Instant at, Theme theme, String address) {
        return TrailsNightStep.of(plan, at, theme, address);
    }

    @Override
    public ExposeStep expose(TrailsPlan plan, Theme theme) {
        return TrailsExpose.step(plan, theme);
    }

    @Override
    public SequenceStep sequence(TrailsPlan plan) {
        if (plan.run().isEmpty()) {
            return new SequenceStep(
                    new Because("No frames", "No window this night", sentence(plan.night())),
                    Table.of("Checks", "", List.of(), "check", "value#", "verdict"),
                    List.of());
        }
        FrameRun run = plan.run().orElseThrow();
        TrailGap gap = plan.widestGap().orElse(TrailGap.NONE);
        return new SequenceStep(
                new Because(
                        Words.capital(count(run)),
                        Times.duration(run.durationSeconds() / 3600) + ", " + Words.degrees(run.arcDegrees())
                                + " of arc",
                        Words.count(run.frames(), "frame") + " of "
                                + run.exposure().label() + ReasonWords.real(run.exposure())
                                + " with a gap of " + Words.plain(run.gapSeconds())
                                + " s, from the window's beginning"
                                + (plan.rig().camera().film()
                                        ? "."
                                        : "; then one with the cap on, of the same time and ISO.")),
                Table.of("Checks", "", checks(plan, run, gap), "check", "value#", "verdict"),
                List.of(
                        new Line("Delay", Words.plain(Timer.USUAL_DELAY_SECONDS) + " s"),
                        new Line(
                                run.exposure().bulb() ? "Bulb" : "Exposure",
                                run.exposure().label()),
                        ReasonWords.interval(run),
                        ReasonWords.number(plan.rig(), run.frames()),
                        ReasonWords.noiseReduction(plan.rig(), "off: it would double every gap")));
    }

    private static String count(FrameRun run) {
        return run.frames() == 1 ? "one frame" : run.frames() + " frames";
    }

    /** "hidden, dims 4 %": the one rule of the light that is missing. */
    private static String look(TrailGap gap) {
        return switch (gap.look()) {
                    case HIDDEN -> "hidden";
                    case FAINT -> "faint";
                    case SHOWS -> "a dark notch";
                }
                + ", dims " + Words.percent(gap.dip());
    }

    private static List<Table.Row> checks(TrailsPlan plan, FrameRun run, TrailGap gap) {
        List<Table.Row> rows = new ArrayList<>();
        rows.add(Table.Row.of(false, "Gap between dashes", Words.tenths(gap.px()) + " px", look(gap))
                .toned(gap.look() == TrailGap.Look.HIDDEN ? "good" : "caution"));
        SkyExposure sky = plan.exposure().sky();
        double under = plan.exposure().stopsUnderGlow();
        rows.add(Table.Row.of(
                        false,
                        "Sky in one frame",
                        Words.percent(sky.histogramPosition()),
                        under >= 0
                                ? Words.stops(under) + " under a third"
                                : Words.stops(under) + " over a third: faint trails drown")
                .toned(under >= 0 ? "good" : "caution"));
        plan.oneLongFrame()
                .ifPresent(x -> rows.add(Table.Row.of(
                                false,
                                "One frame of " + Times.duration(run.durationSeconds() / 3600),
                                x.stopsUnderClipping() < 0 ? "clips" : Words.percent(x.histogramPosition()),
                                x.stopsUnderClipping() < 0
                                        ? "sky " + Words.stops(x.stopsUnderClipping()) + " over"
                                        : "heat and risk instead")
                        .toned(x.stopsUnderClipping() < 0 ? "stop" : "caution")));
        rows.add(Table.Row.of(
                false,
                "Pole in frame",
                Words.degrees(plan.night().pole().altitude().degrees()),
                plan.poleInFrame().isPresent() ? "full circles" : "outside the frame"));
        return rows;
    }

    @Override
    public String sequenceAnswer(TrailsPlan plan) {
        return plan.run()
                .map(r -> count(r) + ", " + Words.degrees(r.arcDegrees()) + " of arc")
                .orElse("no window");
    }

    @Override
    public String frames(TrailsPlan plan) {
        return plan.run().map(ReasonWords::every).orElse("");
    }

    @Override
    public String verdict(TrailsPlan plan) {
        return plan.widestGap()
                .map(g -> switch (g.look()) {
                            case HIDDEN -> "Gaps are hidden: ";
                            case FAINT -> "Gaps are faint: ";
                            case SHOWS -> "Gaps show: ";
                        }
                        + Words.tenths(g.px()) + " px at the most, " + Words.percent(g.dip()) + " darker")
                .orElseGet(() -> sentence(plan.night()));
    }
}
