package org.halfdusk.web.layout.drawing;

import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import org.halfdusk.time.Interval;
import org.halfdusk.web.layout.words.Times;

/**
 * The moment that is looked at, a line across the strip with its time over it.
 *
 * @param x share of the strip's width
 * @param lean share of the time's box that lies left of the line: half of it, but towards the strip's ends ever less and more, so that it
 *     stays over the strip
 * @param minutes since the strip begins
 */
public record StripPlayhead(String x, double lean, String text, long minutes) {
    static StripPlayhead of(Instant at, Interval axis, NightStrip.Scale scale, ZoneId zone) {
        return new StripPlayhead(
                scale.percent(at),
                lean(scale.x(at)),
                Times.clock(at, zone),
                Duration.between(axis.start(), at).toMinutes());
    }

    static double lean(double x) {
        double fromEnd = Math.max(0, Math.min(x, NightStrip.WIDTH - x));
        double near = Math.min(1, fromEnd / NightStrip.EDGE) / 2;
        return x < NightStrip.WIDTH / 2 ? near : 1 - near;
    }

    /** Left side of its box, px from the line. @param width of the box, px */
    public double left(double width) {
        return -Math.rint(10 * lean * width) / 10;
    }
}
