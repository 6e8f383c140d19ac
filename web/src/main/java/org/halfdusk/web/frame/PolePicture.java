package org.halfdusk.web.frame;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import org.halfdusk.sky.Sky;
import org.halfdusk.sky.shapes.PolePointers;
import org.halfdusk.web.layout.words.Numbers;
import org.halfdusk.web.layout.words.Words;

/** How the pole is found by eye, drawn as the sky stands at a place and moment, the zenith up. */
record PolePicture(
        boolean north,
        List<Dot> stars,
        List<String> lines,
        List<Text> names,
        String way,
        String horizon,
        String words,
        String how) {
    static final double SIZE = 300;
    private static final double REACH = 0.95;

    private static final double NAME_ROOM = 46;

    record Dot(String x, String y, String r) {}

    record Text(String x, String y, String text) {}

    static PolePicture of(Sky sky, Instant at) {
        PolePointers p = PolePointers.at(sky, at);
        List<Dot> stars = new ArrayList<>();
        List<String> lines = new ArrayList<>();
        List<Text> names = new ArrayList<>();
        for (PolePointers.Figure f : p.figures()) {
            f.stars().forEach(s -> stars.add(new Dot(x(s), y(s), Numbers.tenths(Math.max(1.6, 4.6 - s.magnitude())))));
            lines.add(line(f.stars()));
            PolePointers.Spot first = f.stars().get(f.stars().size() / 2);
            if (!f.name().isEmpty() && Math.abs(first.x()) < REACH && Math.abs(first.y()) < REACH) {
                names.add(new Text(
                        Numbers.tenths(Math.max(NAME_ROOM, Math.min(SIZE - NAME_ROOM, xOf(first)))),
                        Numbers.tenths(yOf(first) - 11),
                        f.name()));
            }
        }
        double under = Math.min(REACH, p.horizonBelow());
        return new PolePicture(
                p.north(),
                stars,
                lines,
                names,
                line(p.way()),
                Numbers.tenths(SIZE / 2 * (1 + under / REACH)),
                (p.north() ? "The Plough, Cassiopeia and Polaris" : "The Southern Cross and the Pointers")
                        + " about the pole, which stands " + Words.degrees(p.horizon()) + " over the "
                        + (p.north() ? "northern" : "southern") + " horizon.",
                p.north()
                        ? "Five times the way from Merak to Dubhe leads to Polaris, within 0.7° of the pole. When the Plough is "
                                + "low, start from Cassiopeia on the other side."
                        : "Go on four and a half times the long arm of the Cross, from Gacrux by Acrux; where that meets the line "
                                + "upright on the middle of the Pointers is the pole. No bright star marks it.");
    }

    private static String line(List<PolePointers.Spot> spots) {
        StringBuilder line = new StringBuilder();
        for (PolePointers.Spot s : spots) {
            line.append(line.isEmpty() ? "M" : "L").append(x(s)).append(' ').append(y(s));
        }
        return line.toString();
    }

    private static String x(PolePointers.Spot s) {
        return Numbers.tenths(xOf(s));
    }

    private static double xOf(PolePointers.Spot s) {
        return SIZE / 2 * (1 + s.x() / REACH);
    }

    private static double yOf(PolePointers.Spot s) {
        return SIZE / 2 * (1 - s.y() / REACH);
    }

    private static String y(PolePointers.Spot s) {
        return Numbers.tenths(yOf(s));
    }
}
