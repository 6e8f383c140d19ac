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
    /**
     * Where a vector points, its x axis to the true equinox of date, its z axis to the ecliptic's pole of date; the distance in the
     * vector's unit.
     */
    public static EclipticOfDate of(Vector v) {
        return new EclipticOfDate(Angle.ofRadians(v.longitudeRad()), Angle.ofRadians(v.latitudeRad()), v.length());
    }

    /** The same as a vector, in the distance's unit. */
    public Vector vector() {
        return Vector.ofSpherical(longitude.radians(), latitude.radians(), distance);
    }

    /** The same place on the true equator of date. */
    public EquatorialOfDate toEquatorial(Angle trueObliquity) {
        return EquatorialOfDate.of(vector().aboutX(-trueObliquity.radians()));
    }
}
