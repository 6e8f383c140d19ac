package org.halfdusk.web.kit;

import java.util.List;
import java.util.Map;
import org.halfdusk.web.layout.FormErrors;
import org.halfdusk.web.layout.Meanwhile;

/** A piece of kit as it is typed. */
record KitForm(KitKind kind, List<Field> fields, Meanwhile meanwhile, FormErrors errors) {
    /** One that can be chosen. */
    record Choice(String value, String name) {}

    /**
     * A field of the form.
     *
     * @param type number, text, check or choice
     */
    record Field(String name, String label, String unit, String hint, String type, List<Choice> choices) {
        static Field number(String name, String label, String unit, String hint) {
            return new Field(name, label, unit, hint, "number", List.of());
        }

        static Field text(String name, String label, String hint) {
            return new Field(name, label, "", hint, "text", List.of());
        }

        static Field check(String name, String label, String hint) {
            return new Field(name, label, "", hint, "check", List.of());
        }

        static Field choice(String name, String label, String hint, List<Choice> choices) {
            return new Field(name, label, "", hint, "choice", choices);
        }
    }

    static KitForm of(KitKind kind, List<Field> fields, Map<String, String> typed) {
        return of(kind, fields, Meanwhile.none(typed));
    }

    static KitForm of(KitKind kind, List<Field> fields, Meanwhile meanwhile) {
        return new KitForm(kind, fields, meanwhile, new FormErrors(meanwhile.typed()));
    }

    Map<String, String> typed() {
        return meanwhile.typed();
    }

    public String text(String field) {
        return typed().getOrDefault(field, "");
    }

    public boolean ticked(String field) {
        return text(field).equals("on");
    }
}
