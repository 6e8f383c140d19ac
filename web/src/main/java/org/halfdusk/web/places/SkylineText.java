package org.halfdusk.web.places;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import org.halfdusk.place.Skyline;
import org.halfdusk.web.layout.FormErrors;
import org.halfdusk.web.layout.Numbers;

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
        for (String line : text.split("\\R")) {
            number++;
            String stripped = line.strip();
            if (stripped.isEmpty() || stripped.startsWith("#") || number == 1 && stripped.matches("(?i)[\"a-z].*")) {
                continue;
            }
            points.add(point(number, stripped));
        }
        return new Skyline(points);
    }

    private static Skyline.Point point(int number, String line) {
        String[] cells = line.split(line.matches(".*[\\s;].*") ? "[\\s;]+" : ",");
        if (cells.length != 2) {
            throw new IllegalArgumentException("line " + number + " of the skyline, “" + line
                    + "”, is not a pair; write azimuth and altitude like 135 4.5");
        }
        double azimuth = FormErrors.plainNumber("azimuth", cells[0].replaceAll("[,°]$", ""));
        double altitude = FormErrors.plainNumber("altitude", cells[1].replaceAll("°$", ""));
        return new Skyline.Point(azimuth == 360 ? 0 : azimuth, altitude);
    }
}
