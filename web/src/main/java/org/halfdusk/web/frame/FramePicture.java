package org.halfdusk.web.frame;

import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.ToDoubleFunction;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.halfdusk.angle.Azimuth;
import org.halfdusk.angle.Vector;
import org.halfdusk.ephemeris.Body;
import org.halfdusk.ephemeris.stars.Star;
import org.halfdusk.ephemeris.stars.StarCatalogue;
import org.halfdusk.optics.framing.Projection;
import org.halfdusk.shoot.Plan;
import org.halfdusk.sky.HorizontalPosition;
import org.halfdusk.sky.Sky;
import org.halfdusk.sky.shapes.MoonDisc;
import org.halfdusk.time.Interval;
import org.halfdusk.web.layout.drawing.DiscDrawing;
import org.halfdusk.web.layout.drawing.Ground;
import org.halfdusk.web.layout.drawing.Scene;
import org.halfdusk.web.layout.drawing.SkyColours;
import org.halfdusk.web.layout.drawing.Theme;
import org.halfdusk.web.layout.words.BodyWords;
import org.halfdusk.web.layout.words.Html;
import org.halfdusk.web.layout.words.Numbers;
import org.halfdusk.web.layout.words.Times;
import org.halfdusk.web.layout.words.Words;

/**
 * The frame at one moment: stars, the Milky Way's middle line, the moon, the way of the subject's body, land and objects to
 * scale, with rulers. Outside the sensor it goes on, dimmed.
 *
 * @param stars circles, ready as SVG, as are the texts of the rulers and the hours: some hundred cost a template engine more than all
 *     the astronomy
 * @param rulers a path
 * @param outside everything but the frame, a path
 */
