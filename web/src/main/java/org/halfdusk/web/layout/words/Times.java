package org.halfdusk.web.layout.words;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.ZonedDateTime;
import java.time.format.DateTimeFormatter;
import java.time.temporal.ChronoUnit;
import java.util.Locale;
import java.util.Optional;
import org.halfdusk.time.CivilTime;
import org.halfdusk.time.Interval;

/** Times of day, dates and durations as the pages say them. */
public final class Times {
    private static final DateTimeFormatter CLOCK = DateTimeFormatter.ofPattern("HH:mm", Locale.ENGLISH);
    private static final DateTimeFormatter CLOCK_SECONDS = DateTimeFormatter.ofPattern("HH:mm:ss", Locale.ENGLISH);
    private static final DateTimeFormatter SHORT = DateTimeFormatter.ofPattern("EEE d MMM", Locale.ENGLISH);
    private static final DateTimeFormatter WITH_YEAR = DateTimeFormatter.ofPattern("d MMM yyyy", Locale.ENGLISH);
    private static final DateTimeFormatter MONTH = DateTimeFormatter.ofPattern("MMM", Locale.ENGLISH);
    private static final DateTimeFormatter MONTH_YEAR = DateTimeFormatter.ofPattern("MMM yyyy", Locale.ENGLISH);
    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("EEE d MMMM", Locale.ENGLISH);
    private static final DateTimeFormatter LONG = DateTimeFormatter.ofPattern("EEE d MMMM yyyy", Locale.ENGLISH);

    private static final DateTimeFormatter TWELVE = DateTimeFormatter.ofPattern("h:mm a", Locale.ENGLISH);
    private static final DateTimeFormatter TWELVE_SECONDS = DateTimeFormatter.ofPattern("h:mm:ss a", Locale.ENGLISH);

    private Times() {}

    /** A full hour, 0 to 23: 21:00, or 9 pm. */
    public static String hour(int hour) {
        if (!Words.units().twelveHours()) {
            return (hour < 10 ? "0" : "") + hour + ":00";
        }
        return (hour % 12 == 0 ? 12 : hour % 12) + (hour < 12 ? " am" : " pm");
    }

    private static String said(DateTimeFormatter full, DateTimeFormatter twelve, ZonedDateTime at) {
        return Words.units().twelveHours() ? twelve.format(at).toLowerCase(Locale.ROOT) : full.format(at);
    }

    /** 00:20, to the nearest minute; of a time that clocks show twice with its offset, 02:30 UTC+2. */
    public static String clock(Instant at, ZoneId zone) {
        Instant minute = at.plusSeconds(30).truncatedTo(ChronoUnit.MINUTES);
        return said(CLOCK, TWELVE, minute.atZone(zone)) + which(minute, zone);
    }

    /** 00:20:14, to the nearest second. */
    public static String clockSeconds(Instant at, ZoneId zone) {
        Instant second = CivilTime.toSecond(at);
        return said(CLOCK_SECONDS, TWELVE_SECONDS, second.atZone(zone)) + which(second, zone);
    }

    private static String which(Instant at, ZoneId zone) {
        return CivilTime.twice(at, zone) ? " " + utc(zone, at) : "";
    }

    /** 00:20 UTC+2: for times that stand beside those of other zones. */
    public static String clockOf(Instant at, ZoneId zone) {
        Instant minute = at.plusSeconds(30).truncatedTo(ChronoUnit.MINUTES);
        return said(CLOCK, TWELVE, minute.atZone(zone)) + " " + utc(zone, minute);
    }

    /** UTC+2, UTC−3:30. */
    public static String utc(ZoneId zone, Instant at) {
        int minutes = zone.getRules().getOffset(at).getTotalSeconds() / 60;
        if (minutes == 0) {
            return "UTC";
        }
        int rest = Math.abs(minutes) % 60;
        return "UTC" + (minutes < 0 ? "\u2212" : "+") + Math.abs(minutes) / 60
                + (rest == 0 ? "" : String.format(Locale.ROOT, ":%02d", rest));
    }

    /** "Clocks go back an hour at 03:00", where they are changed in a span. */
    public static Optional<String> clocksChange(Interval span, ZoneId zone) {
        return CivilTime.change(span, zone).map(c -> {
            long minutes = Math.abs(c.by().toMinutes());
            String much = minutes == 60 ? "an hour" : minutes + " minutes";
            ZonedDateTime before = c.at().atZone(zone.getRules().getOffset(c.at().minusSeconds(1)));
            return "Clocks go " + (c.by().isNegative() ? "back " : "forward ") + much + " at "
                    + said(CLOCK, TWELVE, before);
        });
    }

    /** 23:49 to 05:08. */
    public static String span(Interval i, ZoneId zone) {
        return clock(i.start(), zone) + " to " + clock(i.end(), zone);
    }

    /** Fri 4 Jun. */
    public static String shortDate(LocalDate date) {
        return SHORT.format(date);
    }

    /** 4 Jun 2027. */
    public static String dateWithYear(LocalDate date) {
        return WITH_YEAR.format(date);
    }

    /** Jun, or Jan 2027. */
    public static String month(LocalDate date, boolean year) {
        return (year ? MONTH_YEAR : MONTH).format(date);
    }

    /** Fri 4 June. */
    public static String day(LocalDate date) {
        return DAY.format(date);
    }

    /** Fri 4 June 2027. */
    public static String longDate(LocalDate date) {
        return LONG.format(date);
    }

    /** 5 h 18 m, 48 m. */
    public static String duration(double hours) {
        long minutes = Math.round(hours * 60);
        return minutes < 60 ? minutes + " m" : String.format(Locale.ROOT, "%d h %02d m", minutes / 60, minutes % 60);
    }

    public static String duration(Duration d) {
        return duration(d.toMillis() / 3_600_000.0);
    }

    /** 23 min. */
    public static String minutes(Duration d) {
        double m = d.toSeconds() / 60.0;
        if (m < 1) {
            return d.toSeconds() + " s";
        }
        return (m < 3 ? Words.plain(Math.round(m * 10) / 10.0) : Long.toString(Math.round(m))) + " min";
    }

    /** 4 min 57 s, 12 s. */
    public static String minutesSeconds(Duration d) {
        long s = Math.round(d.toMillis() / 1000.0);
        return s < 60 ? s + " s" : s / 60 + " min " + String.format(Locale.ROOT, "%02d s", s % 60);
    }

    /** CEST, with its hours from UTC. */
    public static String zone(ZoneId zone, Instant at) {
        ZonedDateTime z = at.atZone(zone);
        return zone.getId() + " (UTC"
                + (z.getOffset().getTotalSeconds() == 0 ? "" : z.getOffset().getId()) + ")";
    }
}
