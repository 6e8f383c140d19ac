package org.halfdusk.web.layout.drawing;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Stream;
import org.halfdusk.shoot.SubjectNight;
import org.halfdusk.sky.events.Night;
import org.halfdusk.time.Interval;

/** The light of the sky along a night's strip, as the stops of a gradient. */
final class StripSky {
    private static final double FULL_WASH_MAGNITUDES = 3.5;

    /** Levels of 255 in a channel. */
    private static final int TOLERANCE = 6;

    /** Where light changes within seconds: short of the shortest totality worth a journey. */
    private static final Duration SWIFT = Duration.ofSeconds(20);

    /** The longest totality lasts seven and a half minutes. */
    private static final Duration SWIFT_REACH = Duration.ofMinutes(8);

    private StripSky() {}

    private record Stop(String offset, int rgb) {}

    /** @param course of the night at even steps @return SVG */
    static String of(SubjectNight m, Interval axis, Theme theme, List<Night.Course> course, NightStrip.Scale scale) {
        List<Stop> stops = Stream.concat(course.stream(), swift(m, axis).stream())
                .sorted(Comparator.comparing(Night.Course::at))
                .map(c -> new Stop(
                        scale.percent(c.at()),
                        theme.rgb(SkyColours.rgb(lightOf(m, c), c.moon() > 0 && c.sun() < -5 ? wash(m, c) : 0))))
                .toList();
        return markup(changes(stops));
    }

    /**
     * The gradient's stops as SVG. Sixty strips hold a thousand of them, which costs a template engine more than all the
     * astronomy of the page; offsets and colours are our own numbers, so nothing needs escaping.
     */
    private static String markup(List<Stop> stops) {
        StringBuilder svg = new StringBuilder();
        for (Stop s : stops) {
            svg.append("<stop offset=\"")
                    .append(s.offset())
                    .append("\" stop-color=\"")
                    .append(SkyColours.hex(s.rgb()))
                    .append("\"/>");
        }
        return svg.toString();
    }

    /** Fewest stops whose linear blend the eye cannot tell from all of them: from each, the farthest that fits. */
    private static List<Stop> changes(List<Stop> stops) {
        List<Stop> kept = new ArrayList<>();
        int from = 0;
        kept.add(stops.get(0));
        while (from < stops.size() - 1) {
            int to = from + 1;
            while (to + 1 < stops.size() && blends(stops, from, to + 1)) {
                to++;
            }
            kept.add(stops.get(to));
            from = to;
        }
        return kept;
    }

    private static boolean blends(List<Stop> stops, int from, int to) {
        for (int i = from + 1; i < to; i++) {
            double share = (double) (i - from) / (to - from);
            int between = SkyColours.mix(stops.get(from).rgb(), stops.get(to).rgb(), share);
            if (SkyColours.difference(between, stops.get(i).rgb()) > TOLERANCE) {
                return false;
            }
        }
        return true;
    }

    /** Moments about the best one, close together, where light changes within seconds; none elsewhere. */
    private static List<Night.Course> swift(SubjectNight m, Interval axis) {
        if (!m.swift()) {
            return List.of();
        }
        Instant best = m.bestMoment();
        return Interval.of(best.minus(SWIFT_REACH), best.plus(SWIFT_REACH))
                .intersect(axis)
                .map(near -> Night.course(m.sky(), near, SWIFT))
                .orElse(List.of());
    }

    /** The Sun's altitude in whose light it lies: its own but in an eclipse of the Sun. */
    private static double lightOf(SubjectNight m, Night.Course c) {
        return m.swift() ? m.light().at(c.at()).lightAltitude() : c.sun();
    }

    /** Share of the wash: the Moon lifts the zenith by some four magnitudes at the most. */
    private static double wash(SubjectNight m, Night.Course c) {
        return Math.min(1, m.light().at(c.at()).zenith().moonLift() / FULL_WASH_MAGNITUDES);
    }
}
