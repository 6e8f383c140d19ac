package org.halfdusk.web.milkyway;

import java.util.ArrayList;
import java.util.List;
import org.halfdusk.exposure.PointLight;
import org.halfdusk.exposure.SharpTime;
import org.halfdusk.exposure.ShutterTime;
import org.halfdusk.shoot.setting.ExposurePlan;
import org.halfdusk.trailing.School;
import org.halfdusk.trailing.Trailing;
import org.halfdusk.web.layout.Theme;
import org.halfdusk.web.layout.Words;
import org.halfdusk.web.subject.Histogram;

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

    /** Three times side by side: the longest school, the chosen one, the strictest. */
    private static List<Star> stars(ExposurePlan e, Theme theme) {
        SharpTime divide = school(e, School.DIVIDE_500_EQUIVALENT);
        SharpTime pinpoint = school(e, School.NPF_1);
        List<Star> stars = new ArrayList<>();
        stars.add(star(e, divide.dial(), "500 ÷ focal length", false, theme));
        String note = e.wishes().pinnedSeconds().isPresent() ? "pinned by you" : "trail budget";
        stars.add(star(e, e.shutter(), note, true, theme));
        stars.add(star(e, pinpoint.dial(), "aperture and pixel, k 1", false, theme));
        return stars;
    }

    private static SharpTime school(ExposurePlan e, School school) {
        return e.sharp().stream().filter(s -> s.school() == school).findFirst().orElseThrow();
    }

    private static Star star(ExposurePlan e, ShutterTime time, String note, boolean chosen, Theme theme) {
        Trailing.Path middle = e.trails().middlePath(time.realSeconds());
        Trailing.Path corner = e.trails().worstPath(time.realSeconds());
        return new Star(
                time.label(),
                note,
                chosen,
                StarPicture.of(middle, theme),
                StarPicture.of(corner, theme),
                "After " + time.label() + " a star trails " + Words.tenths(middle.length()) + " px in the middle and "
                        + Words.tenths(corner.length()) + " px in the worst corner.");
    }
}
