package org.halfdusk.web.review;

import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.LongFunction;
import java.util.function.ToLongFunction;
import org.halfdusk.sequence.Block;
import org.halfdusk.sequence.Frame;
import org.halfdusk.shoot.review.taken.PlannedAndTaken;
import org.halfdusk.shoot.review.taken.PlannedAndTaken.Slot;
import org.halfdusk.shoot.review.taken.PlannedAndTaken.Taken;
import org.halfdusk.web.layout.words.Numbers;
import org.halfdusk.web.layout.words.Times;

/**
 * What was planned above what was taken, over the time in which either happened: where nothing did for minutes the axis is broken.
 *
 * @param breaks places across where it is
 */
record LanePicture(List<Bar> planned, List<Bar> taken, List<Tick> ticks, List<String> breaks, List<Tick> notes) {
    static final int WIDTH = 868;

    /** A frame, or several alike that would be too narrow one by one. */
    record Bar(String x, String width, String tone, String href, String title) {}

    /** @param tone of a note; empty for an hour */
    record Tick(String x, String text, String tone) {}

    private static final int GUTTER = 62;
    private static final double BREAK_PX = 26;
    private static final double LEAST_PX = 44;
    private static final Duration APART = Duration.ofMinutes(3);
    private static final Duration USUAL = Duration.ofSeconds(1);
    private static final double THIN_PX = 1.5;
    private static final double TICK_PX = 92;
    private static final long[] STEPS = {1, 2, 5, 10, 15, 30, 60, 120, 300, 600, 900, 1800, 3600, 7200};

    private record Span(Instant from, Instant to, double x, double width) {
        double at(Instant t) {
            double share = (double) millis(from, t) / Math.max(1, millis(from, to));
            return x + Math.max(0, Math.min(1, share)) * width;
        }
    }

    private static long millis(Instant from, Instant to) {
        return Duration.between(from, to).toMillis();
    }

    /** @param chosen number of the frame that is looked at @param href where one is looked at */
    static LanePicture of(PlannedAndTaken both, ZoneId zone, Optional<Long> chosen, LongFunction<String> href) {
        List<Span> spans = spans(shown(both));
        List<Bar> planned = new ArrayList<>();
        List<Bar> taken = new ArrayList<>();
        List<Tick> notes = new ArrayList<>();
        for (Slot s : both.planned()) {
            Frame f = s.frame();
            String clock = Times.clockSeconds(f.open(), zone);
            String words = "planned " + clock + ", " + ReviewWords.slot(s);
            add(planned, spans, f.open(), f.close(), "planned", "", words);
            if (s.taken().isEmpty()) {
                String missing = ReviewWords.slot(s) + " missing, planned " + clock;
                add(taken, spans, f.open(), f.close(), "missing", "", missing);
            }
        }
        for (Taken t : both.taken()) {
            t.opened().ifPresent(o -> {
                boolean here = chosen.filter(c -> c == t.frame().id()).isPresent();
                String words = ReviewWords.label(both, t) + ", " + Times.clockSeconds(o, zone);
                String to = href.apply(t.frame().id());
                add(taken, spans, o, closed(t, o), here ? "chosen" : tone(both, t), to, words);
                if (here) {
                    String note = ReviewWords.label(both, t) + " chosen";
                    span(spans, o).ifPresent(s -> notes.add(new Tick(Numbers.tenths(s.at(o)), note, "chosen")));
                }
            });
        }
        return new LanePicture(
                List.copyOf(planned),
                List.copyOf(taken),
                ticks(spans, zone),
                spans.stream()
                        .skip(1)
                        .map(s -> Numbers.tenths(s.x() - BREAK_PX / 2))
                        .toList(),
                List.copyOf(notes));
    }

    /** When shutters were to be open and were, in order. */
    private static List<Instant[]> shown(PlannedAndTaken both) {
        List<Instant[]> all = new ArrayList<>();
        both.planned()
                .forEach(s -> all.add(new Instant[] {s.frame().open(), s.frame().close()}));
        both.taken().forEach(t -> t.opened().ifPresent(o -> all.add(new Instant[] {o, closed(t, o)})));
        all.sort(Comparator.comparing(i -> i[0]));
        return all;
    }

