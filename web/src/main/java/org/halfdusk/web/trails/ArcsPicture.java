package org.halfdusk.web.trails;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.halfdusk.optics.Projection;
import org.halfdusk.optics.Sensor;
import org.halfdusk.shoot.trails.StarArcs;
import org.halfdusk.shoot.trails.TrailsPlan;
import org.halfdusk.time.SiderealTime;
import org.halfdusk.web.layout.Ground;
import org.halfdusk.web.layout.Numbers;
import org.halfdusk.web.layout.Theme;
import org.halfdusk.web.layout.Words;

/**
 * What the frame will record: arcs of the bright stars about the pole, to scale, with what stands before them.
 *
 * @param pole where it is, if it falls into the picture
 */
public record ArcsPicture(
        String viewBox, Box frame, List<Arc> arcs, Optional<Mark> pole, Ground ground, String caption, String words) {
    private static final double WIDTH = 860;

    /** Of the frame beyond which is still drawn, dimmed. */
    private static final double AROUND = 1.06;

    private static final double FAINTEST = 4.2;

    public record Box(String x, String y, String width, String height) {}

    /** One star's way. @param width of the line */
    public record Arc(String path, String colour, String width, String opacity) {}

    public record Mark(String x, String y, String textX, String anchor, String text) {}

    static ArcsPicture of(TrailsPlan plan, Theme theme) {
        Sensor sensor = plan.rig().camera().sensor();
        Projection projection = new Projection(plan.framing(), plan.rig().focalMm());
        Projection.Point reach = projection.reach(sensor);
        double halfWidth = reach.x() * AROUND;
        double halfHeight = reach.y() * AROUND;
        double scale = WIDTH / 2 / halfWidth;
        double height = 2 * halfHeight * scale;
        Scale s = new Scale(scale, height);
        double seconds = plan.run().map(r -> r.durationSeconds()).orElse(3600.0);
        Instant start =
                plan.night().span().map(i -> i.start()).orElse(plan.night().bestMoment());
        StarArcs arcs = StarArcs.of(
                plan.night().sky(), projection, start, seconds, FAINTEST, new Projection.Point(halfWidth, halfHeight));
        double degrees = plan.run().map(r -> r.arcDegrees()).orElse(SiderealTime.DEGREES_PER_HOUR);
        String pole = Words.azimuth(plan.night().pole().azimuth().degrees()) + ", "
                + Words.degrees(plan.night().pole().altitude().degrees());
        return new ArcsPicture(
                "0 0 " + Numbers.tenths(WIDTH) + " " + Numbers.tenths(height),
                new Box(
                        Numbers.tenths(s.x(-reach.x())),
                        Numbers.tenths(s.y(reach.y())),
                        Numbers.tenths(2 * reach.x() * scale),
                        Numbers.tenths(2 * reach.y() * scale)),
                arcs.arcs().stream().map(a -> arc(a, s, theme)).toList(),
                projection
                        .of(plan.night().pole().direction())
                        .filter(p -> Math.abs(p.x()) < halfWidth && Math.abs(p.y()) < halfHeight)
                        .map(p -> mark(p, s, "pole " + pole)),
                Ground.of(projection, plan.place().objects(), halfWidth, halfHeight, scale),
                "Stars to magnitude " + Words.plain(FAINTEST) + " over " + Words.degrees(degrees)
                        + " of turning, seen by " + Words.plain(plan.rig().focalMm()) + " mm "
                        + (plan.framing().upright() ? "upright" : "level") + " facing "
                        + Words.azimuth(plan.framing().azimuth().degrees())
                        + ", " + Words.degrees(plan.framing().altitude().degrees()) + " up.",
                arcs.arcs().size() + " star trails of " + Words.degrees(degrees) + " about the pole at " + pole + ".");
    }

    private static Mark mark(Projection.Point p, Scale s, String text) {
        boolean right = s.x(p.x()) > WIDTH * 0.7;
        return new Mark(
                Numbers.tenths(s.x(p.x())),
                Numbers.tenths(s.y(p.y())),
                Numbers.tenths(s.x(p.x()) + (right ? -16 : 16)),
                right ? "end" : "start",
                text);
    }

    private static Arc arc(StarArcs.Arc a, Scale s, Theme theme) {
        StringBuilder path = new StringBuilder();
        for (Projection.Point p : a.points()) {
            path.append(path.length() == 0 ? 'M' : 'L')
                    .append(Numbers.tenths(s.x(p.x())))
                    .append(' ')
                    .append(Numbers.tenths(s.y(p.y())));
        }
        double bright = Math.max(0.12, Math.min(1, (FAINTEST + 0.8 - a.magnitude()) / 4));
        return new Arc(
                path.toString(),
                theme.colour(colour(a.colour())),
                Numbers.tenths(0.7 + 1.5 * bright),
                Words.plain(0.25 + 0.7 * bright));
    }

    /** Star colours as a camera keeps them: blue-white, white, gold, orange. */
    private static String colour(double bv) {
        if (bv < 0.05) {
            return "#a9c4ff";
        }
        if (bv < 0.6) {
            return "#e8ecf6";
        }
        return bv < 1.1 ? "#f3ddb8" : "#f0c090";
    }

    /** From mm on the sensor to the drawing. */
    private record Scale(double perMm, double height) {
        double x(double mm) {
            return WIDTH / 2 + mm * perMm;
        }

        double y(double mm) {
            return height / 2 - mm * perMm;
        }
    }
}
