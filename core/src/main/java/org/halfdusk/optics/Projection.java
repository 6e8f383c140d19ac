package org.halfdusk.optics;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.halfdusk.angle.Altitude;
import org.halfdusk.angle.Azimuth;
import org.halfdusk.angle.LevelFrame;
import org.halfdusk.angle.Vector;
import org.halfdusk.sky.HorizontalPosition;

/**
 * A rectilinear picture of the sky on the plane of a sensor: f·tan of the angle from the axis. Drawn with the horizon
 * level, x to the right and y up; the frame itself is turned by its roll.
 *
 * @param focalMm true focal length
 */
public record Projection(Framing framing, double focalMm) {
    /** Cosine of the angle from the axis beyond which nothing is drawn: 84°. */
    private static final double FARTHEST = 0.1;

    /** A place on the plane of the sensor, mm from the axis. */
    public record Point(double x, double y) {}

    /** Where a direction (north, east, up) falls; nothing where it lies more than 84° from the axis. */
    public Optional<Point> of(Vector direction) {
        LevelFrame view = view();
        Vector unit = direction.unit();
        if (unit.dot(view.ahead()) < FARTHEST) {
            return Optional.empty();
        }
        LevelFrame.Offset offset = view.offset(unit);
        return Optional.of(new Point(focalMm * offset.right(), focalMm * offset.up()));
    }

    public Optional<Point> of(Azimuth azimuth, double altitudeDegrees) {
        return of(new HorizontalPosition(Altitude.ofDegrees(altitudeDegrees), azimuth, 1).direction());
    }

    /** Length in the middle of the picture of a small angle in degrees, mm. */
    public double across(double degrees) {
        return 2 * focalMm * Math.tan(Math.toRadians(degrees / 2));
    }

    /** The direction that falls on a place: the inverse of {@link #of(Vector)}. */
    public HorizontalPosition direction(Point p) {
        LevelFrame view = view();
        return HorizontalPosition.of(view.ahead()
                .times(focalMm)
                .plus(view.right().times(p.x()))
                .plus(view.up().times(p.y()))
                .unit());
    }

    /** The frame's corners from the upper left by the upper right, turned by the roll. */
    public List<Point> corners(Sensor sensor) {
        double w = sensor.widthMm() / 2;
        double h = sensor.heightMm() / 2;
        double roll = Math.toRadians(framing.rollDegrees());
        return Stream.of(new Point(-w, h), new Point(w, h), new Point(w, -h), new Point(-w, -h))
                .map(p -> new Point(
                        p.x() * Math.cos(roll) - p.y() * Math.sin(roll),
                        p.x() * Math.sin(roll) + p.y() * Math.cos(roll)))
                .toList();
    }

    /** Half the width and half the height of what the turned frame fills, mm. */
    public Point reach(Sensor sensor) {
        List<Point> corners = corners(sensor);
        return new Point(
                corners.stream().mapToDouble(Point::x).max().orElseThrow(),
                corners.stream().mapToDouble(Point::y).max().orElseThrow());
    }

    private LevelFrame view() {
        return LevelFrame.of(framing.azimuth().radians(), framing.altitude().radians());
    }
}
