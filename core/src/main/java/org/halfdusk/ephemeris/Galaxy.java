package org.halfdusk.ephemeris;

import org.halfdusk.angle.Rotation;
import org.halfdusk.angle.Vector;

/** The Milky Way's own frame (IAU 1958, in J2000 after Murray 1989, A&amp;A 218, 325). */
public final class Galaxy {
    /** 17h45m40.04s −29°00′28.1″. */
    public static final Vector CENTRE_J2000 = direction(266.4168333, -29.0078056);

    /** 192.85948°, +27.12825°. */
    public static final Vector NORTH_POLE_J2000 = direction(192.85948, 27.12825);

    private static final double LONGITUDE_OF_CELESTIAL_POLE = 122.93192;

    private static final Rotation FROM_EQUATOR = Rotation.aboutZ(Math.toRadians(192.85948 + 90))
            .then(Rotation.aboutX(Math.toRadians(90 - 27.12825)))
            .then(Rotation.aboutZ(Math.toRadians(-LONGITUDE_OF_CELESTIAL_POLE + 90)));

    private Galaxy() {}

    /** From the equator of J2000 to galactic longitude and latitude axes. */
    public static Rotation fromEquatorJ2000() {
        return FROM_EQUATOR;
    }

    /** The direction on the plane at a longitude from its centre, degrees. */
    static Vector onPlaneJ2000(double longitudeDegrees) {
        return FROM_EQUATOR.inverse().apply(Vector.ofSpherical(Math.toRadians(longitudeDegrees), 0, 1));
    }

    private static Vector direction(double raDegrees, double decDegrees) {
        return Vector.ofSpherical(Math.toRadians(raDegrees), Math.toRadians(decDegrees), 1);
    }
}
