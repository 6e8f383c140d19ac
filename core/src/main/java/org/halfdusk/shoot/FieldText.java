package org.halfdusk.shoot;

import java.util.Arrays;
import java.util.List;
import org.halfdusk.typed.TypedNumber;

/** Texts of fields in their one written form. */
final class FieldText {
    private FieldText() {}

    static String decimal(String what, String text, double least, double most, String unit) {
        return plain(TypedNumber.decimal(what, text, least, most, unit));
    }

    static String plain(double value) {
        return TypedNumber.plain(value);
    }

    /** One of some words, or nothing; which, for a message, are named as a person reads them. */
    static String oneOf(String what, String text, String... allowed) {
        List<String> known = Arrays.asList(allowed);
        if (!text.isEmpty() && !known.contains(text)) {
            throw new IllegalArgumentException(what + " “" + TypedNumber.shown(text) + "” is not known; allowed are "
                    + String.join(", ", known) + " or nothing");
        }
        return text;
    }
}
