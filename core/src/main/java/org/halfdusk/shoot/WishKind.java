package org.halfdusk.shoot;

import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.halfdusk.shoot.choices.Shoot;
import org.halfdusk.typed.Faults;
import org.halfdusk.typed.Field;

/**
 * What can be wished of a subject.
 *
 * @param usual what counts until a person has chosen
 * @param fields in the order in which a form asks for them
 */
public record WishKind<W extends Wish>(Class<W> type, W usual, List<Field<W, ?>> fields) {
    public WishKind {
        fields = List.copyOf(fields);
    }

    /** The kind of a wish. */
    public static WishKind<?> of(Wish wish) {
        return Arrays.stream(Subject.values())
                .<WishKind<?>>map(SubjectPlanner::wishes)
                .filter(k -> k.type().isInstance(wish))
                .findFirst()
                .orElseThrow();
    }

    /**
     * The same wish, where all that stands in it is allowed.
     *
     * @throws IllegalArgumentException naming all that is not, or a wish of another subject
     */
    public W checked(Wish wish) {
        if (!type.isInstance(wish)) {
            throw new IllegalArgumentException("wish of another subject: " + wish);
        }
        W own = type.cast(wish);
        Faults faults = new Faults();
        fields.forEach(f -> faults.or(own, () -> {
            f.check(own);
            return own;
        }));
        faults.refuse();
        return own;
    }

    /**
     * A wish from texts by the fields' names; what they do not hold is usual.
     *
     * @throws IllegalArgumentException naming all values that are not allowed, and names that this subject does not know
     */
    public W of(Map<String, String> texts) {
        return Field.read(usual, fields, texts, "wish");
    }

    /** All of a wish, by the fields' names. */
    public Map<String, String> texts(Wish wish) {
        W own = type.cast(wish);
        Map<String, String> texts = new LinkedHashMap<>();
        fields.forEach(f -> texts.put(f.name(), f.text(own)));
        return texts;
    }

    /** The same fields as parts of a shoot of this subject. */
    public List<Field<Shoot, ?>> ofShoot() {
        return fields.stream().<Field<Shoot, ?>>map(this::ofShoot).toList();
    }

    private <T> Field<Shoot, T> ofShoot(Field<W, T> field) {
        return field.in(s -> type.cast(s.wish()), Shoot::with);
    }
}
