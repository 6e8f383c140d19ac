package org.halfdusk.web.trails;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.halfdusk.ephemeris.Body;
import org.halfdusk.exposure.Reciprocity;
import org.halfdusk.exposure.SkyExposure;
import org.halfdusk.sequence.FrameRun;
import org.halfdusk.sequence.Timer;
import org.halfdusk.sequence.TrailGap;
import org.halfdusk.shoot.Subject;
import org.halfdusk.shoot.trails.TrailsExposure;
import org.halfdusk.shoot.trails.TrailsNight;
import org.halfdusk.shoot.trails.TrailsPlan;
import org.halfdusk.sky.Sky;
import org.halfdusk.time.Interval;
import org.halfdusk.time.SiderealTime;
import org.halfdusk.web.layout.NightStrip;
import org.halfdusk.web.layout.Theme;
import org.halfdusk.web.layout.Words;
import org.halfdusk.web.subject.Because;
import org.halfdusk.web.subject.ExposeStep;
import org.halfdusk.web.subject.Framed;
import org.halfdusk.web.subject.LearntWords;
import org.halfdusk.web.subject.Line;
import org.halfdusk.web.subject.NightStep;
import org.halfdusk.web.subject.NightWords;
import org.halfdusk.web.subject.ReasonWords;
import org.halfdusk.web.subject.SequenceStep;
import org.halfdusk.web.subject.SubjectView;
import org.halfdusk.web.subject.Table;
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
        String heading = n.main().map(w -> Words.span(w, n.zone())).orElseGet(() -> Words.capital(shortly(n)));
        String answer =
                n.main().map(w -> Words.duration(w.duration()) + " dark").orElseGet(() -> shortly(n));
        return new NightWords(
                heading,
                answer,
                sentence(n),
                whyNotMore(n),
                n.main().isPresent() ? Words.degrees(n.pole().altitude().degrees()) : "",
                ReasonWords.parts(n.score(), "hours", "pole", "moonlight"));
    }

    private static boolean moonFree(TrailsNight n) {
        return n.main()
                .map(w -> Interval.intersect(List.of(w), n.night().moonUp()).isEmpty())
                .orElse(false);
    }

    private static String shortly(TrailsNight n) {
        return n.obstacle()
                .map(o -> o == TrailsNight.Obstacle.NEVER_DARK ? "never dark" : "too much moonlight")
                .orElse("no window");
    }

    private static String sentence(TrailsNight n) {
        String lit = Words.percent(n.night().moonPhase().illuminatedFraction());
        if (n.main().isEmpty()) {
            return n.obstacle().orElse(TrailsNight.Obstacle.MOON) == TrailsNight.Obstacle.NEVER_DARK
                    ? "The sun never gets 18° down this night."
                    : "The moon, " + lit + " lit, brightens the dark by more than " + Words.plain(n.allowedMoonlight())
                            + " mag all night; allow more, or take the land it lights.";
        }
        Interval w = n.main().orElseThrow();
        return Words.duration(w.duration()) + " dark, the moon "
                + (moonFree(n) ? "down" : "adding less than " + Words.plain(n.allowedMoonlight()) + " mag")
                + " (" + lit
                + " lit). The sky turns " + Words.degrees(n.turningDegrees()) + " meanwhile.";
    }

    private static String whyNotMore(TrailsNight n) {
        if (n.main().isEmpty()) {
            return sentence(n);
        }
        double dark = Interval.hours(n.night().dark());
        return !Words.told(dark - n.windowHours())
                ? "all of the dark is usable"
                : "moonlight takes " + Words.duration(dark - n.windowHours()) + " of the dark";
    }

    @Override
    public List<NightStrip.Mark> marks(TrailsNight n) {
        return NightStrip.marks(n.night());
    }

    @Override
    public NightStep night(TrailsPlan plan, Instant at, Theme theme, String address) {
        TrailsNight n = plan.night();
        List<String> sentences = new ArrayList<>();
        sentences.add(sentence(n));
        sentences.add(poleSentence(plan));
        List<Line> times = new ArrayList<>(ReasonWords.sunAndDark(n.night()));
        times.addAll(ReasonWords.moon(n.night()));
        times.add(new Line("Pole", ReasonWords.place(n.pole())));
        times.addAll(ReasonWords.settingUp(n, plan));
        n.light().site().domes().stream()
                .findFirst()
                .ifPresent(d -> times.add(new Line(
                        "Brightest glow",
                        d.name() + ", " + Words.azimuth(d.azimuthDegrees()) + ", " + Math.round(d.distanceKm())
                                + " km away (estimate)")));
        return new NightStep(
                words(n).heading(),
                sentences,
                "trails/pictures",
                ArcsPicture.of(plan, theme),
                times,
                Table.of(
                        "Arc by length",
                        SiderealTime.DEGREES_PER_HOUR + "° an hour, the same for every star.",
                        arcRows(plan),
                        "shutter working for",
                        "arc#",
                        "frames#"),
                at(plan, at),
                List.of(
                        ReasonWords.NIGHT_PLACE,
                        "No torches across the frame: one headlight costs one frame of many, but all of a long one."));
    }

    private static String poleSentence(TrailsPlan plan) {
        TrailsNight n = plan.night();
        boolean south = n.pole().azimuth().degrees() > 90;
        String where = (south ? "The south" : "The north") + " celestial pole stands at "
                + Words.azimuth(n.pole().azimuth().degrees()) + ", "
                + Words.degrees(n.pole().altitude().degrees()) + " up";
        double lift = n.pole().altitude().degrees();
        return where
                + (lift < 1
                        ? ", on the horizon: trails here are half circles at the most."
                        : plan.poleInFrame().isPresent()
                                ? ", inside the frame: full circles turn about it."
                                : ", outside the frame: trails run straighter.");
    }

    private static List<Table.Row> arcRows(TrailsPlan plan) {
        double gap = plan.run().map(FrameRun::gapSeconds).orElse(1.0);
        List<Table.Row> rows = new ArrayList<>();
        double own = plan.run().map(FrameRun::durationSeconds).orElse(0.0);
        boolean chosen = false;
        for (double m : TrailsPlan.LENGTHS_MINUTES) {
            if (!chosen && own > 0 && own / 60 < m) {
                rows.add(arcRow(own, gap, plan, true));
                chosen = true;
            }
            rows.add(arcRow(m * 60, gap, plan, false));
        }
        if (!chosen && own > 0) {
            rows.add(arcRow(own, gap, plan, true));
        }
        return rows;
    }

    private static Table.Row arcRow(double seconds, double gap, TrailsPlan plan, boolean chosen) {
        FrameRun run = FrameRun.filling(
                seconds, plan.exposure().shutter(), gap, plan.rig().camera().timer());
        return Table.Row.of(
                chosen,
                Words.duration(seconds / 3600),
                Words.degrees(run.arcDegrees()),
                Integer.toString(run.frames()));
    }

    private static NightStep.At at(TrailsPlan plan, Instant at) {
        TrailsNight n = plan.night();
        Sky sky = n.sky();
        double lift = n.light().at(at).zenith().moonLift();
        boolean usable = n.windows().stream().anyMatch(w -> w.contains(at));
        boolean dark = n.night().dark().stream().anyMatch(w -> w.contains(at));
        double towards = n.light().at(at).towards(plan.framing().direction()).magnitude();
        return new NightStep.At(
                "Sky " + Words.tenths(towards) + " mag/arcsec²",
                usable
                        ? "Inside the window: dark, "
                                + (!Words.told(lift) ? "no moonlight" : "the moon adds " + Words.tenths(lift) + " mag")
                                + ". The brightness is that towards the frame."
                        : "Outside the window: "
                                + (dark ? "the moon adds " + Words.tenths(lift) + " mag." : "the sun is not 18° down."),
                List.of(ReasonWords.body("Sun", sky, Body.SUN, at), ReasonWords.body("Moon", sky, Body.MOON, at)));
    }

    @Override
    public ExposeStep expose(TrailsPlan plan, Theme theme) {
        TrailsExposure e = plan.exposure();
        return new ExposeStep(
                "trails/pictures",
                TrailsExposePicture.of(plan, theme),
                time(plan),
                Table.of("Many frames or one", "", manyOrOne(plan), "figure", "one frame#", "all in one#"),
                List.of(
                        ReasonWords.aperture(
                                e.aperture(),
                                "Sets how many stars draw a trail, since a moving star spends the same time on every pixel; "
                                        + "f/4 keeps the brightest from clipping and corners clean."),
                        ReasonWords.iso(e.isoReason(), e.iso(), e.skyBrightness(), e.sky())
                                .and(LearntWords.because(plan)),
                        ReasonWords.kelvin(
                                plan.setting().kelvin(),
                                "3200 K keeps the night blue; raw files can change it later.")),
                new ExposeStep.Asked(false, true),
                "f/4 or widest");
    }

    private static Because time(TrailsPlan plan) {
        TrailsExposure e = plan.exposure();
        String label = e.shutter().label();
        String glow = "At " + ReasonWords.line(plan.setting()) + " the sky would reach a third of the histogram after "
                + Words.seconds(e.glowLimitSeconds()) + ". ";
        String reason = switch (e.timeReason()) {
            case USUAL ->
                glow + "A minute and a half keeps the number of files down, and a headlight costs one frame only.";
            case LONGEST_OF_CAMERA ->
                glow + "It is the camera's longest without bulb" + ReasonWords.real(e.shutter()) + ".";
            case SKY_GLOW ->
                "The sky is bright here: even at the lowest ISO it reaches a third of the histogram soon. " + glow;
            case FILM ->
                "A film of ISO " + e.iso() + " needs this for the sky, its slowness in the dark counted: "
                        + Words.seconds(Reciprocity.counts(e.rig(), e.shutter().realSeconds()))
                        + " of light. " + glow;
            case LIGHT -> "Aperture and ISO are fixed: so long the sky needs to stand where you want it. " + glow;
            case PINNED -> "You fixed this time. " + glow;
        };
        return new Because("Why " + label, label, reason);
    }

    private static List<Table.Row> manyOrOne(TrailsPlan plan) {
        SkyExposure one = plan.exposure().sky();
        Optional<SkyExposure> all = plan.oneLongFrame();
        return List.of(
                Table.Row.of(
                        false,
                        "Sky on the histogram",
                        Words.percent(one.histogramPosition()),
                        all.map(x -> x.stopsUnderClipping() < 0 ? "clips" : Words.percent(x.histogramPosition()))
                                .orElse("")),
                Table.Row.of(
                        false,
                        "Stops under clipping",
                        Words.tenths(one.stopsUnderClipping()),
                        all.map(x -> Words.tenths(x.stopsUnderClipping())).orElse("")),
                Table.Row.of(
                        false,
                        "ISO",
                        plan.setting().iso().toString(),
                        Integer.toString(plan.rig().camera().lowestIso())),
                Table.Row.of(false, "One headlight costs", "one frame", "everything"));
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
                        Words.duration(run.durationSeconds() / 3600) + ", " + Words.degrees(run.arcDegrees())
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
                                "One frame of " + Words.duration(run.durationSeconds() / 3600),
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
