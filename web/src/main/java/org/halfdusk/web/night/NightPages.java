package org.halfdusk.web.night;

import org.halfdusk.shoot.kept.Places;
import org.halfdusk.shoot.planning.Planner;
import org.halfdusk.web.layout.drawing.Theme;
import org.halfdusk.web.shoot.ShootDesk;
import org.halfdusk.web.shoot.StepPages;
import org.halfdusk.web.shoot.begin.EarlierHere;
import org.halfdusk.web.shoot.edit.ShootEditing;
import org.halfdusk.web.subject.Subjects;
import org.springframework.stereotype.Component;

/** The Night step of a shoot. */
@Component
record NightPages(Places places, Planner planner, Subjects subjects, EarlierHere earlier) implements StepPages {
    @Override
    public String step() {
        return "night";
    }

    @Override
    public Object page(ShootDesk.Open open, ShootEditing.Result result, Theme theme) {
        return NightPage.of(open, places, planner, subjects, earlier, theme, result.errors());
    }
}
