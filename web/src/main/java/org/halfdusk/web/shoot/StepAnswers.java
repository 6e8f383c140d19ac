package org.halfdusk.web.shoot;

import java.util.List;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.stereotype.Component;

/** What the steps say on their tabs. Steps lean on the desk and the desk shows their answers, so they are asked late. */
@Component
class StepAnswers {
    private final ObjectProvider<StepPages> steps;

    StepAnswers(ObjectProvider<StepPages> steps) {
        this.steps = steps;
    }

    String of(ShootDesk.Open open, String step) {
        List<StepPages> found =
                steps.stream().filter(s -> s.step().equals(step)).toList();
        return found.isEmpty() ? "" : found.get(0).answer(open);
    }
}
