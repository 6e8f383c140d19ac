package org.halfdusk.web.exchange.map;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * The box about all that a file holds: where it lies over the antimeridian, its west is greater than its east (RFC 7946, 5.2).
 *
 * @param west and the others, degrees
 */
record Box(double west, double south, double east, double north) {
    /** Nothing about nothing. */
    static Optional<Box> of(MapFile file) {
        List<double[]> all = new ArrayList<>();
        file.waypoints().forEach(w -> all.add(new double[] {w.longitudeDegrees(), w.latitudeDegrees()}));
        file.tracks()
                .forEach(t -> t.lines()
                        .forEach(l ->
                                l.forEach(p -> all.add(new double[] {p.longitudeDegrees(), p.latitudeDegrees()}))));
        file.shapes()
                .forEach(s ->
                        s.points().forEach(p -> all.add(new double[] {p.longitudeDegrees(), p.latitudeDegrees()})));
        if (all.isEmpty()) {
            return Optional.empty();
        }
        double south = all.stream().mapToDouble(p -> p[1]).min().orElseThrow();
        double north = all.stream().mapToDouble(p -> p[1]).max().orElseThrow();
        all.sort(Comparator.comparingDouble(p -> p[0]));
        // The widest gap between neighbours around the world is what the box leaves out.
        double west = all.get(0)[0];
        double east = all.get(all.size() - 1)[0];
        double widest = west + 360 - east;
        for (int i = 1; i < all.size(); i++) {
            double gap = all.get(i)[0] - all.get(i - 1)[0];
            if (gap > widest) {
                widest = gap;
                west = all.get(i)[0];
                east = all.get(i - 1)[0];
            }
        }
        return Optional.of(new Box(west, south, east, north));
    }
}
