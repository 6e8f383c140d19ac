package org.halfdusk.web.lunareclipse;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.halfdusk.photometry.Stops;
import org.halfdusk.sequence.Block;
import org.halfdusk.shoot.Subject;
import org.halfdusk.shoot.lunareclipse.LunarEclipseNight;
import org.halfdusk.shoot.lunareclipse.LunarEclipsePlan;
import org.halfdusk.shoot.lunareclipse.LunarExposure;
import org.halfdusk.web.layout.drawing.NightStrip;
import org.halfdusk.web.layout.drawing.Theme;
import org.halfdusk.web.layout.words.Times;
import org.halfdusk.web.layout.words.Words;
import org.halfdusk.web.subject.ExposeStep;
import org.halfdusk.web.subject.NightStep;
import org.halfdusk.web.subject.NightWords;
import org.halfdusk.web.subject.SequenceStep;
import org.halfdusk.web.subject.SubjectView;
import org.halfdusk.web.subject.page.Banner;
import org.halfdusk.web.subject.page.Because;
import org.halfdusk.web.subject.page.Contact;
import org.halfdusk.web.subject.page.Line;
import org.halfdusk.web.subject.page.Table;
import org.halfdusk.web.subject.words.ReasonWords;
import org.springframework.stereotype.Component;

/** A lunar eclipse on the pages. */
@Component
class LunarEclipseView implements SubjectView<LunarEclipseNight, LunarEclipsePlan> {
    @Override
    public Subject subject() {
        return Subject.LUNAR_ECLIPSE;
    }

    @Override
    public Class<LunarEclipseNight> nightType() {
        return LunarEclipseNight.class;
    }

    @Override
    public Class<LunarEclipsePlan> planType() {
        return LunarEclipsePlan.class;
    }

    @Override
    public String focus(LunarEclipsePlan plan) {
        return "on the moon's magnified edge before the shadow, then hands off";
    }

    @Override
    public String shown(LunarEclipsePlan plan) {
        return "the moon";
    }

    @Override
    public String name() {
        return "Lunar eclipse";
    }

    @Override
    public String about() {
        return "a full moon that loses nine to seventeen stops";
    }

    @Override
    public ListHeads heads() {
        return new ListHeads(
                "Which lunar eclipses are seen",
                "Copper is the moon in the shadow while it is up.",
                "shadow, moon up",
                "at greatest");
    }

    @Override
    public NightWords words(LunarEclipseNight n) {
        return LunarEclipseNightWords.of(n);
    }

    @Override
    public List<NightStrip.Mark> marks(LunarEclipseNight n) {
        return n.eclipse()
                .map(e -> List.of(
                        new NightStrip.Mark(e.umbra().orElse(e.penumbra()).start(), "shadow"),
                        new NightStrip.Mark(e.umbra().orElse(e.penumbra()).end(), "out")))
                .orElseGet(() -> NightStrip.marks(n.night()));
    }

    @Override
    public List<Contact> contacts(LunarEclipseNight n) {
        return n.contacts().stream()
                .map(c -> new Contact(
                        name(c.name()),
                        Times.clockSeconds(c.at(), n.zone()),
                        c.visible()
                                ? "moon "
                                        + Words.wholeDegrees(c.moon().altitude().degrees()) + " up, "
                                        + Words.azimuth(c.moon().azimuth().degrees())
                                : "moon under the horizon",
                        c.visible()))
                .toList();
    }

    private static String name(LunarEclipseNight.Name name) {
        return switch (name) {
            case P1 -> "P1, penumbra";
            case U1 -> "U1, shadow";
            case U2 -> "U2, total";
            case GREATEST -> "Greatest";
            case U3 -> "U3, light";
            case U4 -> "U4, out";
            case P4 -> "P4, over";
        };
    }

