package org.halfdusk.place;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * How high the land stands around a place, by direction: straight from one point to the next, round through north. Without
 * points it is flat, at 0°.
 *
 * @param points by azimuth, none twice
 */
public record Skyline(List<Point> points) {
    public static final Skyline FLAT = new Skyline(List.of());

    /** A point every tenth of a degree. */
    public static final int MOST_POINTS = 3600;

    /** @param azimuthDegrees 0 to below 360 @param altitudeDegrees seen from the tripod, −10 to 85 */
    public record Point(double azimuthDegrees, double altitudeDegrees) {
        /** @throws IllegalArgumentException for an azimuth outside 0° to below 360°, an altitude outside −10° to 85° */
        public Point {
            if (!(azimuthDegrees >= 0 && azimuthDegrees < 360)) {
                throw new IllegalArgumentException("azimuth " + azimuthDegrees + "° is outside 0° to below 360°");
            }
            if (!(altitudeDegrees >= -10 && altitudeDegrees <= 85)) {
                throw new IllegalArgumentException(
                        "altitude of the skyline " + altitudeDegrees + "° is outside −10° to 85°");
            }
        }
    }

    /** @throws IllegalArgumentException for too many points, or two of one azimuth */
    public Skyline {
        points = points.stream()
                .sorted(Comparator.comparingDouble(Point::azimuthDegrees))
                .toList();
        if (points.size() > MOST_POINTS) {
            throw new IllegalArgumentException(
                    "a skyline of " + points.size() + " points; at most " + MOST_POINTS + " are allowed");
        }
        for (int i = 1; i < points.size(); i++) {
            if (points.get(i).azimuthDegrees() == points.get(i - 1).azimuthDegrees()) {
                throw new IllegalArgumentException("azimuth " + points.get(i).azimuthDegrees()
                        + "° comes twice in the skyline; each once is allowed");
            }
        }
    }

    /**
     * A lower stretch between two higher ones.
     *
     * @param azimuthDegrees of its lowest point
     * @param altitudeDegrees there
     * @param depthDegrees under the lower of its flanks
     * @param widthDegrees at half of that depth
     */
    public record Gap(double azimuthDegrees, double altitudeDegrees, double depthDegrees, double widthDegrees) {}

    /** Stretches at least so deep, the deepest first; none where it is flat. @param leastDepth degrees, above 0 */
    public List<Gap> gaps(double leastDepth) {
        if (flat()) {
            return List.of();
        }
        List<Gap> all = new ArrayList<>();
        for (int i = 0; i < AROUND; i++) {
            double here = at(i);
            if (at(i - 1) > here && at(i + 1) >= here) {
                gap(i, here).filter(g -> g.depthDegrees() >= leastDepth).ifPresent(all::add);
            }
        }
        all.sort(Comparator.comparingDouble(Gap::depthDegrees).reversed());
        return List.copyOf(all);
    }

    private static final int AROUND = 360;

    /** Shallower gaps frame nothing in a picture†, degrees. */
    public static final double LEAST_GAP_DEGREES = 1.5;

    private Optional<Gap> gap(int azimuth, double lowest) {
        double depth = Math.min(flank(azimuth, lowest, 1), flank(azimuth, lowest, -1)) - lowest;
        if (depth <= 0) {
            return Optional.empty();
        }
        double half = lowest + depth / 2;
        int width = 1;
        for (int way : new int[] {1, -1}) {
            for (int i = 1; i < AROUND / 2 && at(azimuth + way * i) < half; i++) {
                width++;
            }
        }
        return Optional.of(new Gap(azimuth, lowest, depth, width));
    }

    /** The highest point on one side before it falls below the lowest again. */
    private double flank(int azimuth, double lowest, int way) {
        double most = lowest;
        for (int i = 1; i < AROUND / 2; i++) {
            double a = at(azimuth + way * i);
            if (a < lowest) {
                return most;
            }
            most = Math.max(most, a);
        }
        return most;
    }

    /** Whether nothing stands about the place. */
    public boolean flat() {
        return points.isEmpty();
    }

    /** Altitude in a direction, degrees. */
    public double at(double azimuthDegrees) {
        if (points.isEmpty()) {
            return 0;
        }
        double azimuth = ((azimuthDegrees % 360) + 360) % 360;
        int low = 0;
        int high = points.size();
        while (low < high) {
            int middle = (low + high) >>> 1;
            if (points.get(middle).azimuthDegrees() <= azimuth) {
                low = middle + 1;
            } else {
                high = middle;
            }
        }
        Point before = points.get(low == 0 ? points.size() - 1 : low - 1);
        Point after = points.get(low == points.size() ? 0 : low);
        double span = ((after.azimuthDegrees() - before.azimuthDegrees()) + 360) % 360;
        if (span == 0) {
            return before.altitudeDegrees();
        }
        double share = (((azimuth - before.azimuthDegrees()) + 360) % 360) / span;
        return before.altitudeDegrees() + share * (after.altitudeDegrees() - before.altitudeDegrees());
    }

    /** The highest point's altitude; 0 where it is flat. */
    public double highest() {
        return points.stream().mapToDouble(Point::altitudeDegrees).max().orElse(0);
    }
}
