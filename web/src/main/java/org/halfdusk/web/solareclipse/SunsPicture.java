package org.halfdusk.web.solareclipse;

import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.halfdusk.eclipse.LocalDiscs;
import org.halfdusk.eclipse.SolarEclipse;
import org.halfdusk.ephemeris.Body;
import org.halfdusk.exposure.ShutterTime;
import org.halfdusk.sequence.Block;
import org.halfdusk.sequence.Frame;
import org.halfdusk.shoot.solareclipse.SolarEclipseDay;
import org.halfdusk.shoot.solareclipse.SolarEclipsePlan;
import org.halfdusk.time.Interval;
import org.halfdusk.web.layout.words.Numbers;
import org.halfdusk.web.layout.words.Times;
import org.halfdusk.web.layout.words.Words;
import org.halfdusk.web.subject.words.ReasonWords;

/**
 * The Sun along the eclipse as it is seen from here, the middle of it large, and the frames of the rig below.
 *
 * @param middle what maximum looks like here
 * @param frames ticks along a bar from first to fourth contact
 * @param bare the part of the bar without filter
 */
public record SunsPicture(
        List<Sun> suns,
        Sun middle,
        boolean total,
        List<Ring> rings,
        List<Tick> frames,
        Optional<Span> bare,
        List<Label> labels,
        String words) {
    private static final double WIDTH = 860;
    private static final double RADIUS = 24;
    private static final double MIDDLE_RADIUS = 52;
    private static final double MIDDLE_X = WIDTH / 2;
    private static final double MIDDLE_Y = 146;
    private static final int EACH_SIDE = 4;
    private static final double LINE = 14;

    /** @param moonX and the others: the Moon's disc beside the Sun's middle */
    public record Sun(
            String x,
            String y,
            String radius,
            String moonX,
            String moonY,
            String moonRadius,
            String time,
            String timeY,
            String setting,
            String settingY,
            boolean below) {}

    /** A distance from the limb in radii of the Sun. */
    public record Ring(String radius, String textX, String textY, String text) {}

    public record Tick(String x, String y, String height, boolean bare) {}

    public record Span(String x, String width) {}

    public record Label(String x, String text, String tone) {}

    /** @param settings whether each is told what is set for it */
    static SunsPicture of(SolarEclipsePlan plan, boolean settings) {
        SolarEclipseDay day = plan.night();
        if (day.eclipse().isEmpty()) {
            Sun none = sun(day, day.bestMoment(), MIDDLE_X, MIDDLE_Y, MIDDLE_RADIUS, "");
            return new SunsPicture(
                    List.of(), none, false, List.of(), List.of(), Optional.empty(), List.of(), "No eclipse this day.");
        }
        SolarEclipse e = day.eclipse().get();
        Instant begin = e.central().map(Interval::start).orElse(e.maximum());
        Instant end = e.central().map(Interval::end).orElse(e.maximum());
        List<Sun> suns = new ArrayList<>();
        Duration before = Duration.between(e.partial().start(), begin);
        Duration after = Duration.between(end, e.partial().end());
        for (int i = 0; i < EACH_SIDE; i++) {
            double x = 36 + i * 70;
            Instant early = e.partial().start().plus(before.multipliedBy(i).dividedBy(EACH_SIDE));
            Instant late = e.partial().end().minus(after.multipliedBy(i).dividedBy(EACH_SIDE));
            suns.add(sun(day, early, x, y(i), RADIUS, settings ? partial(plan, early) : ""));
            suns.add(sun(day, late, WIDTH - x, 268 - y(i) - 12, RADIUS, settings ? partial(plan, late) : ""));
        }
        boolean total = day.filter().off().isPresent();
        Bar bar = new Bar(e.partial());
        return new SunsPicture(
                suns,
                sun(
                        day,
                        day.bestMoment(),
                        MIDDLE_X,
                        MIDDLE_Y,
                        MIDDLE_RADIUS,
                        settings ? total ? bare(plan) : partial(plan, day.bestMoment()) : ""),
                total,
                total ? List.of(ring(0.5), ring(1)) : List.of(),
                ticks(plan.blocks(), day, bar),
                day.filter().off().map(o -> new Span(Numbers.tenths(bar.x(o.start())), bar.width(o))),
                labels(plan.blocks(), day, bar),
                "The sun at " + (suns.size() + 1) + " moments of the eclipse, as it stands over the horizon here.");
    }

    /** From lower left to upper right: the morning's way. */
    private static double y(int i) {
        return 218 - i * 34;
    }

    private static Ring ring(double radii) {
        double r = MIDDLE_RADIUS * (1 + radii);
        return new Ring(
                Numbers.tenths(r),
                Numbers.tenths(MIDDLE_X + r * 0.74 + 6),
                Numbers.tenths(MIDDLE_Y - r * 0.74 - 2),
                Words.plain(radii) + " R");
    }

    /** Through the filter, as the programme sets it. */
    private static String partial(SolarEclipsePlan plan, Instant t) {
        return plan.setting(plan.filter().partial(), t).shutter().label();
    }

    /** The span of what the programme takes without it. */
    private static String bare(SolarEclipsePlan plan) {
        List<ShutterTime> times = plan.blocks().stream()
                .filter(b -> b.kind() == Block.Kind.TOTALITY)
                .flatMap(b -> b.frames().stream())
                .map(Frame::shutter)
                .toList();
        return times.isEmpty() ? "" : ReasonWords.span(times);
    }

    private static Sun sun(SolarEclipseDay day, Instant t, double x, double y, double radius, String setting) {
        LocalDiscs d = LocalDiscs.at(day.sky(), t);
        boolean near = Math.abs(d.right()) < 4 && Math.abs(d.up()) < 4;
        double timeY = radius == MIDDLE_RADIUS ? MIDDLE_Y + 2 * MIDDLE_RADIUS + 20 : y + radius + 17;
        return new Sun(
                Numbers.tenths(x),
                Numbers.tenths(y),
                Numbers.tenths(radius),
                Numbers.tenths(near ? d.right() * radius : 999),
                Numbers.tenths(near ? -d.up() * radius : 999),
                Numbers.tenths(d.moonRadius() * radius),
                Times.clock(t, day.zone()),
                Numbers.tenths(timeY),
                setting,
                Numbers.tenths(timeY + LINE),
                day.sky().at(Body.SUN, t).altitude().degrees() < -0.83);
    }

    /** From times to the bar, first to fourth contact. */
    private record Bar(Interval partial) {
        double x(Instant t) {
            double share = (double) Duration.between(partial.start(), t).toMillis()
                    / partial.duration().toMillis();
            return 4 + (WIDTH - 8) * Math.max(0, Math.min(1, share));
        }

        String width(Interval i) {
            return Numbers.tenths(Math.max(1.5, x(i.end()) - x(i.start())));
        }
    }

    private static List<Tick> ticks(List<Block> blocks, SolarEclipseDay day, Bar bar) {
        List<Tick> ticks = new ArrayList<>();
        double last = -9;
        for (Block b : blocks) {
            for (Frame f : b.frames()) {
                double x = bar.x(f.open());
                if (x - last > 1.2) {
                    boolean bare = !day.filter().filtered(f.open());
                    ticks.add(new Tick(Numbers.tenths(x), bare ? "303" : "306", bare ? "22" : "16", bare));
                    last = x;
                }
            }
        }
        return ticks;
    }

    private static List<Label> labels(List<Block> blocks, SolarEclipseDay day, Bar bar) {
        ZoneId zone = day.zone();
        List<Label> labels = new ArrayList<>();
        blocks.stream()
                .filter(b -> b.kind() == Block.Kind.PAUSE)
                .forEach(b -> labels.add(
                        new Label(Numbers.tenths(bar.x(b.start())), "pause " + Times.clock(b.start(), zone), "good")));
        day.filter()
                .off()
                .ifPresent(o -> labels.add(new Label(Numbers.tenths(bar.x(o.middle())), "no filter", "stop")));
        return labels;
    }
}
