package org.halfdusk.ephemeris.coordinates;

import org.halfdusk.angle.Angle;
import org.halfdusk.angle.Vector;
import org.halfdusk.ephemeris.theory.Precession;

/**
 * A place on the mean ecliptic and equinox J2000.0, the frame of the theories.
 *
 * @param longitude 0 to 360°
 * @param latitude −90 to 90°
 * @param distance km, or 1 for a direction
 */
public record EclipticJ2000(Angle longitude, Angle latitude, double distance) {
    /**
     * Where a vector points, its x axis to the equinox of J2000, its z axis to the ecliptic's pole; the distance in the vector's
     * unit.
     */
    public static EclipticJ2000 of(Vector v) {
        return new EclipticJ2000(Angle.ofRadians(v.longitudeRad()), Angle.ofRadians(v.latitudeRad()), v.length());
    }

    /** The same as a vector, in the distance's unit. */
    public Vector vector() {
        return Vector.ofSpherical(longitude.radians(), latitude.radians(), distance);
    }

    /** The same place on the mean equator J2000: turned by the obliquity 84381.406″ (IAU 2006). */
    public EquatorialJ2000 toEquatorial() {
        return EquatorialJ2000.of(vector().aboutX(-Precession.meanObliquityRad(0)));
    }
}
