package org.halfdusk.web.layout;

import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.function.Supplier;
import org.halfdusk.typed.TypedNumber;
import org.halfdusk.web.layout.words.Words;
import org.jspecify.annotations.Nullable;

/** A form as it was typed, and what is wrong by field. */
public final class FormErrors {
    private final Map<String, String> typed;
    private final Map<String, String> wrong = new LinkedHashMap<>();

    public FormErrors(Map<String, String> typed) {
        this.typed = typed;
    }

    public boolean any() {
        return !wrong.isEmpty();
    }

    /** Whether nothing is wrong with any of these. */
    public boolean right(String... fields) {
        return Arrays.stream(fields).noneMatch(wrong::containsKey);
    }

    public Map<String, String> all() {
        return wrong;
    }

    /** The message of a field, empty where it is right. */
    public String of(String field) {
        return wrong.getOrDefault(field, "");
    }

    public void add(String field, String message) {
        wrong.putIfAbsent(field, Words.sentence(message));
    }

    /** Notes the core's refusal under the field's name; gives nothing then. */
    public <T> @Nullable T check(String field, Supplier<T> make) {
        try {
            return make.get();
        } catch (IllegalArgumentException e) {
            add(field, String.valueOf(e.getMessage()));
            return null;
        }
    }

    public String text(String field) {
        return typed.getOrDefault(field, "").trim();
    }

    /** A number in a range, as {@link TypedNumber} reads it. NaN where it is wrong, with a message that names value and range. */
    public double number(String field, String name, double least, double most, String unit) {
        Double value = check(field, () -> TypedNumber.decimal(name, text(field), least, most, unit));
        return value == null ? Double.NaN : value;
    }

    /** A whole number in a range; 0 where it is wrong, with a message. */
    public int whole(String field, String name, int least, int most, String unit) {
        Long value = check(field, () -> TypedNumber.whole(name, text(field), least, most, unit));
        return value == null ? 0 : value.intValue();
    }
}
