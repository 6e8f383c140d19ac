package org.halfdusk.web.shoot;

import org.halfdusk.web.layout.Theme;

/** One step of a shoot: its name in the address, and its page. Each step's folder has one. */
public interface StepPages {
    /** As in the address; its template is named twice so. */
    String step();

    /** What the template shows, with what was wrong in a form. */
    Object page(ShootDesk.Open open, ShootEditing.Result result, Theme theme);
}
