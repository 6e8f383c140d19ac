package org.halfdusk.angle;

/**
 * The three directions of a level view: ahead, to the right along the horizon, and up towards the zenith; unit vectors as
 * north, east, up.
 */
public record LevelFrame(Vector ahead, Vector right, Vector up) {
    /** Looking at an azimuth (from north by east) and altitude; straight up, right is that of the azimuth given. */
    public static LevelFrame of(double azimuthRad, double altitudeRad) {
        double sinAz = Math.sin(azimuthRad);
        double cosAz = Math.cos(azimuthRad);
        double sinAlt = Math.sin(altitudeRad);
        return new LevelFrame(
                Vector.ofSpherical(azimuthRad, altitudeRad, 1),
                new Vector(-sinAz, cosAz, 0),
                new Vector(-sinAlt * cosAz, -sinAlt * sinAz, Math.cos(altitudeRad)));
    }

    /** Looking in a direction (north, east, up) of any length. */
    public static LevelFrame towards(Vector direction) {
        return of(Math.atan2(direction.y(), direction.x()), direction.latitudeRad());
    }

    /** A place on the plane that touches the sphere ahead, in units of its radius. */
    public record Offset(double right, double up) {}

    /** Where a direction falls on that plane; only for what lies ahead, less than 90° away. */
    public Offset offset(Vector direction) {
        double d = direction.dot(ahead);
        return new Offset(direction.dot(right) / d, direction.dot(up) / d);
    }
}
