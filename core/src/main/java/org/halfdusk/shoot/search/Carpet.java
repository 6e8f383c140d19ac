package org.halfdusk.shoot.search;

import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.time.zone.ZoneRules;
import java.util.List;
import java.util.Set;
import org.halfdusk.shoot.SubjectNight;
import org.halfdusk.sky.Sky;
import org.halfdusk.time.Interval;
import org.halfdusk.time.Moment;

/**
 * Many nights at a glance: a column a night, a row a step of civil time, evening at the top. In each cell the Sun's altitude,
 * how much the Moon brightens the zenith, and how strongly the subject's wish holds.
 *
 * <p>Rows are times on the clocks of the place, so sunset jumps by an hour where clocks are changed; a time that the clocks
 * skip has no cell, and of an hour that comes twice the first is shown.
 *
 * @param firstMinute of the first row, after the midnight that begins the night's date; may be over 1,440
 * @param stepMinutes from row to row
 */
public record Carpet(int firstMinute, int stepMinutes, int rows, List<Column> columns) {
    /** Fifteen minutes. */
    public static final int STEP_MINUTES = 15;

    private static final int DAY_MINUTES = 1440;

    /** The Moon's light does not show in a brighter sky, degrees of the Sun. */
    private static final double MOON_SHOWS_DEGREES = -5;

    /**
     * One night.
     *
     * @param sun altitudes in degrees by row; NaN for a time that the clocks skip
     * @param moon magnitudes by which the Moon lifts the zenith
     * @param wish 0 where the wish does not hold, up to 1 where it holds best
     */
    public record Column(SubjectNight night, float[] sun, float[] moon, float[] wish) {}

    /**
     * The nights on one common axis, from before the earliest sunset to after the latest sunrise among them.
     *
     * @throws IllegalArgumentException without a night
     */
    public static Carpet of(List<SubjectNight> nights) {
        if (nights.isEmpty()) {
            throw new IllegalArgumentException("a carpet needs at least one night");
        }
        int from = Integer.MAX_VALUE;
        int to = Integer.MIN_VALUE;
        for (SubjectNight n : nights) {
            from = Math.min(from, minute(n, n.axis().start()));
            to = Math.max(to, minute(n, n.axis().end()));
        }
        int first = Math.floorDiv(from, 60) * 60;
        int last = Math.min(first + DAY_MINUTES, -Math.floorDiv(-to, 60) * 60);
        int rows = Math.max(1, (last - first) / STEP_MINUTES);
        return new Carpet(
                first,
                STEP_MINUTES,
                rows,
                nights.stream().map(n -> column(n, first, rows)).toList());
    }

    /** The same without the wishes of other nights than these: for what happens on dates that a person knows. */
    public Carpet wishingOnlyOn(Set<LocalDate> dates) {
        return new Carpet(
                firstMinute,
                stepMinutes,
                rows,
                columns.stream()
                        .map(c -> dates.contains(c.night().date())
                                ? c
                                : new Column(c.night(), c.sun(), c.moon(), new float[rows]))
                        .toList());
    }

    /** Minutes on the clocks after the midnight that begins the night's date. */
    private static int minute(SubjectNight n, Instant at) {
        LocalDateTime local = LocalDateTime.ofInstant(at, n.zone());
        long days = local.toLocalDate().toEpochDay() - n.date().toEpochDay();
        return (int) days * DAY_MINUTES + local.getHour() * 60 + local.getMinute();
    }

    private static Column column(SubjectNight n, int first, int rows) {
        float[] sun = new float[rows];
        float[] moon = new float[rows];
        float[] wish = new float[rows];
        Sky sky = n.sky();
        long[] seconds = seconds(n.date(), n.zone(), first, rows);
        for (int i = 0; i < rows; i++) {
            if (seconds[i] == Long.MIN_VALUE) {
                sun[i] = Float.NaN;
                continue;
            }
            Moment m = sky.moment(seconds[i] / 86_400.0 - EPOCH_TO_J2000_DAYS);
            Sky.Pair pair = sky.sunAndMoon(m);
            sun[i] = (float) Math.toDegrees(pair.sun().latitudeRad());
            boolean moonlit = sun[i] < MOON_SHOWS_DEGREES && pair.moon().z() > 0;
            moon[i] = moonlit ? (float) n.light().at(m).zenith().moonLift() : 0;
        }
        wishes(n, seconds, wish);
        return new Column(n, sun, moon, wish);
    }

    /** Days from 1970 to noon of 1 January 2000. */
    private static final double EPOCH_TO_J2000_DAYS = 10_957.5;

    /** Seconds of the epoch by row; the least of all for a time that the clocks skip. */
    private static long[] seconds(LocalDate date, ZoneId zone, int first, int rows) {
        long[] seconds = new long[rows];
        ZoneRules rules = zone.getRules();
        LocalDateTime start = date.atStartOfDay().plusMinutes(first);
        LocalDateTime end = start.plusMinutes((long) rows * STEP_MINUTES);
        List<ZoneOffset> a = rules.getValidOffsets(start);
        boolean steady = a.size() == 1 && noneBetween(rules, start.toInstant(a.get(0)), end.toInstant(a.get(0)));
        long base = steady ? start.toEpochSecond(a.get(0)) : 0;
        for (int i = 0; i < rows; i++) {
            if (steady) {
                seconds[i] = base + (long) i * STEP_MINUTES * 60;
            } else {
                LocalDateTime t = start.plusMinutes((long) i * STEP_MINUTES);
                List<ZoneOffset> offsets = rules.getValidOffsets(t);
                seconds[i] = offsets.isEmpty() ? Long.MIN_VALUE : t.toEpochSecond(offsets.get(0));
            }
        }
        return seconds;
    }

    private static boolean noneBetween(ZoneRules rules, Instant from, Instant to) {
        var next = rules.nextTransition(from);
        return next == null || next.getInstant().isAfter(to);
    }

    private static void wishes(SubjectNight n, long[] seconds, float[] wish) {
        for (Interval w : n.windows()) {
            for (int i = 0; i < wish.length; i++) {
                if (seconds[i] == Long.MIN_VALUE) {
                    continue;
                }
                Instant from = Instant.ofEpochSecond(seconds[i]);
                Instant to = from.plusSeconds(STEP_MINUTES * 60L);
                if (w.start().isBefore(to) && w.end().isAfter(from)) {
                    wish[i] = (float) n.strength(w.contains(from) ? from : w.start());
                }
            }
        }
    }
}
