package org.halfdusk.web.moon;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import org.halfdusk.exposure.discs.EclipsedMoon;
import org.halfdusk.shoot.Subject;
import org.halfdusk.shoot.moon.MoonNight;
import org.halfdusk.shoot.moon.MoonPlan;
import org.halfdusk.shoot.moon.MoonShot;
import org.halfdusk.web.layout.drawing.NightStrip;
import org.halfdusk.web.layout.drawing.Theme;
import org.halfdusk.web.layout.words.Times;
import org.halfdusk.web.layout.words.Words;
import org.halfdusk.web.subject.ExposeStep;
import org.halfdusk.web.subject.NightStep;
import org.halfdusk.web.subject.NightWords;
import org.halfdusk.web.subject.SequenceStep;
import org.halfdusk.web.subject.SubjectView;
import org.halfdusk.web.subject.page.Because;
import org.halfdusk.web.subject.page.Line;
import org.halfdusk.web.subject.page.Table;
import org.springframework.stereotype.Component;

/** The Moon on the pages. */
@Component
class MoonView implements SubjectView<MoonNight, MoonPlan> {
    @Override
    public Subject subject() {
        return Subject.MOON;
    }

    @Override
    public Class<MoonNight> nightType() {
        return MoonNight.class;
    }

    @Override
    public Class<MoonPlan> planType() {
        return MoonPlan.class;
    }

    @Override
    public String focus(MoonPlan plan) {
        return "on the moon's magnified edge, then hands off";
    }

    @Override
    public String shown(MoonPlan plan) {
        return "the moon";
    }

    @Override
    public String name() {
        return "Moon";
    }

    @Override
    public String about() {
        return "low behind a foreground while the land is lit, or high by itself";
    }

    @Override
    public ListHeads heads() {
        return new ListHeads(
                "When do land and moon ask for one exposure",
                "Copper is a low moon that one exposure holds together with the land.",
                "land and moon alike",
                "rise or set");
    }

    @Override
    public NightWords words(MoonNight n) {
        return MoonNightWords.of(n);
    }

    @Override
    public List<NightStrip.Mark> marks(MoonNight n) {
        List<NightStrip.Mark> marks = new ArrayList<>();
        n.events()
                .forEach(e -> marks.add(new NightStrip.Mark(
                        e.at(),
                        switch (e.type()) {
                            case MOONRISE -> "moonrise";
                            case MOONSET -> "moonset";
                            default -> "highest";
                        })));
        return marks;
    }

    @Override
    public NightStep night(MoonPlan plan, Instant at, Theme theme, String address) {
        return MoonNightStep.of(plan, at, theme, address);
    }

    @Override
    public ExposeStep expose(MoonPlan plan, Theme theme) {
        return MoonExpose.step(plan, theme);
    }

    @Override
    public String moment(MoonPlan programme, MoonPlan now) {
        EclipsedMoon eclipse = now.shot().circumstances().eclipse();
        double altitude = now.shot().circumstances().altitude().degrees();
        if (altitude <= 0) {
            return "the moon is below the horizon";
        }
        if (Words.told(eclipse.stops())) {
            return "the moon is eclipsed, " + Words.stops(eclipse.stops()) + " darker";
        }
        return "the moon stands " + Words.degrees(altitude) + " up";
    }

    @Override
    public SequenceStep sequence(MoonPlan plan) {
        int brackets = plan.brackets();
        MoonShot s = plan.shot();
        return new SequenceStep(
                new Because(
                        "Brackets",
                        brackets == 1
                                ? "1 bracket of " + plan.bracket().size()
                                : Words.count(brackets, "bracket") + " of "
                                        + plan.bracket().size(),
                        plan.night().main().isEmpty()
                                ? "One at the best moment: " + MoonWords.none(plan.night()) + "."
                                : "Every " + Times.minutes(plan.betweenBrackets()) + " "
                                        + MoonWords.meanwhile(plan.night().picture()) + "."),
                Table.of(
                        "Checks",
                        "",
                        List.of(Table.Row.of(
                                        false,
                                        "Motion",
                                        Words.tenths(s.motionPx()) + " px",
                                        s.overLimit() ? "over the limit" : "inside a pixel or the lens's limit")
                                .toned(s.overLimit() ? "caution" : "good")),
                        "check",
                        "value#",
                        "verdict"),
                plan.handheld()
                        ? List.of(new Line("Stabiliser", "on; lean, breathe out, press gently"))
                        : List.of(
                                new Line("Self-timer", "10 s, or a remote"),
                                new Line("Stabiliser", "off on a tripod")));
    }

    @Override
    public String sequenceAnswer(MoonPlan plan) {
        int n = plan.brackets();
        return n == 0 ? "nothing to take" : Words.count(n, "bracket");
    }

    @Override
    public String frames(MoonPlan plan) {
        int n = plan.brackets();
        return n == 0
                ? ""
                : "×" + Words.count(n, "bracket") + " of " + plan.bracket().size();
    }

    @Override
    public String verdict(MoonPlan plan) {
        return plan.shot().overLimit()
                ? "The moon moves " + Words.tenths(plan.shot().motionPx()) + " px in this time"
                : plan.handheld()
                        ? "Holds by hand, moves " + Words.tenths(plan.shot().motionPx()) + " px"
                        : "Ten-second timer or a remote: at "
                                + Words.plain(plan.rig().focalMm()) + " mm a touch shows";
    }
}
