package org.halfdusk.web.shoot;

import java.util.List;
import org.halfdusk.shoot.Shoot;
import org.halfdusk.shoot.WishField;
import org.halfdusk.web.layout.FormErrors;
import org.halfdusk.web.layout.Words;

/** A subject's own wishes as a form asks for them. */
public record WishForm(List<Asked> fields) {
    /**
     * @param type of the input; choice where there is a list
     * @param value what stands in it: what was typed where that was refused
     */
    public record Asked(
            String name, String label, String type, String value, List<ShootEditing.Choice> choices, String error) {}

    public static WishForm of(List<WishField> fields, Shoot shoot, FormErrors errors) {
        return new WishForm(fields.stream().map(f -> asked(f, shoot, errors)).toList());
    }

    private static Asked asked(WishField f, Shoot shoot, FormErrors errors) {
        String kept = shoot.wish().text(f);
        String error = errors.of(f.name());
        String label = Words.capital(f.label()) + (f.unit().isEmpty() ? "" : ", " + f.unit());
        String type = switch (f.kind()) {
            case NUMBER -> "number";
            case TIME -> "time";
            case CHOICE -> "choice";
        };
        return new Asked(
                f.name(),
                label,
                type,
                error.isEmpty() ? kept : errors.text(f.name()),
                f.options().stream()
                        .map(o -> new ShootEditing.Choice(
                                o.value(), Words.capital(o.words()), o.value().equals(kept)))
                        .toList(),
                error);
    }
}
