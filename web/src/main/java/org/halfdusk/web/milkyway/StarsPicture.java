package org.halfdusk.web.milkyway;

import java.util.ArrayList;
import java.util.List;
import org.halfdusk.exposure.PointLight;
import org.halfdusk.exposure.School;
import org.halfdusk.exposure.SharpTime;
import org.halfdusk.exposure.ShutterTime;
import org.halfdusk.exposure.SkyExposure;
import org.halfdusk.exposure.Trailing;
import org.halfdusk.shoot.ExposurePlan;
import org.halfdusk.web.layout.Numbers;
import org.halfdusk.web.layout.Theme;
import org.halfdusk.web.layout.Words;

/** What an untracked exposure of the sky looks like: one star after three times, the histogram, the meter. */
public record StarsPicture(List<Star> stars, Histogram histogram, Meter meter) {
    /** One star at 100 % after a time, in the middle and in the worst corner. */
    public record Star(
            String time, String note, boolean chosen, StarPicture middle, StarPicture corner, String words) {}

    /** Where the sky's peak stands. */
    public record Histogram(
            String path, String peakX, String labelX, String ground, String groundX, String stars, String words) {
        /** Of the sky with the stars' cores: the brighter a star the farther right, and the fewer of them. */
        Histogram withStars(double clipping) {
            StringBuilder line = new StringBuilder("M392 90");
            for (double m = clipping - 1; m < clipping + 5; m += 0.25) {
                double x = 392 * PointLight.histogramPosition(m, clipping);
                line.append('L')
                        .append(Numbers.tenths(x))
                        .append(' ')
                        .append(Numbers.tenths(86 - 3 * (m - clipping + 1)));
            }
            return new Histogram(
                    path,
                    peakX,
                    labelX,
                    ground,
                    groundX,
                    line.toString(),
                    words + " Cores of stars brighter than " + Words.tenths(clipping) + " mag clip.");
        }

        /** Of the sky alone. */
        public static Histogram of(SkyExposure sky) {
            return of(sky, -1);
        }

        /** @param groundAt where level ground stands in the same frame, 0 to 1; negative where it is not drawn */
        public static Histogram of(SkyExposure sky, double groundAt) {
            double peak = sky.histogramPosition();
            double stops = sky.stopsUnderClipping();
            String words = stops > 0
                    ? "The sky's peak stands " + Words.percent(peak) + " across, " + Words.stops(stops)
                            + " under clipping."
                    : "The sky clips by " + Words.stops(stops) + ": nothing is left of it.";
            double at = peak * 392;
            return new Histogram(
                    hump(peak, 78),
                    Words.plain(at),
                    Words.plain(Math.min(360, at + 12)),
                    groundAt < 0 ? "" : hump(groundAt, 40),
                    Words.plain(Math.max(4, groundAt * 392 - 10)),
                    "",
                    groundAt < 0
                            ? words
                            : words + " Ground in the sky's own light stands " + Words.percent(groundAt) + " across"
                                    + (groundAt < 0.08
                                            ? ": it touches the left edge and wants frames of its own."
                                            : "."));
        }

        private static String hump(double peak, double height) {
            StringBuilder path = new StringBuilder("M0 90");
            for (int x = 0; x <= 392; x += 4) {
                double d = x / 392.0 - peak;
                double width = d < 0 ? 0.035 : 0.055;
                path.append('L')
                        .append(x)
                        .append(' ')
                        .append(Numbers.tenths(90 - height * Math.exp(-d * d / (2 * width * width))));
            }
            return path.append("L392 90Z").toString();
        }
    }

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
