package org.halfdusk.place;

import java.util.Arrays;
import java.util.List;
import org.halfdusk.shipped.Shipped;

/** The world's land in outline, 1:110 million (Natural Earth), read on first use. Islands under some 20 km are absent. */
public final class CoastLines {
    private CoastLines() {}

    private static final class Holder {
        static final List<Ring> RINGS = read();
    }

    /**
     * A closed ring.
     *
     * @param points longitude and latitude, degrees
     * @param west and east, south, north: how far it reaches
     */
    public record Ring(double[][] points, double west, double east, double south, double north) {
        static Ring of(double[][] points) {
            return new Ring(
                    points,
                    Arrays.stream(points).mapToDouble(p -> p[0]).min().orElseThrow(),
                    Arrays.stream(points).mapToDouble(p -> p[0]).max().orElseThrow(),
                    Arrays.stream(points).mapToDouble(p -> p[1]).min().orElseThrow(),
                    Arrays.stream(points).mapToDouble(p -> p[1]).max().orElseThrow());
        }
    }

    public static List<Ring> rings() {
        return Holder.RINGS;
    }

    private static List<Ring> read() {
        return Shipped.lines(CoastLines.class, "land.txt", "the list of coast lines").stream()
                .map(CoastLines::ring)
                .toList();
    }

    private static Ring ring(String line) {
        String[] points = line.split(" ");
        double[][] ring = new double[points.length][];
        for (int i = 0; i < points.length; i++) {
            int comma = points[i].indexOf(',');
            ring[i] = new double[] {
                Integer.parseInt(points[i].substring(0, comma)) / 100.0,
                Integer.parseInt(points[i].substring(comma + 1)) / 100.0
            };
        }
        return Ring.of(ring);
    }
}
