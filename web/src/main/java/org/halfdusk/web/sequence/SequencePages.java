package org.halfdusk.web.sequence;

import java.util.List;
import java.util.function.Supplier;
import org.halfdusk.web.layout.drawing.Theme;
import org.halfdusk.web.shoot.ShootDesk;
import org.halfdusk.web.shoot.StepPages;
import org.halfdusk.web.shoot.begin.Identities;
import org.halfdusk.web.shoot.edit.ShootEditing;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.stereotype.Component;

/** The Sequence step of a shoot. */
@Component
record SequencePages(Identities identities, ObjectProvider<ShootDesk> desk) implements StepPages {
    @Override
    public String step() {
        return "sequence";
    }

    @Override
    public ShootEditing.More more(Supplier<ShootDesk.Open> open) {
        return form ->
                form.text("action").isEmpty() ? List.of() : SequenceEdits.edits(open.get(), form, identities::block);
    }

    @Override
    public Object page(ShootDesk.Open open, ShootEditing.Result result, Theme theme) {
        return SequencePage.of(open, desk.getObject(), result.errors(), theme);
    }
}
