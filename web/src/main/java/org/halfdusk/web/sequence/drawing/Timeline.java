package org.halfdusk.web.sequence.drawing;

import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import org.halfdusk.sequence.Block;
import org.halfdusk.sequence.camera.RunSimulation;
import org.halfdusk.shoot.Plan;
import org.halfdusk.time.Interval;
import org.halfdusk.web.layout.drawing.Theme;
import org.halfdusk.web.layout.words.Numbers;
import org.halfdusk.web.layout.words.Times;

/**
 * A shoot's rigs over the hours that their blocks take, in lanes on one axis: the sky's light, then for each rig its blocks, battery,
 * card and, where it fills, buffer. Blocks of the rig shown can be dragged.
 *
 * @param shown what the width right of {@link #LEFT} stands for
 */
public record Timeline(
        Interval shown, Light light, List<Lane> lanes, List<Tick> ticks, List<Span> windows, Now now, String height) {
    static final double WIDTH = 860;
    /** Names of the lanes stand left of this. */
    static final double LEFT = 92;

    private static final double TOP = 24;
    static final double LIGHT_HEIGHT = 58;
    static final double BAR_HEIGHT = 26;
    static final double BATTERY_HEIGHT = 24;
    static final double CARD_HEIGHT = 14;
    static final double APART = 5;

    /**
     * The sky's brightness where the frame is aimed.
     *
     * @param line of it, brighter is higher
     */
    record Light(List<Stop> stops, String line, List<Label> labels, String y, String height) {}

    record Stop(String share, String colour) {}

    record Label(String x, String y, String anchor, String text) {}

    /**
     * A rig's lanes.
     *
     * @param current whether it is the rig shown
     * @param lens for which the eye looks
     * @param drops ticks in the blocks
     */
    record Lane(
            String name,
            String lens,
            String y,
            boolean current,
            List<Bar> bars,
            List<Span> drops,
            String dropped,
            Level battery,
            Level card,
            List<Level> buffer) {}

    /** A course. @param path of its line or area @param words at its end @param low whether it runs out */
    record Level(String y, String height, String path, String words, boolean low) {}

    /**
     * @param number in the list of laid blocks; −1 where it cannot be moved
     * @param label in the bar where it fits
     * @param need width that the label asks for
     */
    record Bar(
            String x,
            String width,
            String kind,
            String label,
            String need,
            boolean fits,
            String words,
            int number,
            String start,
            String end,
            boolean wrong) {}

    /** @param level the least zoom at which it is shown, 1 for always */
    record Tick(String x, String text, int level) {}

    record Span(String x, String width) {}

    /** The playhead where it stands on the axis. */
    record Now(boolean shown, String x, String text) {}

    /**
     * A rig with its blocks and what becomes of them.
     *
     * @param movable how many of the blocks are laid by hand, in order
     * @param wrong numbers of those that clash
     */
    public record Rig(
            Plan plan,
            boolean current,
            List<Block> blocks,
            List<Integer> movable,
            List<Integer> wrong,
            RunSimulation run,
            boolean outsidePower) {}

    public static Timeline of(List<Rig> rigs, Plan plan, Instant at, Theme theme) {
        Interval axis = plan.night().axis();
        ZoneId zone = plan.place().zone();
        Interval shown = shown(rigs, axis);
        TimelineDrawing d = new TimelineDrawing(shown);
        double y = TOP;
        Light light = d.light(plan, y, theme);
        y += LIGHT_HEIGHT + 2 * APART;
        List<Lane> lanes = new ArrayList<>();
        for (int i = 0; i < rigs.size(); i++) {
            Lane lane = d.lane(rigs.get(i), rigs.size() > 1 ? "Rig " + (i + 1) : "Blocks", y);
            lanes.add(lane);
            y += BAR_HEIGHT
                    + APART
                    + BATTERY_HEIGHT
                    + CARD_HEIGHT
                    + APART
                    + (lane.buffer().isEmpty() ? 0 : CARD_HEIGHT)
                    + 2 * APART;
        }
        return new Timeline(
                shown,
                light,
                lanes,
                d.ticks(zone),
                plan.night().windows().stream()
                        .flatMap(w -> w.intersect(shown).stream())
                        .map(d::span)
                        .toList(),
                new Now(shown.contains(at), Numbers.tenths(d.x(shown.nearest(at))), Times.clock(at, zone)),
                Numbers.tenths(y));
    }

    /** A little air about the blocks, and an hour at least, so that short ones can be told apart. */
    private static Interval shown(List<Rig> rigs, Interval axis) {
        Instant first = axis.end();
        Instant last = axis.start();
        for (Rig r : rigs) {
            for (Block b : r.blocks()) {
                first = b.start().isBefore(first) ? b.start() : first;
                last = b.end().isAfter(last) ? b.end() : last;
            }
        }
        if (!first.isBefore(last)) {
            return axis;
        }
        Duration least = Duration.ofMinutes(10);
        Duration share = Duration.between(first, last).dividedBy(8);
        Duration air = share.compareTo(least) > 0 ? share : least;
        Instant from = first.minus(air);
        Instant to = last.plus(air);
        Duration missing = Duration.ofHours(1).minus(Duration.between(from, to));
        return missing.isNegative()
                ? Interval.of(from, to)
                : Interval.of(from.minus(missing.dividedBy(2)), to.plus(missing.dividedBy(2)));
    }
}
