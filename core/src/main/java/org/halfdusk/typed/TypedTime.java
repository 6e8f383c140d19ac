package org.halfdusk.typed;

import java.time.DateTimeException;
import java.time.LocalTime;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Times of day as people write them: 2:30, 02:30, 02:30:15, 3:05 am, 3 pm. */
public final class TypedTime {
    /** What is read as one, as a part of a larger pattern: hours, minutes, seconds, half of the day. */
    public static final String PATTERN = "(\\d{1,2})(?::(\\d\\d)(?::(\\d\\d))?)?\\s*([ap]\\.?m\\.?)?";

    private static final Pattern WRITTEN = Pattern.compile(PATTERN);
    private static final int NOON = 12;

    private TypedTime() {}

    /** Nothing where it is none; hours alone are one only with their half of the day. */
    public static Optional<LocalTime> read(String text) {
        Matcher m = WRITTEN.matcher(text.strip().toLowerCase(Locale.ROOT));
        return m.matches() ? of(m) : Optional.empty();
    }

    /** Of a match whose first four groups are the pattern's. */
    public static Optional<LocalTime> of(Matcher m) {
        String half = m.group(4);
        String minutes = m.group(2);
        int hour = Integer.parseInt(m.group(1));
        if (half == null && minutes == null || half != null && (hour < 1 || hour > NOON)) {
            return Optional.empty();
        }
        int day = half == null ? hour : hour % NOON + (half.startsWith("p") ? NOON : 0);
        try {
            return Optional.of(LocalTime.of(
                    day,
                    minutes == null ? 0 : Integer.parseInt(minutes),
                    m.group(3) == null ? 0 : Integer.parseInt(m.group(3))));
        } catch (DateTimeException e) {
            return Optional.empty();
        }
    }
}
