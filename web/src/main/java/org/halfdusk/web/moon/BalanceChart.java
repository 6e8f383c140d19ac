package org.halfdusk.web.moon;

import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import org.halfdusk.ephemeris.Body;
import org.halfdusk.photometry.Stops;
import org.halfdusk.shoot.moon.LandAndMoon;
import org.halfdusk.shoot.moon.MoonNight;
import org.halfdusk.shoot.moon.MoonPicture;
import org.halfdusk.shoot.moon.MoonPlan;
import org.halfdusk.time.Interval;
import org.halfdusk.web.layout.words.Numbers;
import org.halfdusk.web.layout.words.Times;
import org.halfdusk.web.layout.words.Words;

/**
 * Light of land and Moon over time, in stops, with the span in which one exposure holds both; and the disc on the sensor to
 * scale.
 *
 * @param withLand whether the land is wished in the picture
 * @param disc the sensor's outline and the disc on it
 */
public record BalanceChart(
        boolean withLand,
        String land,
        String moon,
        List<Span> together,
        List<Tick> ticks,
        String landY,
        String moonY,
        Disc disc,
        String words) {
    private static final double WIDTH = 392;
    private static final double HEIGHT = 150;
    private static final double STOPS = 14;
    private static final Duration REACH = Duration.ofMinutes(50);
    private static final Duration BEFORE_DUSK = Duration.ofMinutes(20);
    private static final Duration INTO_NIGHT = Duration.ofHours(3);

    public record Span(String x, String width, String from, String to, String middle) {}

    public record Tick(String x, String text) {}

    /** The sensor as a box and the disc on it. */
    public record Disc(String width, String height, String x, String y, String radius, String words) {}

    private static Tick tick(Instant t, Interval axis, ZoneId zone) {
        return new Tick(Numbers.tenths(Math.max(18, Math.min(WIDTH - 18, x(t, axis)))), Times.clock(t, zone));
    }

    private static Span span(Interval w, Interval axis, ZoneId zone) {
        return new Span(
                Numbers.tenths(x(w.start(), axis)),
                Numbers.tenths(x(w.end(), axis) - x(w.start(), axis)),
                Times.clock(w.start(), zone),
                Times.clock(w.end(), zone),
                Numbers.tenths((x(w.start(), axis) + x(w.end(), axis)) / 2));
    }

    static BalanceChart of(MoonPlan plan) {
        MoonNight n = plan.night();
        ZoneId zone = n.zone();
        boolean land = n.picture() == MoonPicture.WITH_LAND;
        Instant dusk = n.night().sunsetToSunrise().start();
        Instant middle = land ? n.main().map(Interval::middle).orElse(n.bestMoment()) : dusk.plus(REACH);
        Interval axis = land
                ? Interval.of(middle.minus(REACH), middle.plus(REACH))
                : Interval.of(dusk.minus(BEFORE_DUSK), dusk.plus(INTO_NIGHT));
        List<Double> landSeconds = new ArrayList<>();
        List<Double> moonSeconds = new ArrayList<>();
        List<Instant> times = new ArrayList<>();
        for (Instant t = axis.start(); !t.isAfter(axis.end()); t = t.plusSeconds(120)) {
            LandAndMoon.Pair pair = n.landAndMoon(t);
            times.add(t);
            landSeconds.add(pair.landSeconds());
            moonSeconds.add(pair.moonSeconds());
        }
        double reference = n.landAndMoon(middle).moonSeconds();
        String landLine = line(times, landSeconds, axis, reference);
        String moonLine = line(times, moonSeconds, axis, reference);
        List<Interval> alike = land ? n.windows() : alike(n, times);
        List<Span> together = alike.stream()
                .flatMap(w -> w.intersect(axis).stream())
                .map(w -> span(w, axis, zone))
                .toList();
        List<Tick> ticks = List.of(axis.start(), middle, axis.end().minusSeconds(1)).stream()
                .map(t -> tick(t, axis, zone))
                .toList();
        return new BalanceChart(
                land,
                landLine,
                moonLine,
                together,
                ticks,
                Numbers.tenths(y(landSeconds.get(3), reference) - 6),
                Numbers.tenths(y(moonSeconds.get(moonSeconds.size() - 1), reference) - 6),
                disc(plan),
                words(n, alike));
    }

    /** Of a moon by itself: when on the evening one exposure would hold the land too. */
    private static List<Interval> alike(MoonNight n, List<Instant> times) {
        List<Instant> inside = times.stream()
                .filter(t ->
                        !n.down(n.sky().at(Body.MOON, t)) && n.landAndMoon(t).together())
                .toList();
        return inside.size() < 2 ? List.of() : List.of(Interval.of(inside.get(0), inside.get(inside.size() - 1)));
    }

    private static String words(MoonNight n, List<Interval> alike) {
        if (alike.isEmpty()) {
            return n.picture() == MoonPicture.WITH_LAND
                    ? "Land and moon never ask for one exposure this night."
                    : "This evening land and moon never ask for one exposure: the moon alone, or two frames.";
        }
        Interval w = n.picture() == MoonPicture.WITH_LAND ? n.main().orElse(alike.get(0)) : alike.get(0);
        return "Between " + Times.clock(w.start(), n.zone()) + " and " + Times.clock(w.end(), n.zone())
                + " one exposure holds both: the moon is at most "
                + Words.plain(LandAndMoon.MOON_BRIGHTER_BY_AT_MOST)
                + " stops brighter. Then the moon alone, at the setting above.";
    }

    private static double x(Instant t, Interval axis) {
        return WIDTH * axis.share(t);
    }

    /** Brighter is higher: less time. */
    private static double y(double seconds, double reference) {
        double stops = Stops.between(reference, seconds);
        return HEIGHT / 2 - Math.max(-STOPS / 2, Math.min(STOPS / 2, stops)) * (HEIGHT - 16) / STOPS;
    }

    private static String line(List<Instant> times, List<Double> seconds, Interval axis, double reference) {
        StringBuilder path = new StringBuilder();
        for (int i = 0; i < times.size(); i++) {
            path.append(i == 0 ? 'M' : 'L')
                    .append(Numbers.tenths(x(times.get(i), axis)))
                    .append(' ')
                    .append(Numbers.tenths(y(seconds.get(i), reference)));
        }
        return path.toString();
    }

    private static Disc disc(MoonPlan plan) {
        MoonPlan.Disc d = plan.disc(plan.rig());
        double perMm = 200 / plan.rig().camera().sensor().widthMm();
        double height = plan.rig().camera().sensor().heightMm() * perMm;
        return new Disc(
                "200",
                Numbers.tenths(height),
                "100",
                Numbers.tenths(height / 2),
                Numbers.tenths(Math.max(0.6, d.millimetres() / 2 * perMm)),
                Words.tenths(d.millimetres()) + " mm across on the sensor, " + Math.round(d.pixels()) + " px, "
                        + Words.percent(d.shareOfHeight()) + " of the frame's height.");
    }
}
