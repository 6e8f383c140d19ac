package org.halfdusk.web.town;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import org.halfdusk.ephemeris.Body;
import org.halfdusk.exposure.MeterReading;
import org.halfdusk.shoot.town.TownNight;
import org.halfdusk.time.Interval;
import org.halfdusk.web.layout.drawing.SkyColours;
import org.halfdusk.web.layout.drawing.Theme;
import org.halfdusk.web.layout.words.Numbers;
import org.halfdusk.web.layout.words.Times;
import org.halfdusk.web.layout.words.Words;

/**
 * The sky's exposure value over an evening beside those of lit fronts and street, which stay.
 *
 * @param bands columns of the sky's colour
 * @param sky the falling line
 * @param fronts and street: heights of the lamps' lines
 * @param window spans in which one exposure holds both
 * @param here the moment that is shown
 */
public record EveningPicture(
        List<Band> bands,
        String sky,
        Level fronts,
        Level street,
        List<Span> window,
        List<Mark> marks,
        List<Mark> evs,
        Here here,
        String words) {
    public record Band(String x, String width, String fill) {}

    public record Level(String y, String textY, String text) {}

    public record Span(String x, String width) {}

    public record Mark(String at, String text) {}

    public record Here(String x, String y, String text, String anchor, String textX) {}

    static final int WIDTH = 860;
    private static final int LEFT = 40;
    private static final int RIGHT = 850;
    private static final int TOP = 16;
    private static final int BOTTOM = 210;
    private static final int HIGHEST_EV = 10;
    private static final int LOWEST_EV = -8;
    private static final Duration BEFORE = Duration.ofMinutes(20);
    private static final Duration AFTER = Duration.ofMinutes(30);
    private static final int STEPS = 60;
    private static final int TICKS = 6;

    static EveningPicture of(TownNight n, Instant at, Theme theme) {
        Interval axis = axis(n);
        List<Band> bands = new ArrayList<>();
        StringBuilder sky = new StringBuilder();
        double step = axis.duration().toMillis() / (double) STEPS;
        for (int i = 0; i <= STEPS; i++) {
            Instant t = axis.start().plusMillis(Math.round(i * step));
            double sun = n.sky().at(Body.SUN, t).altitude().degrees();
            double x = x(axis, t);
            if (i < STEPS) {
                bands.add(new Band(
                        Numbers.tenths(x),
                        Numbers.tenths((RIGHT - LEFT) / (double) STEPS + 0.6),
                        theme.colour(SkyColours.of(sun, 0))));
            }
            sky.append(i == 0 ? "M" : "L").append(Numbers.tenths(x)).append(' ').append(Numbers.tenths(y(n.skyEv(t))));
        }
        double fronts = MeterReading.ev(n.wish().light().fronts());
        double street = MeterReading.ev(n.wish().light().street());
        boolean frontsOver = fronts > street;
        return new EveningPicture(
                bands,
                sky.toString(),
                level("lit fronts", fronts, frontsOver),
                level("street", street, !frontsOver),
                n.windows().stream()
                        .flatMap(w -> w.intersect(axis).stream())
                        .map(w -> new Span(
                                Numbers.tenths(x(axis, w.start())),
                                Numbers.tenths(x(axis, w.end()) - x(axis, w.start()))))
                        .toList(),
                ticks(axis).stream()
                        .map(t -> new Mark(Numbers.tenths(x(axis, t)), Times.clock(t, n.zone())))
                        .toList(),
                Stream.of(9, 6, 3, 0, -3, -6)
                        .map(ev -> new Mark(Numbers.tenths(y(ev)), Words.plain(ev)))
                        .toList(),
                here(n, axis, at),
                TownWords.evening(n));
    }

    /** Whole five or ten minutes and more. */
    private static List<Instant> ticks(Interval axis) {
        long least = axis.duration().toSeconds() / TICKS;
        long step = STEPS_OF_TICKS.stream().filter(s -> s >= least).findFirst().orElse(7200L);
        List<Instant> all = new ArrayList<>();
        Instant t = Instant.ofEpochSecond((axis.start().getEpochSecond() / step + 1) * step);
        for (; t.isBefore(axis.end()); t = t.plusSeconds(step)) {
            all.add(t);
        }
        return all;
    }

    private static final List<Long> STEPS_OF_TICKS = List.of(300L, 600L, 900L, 1800L, 3600L);

    private static Interval axis(TownNight n) {
        Interval about = n.main()
                .filter(w -> w.duration().compareTo(LONGEST) <= 0)
                .orElseGet(() ->
                        Interval.of(n.bestMoment().minus(AFTER), n.bestMoment().plus(AFTER)));
        return Interval.of(about.start().minus(BEFORE), about.end().plus(AFTER));
    }

    private static final Duration LONGEST = Duration.ofHours(4);

    private static Here here(TownNight n, Interval axis, Instant at) {
        Instant shown = axis.nearest(at);
        double x = x(axis, shown);
        boolean left = x > WIDTH * 0.7;
        return new Here(
                Numbers.tenths(x),
                Numbers.tenths(y(n.skyEv(shown))),
                shown.equals(at) ? Times.clock(at, n.zone()) : "",
                left ? "end" : "start",
                Numbers.tenths(left ? x - 10 : x + 10));
    }

    private static Level level(String name, double ev, boolean over) {
        return new Level(
                Numbers.tenths(y(ev)),
                Numbers.tenths(over ? y(ev) - 6 : y(ev) + 15),
                name + ", EV " + Words.tenths(ev));
    }

    private static double x(Interval axis, Instant t) {
        return LEFT + (RIGHT - LEFT) * axis.share(t);
    }

    private static double y(double ev) {
        double share = (HIGHEST_EV - ev) / (HIGHEST_EV - LOWEST_EV);
        return TOP + (BOTTOM - TOP) * Math.max(0, Math.min(1, share));
    }
}
