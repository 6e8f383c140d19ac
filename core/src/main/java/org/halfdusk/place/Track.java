package org.halfdusk.place;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.halfdusk.place.geodesy.GreatCircle;
import org.halfdusk.typed.PlainText;

/**
 * A way on the map: a path walked, a road planned.
 *
 * @param lines each of two points or more
 */
public record Track(String name, List<List<Point>> lines) {
    public static final int MOST_POINTS = 50_000;
    public static final int LONGEST_NAME = 200;

    /**
     * A point of it.
     *
     * @param longitudeDegrees −180 to 180
     * @param latitudeDegrees −90 to 90
     * @param elevationMetres above the sea, where it is known, −12,000 to 20,000: ways of ships' instruments and of aircraft count
     * @param at when somebody was there, where it is known
     */
    public record Point(
            double longitudeDegrees, double latitudeDegrees, OptionalDouble elevationMetres, Optional<Instant> at) {
        private static final double DEEPEST = -12_000;
        private static final double HIGHEST = 20_000;

        /** Without height and time. */
        public Point(double longitudeDegrees, double latitudeDegrees) {
            this(longitudeDegrees, latitudeDegrees, OptionalDouble.empty(), Optional.empty());
        }

        /** @throws IllegalArgumentException for a latitude outside ±90°, a longitude outside ±180°, a height outside −430 to 9000 m */
        public Point {
            if (!(latitudeDegrees >= -90 && latitudeDegrees <= 90)) {
                throw new IllegalArgumentException("latitude " + latitudeDegrees + "° is outside −90° to 90°");
            }
            if (!(longitudeDegrees >= -180 && longitudeDegrees <= 180)) {
                throw new IllegalArgumentException("longitude " + longitudeDegrees + "° is outside −180° to 180°");
            }
            if (elevationMetres.isPresent()
                    && !(elevationMetres.getAsDouble() >= DEEPEST && elevationMetres.getAsDouble() <= HIGHEST)) {
                throw new IllegalArgumentException(
                        "elevation " + elevationMetres.getAsDouble() + " m is outside −12000 m to 20000 m");
            }
        }
    }

    /** @throws IllegalArgumentException for fewer than two points, or too many */
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

    /** Metres climbed on the way, where its points know their heights: the sum of all steps up. */
    public OptionalDouble climbMetres() {
        double climb = 0;
        boolean known = false;
        for (List<Point> line : lines) {
            for (int i = 1; i < line.size(); i++) {
                OptionalDouble before = line.get(i - 1).elevationMetres();
                OptionalDouble here = line.get(i).elevationMetres();
                if (before.isPresent() && here.isPresent()) {
                    known = true;
                    climb += Math.max(0, here.getAsDouble() - before.getAsDouble());
                }
            }
        }
        return known ? OptionalDouble.of(climb) : OptionalDouble.empty();
    }
}
