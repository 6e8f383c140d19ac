package org.halfdusk.web.sequence;

import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import org.halfdusk.sequence.Block;
import org.halfdusk.time.Interval;
import org.halfdusk.web.layout.Numbers;
import org.halfdusk.web.layout.Words;

/**
 * The blocks of a shoot's rigs over the hours that they take, a lane a rig; those of the rig shown can be dragged.
 *
 * @param from and to: what the picture's width stands for
 */
record Timeline(String from, String to, List<Lane> lanes, List<Tick> ticks, List<Span> windows, String height) {
    static final double WIDTH = 860;
    private static final double LANE = 46;
    private static final double TOP = 8;
    private static final double LEAST = 5;

    /** @param current whether it is the rig shown */
    record Lane(String name, String y, boolean current, List<Bar> bars) {}

    /**
     * @param number in the list of laid blocks; −1 where it cannot be moved
     * @param label in the bar where it fits
     */
    record Bar(
            String x, String width, String kind, String label, int number, String start, String end, boolean wrong) {}

    record Tick(String x, String text) {}

    record Span(String x, String width) {}

    /** A rig with its blocks. @param movable how many of the blocks are laid by hand, in order; wrong: numbers of those that clash */
    record Rig(String name, boolean current, List<Block> blocks, List<Integer> movable, List<Integer> wrong) {}

    static Timeline of(List<Rig> rigs, Interval axis, List<Interval> windows, ZoneId zone) {
        Instant first = axis.end();
        Instant last = axis.start();
        for (Rig r : rigs) {
            for (Block b : r.blocks()) {
                first = b.start().isBefore(first) ? b.start() : first;
                last = b.end().isAfter(last) ? b.end() : last;
            }
        }
        if (!first.isBefore(last)) {
            first = axis.start();
            last = axis.end();
        }
        // A little air about the blocks, and an hour at least, so that short ones can be told apart.
        Duration air = max(Duration.between(first, last).dividedBy(8), Duration.ofMinutes(10));
        Instant from = first.minus(air);
        Instant to = last.plus(air);
        if (Duration.between(from, to).toMinutes() < 60) {
            to = from.plus(Duration.ofHours(1));
        }
        Interval shown = Interval.of(from, to);
        List<Lane> lanes = new ArrayList<>();
        for (int i = 0; i < rigs.size(); i++) {
            Rig r = rigs.get(i);
            List<Bar> bars = new ArrayList<>();
            for (int k = 0; k < r.blocks().size(); k++) {
                bars.add(bar(r.blocks().get(k), r.movable().get(k), r.wrong().contains(k), shown));
            }
            lanes.add(new Lane(r.name(), Numbers.tenths(TOP + i * LANE), r.current(), bars));
        }
        return new Timeline(
                from.toString(),
                to.toString(),
                lanes,
                ticks(shown, zone),
                windows.stream()
                        .flatMap(w -> w.intersect(shown).stream())
                        .map(w -> new Span(
                                Numbers.tenths(x(w.start(), shown)),
                                Numbers.tenths(x(w.end(), shown) - x(w.start(), shown))))
                        .toList(),
                Numbers.tenths(TOP + rigs.size() * LANE + 22));
    }

    private static Duration max(Duration a, Duration b) {
        return a.compareTo(b) > 0 ? a : b;
    }

    private static Bar bar(Block b, int number, boolean wrong, Interval shown) {
        double x = x(b.start(), shown);
        double width = Math.max(LEAST, x(b.end(), shown) - x);
        String name = BlockWords.name(b.kind());
        return new Bar(
                Numbers.tenths(x),
                Numbers.tenths(width),
                b.frames().isEmpty() ? "pause" : b.kind() == Block.Kind.DARK_FRAME ? "cap" : "taking",
                width > 7.5 * name.length() ? name : "",
                number,
                b.start().toString(),
                b.end().toString(),
                wrong);
    }

    private static double x(Instant at, Interval shown) {
        return WIDTH * shown.share(at);
    }

    private static List<Tick> ticks(Interval shown, ZoneId zone) {
        long minutes = shown.duration().toMinutes();
        int step = minutes <= 90 ? 10 : minutes <= 240 ? 30 : minutes <= 600 ? 60 : 120;
        List<Tick> ticks = new ArrayList<>();
        Instant t = shown.start().atZone(zone).truncatedTo(ChronoUnit.HOURS).toInstant();
        for (; t.isBefore(shown.end()); t = t.plus(step, ChronoUnit.MINUTES)) {
            double x = x(t, shown);
            if (x > 20 && x < WIDTH - 20) {
                ticks.add(new Tick(Numbers.tenths(x), Words.clock(t, zone)));
            }
        }
        return ticks;
    }
}
