package org.halfdusk.web.shoot.edit;

import java.util.List;
import org.halfdusk.shoot.choices.Shoot;
import org.halfdusk.shoot.choices.ShootField;
import org.halfdusk.typed.Codec;
import org.halfdusk.typed.Field;
import org.halfdusk.web.layout.FormErrors;
import org.halfdusk.web.layout.words.Words;

/** A subject's own wishes as a form asks for them. */
public record WishForm(List<Asked> fields) {
    /**
     * @param unit in which the value is kept; empty where it has none
     * @param type of the input; choice where there is a list
     * @param value what stands in it: what was typed where that was refused
     * @param hint what stands in it where it is empty
     */
    public record Asked(
            String name,
            String label,
            String unit,
            String type,
            String value,
            String hint,
            List<ShootEditing.Choice> choices,
            String error) {}

    public static WishForm of(Shoot shoot, FormErrors errors) {
        return of(ShootField.wishes(shoot.subject()), shoot, errors);
    }

    /** The same of other parts of a shoot. */
    public static WishForm of(List<Field<Shoot, ?>> fields, Shoot shoot, FormErrors errors) {
        return new WishForm(fields.stream().map(f -> asked(f, shoot, errors)).toList());
    }

    private static Asked asked(Field<Shoot, ?> f, Shoot shoot, FormErrors errors) {
        String kept = f.text(shoot);
        String error = errors.of(f.name());
        Codec.Asked how = f.codec().asked();
        String unit = how instanceof Codec.Asked.Number n ? n.unit() : "";
        String type = how instanceof Codec.Asked.Number
                ? "number"
                : how instanceof Codec.Asked.Time ? "time" : how instanceof Codec.Asked.Choice ? "choice" : "text";
        List<Codec.Option> options = how instanceof Codec.Asked.Choice c ? c.options() : List.of();
        return new Asked(
                f.name(),
                Words.capital(f.label()),
                unit,
                type,
                error.isEmpty() ? kept : errors.text(f.name()),
                how instanceof Codec.Asked.Number n && n.perhaps()
                        ? "not said"
                        : how instanceof Codec.Asked.Time
                                ? "22:30"
                                : how instanceof Codec.Asked.Line line ? line.example() : "",
                options.stream()
                        .map(o -> new ShootEditing.Choice(
                                o.text(), Words.capital(o.words()), o.text().equals(kept)))
                        .toList(),
                error);
    }
}
