package org.halfdusk.web.layout.words;

import java.util.Optional;
import java.util.function.DoubleUnaryOperator;
import java.util.regex.Pattern;
import org.halfdusk.typed.TypedNumber;

/**
 * What stands in a field for a length or a temperature, in the units that are settled.
 *
 * @param unit in which it is shown and in which a bare number is meant
 * @param shown what stands in the field
 * @param as what a form sends along, so that a number that nobody touched stays what it was to the last digit; nothing where the field
 *     is in the unit that is kept anyway
 */
public record Measure(String unit, String shown, Optional<String> as) {
    /** Parts of what is sent along. */
    private static final String BETWEEN = ";";

    private static final String FEET = "ft";
    private static final String FAHRENHEIT = "°F";
    private static final int PARTS = 3;

    /** A number as it is kept, not what was typed and refused. */
    private static final Pattern KEPT = Pattern.compile("-?\\d{1,12}(\\.\\d{1,12})?");

    /** @param kept in which unit the value is kept @param text the value, or what was typed where that was refused */
    public static Measure of(String kept, String text) {
        if (kept.equals("m") && Words.units().feet()) {
            return other(FEET, text, Words::feet);
        }
        if (kept.equals("°C") && Words.units().fahrenheit()) {
            return other(FAHRENHEIT, text, Words::fahrenheit);
        }
        return new Measure(kept, text, Optional.empty());
    }

    private static Measure other(String unit, String text, DoubleUnaryOperator counted) {
        String shown =
                KEPT.matcher(text).matches() ? Words.plain(counted.applyAsDouble(Double.parseDouble(text))) : text;
        return new Measure(unit, shown, Optional.of(unit + BETWEEN + shown + BETWEEN + text));
    }

    /** What is meant by a text that came in a field, with what was sent along. */
    public static String meant(String typed, String as) {
        String[] parts = as.split(BETWEEN, PARTS);
        if (parts.length < PARTS || !parts[0].equals(FEET) && !parts[0].equals(FAHRENHEIT)) {
            return typed;
        }
        if (typed.equals(parts[1])) {
            return parts[2];
        }
        return TypedNumber.bare(typed) ? typed.strip() + " " + parts[0] : typed;
    }
}
