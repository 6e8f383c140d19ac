package org.halfdusk.shoot;

import java.util.EnumMap;
import java.util.Map;

/** What a person has chosen of one rig beside its kit, aim and exposure: normal texts by field; nothing is the empty text. */
public record RigChoices(Map<ShootField, String> texts) {
    public static final RigChoices NONE = new RigChoices(Map.of());

    /** @throws IllegalArgumentException naming the value and what is allowed */
    public RigChoices {
        Map<ShootField, String> normal = new EnumMap<>(ShootField.class);
        texts.forEach((field, text) -> normal.put(field, field.normal(text)));
        texts = Map.copyOf(normal);
    }

    public String of(ShootField field) {
        return texts.getOrDefault(field, "");
    }

    /**
     * The same with one field chosen otherwise.
     *
     * @throws IllegalArgumentException naming the value and what is allowed
     */
    public RigChoices with(ShootField field, String text) {
        Map<ShootField, String> all = new EnumMap<>(ShootField.class);
        all.putAll(texts);
        all.put(field, field.normal(text));
        return new RigChoices(all);
    }
}
