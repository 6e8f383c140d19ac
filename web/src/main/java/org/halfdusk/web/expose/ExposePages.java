package org.halfdusk.web.expose;

import org.halfdusk.shoot.Kits;
import org.halfdusk.shoot.Planner;
import org.halfdusk.shoot.Rigs;
import org.halfdusk.web.layout.Theme;
import org.halfdusk.web.shoot.ShootDesk;
import org.halfdusk.web.shoot.ShootEditing;
import org.halfdusk.web.shoot.StepPages;
import org.springframework.stereotype.Component;

/** The Expose step of a shoot. */
@Component
record ExposePages(Kits kits, Rigs rigs, Planner planner) implements StepPages {
    @Override
    public String step() {
        return "expose";
    }

    @Override
    public Object page(ShootDesk.Open open, ShootEditing.Result result, Theme theme) {
        return ExposePage.of(open, kits, rigs, planner, result.errors(), theme);
    }
}
