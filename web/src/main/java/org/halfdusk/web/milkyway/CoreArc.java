package org.halfdusk.web.milkyway;

import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import org.halfdusk.angle.Azimuth;
import org.halfdusk.place.ForegroundObject;
import org.halfdusk.place.Skyline;
import org.halfdusk.shoot.milkyway.MilkyWayNight;
import org.halfdusk.shoot.milkyway.MilkyWayPlan;
import org.halfdusk.sky.HorizontalPosition;
import org.halfdusk.time.Interval;
import org.halfdusk.web.layout.words.BodyWords;
import org.halfdusk.web.layout.words.Times;

/**
 * The way of the wished part of the band over the horizon of one night, drawn as altitude over azimuth, with what stands before it.
 *
 * @param whole its way while it is up
 * @param usable the part inside the windows
 * @param skyline the land, a path; empty where it is flat
 */
public record CoreArc(
        String whole,
        List<String> usable,
        List<Dot> dots,
        Dot now,
        boolean nowUp,
        List<Shape> objects,
        String skyline,
        List<Tick> azimuths,
        List<Tick> altitudes,
        String caption,
        String words) {
    public static final int WIDTH = 860;
    public static final int HEIGHT = 250;
    private static final int GROUND = 222;
    private static final double LEFT = 44;

    private static final double CLOCK_WIDTH = 40;
    private static final double CLOCK_HEIGHT = 14;

    /** A moment on the way; often: an odd hour, left out where there is little room. */
    public record Dot(String x, String y, String text, String textX, String textY, boolean often) {}

    /** Something before the sky, to scale. */
    public record Shape(String x, String y, String width, String height, String name, String nameX) {}

    public record Tick(String at, String text) {}

    /** Full hours along the way. */
    private static List<Dot> hours(MilkyWayNight m, Interval night, Scale scale, ZoneId zone) {
        List<Dot> dots = new ArrayList<>();
        double saidX = Double.NEGATIVE_INFINITY;
        double saidY = 0;
        for (Instant t = night.start().truncatedTo(ChronoUnit.HOURS).plus(Duration.ofHours(1));
                t.isBefore(night.end());
                t = t.plus(Duration.ofHours(1))) {
            HorizontalPosition p = m.night().sky().at(m.part(), t);
            if (p.altitude().degrees() > 1 && scale.holds(p)) {
                double x = scale.x(p.azimuth());
                double y = scale.y(p.altitude().degrees());
                // Where the way is slow, hours stand so near that their words would cover one another.
                boolean room = Math.abs(x - saidX) > CLOCK_WIDTH || Math.abs(y - saidY) > CLOCK_HEIGHT;
                if (room) {
                    saidX = x;
                    saidY = y;
                }
                dots.add(scale.dot(
                        p, room ? Times.clock(t, zone) : "", t.atZone(zone).getHour() % 2 != 0));
            }
        }
        return dots;
    }

    public static CoreArc of(MilkyWayPlan plan, Instant at) {
        MilkyWayNight m = plan.night();
        ZoneId zone = plan.place().zone();
        Azimuth middle = m.best().position().azimuth();
        Interval night = m.night().sunsetToSunrise();
        Scale scale = Scale.around(m, middle, night);
        List<Dot> dots = hours(m, night, scale, zone);
        HorizontalPosition now = m.night().sky().at(m.part(), at);
        List<String> usable = m.windows().stream().map(w -> scale.path(m, w)).toList();
        List<Shape> objects = plan.place().objects().stream()
                .filter(o -> scale.holds(o.azimuth()))
                .map(scale::shape)
                .toList();
        String way = "The way of " + BodyWords.name(m.part()) + " over the horizon";
        return new CoreArc(
                scale.path(m, night),
                usable,
                dots,
                scale.dot(now, Times.clock(at, zone), false),
                now.altitude().degrees() > 0 && scale.holds(now),
                objects,
                scale.skyline(plan.place().skyline()),
                scale.azimuths(),
                scale.altitudes(),
                way + ".",
                way + ", altitude over azimuth. " + MilkyWayWords.sentence(m));
    }

    /** From the sky to the drawing: azimuth as the turn from the middle, so that north is no seam. */
    private record Scale(Azimuth middle, double half, double top) {
        static Scale around(MilkyWayNight m, Azimuth middle, Interval night) {
            double half = 40;
            double top = 20;
            for (Instant t = night.start(); t.isBefore(night.end()); t = t.plus(Duration.ofMinutes(15))) {
                HorizontalPosition p = m.night().sky().at(m.part(), t);
                if (p.altitude().degrees() > 0) {
                    half = Math.max(half, Math.abs(middle.turnTo(p.azimuth())) + 6);
                    top = Math.max(top, p.altitude().degrees() * 1.18);
                }
            }
            return new Scale(middle, Math.min(178, half), Math.min(95, top));
        }

        boolean holds(Azimuth a) {
            return Math.abs(middle.turnTo(a)) <= half;
        }

        boolean holds(HorizontalPosition p) {
            return holds(p.azimuth());
        }

        double x(Azimuth a) {
            return LEFT + (WIDTH - LEFT - 10) * (middle.turnTo(a) + half) / (2 * half);
        }

        double y(double altitude) {
            return GROUND - (GROUND - 14) * altitude / top;
        }

        String path(MilkyWayNight m, Interval span) {
            StringBuilder path = new StringBuilder();
            boolean drawing = false;
            Azimuth before = middle;
            for (Instant t = span.start(); ; t = t.plus(Duration.ofMinutes(6))) {
                Instant at = t.isBefore(span.end()) ? t : span.end();
                HorizontalPosition p = m.night().sky().at(m.part(), at);
                boolean shown = p.altitude().degrees() >= 0 && holds(p);
                boolean jump = Math.abs(middle.turnTo(before) - middle.turnTo(p.azimuth())) > half;
                if (shown) {
                    path.append(drawing && !jump ? "L" : "M")
                            .append(number(x(p.azimuth())))
                            .append(' ')
                            .append(number(y(p.altitude().degrees())));
                }
                drawing = shown;
                before = p.azimuth();
                if (!at.isBefore(span.end())) {
                    return path.toString();
                }
            }
        }

        String skyline(Skyline s) {
            if (s.flat()) {
                return "";
            }
            StringBuilder path = new StringBuilder("M" + number(LEFT) + " " + GROUND);
            for (double turn = -half; turn <= half; turn += 0.5) {
                double azimuth = middle.degrees() + turn;
                double x = LEFT + (WIDTH - LEFT - 10) * (turn + half) / (2 * half);
                path.append('L').append(number(x)).append(' ').append(number(Math.min(GROUND, y(s.at(azimuth)))));
            }
            return path + "L" + number(WIDTH - 10.0) + " " + GROUND + "Z";
        }

        Dot dot(HorizontalPosition p, String text, boolean odd) {
            double x = x(p.azimuth());
            double y = y(p.altitude().degrees());
            return new Dot(number(x), number(y), text, number(x), number(y - 10), odd);
        }

        Shape shape(ForegroundObject o) {
            double pixelsPerDegree = (WIDTH - LEFT - 10) / (2 * half);
            double width = Math.max(3, o.widthDegrees() * pixelsPerDegree);
            double top = y(Math.max(0.3, o.topDegrees()));
            return new Shape(
                    number(x(o.azimuth()) - width / 2),
                    number(top),
                    number(width),
                    number(GROUND - top),
                    o.name(),
                    number(x(o.azimuth())));
        }

        List<Tick> azimuths() {
            List<Tick> ticks = new ArrayList<>();
            int step = half > 100 ? 45 : half > 60 ? 30 : 15;
            for (int a = 0; a < 360; a += step) {
                Azimuth azimuth = Azimuth.ofDegrees(a);
                if (Math.abs(middle.turnTo(azimuth)) < half - 3) {
                    ticks.add(new Tick(number(x(azimuth)), name(a)));
                }
            }
            return ticks;
        }

        private static String name(int azimuth) {
            return switch (azimuth) {
                case 0 -> "N 0°";
                case 90 -> "E 90°";
                case 180 -> "S 180°";
                case 270 -> "W 270°";
                default -> azimuth + "°";
            };
        }

        List<Tick> altitudes() {
            List<Tick> ticks = new ArrayList<>();
            int step = top > 50 ? 30 : 10;
            for (int a = step; a < top; a += step) {
                ticks.add(new Tick(number(y(a)), a + "°"));
            }
            return ticks;
        }

        private static String number(double v) {
            // A formatter takes a hundred times as long, and a page draws some hundreds.
            return Double.toString(Math.round(v * 10) / 10.0);
        }
    }
}
