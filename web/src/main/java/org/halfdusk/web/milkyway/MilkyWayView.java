package org.halfdusk.web.milkyway;

import java.time.Instant;
import java.util.List;
import org.halfdusk.photometry.Stops;
import org.halfdusk.sequence.FrameRun;
import org.halfdusk.shoot.Subject;
import org.halfdusk.shoot.milkyway.MilkyWayNight;
import org.halfdusk.shoot.milkyway.MilkyWayPlan;
import org.halfdusk.shoot.setting.ExposurePlan;
import org.halfdusk.web.layout.drawing.NightStrip;
import org.halfdusk.web.layout.drawing.Theme;
import org.halfdusk.web.layout.words.BodyWords;
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

/** The Milky Way on the pages. */
@Component
class MilkyWayView implements SubjectView<MilkyWayNight, MilkyWayPlan> {
    @Override
    public Subject subject() {
        return Subject.MILKY_WAY;
    }

    @Override
    public Class<MilkyWayNight> nightType() {
        return MilkyWayNight.class;
    }

    @Override
    public Class<MilkyWayPlan> planType() {
        return MilkyWayPlan.class;
    }

    @Override
    public Framed framed(MilkyWayPlan plan) {
        return new Framed.OfBody(plan.night().part());
    }

    @Override
    public String shown(MilkyWayPlan plan) {
        return plan.night().wish().arch()
                ? "the arch"
                : BodyWords.name(plan.night().part());
    }

    @Override
    public String name() {
        return "Milky Way";
    }

    @Override
    public String about() {
        return "dark, no moon, the core up, or another part of the band";
    }

    @Override
    public ListHeads heads() {
        return new ListHeads(
                "When is it dark enough",
                "Copper is the Milky Way's core above 10° in a dark sky with no moon; where it never climbs so high, Cygnus, and where it never gets dark, the least light.",
                "dark, no moon, core up",
                "core at best");
    }

    @Override
    public NightWords words(MilkyWayNight m) {
        boolean usable = m.main().isPresent();
        return new NightWords(
                MilkyWayWords.heading(m),
                MilkyWayWords.answer(m),
                MilkyWayWords.sentence(m),
                MilkyWayWords.whyNotMore(m),
                usable ? Words.degrees(m.best().position().altitude().degrees()) : "",
                ReasonWords.parts(m.score(), "hours", m.wish().arch() ? "height of the arch" : "altitude", "moonless"));
    }

    @Override
    public List<NightStrip.Mark> marks(MilkyWayNight m) {
        return NightStrip.marks(m.night());
    }

    @Override
    public NightStep night(MilkyWayPlan plan, Instant at, Theme theme, String address) {
        return MilkyWayNightStep.of(plan, at, theme, address);
    }

    @Override
    public ExposeStep expose(MilkyWayPlan plan, Theme theme) {
        return MilkyWayExpose.step(plan, theme);
    }

    @Override
    public SequenceStep sequence(MilkyWayPlan plan) {
        FrameRun run = plan.stack();
        String gain = Words.stops(Stops.ofAveraging(run.frames()));
        double drift = plan.exposure().trails().middlePx(run.durationSeconds());
        return new SequenceStep(
                new Because(
                        "A stack",
                        Words.count(run.frames(), "frame") + ", " + Words.seconds(run.durationSeconds()),
                        "The mean of " + run.frames() + " frames gains " + gain + " of signal-to-noise. The sky drifts "
                                + Math.round(drift) + " px meanwhile, so the frames are aligned to the stars and the "
                                + "ground is taken by itself."),
                Table.of(
                        "Checks",
                        "",
                        List.of(
                                Table.Row.of(false, "Gain", gain, "10 to 20 frames are usual"),
                                Table.Row.of(false, "Drift", Math.round(drift) + " px", "align to the stars")),
                        "check",
                        "value#",
                        "verdict"),
                List.of(
                        new Line("Exposure", run.exposure().label() + ReasonWords.real(run.exposure())),
                        ReasonWords.interval(run),
                        ReasonWords.number(plan.rig(), run.frames())));
    }

    @Override
    public String sequenceAnswer(MilkyWayPlan plan) {
        return plan.night().main().isEmpty() ? "no window" : plan.stack().frames() + " frames to stack";
    }

    @Override
    public String frames(MilkyWayPlan plan) {
        if (plan.night().main().isEmpty()) {
            return "";
        }
        String stack = ReasonWords.every(plan.stack());
        return plan.wishes().limits().personStands()
                ? "×" + MilkyWayPlan.WITH_PERSON + " with people, then " + stack + " without"
                : stack;
    }

    @Override
    public String verdict(MilkyWayPlan plan) {
        ExposurePlan e = plan.exposure();
        return "Trails " + Words.tenths(e.middlePx()) + " px in the middle, " + Words.tenths(e.cornerPx())
                + " px in the worst corner";
    }
}
