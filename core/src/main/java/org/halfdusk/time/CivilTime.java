package org.halfdusk.time;

import java.time.DateTimeException;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.time.temporal.ChronoUnit;
import java.time.zone.ZoneOffsetTransition;
import java.time.zone.ZoneRules;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.halfdusk.typed.TypedTime;

/**
 * A time of day as people read it off their clocks, and the moment of a night that it means. In the night in which clocks go back an
 * hour comes twice, and only the offset from UTC tells which; in that in which they go forward an hour is skipped.
 *
 * @param offset where it was said
 */
public record CivilTime(LocalTime time, Optional<ZoneOffset> offset) {
    private static final Pattern WRITTEN =
            Pattern.compile(TypedTime.PATTERN + "\\s*(?:(?:utc)?([+\\-−]\\d{1,2}(?::?\\d\\d)?))?");

    private static final DateTimeFormatter MINUTES = DateTimeFormatter.ofPattern("HH:mm", Locale.ROOT);
    private static final DateTimeFormatter SECONDS = DateTimeFormatter.ofPattern("HH:mm:ss", Locale.ROOT);

    /**
     * Which moment is meant.
     *
     * @param skipped whether the clocks skip that time, so that the moment as long after the change is taken
     */
    public record Meant(Instant at, boolean skipped) {}

    /** 2:30, 02:30, 02:30:15, 2:30 am, and with the offset 02:30+02:00, 02:30 UTC+2; nothing where it is none of them. */
    public static Optional<CivilTime> read(String text) {
        Matcher m = WRITTEN.matcher(text.strip().toLowerCase(Locale.ROOT));
        if (!m.matches()) {
            return Optional.empty();
        }
        try {
            String offset = m.group(5);
            return TypedTime.of(m)
                    .map(t -> new CivilTime(
                            t, offset == null ? Optional.empty() : Optional.of(offset(offset.replace('−', '-')))));
        } catch (DateTimeException e) {
            return Optional.empty();
        }
    }

    private static ZoneOffset offset(String text) {
        String sign = text.substring(0, 1);
        String rest = text.substring(1);
        return ZoneOffset.of(rest.length() == 1 ? sign + "0" + rest : text);
    }

    /** The first moment on an axis that clocks show so, by the offset where one was said; nothing where none does. */
    public Optional<Meant> on(Interval axis, ZoneId zone) {
        LocalDate first = LocalDate.ofInstant(axis.start(), zone);
        LocalDate last = LocalDate.ofInstant(axis.end(), zone);
        for (LocalDate date = first; !date.isAfter(last); date = date.plusDays(1)) {
            LocalDateTime local = date.atTime(time);
            for (ZoneOffset o : offsets(zone.getRules(), local)) {
                Instant at = local.toInstant(o);
                if (!at.isBefore(axis.start()) && !at.isAfter(axis.end())) {
                    return Optional.of(
                            new Meant(at, zone.getRules().getValidOffsets(local).isEmpty()));
                }
            }
        }
        return Optional.empty();
    }

    /** A skipped time counts by the clocks of before. */
    private List<ZoneOffset> offsets(ZoneRules rules, LocalDateTime local) {
        List<ZoneOffset> valid = rules.getValidOffsets(local);
        if (valid.isEmpty()) {
            return List.of(rules.getTransition(local).getOffsetBefore());
        }
        return offset.<List<ZoneOffset>>map(List::of).orElse(valid);
    }

    /** Whether clocks show the time of a moment twice. */
    public static boolean twice(Instant at, ZoneId zone) {
        return zone.getRules()
                        .getValidOffsets(LocalDateTime.ofInstant(at, zone))
                        .size()
                > 1;
    }

    /** 02:30, or where clocks show that twice 02:30+02:00: the written form that is read back to the same minute. */
    public static String text(Instant at, ZoneId zone) {
        return written(MINUTES, at.plusSeconds(30).truncatedTo(ChronoUnit.MINUTES), zone);
    }

    /** The same to the second. */
    public static String textSeconds(Instant at, ZoneId zone) {
        return written(SECONDS, toSecond(at), zone);
    }

    private static String written(DateTimeFormatter form, Instant at, ZoneId zone) {
        return form.format(at.atZone(zone))
                + (twice(at, zone) ? zone.getRules().getOffset(at).getId().replace("Z", "+00:00") : "");
    }

    /**
     * Clocks being changed.
     *
     * @param at the moment
     * @param by how far they are set on; negative where they go back
     */
    public record Change(Instant at, Duration by) {}

    /** The change that falls into a span, if there is one. */
    public static Optional<Change> change(Interval span, ZoneId zone) {
        ZoneOffsetTransition next = zone.getRules().nextTransition(span.start());
        return next == null || !next.getInstant().isBefore(span.end())
                ? Optional.empty()
                : Optional.of(new Change(next.getInstant(), next.getDuration()));
    }

    /** The nearest whole second: the one rule by which clocks, tables and calendars round. */
    public static Instant toSecond(Instant at) {
        return at.plusMillis(500).truncatedTo(ChronoUnit.SECONDS);
    }
}
