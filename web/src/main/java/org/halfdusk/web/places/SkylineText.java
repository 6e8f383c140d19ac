package org.halfdusk.web.places;

import java.util.ArrayList;
import java.util.Iterator;
import java.util.List;
import java.util.stream.Collectors;
import org.halfdusk.place.Skyline;
import org.halfdusk.typed.TypedNumber;
import org.halfdusk.web.layout.words.Numbers;

/** A skyline as text: a line a point, azimuth and altitude in degrees. */
final class SkylineText {
    private SkylineText() {}

    static String of(Skyline skyline) {
        return skyline.points().stream()
                .map(p -> Numbers.typed(p.azimuthDegrees()) + " " + Numbers.typed(p.altitudeDegrees()))
                .collect(Collectors.joining("\n"));
    }

    /**
     * Numbers in pairs, divided by spaces, tabs, semicolons or a comma that has a space behind it; empty is flat. A first
     * line of words is a head and left out.
     */
    static Skyline parse(String text) {
        List<Skyline.Point> points = new ArrayList<>();
        int number = 0;
        for (Iterator<String> lines = text.lines().iterator(); lines.hasNext(); ) {
            number++;
            String stripped = lines.next().strip();
            if (stripped.isEmpty() || stripped.startsWith("#") || number == 1 && stripped.matches("(?i)[\"a-z].*")) {
                continue;
            }
            if (points.size() == Skyline.MOST_POINTS) {
                throw new IllegalArgumentException("line " + number + " of the skyline is one point too many; at most "
                        + Skyline.MOST_POINTS + " points are allowed");
            }
            points.add(point(number, stripped));
        }
        return new Skyline(points);
    }

    private static Skyline.Point point(int number, String line) {
        String[] cells = line.split(line.matches(".*[\\s;].*") ? "[\\s;]+" : ",");
        if (cells.length != 2) {
            throw new IllegalArgumentException("line " + number + " of the skyline, “" + TypedNumber.shown(line)
                    + "”, is not a pair; write azimuth and altitude like 135 4.5");
        }
        double azimuth = TypedNumber.decimal("azimuth", cells[0].replaceAll("[,°]$", ""), 0, 360, "°");
        double altitude = TypedNumber.decimal("altitude of the skyline", cells[1].replaceAll("°$", ""), -10, 85, "°");
        return new Skyline.Point(azimuth == 360 ? 0 : azimuth, altitude);
    }
}
