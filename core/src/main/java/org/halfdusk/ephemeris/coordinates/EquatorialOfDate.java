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
    public static EquatorialOfDate of(Vector v) {
        return new EquatorialOfDate(
                Angle.ofRadians(v.longitudeRad()), Declination.ofDegrees(Math.toDegrees(v.latitudeRad())), v.length());
    }

    public Vector vector() {
        return Vector.ofSpherical(rightAscension.radians(), declination.radians(), distance);
    }

    /** The same place on the true ecliptic and equinox of date. */
    public EclipticOfDate toEcliptic(Angle trueObliquity) {
        return EclipticOfDate.of(vector().aboutX(trueObliquity.radians()));
    }
}
