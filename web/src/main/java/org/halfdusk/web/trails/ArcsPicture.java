package org.halfdusk.web.trails;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.halfdusk.optics.framing.Projection;
import org.halfdusk.shoot.trails.StarArcs;
import org.halfdusk.shoot.trails.TrailsPlan;
import org.halfdusk.time.SiderealTime;
import org.halfdusk.web.layout.drawing.Ground;
import org.halfdusk.web.layout.drawing.Scene;
import org.halfdusk.web.layout.drawing.SkyColours;
import org.halfdusk.web.layout.drawing.Theme;
import org.halfdusk.web.layout.words.Numbers;
import org.halfdusk.web.layout.words.Words;

/**
 * What the frame will record: arcs of the bright stars about the pole, to scale, with what stands before them.
 *
 * @param pole where it is, if it falls into the picture
 */
public record ArcsPicture(
        String viewBox,
        Scene.Box frame,
        List<Arc> arcs,
        Optional<Mark> pole,
        Ground ground,
        String caption,
        String words) {
    private static final double FAINTEST = 4.8;

    /** One star's way. @param width of the line */
    public record Arc(String path, String colour, String width, String opacity) {}

    public record Mark(String x, String y, String textX, String anchor, String text) {}

    static ArcsPicture of(TrailsPlan plan, Theme theme) {
        Scene scene = Scene.of(
                Projection.of(plan.framing(), plan.rig()), plan.rig().camera().sensor());
        double seconds = plan.run().map(r -> r.durationSeconds()).orElse(3600.0);
        Instant start =
                plan.night().span().map(i -> i.start()).orElse(plan.night().bestMoment());
        StarArcs arcs = StarArcs.of(
                plan.night().sky(),
                scene.projection(),
                start,
                seconds,
                FAINTEST,
                new Projection.Point(scene.halfWidthMm(), scene.halfHeightMm()));
        double degrees = plan.run().map(r -> r.arcDegrees()).orElse(SiderealTime.DEGREES_PER_HOUR);
        String pole = Words.azimuth(plan.night().pole().azimuth().degrees()) + ", "
                + Words.degrees(plan.night().pole().altitude().degrees());
        return new ArcsPicture(
                scene.viewBox(),
                scene.frame(),
                arcs.arcs().stream().map(x -> arc(x, scene, theme)).toList(),
                scene.projection()
                        .of(plan.night().pole().direction())
                        .filter(scene::holds)
                        .map(p -> mark(p, scene, "pole " + pole)),
                Ground.of(scene, plan.place()),
                "Stars to magnitude " + Words.plain(FAINTEST) + " over " + Words.degrees(degrees)
                        + " of turning, seen by " + Words.plain(plan.rig().focalMm()) + " mm "
                        + (plan.framing().upright() ? "upright" : "level") + " facing "
                        + Words.azimuth(plan.framing().azimuth().degrees())
                        + ", " + Words.degrees(plan.framing().altitude().degrees()) + " up.",
                arcs.arcs().size() + " star trails of " + Words.degrees(degrees) + " about the pole at " + pole + ".");
    }

    private static Mark mark(Projection.Point p, Scene s, String text) {
        boolean right = s.x(p.x()) > Scene.WIDTH * 0.7;
        return new Mark(
                Numbers.tenths(s.x(p.x())),
                Numbers.tenths(s.y(p.y())),
                Numbers.tenths(s.x(p.x()) + (right ? -16 : 16)),
                right ? "end" : "start",
                text);
    }

    private static Arc arc(StarArcs.Arc a, Scene s, Theme theme) {
        StringBuilder path = new StringBuilder();
        for (Projection.Point p : a.points()) {
            path.append(path.length() == 0 ? 'M' : 'L').append(s.point(p));
        }
        double bright = Math.max(0.12, Math.min(1, (FAINTEST + 0.8 - a.magnitude()) / 4));
        return new Arc(
                path.toString(),
                theme.colour(SkyColours.star(a.colour())),
                Numbers.tenths(0.7 + 1.5 * bright),
                Words.plain(0.25 + 0.7 * bright));
    }
}
