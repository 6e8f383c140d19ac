package org.halfdusk.web.shoot;

import org.halfdusk.web.layout.Theme;

/** One step of a shoot: its name in the address, and its page. Each step's folder has one. */
public interface StepPages {
    /** As in the address; its template is named twice so. */
    String step();

    /** In a few words on the step's tab; empty where the subject's own words stand there. */
    default String answer(ShootDesk.Open open) {
        return "";
    }

    /** What the template shows, with what was wrong in a form. */
    Object page(ShootDesk.Open open, ShootEditing.Result result, Theme theme);
}
