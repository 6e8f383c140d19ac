package org.halfdusk.web.noctilucent;

import org.halfdusk.web.layout.words.Times;
import java.time.Instant;
import java.util.List;
import org.halfdusk.shoot.Subject;
import org.halfdusk.shoot.noctilucent.NoctilucentNight;
import org.halfdusk.shoot.noctilucent.NoctilucentPlan;
import org.halfdusk.web.layout.drawing.NightStrip;
import org.halfdusk.web.layout.drawing.Theme;
import org.halfdusk.web.layout.words.Words;
import org.halfdusk.web.subject.page.Because;
import org.halfdusk.web.subject.ExposeStep;
import org.halfdusk.web.subject.page.Line;
import org.halfdusk.web.subject.NightStep;
import org.halfdusk.web.subject.NightWords;
import org.halfdusk.web.subject.words.ReasonWords;
import org.halfdusk.web.subject.SequenceStep;
import org.halfdusk.web.subject.SubjectView;
import org.halfdusk.web.subject.page.Table;
import org.springframework.stereotype.Component;

/** Noctilucent clouds on the pages. */
@Component
class NoctilucentView implements SubjectView<NoctilucentNight, NoctilucentPlan> {
    @Override
    public Subject subject() {
        return Subject.NOCTILUCENT;
    }

    @Override
    public Class<NoctilucentNight> nightType() {
        return NoctilucentNight.class;
    }

    @Override
    public Class<NoctilucentPlan> planType() {
        return NoctilucentPlan.class;
    }

    @Override
    public String name() {
        return "Noctilucent clouds";
    }

    @Override
    public String about() {
        return "silver over the north";
    }

    @Override
    public ListHeads heads() {
        return new ListHeads("When are they lit", "Copper is the time with the sun 6° to 16° down.", "lit", "best");
    }

    @Override
    public NightWords words(NoctilucentNight n) {
        String span = n.main().map(w -> Times.span(w, n.zone())).orElse("never lit");
        return new NightWords(span, span, "Lit " + span + ".", "", "", "");
    }

    @Override
    public NightStep night(NoctilucentPlan plan, Instant at, Theme theme, String address) {
        return new NightStep(
                words(plan.night()).heading(),
                List.of(words(plan.night()).sentence()),
                "noctilucent/pictures",
                "the north",
                List.of(new Line("Lit", words(plan.night()).heading())),
                Table.of("Course", "", List.of(), "time"),
                new NightStep.At("Then", "It is so.", List.of()),
                List.of());
    }

    @Override
    public ExposeStep expose(NoctilucentPlan plan, Theme theme) {
        return new ExposeStep(
                "noctilucent/pictures",
                "the north",
                new Because("Exposure", ReasonWords.line(plan.setting()), "As they are commonly taken."),
                Table.of("", "", List.of(), "time"),
                List.of(),
                new ExposeStep.Asked(false, false),
                "widest");
    }

    @Override
    public SequenceStep sequence(NoctilucentPlan plan) {
        return new SequenceStep(
                new Because("Time lapse", frames(plan), "While they are lit."), Table.of("", "", List.of(), "check"), List.of());
    }

    @Override
    public String sequenceAnswer(NoctilucentPlan plan) {
        return frames(plan);
    }

    @Override
    public String frames(NoctilucentPlan plan) {
        return plan.blocks().stream().mapToInt(b -> b.frames().size()).sum() + " frames";
    }

    @Override
    public String verdict(NoctilucentPlan plan) {
        return "Silver over the north.";
    }

    @Override
    public String shown(NoctilucentPlan plan) {
        return "the clouds";
    }

    @Override
    public List<NightStrip.Mark> marks(NoctilucentNight n) {
        return NightStrip.sunMarks(n.night());
    }
}
