package org.halfdusk.web.kit;

import java.util.List;
import java.util.Map;
import org.halfdusk.web.layout.FormErrors;

/** A piece of kit as it is typed. */
record KitForm(KitKind kind, List<Field> fields, Map<String, String> typed, FormErrors errors) {
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
        return new KitForm(kind, fields, typed, new FormErrors(typed));
    }

    public String text(String field) {
        return typed.getOrDefault(field, "");
    }

    public boolean ticked(String field) {
        return typed.containsKey(field);
    }
}
