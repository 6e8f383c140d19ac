package org.halfdusk.web.lunareclipse;

import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.halfdusk.eclipse.EarthShadow;
import org.halfdusk.eclipse.LunarEclipse;
import org.halfdusk.ephemeris.Body;
import org.halfdusk.exposure.Setting;
import org.halfdusk.shoot.lunareclipse.LunarEclipseNight;
import org.halfdusk.shoot.lunareclipse.LunarEclipsePlan;
import org.halfdusk.sky.HorizontalPosition;
import org.halfdusk.web.layout.words.Numbers;
import org.halfdusk.web.layout.words.Times;
import org.halfdusk.web.layout.words.Words;

/**
 * The Moon along the eclipse as it is seen from here: discs with the shadow's bite, each at its time and as high as it then
 * stands over the horizon.
 */
public record MoonsPicture(List<Moon> moons, String horizonY, boolean horizonShown, String caption, String words) {
    private static final double WIDTH = 860;
    private static final double TOP = 52;
    private static final double BOTTOM = 250;
    private static final double RADIUS = 30;
    private static final int MOONS = 9;

    /**
     * @param shadow and soft: the umbra's and the penumbra's circle, in the disc's own drawing
     * @param below under the horizon: not seen
     */
    public record Moon(
            String x,
            String y,
            String radius,
            Circle shadow,
            Circle soft,
            String time,
            String note,
            String second,
            boolean now,
            boolean below) {}

    public record Circle(String x, String y, String radius) {}

    static MoonsPicture of(LunarEclipsePlan plan, Instant at, boolean settings) {
        LunarEclipseNight n = plan.night();
        Optional<LunarEclipse> eclipse = n.eclipse();
        if (eclipse.isEmpty()) {
            return new MoonsPicture(List.of(), "0", false, "No eclipse this night.", "No eclipse this night.");
        }
        LunarEclipse e = eclipse.get();
        List<Instant> times = times(e);
        double highest = 5;
        double lowest = 90;
        for (Instant t : times) {
            double a = n.sky().at(Body.MOON, t).altitude().degrees();
            highest = Math.max(highest, a);
            lowest = Math.min(lowest, a);
        }
        double floor = lowest > 15 ? lowest - 10 : Math.min(0, Math.max(-20, lowest));
        List<Moon> moons = new ArrayList<>();
        Instant nearest = times.stream()
                .min((a, b) -> Duration.between(a, at)
                        .abs()
                        .compareTo(Duration.between(b, at).abs()))
                .orElse(at);
        for (int i = 0; i < times.size(); i++) {
            moons.add(moon(
                    plan,
                    times.get(i),
                    i,
                    new Span(floor, highest),
                    times.get(i).equals(nearest),
                    settings));
        }
        double horizon = new Span(floor, highest).y(0);
        return new MoonsPicture(
                moons,
                Numbers.tenths(horizon),
                lowest < 12,
                "North is not up: the moon is drawn as it stands over your horizon, higher in the picture when it is higher "
                        + "in the sky.",
                "The moon at " + times.size() + " moments of the eclipse, as seen from here.");
    }

    /** Evenly through the umbra's part, with its contacts' neighbourhood at both ends. */
    private static List<Instant> times(LunarEclipse e) {
        Instant from = e.umbra()
                .map(u -> u.start().minusSeconds(300))
                .orElse(e.penumbra().start());
        Instant to =
                e.umbra().map(u -> u.end().plusSeconds(300)).orElse(e.penumbra().end());
        List<Instant> times = new ArrayList<>();
        Duration before = Duration.between(from, e.greatest());
        Duration after = Duration.between(e.greatest(), to);
        for (int i = 0; i < MOONS; i++) {
            int k = i - MOONS / 2;
            times.add(
                    k <= 0
                            ? e.greatest().plus(before.multipliedBy(k).dividedBy(MOONS / 2))
                            : e.greatest().plus(after.multipliedBy(k).dividedBy(MOONS / 2)));
        }
        return times;
    }

    private record Span(double floor, double highest) {
        double y(double altitude) {
            return BOTTOM - (BOTTOM - TOP) * (altitude - floor) / (highest - floor);
        }
    }

    private static Moon moon(LunarEclipsePlan plan, Instant t, int i, Span span, boolean now, boolean settings) {
        LunarEclipseNight n = plan.night();
        ZoneId zone = n.zone();
        EarthShadow.Seen s = n.shadow().seenFrom(n.sky(), t);
        HorizontalPosition p = n.sky().at(Body.MOON, t);
        double x = 48 + i * (WIDTH - 96) / (MOONS - 1);
        double y = span.y(Math.max(span.floor(), p.altitude().degrees()));
        LunarEclipsePlan.Step step = plan.step(t);
        Setting setting = step.exposure().setting();
        boolean below = p.altitude().degrees() < -0.5;
        String unseen = below ? "down" : "lost";
        return new Moon(
                Numbers.tenths(x),
                Numbers.tenths(y),
                Numbers.tenths(RADIUS),
                circle(s, s.umbra()),
                circle(s, s.penumbra()),
                Times.clock(t, zone),
                settings
                        ? step.visible() ? setting.shutter().label().replace(" s", "") : unseen
                        : Words.degrees(p.altitude().degrees()),
                !settings || below ? "" : step.visible() ? "ISO " + setting.iso() : "in the sky",
                now,
                below);
    }

    private static Circle circle(EarthShadow.Seen s, double radius) {
        return new Circle(
                Numbers.tenths(s.right() * RADIUS), Numbers.tenths(-s.up() * RADIUS), Numbers.tenths(radius * RADIUS));
    }
}
