package org.halfdusk.web.milkyway;

import java.util.ArrayList;
import java.util.List;
import org.halfdusk.exposure.ShutterTime;
import org.halfdusk.exposure.lamps.PointLight;
import org.halfdusk.shoot.setting.ExposurePlan;
import org.halfdusk.trailing.Trailing;
import org.halfdusk.web.layout.drawing.Theme;
import org.halfdusk.web.layout.words.Words;
import org.halfdusk.web.subject.page.Histogram;

/** What an untracked exposure of the sky looks like: one star after three times, the histogram, the meter. */
public record StarsPicture(List<Star> stars, Histogram histogram, Meter meter) {
    /** One star at 100 % after a time, in the middle and in the worst corner. */
    public record Star(
            String time, String note, boolean chosen, StarPicture middle, StarPicture corner, String words) {}

    /** How far the sky comes out from where it is wanted. */
    public record Meter(String x, String words, List<String> equivalents, String testFrame) {
        static Meter of(ExposurePlan e) {
            double over = e.stopsOverTarget();
            double shown = Math.max(-3.2, Math.min(3.2, over));
            String words = Math.abs(over) < 1.0 / 3
                    ? "On target."
                    : Words.stops(over) + (over > 0 ? " brighter" : " darker") + " than wished.";
            ExposurePlan.Equivalent test = e.testFrame();
            return new Meter(
                    Words.plain(196 + shown * 56),
                    words,
                    e.equivalents().stream()
                            .map(q -> q.shutter().label() + " ISO " + q.iso())
                            .toList(),
                    test.shutter().label() + " ISO " + test.iso());
        }
    }

    static StarsPicture of(ExposurePlan e, double groundAt, Theme theme) {
        return new StarsPicture(stars(e, theme), Histogram.of(e.sky(), groundAt).withStars(clipping(e)), Meter.of(e));
    }

    private static double clipping(ExposurePlan e) {
        return PointLight.clippingMagnitude(
                e.rig().focalMm(),
                e.aperture(),
                e.rig().camera().sensor().pixelPitchMicrometres(),
                e.shutter().realSeconds(),
                e.iso(),
                e.middlePx());
    }

    /** The chosen time between the mark before and the mark after it. */
    private static List<Star> stars(ExposurePlan e, Theme theme) {
        List<ShutterTime> times = ExposurePlan.times(e.rig()).stream().sorted().toList();
        int chosen = times.indexOf(e.shutter());
        List<Star> stars = new ArrayList<>();
        for (int i = Math.max(0, chosen - 1); i <= Math.min(times.size() - 1, chosen + 1); i++) {
            stars.add(star(e, times.get(i), i == chosen, theme));
        }
        return stars;
    }

    private static Star star(ExposurePlan e, ShutterTime time, boolean chosen, Theme theme) {
        Trailing.Path middle = e.trails().middlePath(time.realSeconds());
        Trailing.Path corner = e.trails().worstPath(time.realSeconds());
        return new Star(
                time.label(),
                Words.tenths(middle.length()) + " px " + shape(middle.length()) + ", corner "
                        + Words.tenths(corner.length()) + " px " + shape(corner.length()),
                chosen,
                StarPicture.of(middle, e.trails().blurPx(), theme),
                StarPicture.of(corner, e.trails().blurPx(), theme),
                "After " + time.label() + " a star trails " + Words.tenths(middle.length()) + " px in the middle and "
                        + Words.tenths(corner.length()) + " px in the worst corner.");
    }

    /** How a trail of so many pixels looks at 100 %†: a star is some two pixels wide. */
    private static String shape(double px) {
        return px < Trailing.DEFAULT_BUDGET_PX ? "round" : px < OVAL_PX ? "oval" : px < DASH_PX ? "a dash" : "a streak";
    }

    private static final double OVAL_PX = 4;
    private static final double DASH_PX = 7;
}
