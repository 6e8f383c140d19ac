package org.halfdusk.ephemeris;

import org.halfdusk.ephemeris.theory.NutationTheory;

/** Mean arguments of the Moon's way (IERS Conventions 2010, eq. 5.43). */
public final class LunarArguments {
    private LunarArguments() {}

    /** Longitude of the ascending node, mean equinox of date, radians; t Julian centuries of TT from J2000. */
    public static double nodeRad(double t) {
        return NutationTheory.nodeRad(t);
    }

    /** Mean longitude less that of the node (F), radians. */
    public static double latitudeArgumentRad(double t) {
        return NutationTheory.latitudeArgumentRad(t);
    }
}
