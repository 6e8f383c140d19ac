package org.halfdusk.angle;

/** A place or direction in a right-handed frame; the unit is the caller's (km, or 1 for a direction). */
public record Vector(double x, double y, double z) {
    /** The direction at longitude and latitude (or right ascension and declination), radians, of the given length. */
    public static Vector ofSpherical(double longitudeRad, double latitudeRad, double length) {
        double flat = length * Math.cos(latitudeRad);
        return new Vector(flat * Math.cos(longitudeRad), flat * Math.sin(longitudeRad), length * Math.sin(latitudeRad));
    }

    /** Component by component. */
    public Vector plus(Vector v) {
        return new Vector(x + v.x, y + v.y, z + v.z);
    }

    /** Component by component. */
    public Vector minus(Vector v) {
        return new Vector(x - v.x, y - v.y, z - v.z);
    }

    /** Each component times a number. */
    public Vector times(double k) {
        return new Vector(k * x, k * y, k * z);
    }

    /** The scalar product. */
    public double dot(Vector v) {
        return x * v.x + y * v.y + z * v.z;
    }

    /** The vector product, right-handed. */
    public Vector cross(Vector v) {
        return new Vector(y * v.z - z * v.y, z * v.x - x * v.z, x * v.y - y * v.x);
    }

    /** In the caller's unit, 0 and more. */
    public double length() {
        return Math.sqrt(dot(this));
    }

    /** The same direction with length 1; the zero vector has none and gives NaN components. */
    public Vector unit() {
        return times(1 / length());
    }

    /** Longitude in [0, 2π), radians. */
    public double longitudeRad() {
        return Angle.wrap(Math.atan2(y, x));
    }

    /** Latitude in [−π/2, π/2], radians, exact near the poles too. */
    public double latitudeRad() {
        return Math.atan2(z, Math.sqrt(x * x + y * y));
    }

    /** Angle between two directions, 0 to π, exact for small ones (atan2 of sine and cosine). */
    public double separationRad(Vector v) {
        return Math.atan2(cross(v).length(), dot(v));
    }

    /** Turned about a unit axis by an angle, radians (Rodrigues): right-handed where the frame is. */
    public Vector about(Vector axis, double angle) {
        double cos = Math.cos(angle);
        return times(cos).plus(axis.cross(this).times(Math.sin(angle))).plus(axis.times(axis.dot(this) * (1 - cos)));
    }

    /** Components in axes turned about x by the angle, i.e. R₁(a) of the literature. */
    public Vector aboutX(double a) {
        double c = Math.cos(a);
        double s = Math.sin(a);
        return new Vector(x, c * y + s * z, -s * y + c * z);
    }

    /** Components in axes turned about z by the angle, i.e. R₃(a) of the literature. */
    public Vector aboutZ(double a) {
        double c = Math.cos(a);
        double s = Math.sin(a);
        return new Vector(c * x + s * y, -s * x + c * y, z);
    }
}
