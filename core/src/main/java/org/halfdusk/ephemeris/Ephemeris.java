package org.halfdusk.ephemeris;

import org.halfdusk.angle.Vector;

/** Apparent geocentric places, in the true equator and equinox of date; safe for use by many threads. */
public interface Ephemeris {
    /**
     * Apparent geocentric place, km for Sun and Moon, a unit direction for the others.
     *
     * @param ttDays days of TT from J2000, in the years 1900 to 2150
     */
    Vector apparent(Body body, double ttDays);

    /** Apparent less mean sidereal time, radians. */
    default double equationOfEquinoxesRad(double ttDays) {
        return earth(ttDays).equationOfEquinoxesRad();
    }

    /** What of the Earth's own motion a star's place and the sidereal time need. */
    EarthMotion earth(double ttDays);
}
