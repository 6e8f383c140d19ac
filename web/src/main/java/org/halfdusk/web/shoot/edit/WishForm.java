package org.halfdusk.web.shoot.edit;

import java.util.List;
import org.halfdusk.shoot.choices.Shoot;
import org.halfdusk.shoot.choices.ShootField;
import org.halfdusk.typed.Codec;
import org.halfdusk.typed.Field;
import org.halfdusk.web.layout.FormErrors;
import org.halfdusk.web.layout.words.Measure;
import org.halfdusk.web.layout.words.Words;

/** A subject's own wishes as a form asks for them. */
public record WishForm(List<Asked> fields) {
    /**
     * @param label with the unit in which the value is shown
     * @param choice that it is one of a list
     * @param number that it is a number
     * @param measure what stands in it: what was typed where that was refused
     * @param hint what stands in it where it is empty
     * @param options of its list, HTML; empty where it has none
     */
    public record Asked(
            String name,
            String label,
            boolean choice,
            boolean number,
            Measure measure,
            String hint,
            String options,
            String error) {}

    /** All their names. */
    public List<String> names() {
        return fields.stream().map(Asked::name).toList();
    }

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
        Measure measure = Measure.of(
                how instanceof Codec.Asked.Number n ? n.unit() : "", error.isEmpty() ? kept : errors.text(f.name()));
        String label = Words.capital(f.label());
        return new Asked(
                f.name(),
                measure.unit().isEmpty() ? label : label + ", " + measure.unit(),
                how instanceof Codec.Asked.Choice,
                how instanceof Codec.Asked.Number,
                measure,
                hint(how),
                how instanceof Codec.Asked.Choice c ? options(c, kept) : "",
                error);
    }

    private static String hint(Codec.Asked how) {
        if (how instanceof Codec.Asked.Number n) {
            return n.perhaps() ? "not said" : "";
        }
        if (how instanceof Codec.Asked.Line line) {
            return line.example();
        }
        return how instanceof Codec.Asked.Time ? "22:30" : "";
    }

    private static String options(Codec.Asked.Choice how, String kept) {
        return ShootEditing.Choice.options(how.options().stream()
                .map(o -> new ShootEditing.Choice(
                        o.text(), Words.capital(o.words()), o.text().equals(kept)))
                .toList());
    }
}
