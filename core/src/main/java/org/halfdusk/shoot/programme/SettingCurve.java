package org.halfdusk.shoot.programme;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import org.halfdusk.exposure.Setting;
import org.halfdusk.photometry.Stops;
import org.halfdusk.shoot.Plan;
import org.halfdusk.time.Interval;

/** What a plan would be set to over its whole night: how much light each moment's setting takes in. */
public record SettingCurve(Interval axis, List<Point> points) {
    /**
     * A moment of it.
     *
     * @param stops of light that the setting takes in: what its exposure value at ISO 100 is lower
     * @param visible whether what is photographed shows then
     */
    public record Point(Instant at, double stops, boolean visible) {}

    /** @param step between two points; the night's end is a point of its own */
    public static SettingCurve of(Plan plan, Duration step) {
        Interval axis = plan.night().axis();
        List<Point> points = new ArrayList<>();
        for (Instant t = axis.start(); t.isBefore(axis.end()); t = t.plus(step)) {
            points.add(point(plan.at(t)));
        }
        points.add(point(plan.at(axis.end())));
        return new SettingCurve(axis, points);
    }

    private static Point point(Plan plan) {
        return new Point(plan.moment(), stops(plan.setting()), plan.exposed().visible());
    }

    /** Light that a setting takes in, stops over 1 s at f/1 and ISO 100. */
    public static double stops(Setting s) {
        return -Stops.exposureValue(s.fNumber(), s.shutter().realSeconds(), s.iso());
    }

    /** Whether it changes by a third of a stop at all while what is photographed shows. */
    public boolean changes() {
        double least = Double.POSITIVE_INFINITY;
        double most = Double.NEGATIVE_INFINITY;
        for (Point p : points) {
            if (p.visible()) {
                least = Math.min(least, p.stops());
                most = Math.max(most, p.stops());
            }
        }
        return most - least > 0.3;
    }
}
