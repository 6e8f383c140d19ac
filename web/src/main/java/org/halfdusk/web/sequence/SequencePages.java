package org.halfdusk.web.sequence;

import org.halfdusk.shoot.Planner;
import org.halfdusk.web.layout.Theme;
import org.halfdusk.web.shoot.ShootDesk;
import org.halfdusk.web.shoot.ShootEditing;
import org.halfdusk.web.shoot.StepPages;
import org.springframework.stereotype.Component;

/** The Sequence step of a shoot. */
@Component
record SequencePages(Planner planner) implements StepPages {
    @Override
    public String step() {
        return "sequence";
    }

    @Override
    public Object page(ShootDesk.Open open, ShootEditing.Result result, Theme theme) {
        return SequencePage.of(open, planner, result.errors());
    }
}
