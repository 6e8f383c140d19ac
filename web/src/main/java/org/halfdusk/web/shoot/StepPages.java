package org.halfdusk.web.shoot;

import java.util.Map;
import java.util.function.Supplier;
import org.halfdusk.web.layout.drawing.Theme;
import org.halfdusk.web.shoot.edit.ShootEditing;

/** One step of a shoot: its name in the address, and its page. Each step's folder has one. */
public interface StepPages {
    /** As in the address; its template is named twice so. */
    String step();

    /** In a few words on the step's tab; empty where the subject's own words stand there. */
    default String answer(ShootDesk.Open open) {
        return "";
    }

    /** A form of this step as the fields of a shoot. */
    default Map<String, String> fields(Map<String, String> form) {
        return form;
    }

    /** What a form changes beside the fields that it names, where it says what to do with what the shoot is now. */
    default ShootEditing.More more(Supplier<ShootDesk.Open> open) {
        return ShootEditing.More.NONE;
    }

    /** What the template shows, with what was wrong in a form. */
    Object page(ShootDesk.Open open, ShootEditing.Result result, Theme theme);
}
