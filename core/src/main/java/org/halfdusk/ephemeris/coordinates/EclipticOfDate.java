package org.halfdusk.ephemeris.coordinates;

import org.halfdusk.angle.Angle;
import org.halfdusk.angle.Vector;

/**
 * A place on the ecliptic and true equinox of date: the frame in which phases are defined.
 *
 * @param longitude 0 to 360°
 * @param latitude −90 to 90°
 * @param distance km, or 1 for a direction
 */
public record EclipticOfDate(Angle longitude, Angle latitude, double distance) {
    public static EclipticOfDate of(Vector v) {
        return new EclipticOfDate(Angle.ofRadians(v.longitudeRad()), Angle.ofRadians(v.latitudeRad()), v.length());
    }

    public Vector vector() {
        return Vector.ofSpherical(longitude.radians(), latitude.radians(), distance);
    }

    /** The same place on the true equator of date. */
    public EquatorialOfDate toEquatorial(Angle trueObliquity) {
        return EquatorialOfDate.of(vector().aboutX(-trueObliquity.radians()));
    }
}
