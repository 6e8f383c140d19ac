package org.halfdusk.ephemeris.coordinates;

import org.halfdusk.angle.Angle;
import org.halfdusk.angle.Declination;
import org.halfdusk.angle.Vector;
import org.halfdusk.ephemeris.theory.Precession;

/**
 * A place on the mean equator and equinox J2000.0, the frame of catalogues.
 *
 * @param rightAscension 0 to 360°
 * @param distance km, or 1 for a direction
 */
public record EquatorialJ2000(Angle rightAscension, Declination declination, double distance) {
    /**
     * Where a vector points, its x axis to the equinox of J2000, its z axis to the mean pole of J2000; the distance in the vector's
     * unit.
     */
    public static EquatorialJ2000 of(Vector v) {
        return new EquatorialJ2000(
                Angle.ofRadians(v.longitudeRad()), Declination.ofDegrees(Math.toDegrees(v.latitudeRad())), v.length());
    }

    /** The same as a vector, in the distance's unit. */
    public Vector vector() {
        return Vector.ofSpherical(rightAscension.radians(), declination.radians(), distance);
    }

    /** The same place on the mean ecliptic J2000. */
    public EclipticJ2000 toEcliptic() {
        return EclipticJ2000.of(vector().aboutX(Precession.meanObliquityRad(0)));
    }

    /** The same place on the true equator of date: precession and nutation, nothing else. */
    public EquatorialOfDate toDate(EarthMotion earth) {
        return EquatorialOfDate.of(earth.fromJ2000().apply(vector()));
    }
}
