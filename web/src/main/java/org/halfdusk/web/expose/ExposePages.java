package org.halfdusk.web.expose;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Supplier;
import org.halfdusk.shoot.kept.kit.Kits;
import org.halfdusk.shoot.kept.kit.Rigs;
import org.halfdusk.web.layout.drawing.Theme;
import org.halfdusk.web.shoot.ShootDesk;
import org.halfdusk.web.shoot.StepPages;
import org.halfdusk.web.shoot.edit.ShootEditing;
import org.springframework.stereotype.Component;

/** The Expose step of a shoot. */
@Component
record ExposePages(Kits kits, Rigs rigs) implements StepPages {
    @Override
    public String step() {
        return "expose";
    }

    /** A print's size and distance are typed apart and kept together. */
    @Override
    public Map<String, String> fields(Map<String, String> form) {
        if (!form.containsKey("printWidth")
                || !form.getOrDefault("TOLERANCE", "").startsWith("PRINT")) {
            return form;
        }
        Map<String, String> fields = new HashMap<>(form);
        fields.put(
                "TOLERANCE",
                "PRINT " + form.getOrDefault("printWidth", "").trim() + " "
                        + form.getOrDefault("printDistance", "").trim());
        return fields;
    }

    /** A ruler's form says which of the three it sets. */
    @Override
    public ShootEditing.More more(Supplier<ShootDesk.Open> open) {
        return form -> form.text("part").isEmpty() ? List.of() : HoldEdits.edits(open.get(), form);
    }

    @Override
    public Object page(ShootDesk.Open open, ShootEditing.Result result, Theme theme) {
        return ExposePage.of(open, kits, rigs, result.errors(), theme);
    }
}
