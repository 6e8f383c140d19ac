package org.halfdusk.web.review;

import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.halfdusk.frame.FrameReading;
import org.halfdusk.frame.solved.Solution;
import org.halfdusk.frame.tones.Tones;
import org.halfdusk.shoot.Plan;
import org.halfdusk.shoot.review.AimOff;
import org.halfdusk.shoot.review.Predicted;
import org.halfdusk.shoot.review.Verdict;
import org.halfdusk.shoot.review.taken.PlannedAndTaken.Taken;
import org.halfdusk.web.layout.words.Numbers;
import org.halfdusk.web.layout.words.Words;
import org.halfdusk.web.shoot.ShootDesk;

/** The sky as measured in a frame, beside what the plan had said. */
final class SkyPicture {
    private static final int WIDTH = 332;
    private static final int HEIGHT = 56;
    private static final double HUMP = 0.035;

    private SkyPicture() {}

    static ReviewPage.Sky of(ShootDesk.Open open, Taken t, ZoneId zone) {
        FrameReading r = t.frame().it().reading();
        Plan plan = open.plan();
        Optional<Instant> middle = t.frame().it().file().shot().middle(zone, ReviewPages.ahead(open));
        boolean stars = r.kind() == FrameReading.Kind.STARS;
        Optional<Predicted> p = middle.filter(m -> stars && plan.exposed().sky().isPresent())
                .map(m -> Predicted.of(
                        plan,
                        r.solved().map(s -> AimOff.looked(s, plan.framing())),
                        m,
                        Verdict.setting(t.frame().it().file(), plan)));
        double peak = r.tones().peak();
        List<String> more = new ArrayList<>();
        r.solved().ifPresent(s -> more.addAll(solved(s, plan)));
        if (r.solved().isEmpty() && stars) {
            more.add("Not solved against the stars: where it looked and how bright the sky was cannot be told.");
        }
        return new ReviewPage.Sky(
                outline(r.tones()),
                p.map(x -> hump(x.across())).orElse(""),
                "sky measured " + Words.percent(peak) + " across"
                        + p.map(x -> ", predicted " + Words.percent(x.across()) + ", dashed")
                                .orElse(""),
                r.solved().flatMap(s -> said(s, p)).orElse(""),
                List.copyOf(more));
    }

    /** "20.9 mag/arcsec², planned 21.1." of the middle of the frame. */
    private static Optional<String> said(Solution s, Optional<Predicted> p) {
        OptionalDouble middle = s.middle();
        return middle.isEmpty()
                ? Optional.empty()
                : Optional.of(Words.tenths(middle.getAsDouble()) + " mag/arcsec²"
                        + p.map(x -> ", planned " + Words.tenths(x.sky())).orElse("") + ".");
    }

    private static List<String> solved(Solution s, Plan plan) {
        AimOff a = AimOff.of(s, plan.framing());
        String side = " (" + (a.right() >= 0 ? "right" : "left") + ", " + (a.up() >= 0 ? "up" : "down") + ")";
        boolean seen = !Words.degrees(a.off()).equals(Words.degrees(0));
        List<String> all = new ArrayList<>();
        all.add("Aim " + Words.degrees(a.off()) + " off the plan" + (seen ? side : "") + ", "
                + Words.degrees(Math.abs(a.askew())) + " askew.");
        s.brightest()
                .map(p -> "Brightest towards "
                        + Words.azimuth(Math.toDegrees(p.towards().longitudeRad())) + ": "
                        + Words.tenths(p.magnitude()) + " mag/arcsec².")
                .ifPresent(all::add);
        return all;
    }

    /** From black to white, as high as the root of the share, so that little shows beside much. */
    private static String outline(Tones t) {
        List<Double> bars = t.spread();
        double most = bars.stream().mapToDouble(Double::doubleValue).max().orElse(1);
        StringBuilder path = new StringBuilder("M0 " + HEIGHT);
        for (int i = 0; i < bars.size(); i++) {
            // Codes of eight bits do not fall evenly into the bars: each with its neighbours.
            double bar =
                    (bars.get(Math.max(0, i - 1)) + 2 * bars.get(i) + bars.get(Math.min(bars.size() - 1, i + 1))) / 4;
            double h = most > 0 ? Math.min(1, Math.sqrt(bar / most)) : 0;
            path.append('L')
                    .append(Numbers.tenths((i + 0.5) / bars.size() * WIDTH))
                    .append(' ')
                    .append(Numbers.tenths(HEIGHT - h * (HEIGHT - 4)));
        }
        return path.append("L" + WIDTH + " " + HEIGHT + "Z").toString();
    }

    private static String hump(double at) {
        StringBuilder path = new StringBuilder();
        for (int x = 0; x <= WIDTH; x += 2) {
            double d = (double) x / WIDTH - at;
            double h = Math.exp(-d * d / (2 * HUMP * HUMP));
            path.append(x == 0 ? "M" : "L").append(x).append(' ').append(Numbers.tenths(HEIGHT - h * (HEIGHT - 4)));
        }
        return path.toString();
    }
}
