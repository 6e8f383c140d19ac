package org.halfdusk.web.run;

import java.time.Instant;
import java.time.LocalTime;
import java.time.ZoneOffset;
import java.time.temporal.ChronoUnit;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.halfdusk.typed.TypedNumber;

/** A time of day to the tenth of a second, on the day about now. */
final class ClockTimes {
    private static final Pattern TIME = Pattern.compile("(\\d{1,2}):(\\d\\d):(\\d\\d)(?:[.,](\\d{1,3}))?");
    private static final int HOURS = 12;
    private static final int MILLIS_DIGITS = 3;

    private ClockTimes() {}

    /** @throws IllegalArgumentException naming the value and what is allowed */
    static Instant read(String what, String text, Instant now) {
        Matcher m = TIME.matcher(text.strip());
        if (!m.matches()) {
            throw refused(what, text);
        }
        int hour = Integer.parseInt(m.group(1));
        int minute = Integer.parseInt(m.group(2));
        int second = Integer.parseInt(m.group(3));
        if (hour > 23 || minute > 59 || second > 59) {
            throw refused(what, text);
        }
        String tenths = m.group(4) == null ? "" : m.group(4);
        int millis = tenths.isEmpty() ? 0 : Integer.parseInt((tenths + "00").substring(0, MILLIS_DIGITS));
        LocalTime time = LocalTime.of(hour, minute, second).plus(millis, ChronoUnit.MILLIS);
        Instant at = now.atZone(ZoneOffset.UTC).with(time).toInstant();
        if (at.isAfter(now.plus(HOURS, ChronoUnit.HOURS))) {
            return at.minus(1, ChronoUnit.DAYS);
        }
        return at.isBefore(now.minus(HOURS, ChronoUnit.HOURS)) ? at.plus(1, ChronoUnit.DAYS) : at;
    }

    private static IllegalArgumentException refused(String what, String text) {
        return new IllegalArgumentException(what + " “" + TypedNumber.shown(text)
                + "” is no time; 00:00:00 to 23:59:59, with tenths as 21:04:05.3, is allowed");
    }
}
