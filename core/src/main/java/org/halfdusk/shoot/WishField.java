package org.halfdusk.shoot;

import java.time.LocalTime;
import java.time.format.DateTimeParseException;
import java.util.List;
import org.halfdusk.typed.TypedNumber;

/**
 * A wish of one subject, with what may stand in it.
 *
 * @param name unique among all subjects, upper case
 * @param label as a form shows it
 * @param initial what counts until a person has chosen
 */
public record WishField(
        String name,
        String label,
        Kind kind,
        String initial,
        double least,
        double most,
        String unit,
        List<Option> options)
        implements Field {
    /** How it is asked. */
    public enum Kind {
        NUMBER,
        TIME,
        CHOICE
    }

    /** One of several; its value as kept, its words as shown. */
    public record Option(String value, String words) {}

    public static WishField number(String name, String label, String unit, double least, double most, double initial) {
        return new WishField(name, label, Kind.NUMBER, FieldText.plain(initial), least, most, unit, List.of());
    }

    /** A time of day, 00:00 to 23:59. */
    public static WishField time(String name, String label, String initial) {
        return new WishField(name, label, Kind.TIME, initial, 0, 0, "", List.of());
    }

    /** The first option is the initial one. */
    public static WishField choice(String name, String label, Option... options) {
        return new WishField(name, label, Kind.CHOICE, options[0].value(), 0, 0, "", List.of(options));
    }

    @Override
    public String normal(String text) {
        String typed = text.trim();
        return switch (kind) {
            case NUMBER -> FieldText.decimal(label, typed, least, most, unit);
            case TIME -> time(typed);
            case CHOICE -> choice(typed);
        };
    }

    private String time(String text) {
        try {
            return LocalTime.parse(text.length() == 4 ? "0" + text : text)
                    .withSecond(0)
                    .withNano(0)
                    .toString();
        } catch (DateTimeParseException e) {
            throw new IllegalArgumentException(
                    label + " “" + TypedNumber.shown(text)
                            + "” is not a time of day; write it as 22:30, 00:00 to 23:59",
                    e);
        }
    }

    private String choice(String text) {
        if (options.stream().noneMatch(o -> o.value().equals(text))) {
            throw new IllegalArgumentException(label + " “" + TypedNumber.shown(text) + "” is not known; allowed are "
                    + String.join(", ", options.stream().map(Option::words).toList()));
        }
        return text;
    }

    /** A value in words. */
    public String words(String value) {
        return switch (kind) {
            case NUMBER -> unit.isEmpty() ? value : value + " " + unit;
            case TIME -> value;
            case CHOICE ->
                options.stream()
                        .filter(o -> o.value().equals(value))
                        .map(Option::words)
                        .findFirst()
                        .orElse(value);
        };
    }
}
