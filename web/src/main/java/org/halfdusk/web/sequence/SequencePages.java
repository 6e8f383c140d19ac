package org.halfdusk.web.sequence;

import java.util.Map;
import java.util.function.Supplier;
import org.halfdusk.shoot.Planner;
import org.halfdusk.shoot.Shoots;
import org.halfdusk.web.layout.Theme;
import org.halfdusk.web.shoot.ShootDesk;
import org.halfdusk.web.shoot.ShootEditing;
import org.halfdusk.web.shoot.StepPages;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.stereotype.Component;

/** The Sequence step of a shoot. */
@Component
record SequencePages(Planner planner, Shoots shoots, ObjectProvider<ShootDesk> desk) implements StepPages {
    @Override
    public String step() {
        return "sequence";
    }

    @Override
    public Map<String, String> fields(Supplier<ShootDesk.Open> open, Map<String, String> form) {
        return form.containsKey("action") ? SequenceEdits.fields(open.get(), form) : form;
    }

    @Override
    public Object page(ShootDesk.Open open, ShootEditing.Result result, Theme theme) {
        return SequencePage.of(open, desk.getObject(), shoots, planner, result.errors());
    }
}
