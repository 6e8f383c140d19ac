package org.halfdusk.web.layout;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.function.Supplier;
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

    public Map<String, String> all() {
        return wrong;
    }

    /** The message of a field, empty where it is right. */
    public String of(String field) {
        return wrong.getOrDefault(field, "");
    }

    public void add(String field, String message) {
        wrong.putIfAbsent(field, Problems.sentence(message));
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

    /** A number in a range; comma or point. NaN where it is wrong, with a message that names value and range. */
    public double number(String field, String name, double least, double most, String unit) {
        String u = unit.isEmpty() ? "" : " " + unit;
        String range = Words.plain(least) + " to " + Words.plain(most) + u;
        String text = text(field);
        if (text.isEmpty()) {
            add(field, name + " is empty; " + range + " is allowed");
            return Double.NaN;
        }
        try {
            double value = Double.parseDouble(text.replace(',', '.').replace('−', '-'));
            if (!(value >= least && value <= most)) {
                add(field, name + " " + text + u + " is outside " + range);
                return Double.NaN;
            }
            return value;
        } catch (NumberFormatException e) {
            add(field, name + " “" + text + "” is not a number; " + range + " is allowed");
            return Double.NaN;
        }
    }

    /** A number as people write it, with comma or point and either minus. */
    public static double plainNumber(String name, String text) {
        try {
            return Double.parseDouble(text.trim().replace(',', '.').replace('−', '-'));
        } catch (NumberFormatException e) {
            throw new IllegalArgumentException(name + " “" + text.trim() + "” is not a number", e);
        }
    }

    /** A whole number in a range. */
    public int whole(String field, String name, int least, int most, String unit) {
        double value = number(field, name, least, most, unit);
        if (value != Math.rint(value) && !Double.isNaN(value)) {
            add(field, name + " " + text(field) + " is not a whole number");
        }
        return (int) value;
    }
}
