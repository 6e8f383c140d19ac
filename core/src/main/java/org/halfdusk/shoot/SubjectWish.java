package org.halfdusk.shoot;

import java.time.LocalTime;
import java.util.Map;
import java.util.TreeMap;
import org.halfdusk.typed.TypedNumber;

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
     * The same in its normal form, as a subject knows it.
     *
     * @throws IllegalArgumentException naming a wish that the subject does not know, or a value and what is allowed
     */
    SubjectWish checked(Subject subject) {
        Map<String, WishField> known = new TreeMap<>();
        SubjectPlanner.wishFields(subject).forEach(f -> known.put(f.name(), f));
        Map<String, String> normal = new TreeMap<>();
        texts.forEach((name, value) -> {
            WishField field = known.get(name);
            if (field == null) {
                throw new IllegalArgumentException("wish “" + TypedNumber.shown(name) + "” is not known to " + subject
                        + "; allowed are " + String.join(", ", known.keySet()));
            }
            normal.put(name, field.normal(value));
        });
        return new SubjectWish(normal);
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