    private static Instant closed(Taken t, Instant opened) {
        double seconds = t.frame().it().file().shot().seconds().orElse(USUAL.toSeconds());
        return opened.plusMillis(Math.round(1000 * Math.max(1.0, seconds)));
    }

    private static String tone(PlannedAndTaken both, Taken t) {
        if (t.slot().isEmpty()) {
            return "extra";
        }
        if (!t.wrong().isEmpty()) {
            return "wrong";
        }
        return both.slot(t).filter(s -> s.kind() == Block.Kind.DARK_FRAME).isPresent() ? "dark" : "taken";
    }

    private static List<Span> spans(List<Instant[]> all) {
        List<Instant[]> joined = new ArrayList<>();
        for (Instant[] i : all) {
            Instant[] last = joined.isEmpty() ? i : joined.get(joined.size() - 1);
            if (!joined.isEmpty() && millis(last[1], i[0]) < APART.toMillis()) {
                last[1] = last[1].isAfter(i[1]) ? last[1] : i[1];
            } else {
                joined.add(i.clone());
            }
        }
        ToLongFunction<Instant[]> lasting = i -> Math.max(1000, millis(i[0], i[1]));
        double room = WIDTH - GUTTER - BREAK_PX * Math.max(0, joined.size() - 1) - LEAST_PX * joined.size();
        long whole = joined.stream().mapToLong(lasting).sum();
        List<Span> spans = new ArrayList<>();
        double x = GUTTER;
        for (Instant[] i : joined) {
            double w = LEAST_PX + Math.max(0, room) * lasting.applyAsLong(i) / Math.max(1, whole);
            spans.add(new Span(i[0], i[1], x, w));
            x += w + BREAK_PX;
        }
        return spans;
    }

    private static Optional<Span> span(List<Span> spans, Instant at) {
        return spans.stream()
                .filter(s -> !at.isBefore(s.from()) && !at.isAfter(s.to()))
                .findFirst();
    }

    private static void add(
            List<Bar> bars, List<Span> spans, Instant from, Instant to, String tone, String href, String title) {
        span(spans, from).ifPresent(s -> {
            double x = s.at(from);
            double w = Math.max(THIN_PX, s.at(to) - x);
            if (!bars.isEmpty()) {
                Bar last = bars.get(bars.size() - 1);
                double end = Double.parseDouble(last.x()) + Double.parseDouble(last.width());
                if (w <= THIN_PX
                        && last.tone().equals(tone)
                        && x - end < THIN_PX
                        && x >= Double.parseDouble(last.x())) {
                    String longer = Numbers.tenths(Math.max(THIN_PX, x + w - Double.parseDouble(last.x())));
                    bars.set(bars.size() - 1, new Bar(last.x(), longer, tone, last.href(), last.title()));
                    return;
                }
            }
            bars.add(new Bar(Numbers.tenths(x), Numbers.tenths(w), tone, href, title));
        });
    }

    private static List<Tick> ticks(List<Span> spans, ZoneId zone) {
        List<Tick> ticks = new ArrayList<>();
        double last = -TICK_PX;
        for (Span s : spans) {
            long step = step(s);
            long from = Math.floorDiv(s.from().getEpochSecond() + step - 1, step) * step;
            for (long t = from; t <= s.to().getEpochSecond(); t += step) {
                Instant at = Instant.ofEpochSecond(t);
                double x = s.at(at);
                if (x - last >= TICK_PX) {
                    ticks.add(new Tick(Numbers.tenths(x), clock(at, zone, step), ""));
                    last = x;
                }
            }
        }
        return List.copyOf(ticks);
    }

    private static String clock(Instant at, ZoneId zone, long step) {
        return step % 60 == 0 ? Times.clock(at, zone) : Times.clockSeconds(at, zone);
    }

    private static long step(Span s) {
        double seconds = millis(s.from(), s.to()) / 1000.0;
        double perTick = seconds * TICK_PX / s.width();
        for (long step : STEPS) {
            if (step >= perTick) {
                return step;
            }
        }
        return STEPS[STEPS.length - 1];
    }
}
