package org.halfdusk.web.map.picture;

import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.halfdusk.angle.Vector;
import org.halfdusk.ephemeris.Body;
import org.halfdusk.optics.framing.FrameWedge;
import org.halfdusk.sky.HorizontalPosition;
import org.halfdusk.sky.Sky;
import org.halfdusk.sky.shapes.ZenithDisc;
import org.halfdusk.web.layout.words.Numbers;
import org.halfdusk.web.layout.words.Times;

/**
 * The sky over a place, laid on the map about it as one stands there: the rim is the horizon, the middle the zenith, north is up. Rises
 * and sets are marks with words on the rim; the Milky Way's line, its core, sun and moon stand where they are at one moment.
 *
 * @param radius of the rim
 * @param circles at 30° and 60° up
 * @param band path of the galactic equator above the horizon
 * @param wedge what the frame holds of the horizon
 */
record SkyRing(
        String x,
        String y,
        String radius,
        List<Circle> circles,
        List<Letter> letters,
        List<Mark> marks,
        String band,
        List<Spot> bodies,
        List<Wedge> wedge,
        String words) {
    /** A sector with its arc on the rim and words at both edges. */
    record Wedge(String sector, String arc, List<Edge> edges) {}

    /** An edge's words. */
    record Edge(String x, String y, String anchor, String text) {}

    /** At an altitude. */
    record Circle(String radius, String textY, String text) {}

    record Letter(String x, String y, String text) {}

    /** A rise or set. */
    record Mark(
            String x1,
            String y1,
            String x2,
            String y2,
            String textX,
            String textY,
            String anchor,
            String what,
            String clock,
            String azimuth) {}

    /** What stands in the sky. */
    record Spot(String kind, String x, String y, String text, String anchor, String dx) {}

    private static final double RADIUS = 150;
    private static final double TICK = 8;

    /** How far up the letters of the four winds stand, degrees: inside the rim, since words of rises and sets stand outside. */
    private static final double LETTER = 8;

    private static final double BESIDE = 16;
    private static final double LINE = 40;
    private static final int BAND_POINTS = 120;

    static SkyRing of(double x, double y, Directions d, Optional<FrameWedge> frame) {
        ZoneId zone = d.place().zone();
        Instant at = d.at();
        List<Spot> bodies = new ArrayList<>();
        body(bodies, d.sky(), Body.GALACTIC_CENTRE, "core", x, y, at);
        body(bodies, d.sky(), Body.MOON, "moon", x, y, at);
        body(bodies, d.sky(), Body.SUN, "sun", x, y, at);
        return new SkyRing(
                Numbers.tenths(x),
                Numbers.tenths(y),
                Numbers.tenths(RADIUS),
                List.of(circle(30, y), circle(60, y)),
                List.of(letter(x, y, 0, "N"), letter(x, y, 90, "E"), letter(x, y, 180, "S"), letter(x, y, 270, "W")),
                marks(x, y, d.lines(), zone),
                band(x, y, d.sky(), at),
                bodies,
                frame.map(f -> wedge(x, y, f)).stream().toList(),
                "The sky over " + d.place().shortName() + " at " + Times.clock(at, zone) + ": "
                        + (bodies.isEmpty()
                                ? "neither core nor moon is up"
                                : String.join(
                                        ", ", bodies.stream().map(Spot::text).toList())));
    }

    private static double[] point(double x, double y, double azimuth, double altitude) {
        ZenithDisc p = ZenithDisc.of(azimuth, altitude);
        return new double[] {x + RADIUS * p.right(), y - RADIUS * p.up()};
    }

    private static Wedge wedge(double x, double y, FrameWedge f) {
        StringBuilder arc = new StringBuilder();
        int steps = 24;
        for (int i = 0; i <= steps; i++) {
            double[] p = point(x, y, f.left() + f.widthDegrees() * i / steps, 0);
            arc.append(i == 0 ? "" : "L")
                    .append(Numbers.tenths(p[0]))
                    .append(' ')
                    .append(Numbers.tenths(p[1]));
        }
        return new Wedge(
                "M" + Numbers.tenths(x) + " " + Numbers.tenths(y) + "L" + arc + "Z",
                "M" + arc,
                List.of(edge(x, y, f.left()), edge(x, y, f.right())));
    }

    private static Edge edge(double x, double y, double azimuth) {
        ZenithDisc rim = ZenithDisc.of(azimuth, 0);
        double out = RADIUS + BESIDE;
        return new Edge(
                Numbers.tenths(x + out * rim.right()),
                Numbers.tenths(y - out * rim.up() + 4),
                rim.right() < 0 ? "end" : "start",
                "frame edge " + Math.round(azimuth) + "°");
    }

    private static Circle circle(double altitude, double y) {
        double r = RADIUS * ZenithDisc.radius(altitude);
        return new Circle(Numbers.tenths(r), Numbers.tenths(y + r - 3), Math.round(altitude) + "°");
    }

    private static Letter letter(double x, double y, double azimuth, String text) {
        double[] p = point(x, y, azimuth, LETTER);
        return new Letter(Numbers.tenths(p[0]), Numbers.tenths(p[1] + 4), text);
    }

    /** Those of sun and moon: the core's way is drawn by the band. Words on one side stand under each other. */
    private static List<Mark> marks(double x, double y, List<Bearings.Line> lines, ZoneId zone) {
        List<Mark> marks = new ArrayList<>();
        for (boolean east : new boolean[] {true, false}) {
            double last = Double.NEGATIVE_INFINITY;
            List<Bearings.Line> side = lines.stream()
                    .filter(l -> !l.kind().equals("core") && l.azimuthDegrees() < 180 == east)
                    .sorted(Comparator.comparing(
                            l -> -ZenithDisc.of(l.azimuthDegrees(), 0).up()))
                    .toList();
            for (Bearings.Line l : side) {
                ZenithDisc rim = ZenithDisc.of(l.azimuthDegrees(), 0);
                double textY = Math.max(y - (RADIUS + BESIDE) * rim.up(), last + LINE);
                last = textY;
                marks.add(new Mark(
                        Numbers.tenths(x + (RADIUS - TICK) * rim.right()),
                        Numbers.tenths(y - (RADIUS - TICK) * rim.up()),
                        Numbers.tenths(x + (RADIUS + TICK) * rim.right()),
                        Numbers.tenths(y - (RADIUS + TICK) * rim.up()),
                        Numbers.tenths(x + (RADIUS + BESIDE) * rim.right()),
                        Numbers.tenths(textY),
                        east ? "start" : "end",
                        l.what(),
                        Times.clock(l.at(), zone),
                        Math.round(l.azimuthDegrees()) + "°"));
            }
        }
        return marks;
    }

    private static String band(double x, double y, Sky sky, Instant at) {
        StringBuilder path = new StringBuilder();
        boolean drawing = false;
        List<Vector> line = sky.galacticEquator(at, BAND_POINTS);
        for (Vector v : line) {
            HorizontalPosition p = HorizontalPosition.of(v);
            if (p.altitude().degrees() < 0) {
                drawing = false;
                continue;
            }
            double[] q = point(x, y, p.azimuth().degrees(), p.altitude().degrees());
            path.append(drawing ? 'L' : 'M')
                    .append(Numbers.tenths(q[0]))
                    .append(' ')
                    .append(Numbers.tenths(q[1]));
            drawing = true;
        }
        return path.toString();
    }

    private static void body(List<Spot> bodies, Sky sky, Body body, String kind, double x, double y, Instant at) {
        HorizontalPosition p = sky.at(body, at).apparent();
        double altitude = p.altitude().degrees();
        if (altitude > 0) {
            double[] q = point(x, y, p.azimuth().degrees(), altitude);
            boolean left = p.azimuth().degrees() > 180;
            bodies.add(new Spot(
                    kind,
                    Numbers.tenths(q[0]),
                    Numbers.tenths(q[1]),
                    kind + " " + Math.round(altitude) + "° up",
                    left ? "end" : "start",
                    left ? "-10" : "10"));
        }
    }
}
