package org.halfdusk.web.moon;

import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.halfdusk.ephemeris.Body;
import org.halfdusk.optics.framing.Projection;
import org.halfdusk.shoot.moon.MoonPlan;
import org.halfdusk.sky.Sky;
import org.halfdusk.sky.shapes.MoonDisc;
import org.halfdusk.web.layout.drawing.DiscDrawing;
import org.halfdusk.web.layout.drawing.Ground;
import org.halfdusk.web.layout.drawing.Scene;
import org.halfdusk.web.layout.drawing.SkyColours;
import org.halfdusk.web.layout.drawing.Theme;
import org.halfdusk.web.layout.words.Numbers;
import org.halfdusk.web.layout.words.Times;
import org.halfdusk.web.layout.words.Words;

/**
 * The frame with the Moon to scale: where it stands at the playhead and at the best moment, its way, and what stands
 * before it.
 *
 * @param low and high: the sky's colours at the lower and upper edge
 * @param way of the Moon, a path
 */
public record MoonScene(
        String viewBox,
        String low,
        String high,
        Scene.Box frame,
        String way,
        List<Moon> moons,
        Ground ground,
        String caption,
        String words) {
    private static final Duration BEFORE_AFTER = Duration.ofMinutes(45);
    private static final Duration STEP = Duration.ofMinutes(1);

    /** @param faint shown for comparison only */
    public record Moon(DiscDrawing disc, String time, String textX, String textY, boolean faint) {}

    static MoonScene of(MoonPlan plan, Instant at, Theme theme) {
        Scene scene = Scene.of(
                Projection.of(plan.framing(), plan.rig()), plan.rig().camera().sensor());
        View v = new View(scene);
        Sky sky = plan.night().sky();
        ZoneId zone = plan.night().zone();
        Instant best = plan.night().bestMoment();
        List<Moon> moons = new ArrayList<>();
        boolean elsewhere = Duration.between(best, at).abs().toMinutes() >= 1;
        if (elsewhere) {
            v.moon(sky, best, zone, true).ifPresent(moons::add);
        }
        v.moon(sky, at, zone, false).ifPresent(moons::add);
        double sun = sky.at(Body.SUN, at).altitude().degrees();
        String field = Words.degrees(plan.rig().longFieldDegrees()) + " × "
                + Words.degrees(plan.rig().shortFieldDegrees());
        String words = "Moon " + Words.percent(MoonDisc.at(sky, at).illuminatedFraction()) + " lit, "
                + Times.clock(at, zone) + ", in a frame of " + field + ".";
        return new MoonScene(
                scene.viewBox(),
                theme.colour(SkyColours.of(sun, 0)),
                theme.colour(SkyColours.of(sun - 4, 0)),
                scene.frame(),
                v.way(sky, best),
                moons,
                Ground.of(scene, plan.place()),
                field + " of sky, " + (plan.framing().upright() ? "upright" : "level") + ", facing "
                        + Words.azimuthTenths(plan.framing().azimuth().degrees())
                        + ". The dotted line is the moon's way; what stands before it is to scale.",
                words);
    }

    /** From the sky to the drawing. */
    private record View(Scene scene) {
        Optional<Projection.Point> seen(Sky sky, Instant t) {
            return scene.projection()
                    .of(sky.at(Body.MOON, t).apparent().direction())
                    .filter(scene::holds);
        }

        Optional<Moon> moon(Sky sky, Instant t, ZoneId zone, boolean faint) {
            MoonDisc d = MoonDisc.at(sky, t);
            return seen(sky, t).map(p -> {
                double radius = scene.across(d.diameterDegrees()) / 2;
                double x = scene.x(p.x());
                boolean right = x < Scene.WIDTH * 0.8;
                return new Moon(
                        DiscDrawing.of(x, scene.y(p.y()), radius, d.illuminatedFraction(), d.limbFromZenithDegrees()),
                        Times.clock(t, zone),
                        Numbers.tenths(right ? x + radius + 10 : x - radius - 54),
                        Numbers.tenths(scene.y(p.y()) + 5),
                        faint);
            });
        }

        String way(Sky sky, Instant best) {
            StringBuilder path = new StringBuilder();
            boolean drawing = false;
            Instant end = best.plus(BEFORE_AFTER);
            for (Instant t = best.minus(BEFORE_AFTER); t.isBefore(end); t = t.plus(STEP)) {
                Optional<Projection.Point> p = seen(sky, t);
                if (p.isPresent()) {
                    path.append(drawing ? 'L' : 'M').append(scene.point(p.get()));
                }
                drawing = p.isPresent();
            }
            return path.toString();
        }
    }
}
