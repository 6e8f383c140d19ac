package org.halfdusk.place;

import java.util.List;
import org.halfdusk.typed.PlainText;

/**
 * A way on the map: a path walked, a road planned.
 *
 * @param lines each of two points or more
 */
public record Track(String name, List<List<Point>> lines) {
    public static final int MOST_POINTS = 50_000;
    public static final int LONGEST_NAME = 200;

    /** @param longitudeDegrees −180 to 180 @param latitudeDegrees −90 to 90 */
    public record Point(double longitudeDegrees, double latitudeDegrees) {
        public Point {
            if (!(latitudeDegrees >= -90 && latitudeDegrees <= 90)) {
                throw new IllegalArgumentException("latitude " + latitudeDegrees + "° is outside −90° to 90°");
            }
            if (!(longitudeDegrees >= -180 && longitudeDegrees <= 180)) {
                throw new IllegalArgumentException("longitude " + longitudeDegrees + "° is outside −180° to 180°");
            }
        }
    }

    public Track {
        name = PlainText.line("name of a track", name, LONGEST_NAME);
        lines = lines.stream().filter(l -> l.size() > 1).map(List::copyOf).toList();
        int points = lines.stream().mapToInt(List::size).sum();
        if (points < 2 || points > MOST_POINTS) {
            throw new IllegalArgumentException(
                    "a track of " + points + " points is outside 2 to " + MOST_POINTS + " points");
        }
    }

    /** Along the ground, km. */
    public double lengthKm() {
        double km = 0;
        for (List<Point> line : lines) {
            for (int i = 1; i < line.size(); i++) {
                Point a = line.get(i - 1);
                Point b = line.get(i);
                km += GreatCircle.distanceKm(
                        a.latitudeDegrees(), a.longitudeDegrees(), b.latitudeDegrees(), b.longitudeDegrees());
            }
        }
        return km;
    }
}
