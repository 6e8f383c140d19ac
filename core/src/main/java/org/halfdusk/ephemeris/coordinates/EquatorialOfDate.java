package org.halfdusk.ephemeris.coordinates;

import org.halfdusk.angle.Angle;
import org.halfdusk.angle.Declination;
import org.halfdusk.angle.Vector;

/**
 * A place on the true equator and equinox of date, seen from the Earth's centre: the frame of apparent places.
 *
 * @param rightAscension 0 to 360°
 * @param distance km, or 1 for a direction
 */
public record EquatorialOfDate(Angle rightAscension, Declination declination, double distance) {
    /**
     * Where a vector points, its x axis to the true equinox of date, its z axis to the true pole of date; the distance in the
     * vector's unit.
     */
    public static EquatorialOfDate of(Vector v) {
        return new EquatorialOfDate(
                Angle.ofRadians(v.longitudeRad()), Declination.ofDegrees(Math.toDegrees(v.latitudeRad())), v.length());
    }

    /** The same as a vector, in the distance's unit. */
    public Vector vector() {
        return Vector.ofSpherical(rightAscension.radians(), declination.radians(), distance);
    }

    /** The same place on the true ecliptic and equinox of date. */
    public EclipticOfDate toEcliptic(Angle trueObliquity) {
        return EclipticOfDate.of(vector().aboutX(trueObliquity.radians()));
    }
}
