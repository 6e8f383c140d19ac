package org.halfdusk.shoot;

import java.time.LocalTime;
import java.util.Map;
import java.util.TreeMap;

/** What a person has wished of a subject, by field; what they left alone has the field's initial value. */
public record SubjectWish(Map<String, String> texts) {
    public static final SubjectWish NONE = new SubjectWish(Map.of());

    public SubjectWish {
        texts = Map.copyOf(texts);
    }

    public String text(WishField field) {
        return texts.getOrDefault(field.name(), field.initial());
    }

    public double number(WishField field) {
        return Double.parseDouble(text(field));
    }

    public LocalTime time(WishField field) {
        return LocalTime.parse(text(field));
    }

    public boolean is(WishField field, String option) {
        return text(field).equals(option);
    }

    /**
     * The same with one field set.
     *
     * @throws IllegalArgumentException naming the value and what is allowed
     */
    public SubjectWish with(WishField field, String value) {
        Map<String, String> all = new TreeMap<>(texts);
        all.put(field.name(), field.normal(value));
        return new SubjectWish(all);
    }
}
