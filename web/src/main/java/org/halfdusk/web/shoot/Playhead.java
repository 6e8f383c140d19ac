package org.halfdusk.web.shoot;

import java.time.DateTimeException;
import java.time.Instant;
import java.time.ZoneId;
import java.util.Optional;
import java.util.regex.Pattern;
import org.halfdusk.time.CivilTime;
import org.halfdusk.time.Interval;

/** The moment of a night that is looked at, as addresses and forms of pages carry it. */
public final class Playhead {
    private Playhead() {}

    /** What an address says of the playhead, where it is a moment at all: nothing else is ever sent back. */
    static Optional<String> understood(Optional<String> at) {
        return at.map(String::strip).filter(Playhead::moment);
    }

    /** A moment of UTC as addresses and forms of pages carry it; nothing where it is none. */
    public static Optional<Instant> instant(String text) {
        return INSTANT.matcher(text).matches() && moment(text) ? Optional.of(Instant.parse(text)) : Optional.empty();
    }

    private static boolean moment(String text) {
        if (!INSTANT.matcher(text).matches()) {
            return CivilTime.read(text).isPresent();
        }
        try {
            Instant.parse(text);
            return true;
        } catch (DateTimeException e) {
            return false;
        }
    }

    private static final Pattern INSTANT =
            Pattern.compile("\\d{4}-\\d\\d-\\d\\dT\\d\\d:\\d\\d(?::\\d\\d(?:\\.\\d{1,9})?)?Z");

    /** Of what is understood: an instant as it is; a time of day at its first occurrence along the axis, or by its offset. */
    static Optional<CivilTime.Meant> in(String text, Interval axis, ZoneId zone) {
        if (INSTANT.matcher(text).matches()) {
            return Optional.of(new CivilTime.Meant(Instant.parse(text), false));
        }
        return CivilTime.read(text).flatMap(t -> t.on(axis, zone).or(() -> t.on(around(axis), zone)));
    }

    /** A time of day that the axis does not reach counts as its nearer end. */
    private static Interval around(Interval axis) {
        return Interval.of(axis.start().minusSeconds(43_200), axis.end().plusSeconds(43_200));
    }
}
