package org.halfdusk.show;

import org.halfdusk.angle.Azimuth;
import org.halfdusk.angle.LevelFrame;
import org.halfdusk.angle.Vector;
import org.halfdusk.optics.framing.Framing;
import org.halfdusk.show.shells.Spark;

/**
 * Where the launching ground lies as seen from the tripod.
 *
 * @param metres away on the level, 1 to 50,000
 * @param above height of the launching ground over the camera, m
 */
public record Viewpoint(Azimuth azimuth, double metres, double above) {
    /** A place of the show as north, east and up of the camera, m. */
    public Vector of(Spark.Point p) {
        double sin = Math.sin(azimuth.radians());
        double cos = Math.cos(azimuth.radians());
        double ahead = metres + p.z();
        return new Vector(ahead * cos - p.x() * sin, ahead * sin + p.x() * cos, above + p.y());
    }

    /** The directions of a level view in the show's own axes: right, up, away. */
    public Spark.Axes axes(Framing view) {
        LevelFrame level =
                LevelFrame.of(view.azimuth().radians(), view.altitude().radians());
        return new Spark.Axes(own(level.right()), own(level.up()), own(level.ahead()));
    }

    private Spark.Point own(Vector v) {
        double sin = Math.sin(azimuth.radians());
        double cos = Math.cos(azimuth.radians());
        return new Spark.Point(v.y() * cos - v.x() * sin, v.z(), v.x() * cos + v.y() * sin);
    }

    /** How far a place of the show is from the camera, m. */
    double distance(Spark.Point p) {
        return of(p).length();
    }
}
