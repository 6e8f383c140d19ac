package org.halfdusk.optics.framing;

import java.util.List;
import org.halfdusk.angle.Azimuth;
import org.halfdusk.optics.Sensor;
import org.halfdusk.sky.HorizontalPosition;

/**
 * What a frame holds of the land around, as two directions from the tripod: where its border crosses the horizon; of a frame
 * that is aimed over or under the horizon, the directions of the two corners nearest to it.
 *
 * @param left and right, degrees from north by east, 0 to below 360, as seen from behind the camera
 * @param horizon whether the horizon lies in the frame
 */
public record FrameWedge(double left, double right, boolean horizon) {
    private static final int STEPS = 200;

    /** Of a sensor behind a lens, aimed. */
    public static FrameWedge of(Projection p, Sensor sensor) {
        List<Projection.Point> corners = p.corners(sensor);
        Azimuth aim = p.framing().azimuth();
        double left = Double.POSITIVE_INFINITY;
        double right = Double.NEGATIVE_INFINITY;
        HorizontalPosition before = p.direction(corners.get(corners.size() - 1));
        for (int i = 0; i < corners.size(); i++) {
            Projection.Point from = corners.get((i + corners.size() - 1) % corners.size());
            Projection.Point to = corners.get(i);
            for (int k = 1; k <= STEPS; k++) {
                double share = (double) k / STEPS;
                HorizontalPosition here = p.direction(new Projection.Point(
                        from.x() + share * (to.x() - from.x()), from.y() + share * (to.y() - from.y())));
                if (before.altitude().degrees() < 0 != here.altitude().degrees() < 0) {
                    double turn = aim.turnTo(here.azimuth());
                    left = Math.min(left, turn);
                    right = Math.max(right, turn);
                }
                before = here;
            }
        }
        if (left <= right) {
            return new FrameWedge(turned(aim, left), turned(aim, right), true);
        }
        List<Double> turns = corners.stream()
                .map(p::direction)
                .sorted((a, b) -> Double.compare(
                        Math.abs(a.altitude().degrees()), Math.abs(b.altitude().degrees())))
                .limit(2)
                .map(h -> aim.turnTo(h.azimuth()))
                .sorted()
                .toList();
        return new FrameWedge(turned(aim, turns.get(0)), turned(aim, turns.get(1)), false);
    }

    private static double turned(Azimuth aim, double by) {
        return ((aim.degrees() + by) % 360 + 360) % 360;
    }

    /** From left to right, degrees, 0 to below 360. */
    public double widthDegrees() {
        return ((right - left) % 360 + 360) % 360;
    }
}
