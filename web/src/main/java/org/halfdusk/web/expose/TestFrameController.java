package org.halfdusk.web.expose;

import java.time.Clock;
import java.util.Optional;
import org.halfdusk.shoot.Plan;
import org.halfdusk.shoot.Symptom;
import org.halfdusk.shoot.choices.Shoot;
import org.halfdusk.web.door.refusal.NotFound;
import org.halfdusk.web.layout.words.Times;
import org.halfdusk.web.shoot.ShootDesk;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;

/** The dialogue about a test frame: one thing seen, one thing to change. */
@Controller
class TestFrameController {
    private final ShootDesk desk;
    private final Clock clock;

    TestFrameController(ShootDesk desk, Clock clock) {
        this.clock = clock;
        this.desk = desk;
    }

    /**
     * What to do about what was seen.
     *
     * @param field and value: what a button sets; empty where no setting helps
     */
    record Advice(
            String heading,
            String reason,
            String field,
            String value,
            String was,
            String label,
            String action,
            String notes,
            String noted) {}

    @GetMapping({"/shoots/{id}/expose/seen/{symptom}", "/shoots/{id}/rig{rig:\\d{1,3}}/expose/seen/{symptom}"})
    String advice(
            @PathVariable long id,
            @PathVariable(required = false) Optional<Integer> rig,
            @PathVariable String symptom,
            Model model) {
        int number = ShootDesk.rigNumber(rig);
        ShootDesk.Open open = desk.open(id, number, Optional.empty());
        model.addAttribute("advice", advice(open, symptom(symptom)));
        return "expose/parts :: advice(a=${advice})";
    }

    private static Symptom symptom(String name) {
        for (Symptom s : Symptom.values()) {
            if (s.name().equals(name)) {
                return s;
            }
        }
        throw new NotFound("There is no advice about “" + name + "”.");
    }

    /** The notes with a line for what was seen, where there is room for it. */
    private String noted(ShootDesk.Open open, Symptom seen, Symptom.Remedy r) {
        String notes = open.shoot().it().notes();
        String line = "Test frame "
                + Times.clockSeconds(clock.instant(), open.plan().place().zone()) + ": " + TestFrameWords.note(seen, r);
        String all = notes.isBlank() ? line : notes + "\n" + line;
        return all.length() <= Shoot.LONGEST_NOTES ? all : notes;
    }

    private Advice advice(ShootDesk.Open open, Symptom seen) {
        Plan plan = open.plan();
        Symptom.Remedy r = seen.remedy(plan);
        Optional<Symptom.Change<?>> c = r.change();
        return new Advice(
                TestFrameWords.heading(seen, r),
                TestFrameWords.reason(seen, r, open.subject().focus(plan)),
                c.map(f -> f.field().name()).orElse(""),
                c.map(Symptom.Change::text).orElse(""),
                c.map(f -> f.field().text(open.shoot().it())).orElse(""),
                c.map(Symptom.Change::label).orElse(""),
                open.address("expose"),
                open.shoot().it().notes(),
                noted(open, seen, r));
    }
}
