package org.halfdusk.web.run;

import java.time.DateTimeException;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalTime;
import java.time.ZoneOffset;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.halfdusk.time.CivilTime;
import org.halfdusk.time.Interval;
import org.halfdusk.typed.TypedNumber;

/** A time of day to the tenth of a second, on the day about now. */
final class ClockTimes {
    private static final Pattern TIME = Pattern.compile("(\\d{1,2}):(\\d\\d):(\\d\\d)(?:[.,]\\d{1,3})?");
    private static final Duration HALF_A_DAY = Duration.ofHours(12);

    private ClockTimes() {}

    /** @throws IllegalArgumentException naming the value and what is allowed */
    static Instant read(String what, String text, Instant now) {
        Matcher m = TIME.matcher(text.strip());
        if (!m.matches()) {
            throw refused(what, text);
        }
        try {
            String written = (m.group(1).length() < 2 ? "0" : "") + m.group().replace(',', '.');
            LocalTime time = LocalTime.parse(written);
            Interval near = Interval.of(now.minus(HALF_A_DAY), now.plus(HALF_A_DAY));
            return new CivilTime(time, Optional.empty())
                    .on(near, ZoneOffset.UTC)
                    .map(CivilTime.Meant::at)
                    .orElseThrow();
        } catch (DateTimeException e) {
            throw refused(what, text);
        }
    }

    private static IllegalArgumentException refused(String what, String text) {
        return new IllegalArgumentException(what + " “" + TypedNumber.shown(text)
                + "” is no time; 00:00:00 to 23:59:59, with tenths as 21:04:05.3, is allowed");
    }
}
