package org.halfdusk.web.sequence;

import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.function.ToDoubleFunction;
import org.halfdusk.ephemeris.Body;
import org.halfdusk.sequence.Block;
import org.halfdusk.sequence.RunSimulation;
import org.halfdusk.shoot.Plan;
import org.halfdusk.time.Interval;
import org.halfdusk.web.layout.Numbers;
import org.halfdusk.web.layout.SkyColours;
import org.halfdusk.web.layout.Theme;
import org.halfdusk.web.layout.Words;
import org.halfdusk.web.subject.BlockWords;

/**
 * A shoot's rigs over the hours that their blocks take, in lanes on one axis: the sky's light, then for each rig its blocks, battery,
 * card and, where it fills, buffer. Blocks of the rig shown can be dragged.
 *
 * @param shown what the width right of {@link #LEFT} stands for
 */
record Timeline(
        Interval shown, Light light, List<Lane> lanes, List<Tick> ticks, List<Span> windows, Now now, String height) {
    static final double WIDTH = 860;
    /** Names of the lanes stand left of this. */
    static final double LEFT = 92;

    private static final double RIGHT = WIDTH - 6;
    private static final double TOP = 24;
    private static final double LIGHT_HEIGHT = 58;
    private static final double BAR_HEIGHT = 26;
    private static final double BATTERY_HEIGHT = 24;
    private static final double CARD_HEIGHT = 14;
    private static final double APART = 5;
    private static final double LEAST = 5;

    /** Width of a letter of a bar's label. */
    private static final double LETTER = 7.5;

    private static final int LIGHT_POINTS = 48;

    /** A buffer that never fills so far is not worth a lane. */
    private static final double BUFFER_SHOWN = 0.5;

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
    record Rig(
            Plan plan,
            boolean current,
            List<Block> blocks,
            List<Integer> movable,
            List<Integer> wrong,
            RunSimulation run,
            boolean outsidePower) {}

    static Timeline of(List<Rig> rigs, Plan plan, Instant at, Theme theme) {
        Interval axis = plan.night().axis();
        ZoneId zone = plan.place().zone();
        Interval shown = shown(rigs, axis);
        Drawing d = new Drawing(shown);
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
                new Now(shown.contains(at), Numbers.tenths(d.x(shown.nearest(at))), Words.clock(at, zone)),
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

    /** From the night to the picture. */
    private record Drawing(Interval shown) {
        double x(Instant at) {
            return LEFT + (RIGHT - LEFT) * shown.share(at);
        }

        Span span(Interval i) {
            return new Span(Numbers.tenths(x(i.start())), Numbers.tenths(x(i.end()) - x(i.start())));
        }

        Light light(Plan plan, double y, Theme theme) {
            List<Instant> times = new ArrayList<>();
            for (int i = 0; i <= LIGHT_POINTS; i++) {
                times.add(shown.start().plus(shown.duration().multipliedBy(i).dividedBy(LIGHT_POINTS)));
            }
            double[] magnitudes = times.stream()
                    .mapToDouble(t -> plan.night()
                            .light()
                            .at(t)
                            .framed(plan.framing().direction())
                            .magnitude())
                    .toArray();
            double brightest = java.util.Arrays.stream(magnitudes).min().orElse(0);
            double darkest = java.util.Arrays.stream(magnitudes).max().orElse(0);
            double span = Math.max(1, darkest - brightest);
            StringBuilder line = new StringBuilder();
            List<Stop> stops = new ArrayList<>();
            for (int i = 0; i < times.size(); i++) {
                line.append(i == 0 ? 'M' : 'L')
                        .append(Numbers.tenths(x(times.get(i))))
                        .append(' ')
                        .append(Numbers.tenths(height(magnitudes[i], brightest, span, y)));
                double sun =
                        plan.night().sky().at(Body.SUN, times.get(i)).altitude().degrees();
                stops.add(
                        new Stop(Numbers.tenths(100.0 * i / LIGHT_POINTS) + "%", theme.colour(SkyColours.of(sun, 0))));
            }
            int last = magnitudes.length - 1;
            List<Label> labels = new ArrayList<>();
            labels.add(label(times.get(0), magnitudes[0], brightest, span, y, "start"));
            if (Math.abs(magnitudes[last] - magnitudes[0]) > 0.3) {
                labels.add(label(times.get(last), magnitudes[last], brightest, span, y, "end"));
            }
            int dark = darkestAt(magnitudes);
            if (dark > last / 6 && dark < last * 5 / 6 && darkest - Math.max(magnitudes[0], magnitudes[last]) > 0.3) {
                labels.add(label(times.get(dark), darkest, brightest, span, y, "middle"));
            }
            return new Light(stops, line.toString(), labels, Numbers.tenths(y), Numbers.tenths(LIGHT_HEIGHT));
        }

        private static int darkestAt(double[] magnitudes) {
            int dark = 0;
            for (int i = 0; i < magnitudes.length; i++) {
                dark = magnitudes[i] > magnitudes[dark] ? i : dark;
            }
            return dark;
        }

        private static double height(double magnitude, double brightest, double span, double y) {
            return y + 14 + (LIGHT_HEIGHT - 20) * (magnitude - brightest) / span;
        }

        private Label label(Instant at, double magnitude, double brightest, double span, double y, String anchor) {
            double nudge = anchor.equals("start") ? 5 : anchor.equals("end") ? -5 : 0;
            double above = height(magnitude, brightest, span, y) - 5;
            return new Label(
                    Numbers.tenths(x(at) + nudge),
                    Numbers.tenths(Math.max(y + 11, above)),
                    anchor,
                    Words.tenths(magnitude));
        }

        Lane lane(Rig r, String name, double y) {
            List<Bar> bars = new ArrayList<>();
            for (int k = 0; k < r.blocks().size(); k++) {
                bars.add(bar(r.blocks().get(k), r.movable().get(k), r.wrong().contains(k)));
            }
            RunSimulation run = r.run();
            double battery = y + BAR_HEIGHT + APART;
            double card = battery + BATTERY_HEIGHT;
            double buffer = card + CARD_HEIGHT;
            double most = Math.max(1e-9, run.megabytes());
            double fullest = run.course().stream()
                    .mapToDouble(RunSimulation.Level::buffer)
                    .max()
                    .orElse(0);
            boolean film = r.plan().rig().camera().film();
            double left = run.course().isEmpty()
                    ? 1
                    : run.course().get(run.course().size() - 1).charge();
            return new Lane(
                    name,
                    Words.plain(r.plan().rig().focalMm()) + " mm "
                            + r.plan().setting().fNumber().label(),
                    Numbers.tenths(y),
                    r.current(),
                    bars,
                    run.dropped().stream().map(this::drop).distinct().toList(),
                    run.dropped().isEmpty()
                            ? ""
                            : run.dropped().size() + " dropped from "
                                    + Words.clock(
                                            run.dropped().get(0).at(),
                                            r.plan().place().zone()),
                    level(
                            run,
                            battery,
                            BATTERY_HEIGHT,
                            RunSimulation.Level::charge,
                            false,
                            r.outsidePower() ? "fed from outside" : Words.percent(left) + " left",
                            run.emptyAt().isPresent()),
                    level(
                            run,
                            card,
                            CARD_HEIGHT,
                            l -> l.megabytes() / most,
                            true,
                            film ? Words.count(run.taken(), "frame") : Words.gigabytes(run.megabytes()),
                            false),
                    fullest < BUFFER_SHOWN
                            ? List.of()
                            : List.of(level(
                                    run,
                                    buffer,
                                    CARD_HEIGHT,
                                    RunSimulation.Level::buffer,
                                    true,
                                    "buffer " + Words.percent(fullest),
                                    fullest >= 1)));
        }

        private Level level(
                RunSimulation run,
                double y,
                double height,
                ToDoubleFunction<RunSimulation.Level> share,
                boolean area,
                String words,
                boolean low) {
            List<RunSimulation.Level> course = run.course();
            StringBuilder path = new StringBuilder();
            double bottom = y + height - 2;
            double before = course.isEmpty() ? 0 : at(bottom, height, share.applyAsDouble(course.get(0)));
            path.append('M')
                    .append(Numbers.tenths(LEFT))
                    .append(' ')
                    .append(Numbers.tenths(course.isEmpty() ? at(bottom, height, area ? 0 : 1) : before));
            for (RunSimulation.Level l : course) {
                path.append('L')
                        .append(Numbers.tenths(x(l.at())))
                        .append(' ')
                        .append(Numbers.tenths(at(bottom, height, share.applyAsDouble(l))));
            }
            path.append('H').append(Numbers.tenths(RIGHT));
            if (area) {
                path.append('V')
                        .append(Numbers.tenths(bottom))
                        .append('H')
                        .append(Numbers.tenths(LEFT))
                        .append('Z');
            }
            return new Level(Numbers.tenths(y), Numbers.tenths(height), path.toString(), words, low);
        }

        private static double at(double bottom, double height, double share) {
            return bottom - (height - 4) * share;
        }

        private Span drop(RunSimulation.Dropped d) {
            // To a pixel: hundreds of drops are a hatch, not a solid bar.
            return new Span(Numbers.tenths(Math.floor(x(d.at()) / 2) * 2), "1");
        }

        private Bar bar(Block b, int number, boolean wrong) {
            double x = x(b.start());
            double width = Math.max(LEAST, x(b.end()) - x);
            String name = BlockWords.name(b.kind());
            String count = b.frames().isEmpty() ? "" : " " + b.frames().size();
            String whole = name + count;
            boolean nameAlone = width <= LETTER * whole.length() && width > LETTER * name.length();
            String label = nameAlone ? name : whole;
            return new Bar(
                    Numbers.tenths(x),
                    Numbers.tenths(width),
                    b.frames().isEmpty() ? "pause" : b.kind() == Block.Kind.DARK_FRAME ? "cap" : "taking",
                    label,
                    Numbers.tenths(LETTER * label.length()),
                    width > LETTER * label.length(),
                    whole + (b.frames().isEmpty() ? "" : " frames"),
                    number,
                    b.start().toString(),
                    b.end().toString(),
                    wrong);
        }

        /** Steps of minutes, the finer the more one zooms in. */
        private static final int[] STEPS = {5, 10, 30, 60, 120};

        List<Tick> ticks(ZoneId zone) {
            long minutes = shown.duration().toMinutes();
            int step = minutes <= 90 ? 10 : minutes <= 240 ? 30 : minutes <= 600 ? 60 : 120;
            List<Tick> ticks = new ArrayList<>();
            Instant first =
                    shown.start().atZone(zone).truncatedTo(ChronoUnit.HOURS).toInstant();
            for (Instant t = first; t.isBefore(shown.end()); t = t.plus(STEPS[0], ChronoUnit.MINUTES)) {
                double x = x(t);
                long since = Duration.between(first, t).toMinutes();
                if (x > LEFT + 16 && x < RIGHT - 16) {
                    ticks.add(new Tick(Numbers.tenths(x), Words.clock(t, zone), level(since, step)));
                }
            }
            return ticks;
        }

        /** So many times narrower the picture's own step has to be for a tick to find room. */
        private static int level(long since, int step) {
            for (int i = STEPS.length - 1; i >= 0; i--) {
                if (STEPS[i] <= step && since % STEPS[i] == 0) {
                    return step / STEPS[i];
                }
            }
            return step;
        }
    }
}
