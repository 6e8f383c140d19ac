package org.halfdusk.web.layout.drawing;

import java.util.Optional;
import org.halfdusk.angle.Azimuth;
import org.halfdusk.optics.Sensor;
import org.halfdusk.optics.framing.Projection;
import org.halfdusk.web.layout.words.Numbers;

/**
 * A picture of the frame and what lies beside it: fixed in size, the frame in its middle as large as fits.
 *
 * @param reach half-size of the frame, mm on the sensor
 * @param perMm drawing units for a mm
 */
public record Scene(Projection projection, Projection.Point reach, double perMm) {
    public static final double WIDTH = 860;
    public static final double HEIGHT = 430;

    /** Of the frame that is shown about it. */
    private static final double AROUND = 1.1;

    /** A box of the drawing. */
    public record Box(String x, String y, String width, String height) {}

    public static Scene of(Projection projection, Sensor sensor) {
        Projection.Point reach = projection.reach(sensor);
        double perMm = Math.min(WIDTH / 2 / (reach.x() * AROUND), HEIGHT / 2 / (reach.y() * AROUND));
        return new Scene(projection, reach, perMm);
    }

    public String viewBox() {
        return "0 0 " + Numbers.tenths(WIDTH) + " " + Numbers.tenths(HEIGHT);
    }

    public Box frame() {
        return new Box(
                Numbers.tenths(x(-reach.x())),
                Numbers.tenths(y(reach.y())),
                Numbers.tenths(2 * reach.x() * perMm),
                Numbers.tenths(2 * reach.y() * perMm));
    }

    public double halfWidthMm() {
        return WIDTH / 2 / perMm;
    }

    public double halfHeightMm() {
        return HEIGHT / 2 / perMm;
    }

    public double x(double mm) {
        return WIDTH / 2 + mm * perMm;
    }

    public double y(double mm) {
        return HEIGHT / 2 - mm * perMm;
    }

    /** Whether a place is in the picture, a little over its edge counted. */
    public boolean holds(Projection.Point p) {
        return Math.abs(p.x()) < halfWidthMm() * 1.05 && Math.abs(p.y()) < halfHeightMm() * 1.1;
    }

    /** Drawing units of a small angle in degrees in the middle of the picture. */
    public double across(double degrees) {
        return projection.across(degrees) * perMm;
    }

    public Optional<Projection.Point> of(Azimuth azimuth, double altitudeDegrees) {
        return projection.of(azimuth, altitudeDegrees);
    }

    /** A point of a path. */
    public String point(Projection.Point p) {
        return Numbers.tenths(x(p.x())) + " " + Numbers.tenths(y(p.y()));
    }
}
