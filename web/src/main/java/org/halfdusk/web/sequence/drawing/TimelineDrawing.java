package org.halfdusk.web.sequence.drawing;

import static org.halfdusk.web.sequence.drawing.Timeline.APART;
import static org.halfdusk.web.sequence.drawing.Timeline.BAR_HEIGHT;
import static org.halfdusk.web.sequence.drawing.Timeline.BATTERY_HEIGHT;
import static org.halfdusk.web.sequence.drawing.Timeline.CARD_HEIGHT;
import static org.halfdusk.web.sequence.drawing.Timeline.LEFT;
import static org.halfdusk.web.sequence.drawing.Timeline.LIGHT_HEIGHT;
import static org.halfdusk.web.sequence.drawing.Timeline.WIDTH;

import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.function.ToDoubleFunction;
import org.halfdusk.ephemeris.Body;
import org.halfdusk.sequence.Block;
import org.halfdusk.sequence.camera.RunSimulation;
import org.halfdusk.shoot.Plan;
import org.halfdusk.time.Interval;
import org.halfdusk.web.layout.drawing.SkyColours;
import org.halfdusk.web.layout.drawing.Theme;
import org.halfdusk.web.layout.words.Numbers;
import org.halfdusk.web.layout.words.Times;
import org.halfdusk.web.layout.words.Words;
import org.halfdusk.web.sequence.drawing.Timeline.Bar;
import org.halfdusk.web.sequence.drawing.Timeline.Label;
import org.halfdusk.web.sequence.drawing.Timeline.Lane;
import org.halfdusk.web.sequence.drawing.Timeline.Level;
import org.halfdusk.web.sequence.drawing.Timeline.Light;
import org.halfdusk.web.sequence.drawing.Timeline.Rig;
import org.halfdusk.web.sequence.drawing.Timeline.Span;
import org.halfdusk.web.sequence.drawing.Timeline.Stop;
import org.halfdusk.web.sequence.drawing.Timeline.Tick;
import org.halfdusk.web.subject.words.BlockWords;

/** The lanes of a timeline drawn: from moments and figures to places. @param shown the time across it */
record TimelineDrawing(Interval shown) {
    private static final double RIGHT = WIDTH - 6;
    private static final double LEAST = 5;
    /** Width of a letter of a bar's label. */
    private static final double LETTER = 7.5;

    private static final int LIGHT_POINTS = 48;
    /** A buffer that never fills so far is not worth a lane. */
    private static final double BUFFER_SHOWN = 0.5;

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
            stops.add(new Stop(Numbers.tenths(100.0 * i / LIGHT_POINTS) + "%", theme.colour(SkyColours.of(sun, 0))));
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
        Levels levels = levels(r, y + BAR_HEIGHT + APART);
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
                                + Times.clock(
                                        run.dropped().get(0).at(),
                                        r.plan().place().zone()),
                levels.battery(),
                levels.card(),
                levels.buffer());
    }

    /** What a lane's run does to its battery, its card and its buffer, one under another. @param y of the first */
    private Levels levels(Rig r, double y) {
        RunSimulation run = r.run();
        double card = y + BATTERY_HEIGHT;
        double most = Math.max(1e-9, run.megabytes());
        double fullest = run.course().stream()
                .mapToDouble(RunSimulation.Level::buffer)
                .max()
                .orElse(0);
        boolean film = r.plan().rig().camera().film();
        double left = run.course().isEmpty()
                ? 1
                : run.course().get(run.course().size() - 1).charge();
        String fed = r.outsidePower() ? "fed from outside" : Words.percent(left) + " left";
        String full = film ? Words.count(run.taken(), "frame") : Words.gigabytes(run.megabytes());
        return new Levels(
                level(
                        run,
                        y,
                        BATTERY_HEIGHT,
                        RunSimulation.Level::charge,
                        false,
                        fed,
                        run.emptyAt().isPresent()),
                level(run, card, CARD_HEIGHT, l -> l.megabytes() / most, true, full, false),
                fullest < BUFFER_SHOWN
                        ? List.of()
                        : List.of(level(
                                run,
                                card + CARD_HEIGHT,
                                CARD_HEIGHT,
                                RunSimulation.Level::buffer,
                                true,
                                "buffer " + Words.percent(fullest),
                                fullest >= 1)));
    }

    private record Levels(Level battery, Level card, List<Level> buffer) {}

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
        Instant first = shown.start().atZone(zone).truncatedTo(ChronoUnit.HOURS).toInstant();
        for (Instant t = first; t.isBefore(shown.end()); t = t.plus(STEPS[0], ChronoUnit.MINUTES)) {
            double x = x(t);
            long since = Duration.between(first, t).toMinutes();
            if (x > LEFT + 16 && x < RIGHT - 16) {
                ticks.add(new Tick(Numbers.tenths(x), Times.clock(t, zone), level(since, step)));
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
