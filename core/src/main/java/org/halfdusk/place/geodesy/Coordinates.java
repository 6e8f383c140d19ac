package org.halfdusk.place.geodesy;

import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/**
 * Latitude and longitude as people write them: decimal degrees, or degrees, minutes and seconds, with a sign or the letter
 * of a direction. "35.952", "35,952", "−3.048", "35°57′07.2″ N", "3 02 53 W".
 */
public final class Coordinates {
    private static final Pattern PARTS = Pattern.compile(
            "([NSEWO])?\\s*([-+−])?\\s*(\\d+(?:[.,]\\d+)?)\\s*°?"
                    + "(?:[\\s:]*(\\d+(?:[.,]\\d+)?)\\s*['′’]?)?(?:[\\s:]*(\\d+(?:[.,]\\d+)?)\\s*(?:\"|″|”|'')?)?\\s*([NSEWO])?");

    private Coordinates() {}

    /** Degrees north. */
    public static double latitude(String text) {
        return parse("latitude", text, "NS", 90);
    }

    /** Degrees east. */
    public static double longitude(String text) {
        return parse("longitude", text, "EWO", 180);
    }

    private static double parse(String what, String text, String letters, double most) {
        Matcher m = PARTS.matcher(text.trim().toUpperCase(Locale.ROOT));
        boolean written = m.matches();
        String letter = written
                ? Optional.ofNullable(m.group(1)).orElse("")
                        + Optional.ofNullable(m.group(6)).orElse("")
                : "";
        boolean signed = written && m.group(2) != null;
        if (!written || letter.length() > 1 || !letters.contains(letter) || signed && !letter.isEmpty()) {
            throw new IllegalArgumentException(what + " “" + text + "” is not understood; write it like "
                    + (most == 90 ? "35.952 or 35°57′07″ N" : "−3.048 or 3°02′53″ W"));
        }
        double minutes = number(m.group(4));
        double seconds = number(m.group(5));
        if (minutes >= 60 || seconds >= 60) {
            throw new IllegalArgumentException(what + " “" + text + "” has minutes or seconds outside 0 to below 60");
        }
        double degrees = number(m.group(3)) + minutes / 60 + seconds / 3600;
        boolean negative = signed ? !"+".equals(m.group(2)) : !letter.isEmpty() && "SWO".contains(letter);
        if (!(degrees <= most)) {
            throw new IllegalArgumentException(
                    what + " " + text + " is outside −" + Math.round(most) + "° to " + Math.round(most) + "°");
        }
        return negative ? -degrees : degrees;
    }

    private static double number(@Nullable String text) {
        return text == null ? 0 : Double.parseDouble(text.replace(',', '.'));
    }
}