    @Override
    public Optional<Banner> banner(LunarEclipsePlan plan) {
        if (plan.night().eclipse().isEmpty()) {
            return Optional.empty();
        }
        if (plan.night().seen().isEmpty()) {
            return Optional.of(
                    new Banner("caution", "Not seen from here.", "The moon is under the horizon during this eclipse."));
        }
        return plan.visibleFrom().isPresent()
                ? Optional.empty()
                : Optional.of(new Banner(
                        "caution",
                        "Lost in a bright sky.",
                        "While the moon is up in this eclipse the sky is brighter than its surface."));
    }

    @Override
    public NightStep night(LunarEclipsePlan plan, Instant at, Theme theme, String address) {
        return LunarEclipseNightStep.of(plan, at, theme, address);
    }

    @Override
    public ExposeStep expose(LunarEclipsePlan plan, Theme theme) {
        return LunarEclipseExpose.step(plan, theme);
    }

    /** From when the moon stands out, where it first hangs unseen in a bright sky. */
    private static String comesOut(LunarEclipsePlan plan) {
        return plan.visibleFrom()
                .filter(t -> !plan.night().seen().isEmpty()
                        && t.isAfter(plan.night().seen().get(0).start()))
                .map(t -> " It comes out of the bright sky at "
                        + Times.clock(t, plan.night().zone()) + ": before that there is nothing to take.")
                .orElse("");
    }

    @Override
    public SequenceStep sequence(LunarEclipsePlan plan) {
        int frames = Block.frames(plan.blocks());
        return new SequenceStep(
                new Because(
                        "All of the course",
                        frames == 0 ? "Nothing to take" : Words.count(frames, "frame"),
                        frames == 0
                                ? LunarEclipseNightWords.sentence(plan.night())
                                : "One every " + Times.minutes(plan.cadence())
                                        + " while the moon is up; three in a bracket while the shadow is exposed for."
                                        + comesOut(plan)),
                Table.of(
                        "Checks", "", List.of(ReasonWords.recentring(plan.recentring())), "check", "value#", "verdict"),
                List.of(
                        new Line("Self-timer", "10 s, or a remote"),
                        ReasonWords.noiseReduction(plan.rig(), "off while brackets run")));
    }

    @Override
    public String sequenceAnswer(LunarEclipsePlan plan) {
        int frames = Block.frames(plan.blocks());
        return frames == 0 ? "nothing to take" : Words.count(frames, "frame");
    }

    @Override
    public String frames(LunarEclipsePlan plan) {
        int frames = Block.frames(plan.blocks());
        return frames == 0 ? "" : "×" + frames + " every " + Times.minutes(plan.cadence());
    }

    @Override
    public String moment(LunarEclipsePlan programme, LunarEclipsePlan now) {
        LunarEclipsePlan.Step s = now.step(now.moment());
        if (!s.moon().seen().up()) {
            return "the moon is below the horizon";
        }
        return switch (s.phase()) {
            case FULL -> "the moon is outside the shadow";
            case PENUMBRA -> "the moon is in the penumbra";
            case LIT_PART -> "what is lit of the moon is exposed for";
            case SHADOW -> "the shadow is exposed for";
        };
    }

    @Override
    public String exposeAnswer(LunarEclipsePlan plan) {
        List<LunarEclipsePlan.Step> seen = plan.course().stream()
                .filter(s -> s.moon().altitude().degrees() > -0.5)
                .toList();
        if (seen.isEmpty()) {
            return ReasonWords.line(plan.setting());
        }
        return ReasonWords.span(
                seen.stream().map(s -> s.exposure().setting().shutter()).toList());
    }

    @Override
    public String verdict(LunarEclipsePlan plan) {
        if (plan.night().eclipse().isEmpty()) {
            return "No eclipse this night: move the shoot to one";
        }
        LunarExposure e = plan.step(plan.moment()).exposure();
        return !Stops.met(e.stopsShort())
                ? "Comes out " + Words.stops(e.stopsShort()) + " dark: time, aperture and ISO are spent"
                : (plan.night().eclipse().get().greatest().equals(plan.moment())
                                ? "At greatest eclipse"
                                : "At "
                                        + Times.clock(
                                                plan.moment(), plan.night().zone()))
                        + "; every phase has its own setting";
    }
}
