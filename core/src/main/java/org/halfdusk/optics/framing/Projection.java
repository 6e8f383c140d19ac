package org.halfdusk.optics.framing;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.halfdusk.angle.Altitude;
import org.halfdusk.angle.Azimuth;
import org.halfdusk.angle.LevelFrame;
import org.halfdusk.angle.Vector;
import org.halfdusk.optics.Imaging;
import org.halfdusk.optics.Rig;
import org.halfdusk.optics.Sensor;
import org.halfdusk.sky.HorizontalPosition;

/**
 * A picture of the sky on the plane of a sensor: so far from the middle as the lens maps the angle from its axis. Drawn
 * with the horizon level, x to the right and y up; the frame itself is turned by its roll.
 */
public final class Projection {
    private final Framing framing;
    private final double focalMm;
    private final Imaging imaging;

    /** Worked out once: a page asks for some ten thousand places. */
    private final LevelFrame view;

    /** @param focalMm true focal length, above 0 */
    public Projection(Framing framing, double focalMm, Imaging imaging) {
        this.framing = framing;
        this.focalMm = focalMm;
        this.imaging = imaging;
        this.view =
                LevelFrame.of(framing.azimuth().radians(), framing.altitude().radians());
    }

    /** Through a rig's lens at its true focal length. */
    public static Projection of(Framing framing, Rig rig) {
        return new Projection(framing, rig.focalMm(), rig.lens().imaging());
    }

    /** Through a rectilinear lens. */
    public Projection(Framing framing, double focalMm) {
        this(framing, focalMm, Imaging.RECTILINEAR);
    }

    /** Where it looks. */
    public Framing framing() {
        return framing;
    }

    /** True focal length, mm. */
    public double focalMm() {
        return focalMm;
    }

    /** How the lens draws angles. */
    public Imaging imaging() {
        return imaging;
    }

    /** A place on the plane of the sensor, mm from the axis. */
    public record Point(double x, double y) {}

    /** Where a direction (north, east, up) falls; nothing where it lies too far from the axis to be drawn. */
    public Optional<Point> of(Vector direction) {
        Vector unit = direction.unit();
        double[] at = new double[2];
        return to(unit.x(), unit.y(), unit.z(), at) ? Optional.of(new Point(at[0], at[1])) : Optional.empty();
    }

    /**
     * The same for a unit direction by its parts, without an object for each of many.
     *
     * @param out x and y, mm from the axis; as it was where nothing is drawn
     * @return whether it is drawn
     */
    public boolean to(double north, double east, double up, double[] out) {
        Vector a = view.ahead();
        double ahead = north * a.x() + east * a.y() + up * a.z();
        if (ahead < imaging.leastCosine()) {
            return false;
        }
        double stretch = focalMm * imaging.stretch(ahead);
        Vector r = view.right();
        Vector u = view.up();
        out[0] = stretch * (north * r.x() + east * r.y() + up * r.z());
        out[1] = stretch * (north * u.x() + east * u.y() + up * u.z());
        return true;
    }

    /** Where a direction falls. @param altitudeDegrees −90 to 90 */
    public Optional<Point> of(Azimuth azimuth, double altitudeDegrees) {
        return of(new HorizontalPosition(Altitude.ofDegrees(altitudeDegrees), azimuth, 1).direction());
    }

    /** Length in the middle of the picture of a small angle in degrees, mm. */
    public double across(double degrees) {
        return 2 * focalMm * imaging.radius(Math.toRadians(degrees / 2));
    }

    /** The direction that falls on a place: the inverse of {@link #of(Vector)}. */
    public HorizontalPosition direction(Point p) {
        double radius = Math.hypot(p.x(), p.y());
        double angle = imaging.angleRad(radius / focalMm);
        double sideways = radius == 0 ? 0 : Math.sin(angle) / radius;
        return HorizontalPosition.of(view.ahead()
                .times(Math.cos(angle))
                .plus(view.right().times(p.x() * sideways))
                .plus(view.up().times(p.y() * sideways)));
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
}