record FramePicture(
        String viewBox,
        String low,
        String high,
        Scene.Box frame,
        String outside,
        String stars,
        String rulers,
        String rulerTexts,
        String band,
        String way,
        String hours,
        Optional<Mark> body,
        Optional<Mark> pole,
        Optional<DiscDrawing> moon,
        Ground ground,
        String caption,
        String words) {
    /** Something written at a place. */
    record Mark(String x, String y, String text) {
        /** As SVG. @param look its class and how it is set off */
        private String svg(String look) {
            return "<text " + look + " x=\"" + x + "\" y=\"" + y + "\">" + Html.escaped(text) + "</text>";
        }
    }

    private static final double FAINTEST = 5.5;
    private static final int BAND_POINTS = 120;
    private static final double RULER_DEGREES = 10;
    private static final int RULER_POINTS = 96;
    private static final double RULER_APART = 36;
    private static final double NARROW_RULER_DEGREES = 2;
    private static final double NARROW_FIELD_DEGREES = 20;
    private static final Duration STEP = Duration.ofMinutes(6);

    static FramePicture of(Plan plan, Instant at, Theme theme) {
        Scene scene = Scene.of(
                Projection.of(plan.framing(), plan.rig()), plan.rig().camera().sensor());
        Drawing d = new Drawing(scene, plan.night().sky(), plan.night().zone(), at);
        double sun = plan.night().sky().at(Body.SUN, at).altitude().degrees();
        Body followed = plan.night().followed().orElse(Body.GALACTIC_CENTRE);
        double ruler = plan.rig().longFieldDegrees() < NARROW_FIELD_DEGREES ? NARROW_RULER_DEGREES : RULER_DEGREES;
        String aim = Words.azimuthTenths(plan.framing().azimuth().degrees()) + ", "
                + Words.degrees(plan.framing().altitude().degrees()) + " up";
        Scene.Box frame = scene.frame();
        return new FramePicture(
                scene.viewBox(),
                theme.colour(SkyColours.of(sun, 0)),
                theme.colour(SkyColours.of(sun - 4, 0)),
                frame,
                "M0 0H" + Scene.WIDTH + "V" + Scene.HEIGHT + "H0ZM" + frame.x() + " " + frame.y() + "v" + frame.height()
                        + "h" + frame.width() + "v-" + frame.height() + "z",
                sun < 0 ? d.stars(sun, theme) : "",
                d.rulers(ruler),
                d.rulerTexts(ruler),
                sun < -10 ? d.band() : "",
                d.way(followed, plan.night().axis()),
                d.hours(followed, plan.night().axis()),
                d.mark(plan.night().sky().at(followed, at), BodyWords.name(followed)),
                d.mark(plan.night().sky().pole(), "pole"),
                d.moon(),
                Ground.of(scene, plan.place()),
                Words.degrees(plan.rig().longFieldDegrees()) + " × "
                        + Words.degrees(plan.rig().shortFieldDegrees()) + " of sky, "
                        + (plan.framing().upright() ? "upright" : "level") + ", aimed at " + aim + ", at "
                        + Times.clock(at, plan.night().zone())
                        + ". Stars to magnitude " + Words.plain(FAINTEST)
                        + "; the dashed line is the middle of the Milky Way, the dotted one the way of "
                        + BodyWords.name(followed) + " with its hours.",
                "The frame aimed at " + aim + ": the list beside it says what stands in it.");
    }

    /** From the sky to the drawing at one moment. */
    private record Drawing(Scene scene, Sky sky, ZoneId zone, Instant at) {
        private Optional<Projection.Point> seen(HorizontalPosition p) {
            return scene.projection().of(p.apparent().direction()).filter(scene::holds);
        }

        String stars(double sun, Theme theme) {
            // Twilight hides the faint ones: half a magnitude a degree above the nautical 12°, a working figure.
            double faintest = FAINTEST - Math.max(0, sun + 12) / 2;
            List<Star> stars = StarCatalogue.instance().stars().stream()
                    .takeWhile(s -> s.magnitude() <= faintest)
                    .toList();
            List<Vector> directions = sky.stars(stars, at);
            StringBuilder svg = new StringBuilder();
            for (int i = 0; i < stars.size(); i++) {
                if (directions.get(i).z() <= 0) {
                    continue;
                }
                Star star = stars.get(i);
                scene.projection()
                        .of(directions.get(i))
                        .filter(scene::holds)
                        .ifPresent(p -> svg.append(circle(star, p, theme)));
            }
            return svg.toString();
        }

        private String circle(Star s, Projection.Point p, Theme theme) {
            double bright = Math.max(0.1, Math.min(1, (FAINTEST + 1 - s.magnitude()) / 6));
            return "<circle cx=\"" + Numbers.tenths(scene.x(p.x())) + "\" cy=\"" + Numbers.tenths(scene.y(p.y()))
                    + "\" r=\"" + Numbers.tenths(0.5 + 2 * bright) + "\" fill=\""
                    + theme.colour(SkyColours.star(s.colour())) + "\" fill-opacity=\""
                    + Numbers.hundredths(0.3 + 0.7 * bright) + "\"/>";
        }

        /** The galactic equator, above the horizon. */
        String band() {
            List<Optional<Projection.Point>> line = sky.galacticEquator(at, BAND_POINTS).stream()
                    .map(v -> v.z() > 0 ? scene.projection().of(v) : Optional.<Projection.Point>empty())
                    .toList();
            return path(line);
        }

        /** Joined where neighbours are both in the picture or next to it. */
        private String path(List<Optional<Projection.Point>> points) {
            StringBuilder path = new StringBuilder();
            boolean drawing = false;
            for (Optional<Projection.Point> p : points) {
                boolean near = p.filter(q ->
                                Math.abs(q.x()) < 3 * scene.halfWidthMm() && Math.abs(q.y()) < 3 * scene.halfHeightMm())
                        .isPresent();
                if (near) {
                    path.append(drawing ? 'L' : 'M').append(scene.point(p.orElseThrow()));
                }
                drawing = near;
            }
            return path.toString();
        }

        String way(Body body, Interval night) {
            List<Optional<Projection.Point>> points = new ArrayList<>();
            for (Instant t = night.start(); t.isBefore(night.end()); t = t.plus(STEP)) {
                HorizontalPosition p = sky.at(body, t);
                points.add(
                        p.altitude().degrees() > -0.5
                                ? scene.projection().of(p.apparent().direction())
                                : Optional.empty());
            }
            return path(points);
        }

        String hours(Body body, Interval night) {
            StringBuilder hours = new StringBuilder();
            Instant first = night.start().truncatedTo(ChronoUnit.HOURS).plus(1, ChronoUnit.HOURS);
            for (Instant t = first; t.isBefore(night.end()); t = t.plus(1, ChronoUnit.HOURS)) {
                HorizontalPosition p = sky.at(body, t);
                if (p.altitude().degrees() > 0) {
                    mark(p, Times.clock(t, zone))
                            .ifPresent(m -> hours.append("<circle class=\"dot\" r=\"3\" cx=\"")
                                    .append(m.x)
                                    .append("\" cy=\"")
                                    .append(m.y)
                                    .append("\"/>")
                                    .append(m.svg("class=\"svg-quiet haloed\" dx=\"7\" dy=\"-5\"")));
                }
            }
            return hours.toString();
        }

        Optional<Mark> mark(HorizontalPosition p, String text) {
            return p.altitude().degrees() < 0
                    ? Optional.empty()
                    : seen(p).map(q -> new Mark(Numbers.tenths(scene.x(q.x())), Numbers.tenths(scene.y(q.y())), text));
        }

        Optional<DiscDrawing> moon() {
            HorizontalPosition p = sky.at(Body.MOON, at);
            if (p.altitude().degrees() < -0.5) {
                return Optional.empty();
            }
            MoonDisc disc = MoonDisc.at(sky, at);
            return seen(p).map(q -> DiscDrawing.of(
                    scene.x(q.x()),
                    scene.y(q.y()),
                    Math.max(2, scene.across(disc.diameterDegrees()) / 2),
                    disc.illuminatedFraction(),
                    disc.limbFromZenithDegrees()));
        }

        String rulers(double step) {
            StringBuilder lines = new StringBuilder();
            for (double altitude = 0; altitude < 90; altitude += step) {
                List<Optional<Projection.Point>> points = new ArrayList<>();
                for (double turn = -80; turn <= 80; turn += 1) {
                    points.add(scene.of(azimuth(turn), altitude));
                }
                lines.append(path(points));
            }
            return lines.toString();
        }

        private Azimuth azimuth(double turn) {
            return Azimuth.ofDegrees(scene.projection().framing().azimuth().degrees() + turn);
        }

        /** Altitudes along the left edge of the frame, azimuths along its foot: where the lines of both leave it. */
        String rulerTexts(double step) {
            Projection.Point reach = scene.reach();
            double side = scene.halfWidthMm() * 0.97;
            double left = -reach.x() * 0.98;
            double high = reach.y() * 0.95;
            Stream<Mark> azimuths = crossings(
                            p -> p.azimuth().degrees(),
                            new Projection.Point(-side, -high),
                            new Projection.Point(side, -high),
                            step)
                    .map(c -> new Mark(
                            Numbers.tenths(scene.x(c.at().x())),
                            Numbers.tenths(Scene.HEIGHT - 6),
                            Words.azimuth(c.degrees())));
            Stream<Mark> altitudes = crossings(
                            p -> p.altitude().degrees(),
                            new Projection.Point(left, -high),
                            new Projection.Point(left, high),
                            step)
                    .filter(c -> c.degrees() >= 0)
                    .map(c -> new Mark(
                            Numbers.tenths(scene.x(left) + 18),
                            Numbers.tenths(scene.y(c.at().y()) - 4),
                            Words.wholeDegrees(c.degrees())));
            return Stream.concat(azimuths, altitudes)
                    .map(t -> t.svg("class=\"svg-quiet haloed\" text-anchor=\"middle\""))
                    .collect(Collectors.joining());
        }

        private record Crossing(double degrees, Projection.Point at) {}

        /** Where a figure of the sky passes whole steps on the way from one point of the picture to another, far enough apart to be read. */
        private Stream<Crossing> crossings(
                ToDoubleFunction<HorizontalPosition> figure, Projection.Point from, Projection.Point to, double step) {
            List<Crossing> found = new ArrayList<>();
            double before = figure.applyAsDouble(scene.projection().direction(from));
            Projection.Point last = between(from, to, -RULER_POINTS);
            for (int i = 1; i <= RULER_POINTS; i++) {
                double now = figure.applyAsDouble(scene.projection().direction(between(from, to, i)));
                double turn = Azimuth.ofDegrees(before).turnTo(Azimuth.ofDegrees(now));
                double mark = (turn > 0 ? Math.ceil(before / step) : Math.floor(before / step)) * step;
                double part = (mark - before) / turn;
                Projection.Point here = between(from, to, i - 1 + part);
                boolean apart = Math.hypot(scene.x(here.x()) - scene.x(last.x()), scene.y(here.y()) - scene.y(last.y()))
                        > RULER_APART;
                // Near the zenith lines of azimuth turn by more than a step: none is told.
                if (Math.abs(turn) < step && part > 0 && part < 1 + 1e-9 && apart) {
                    found.add(new Crossing(mark, here));
                    last = here;
                }
                before = now;
            }
            return found.stream();
        }

        /** @param at of {@link #RULER_POINTS} steps */
        private static Projection.Point between(Projection.Point from, Projection.Point to, double at) {
            double share = at / RULER_POINTS;
            return new Projection.Point(from.x() + share * (to.x() - from.x()), from.y() + share * (to.y() - from.y()));
        }
    }
}
