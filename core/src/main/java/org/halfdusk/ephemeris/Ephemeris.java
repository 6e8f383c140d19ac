package org.halfdusk.ephemeris;

import org.halfdusk.angle.Angle;
import org.halfdusk.angle.Vector;
import org.halfdusk.ephemeris.coordinates.EarthMotion;
import org.halfdusk.ephemeris.coordinates.EclipticOfDate;
import org.halfdusk.ephemeris.coordinates.EquatorialOfDate;

/** Apparent geocentric places, in the true equator and equinox of date; safe for use by many threads. */
public interface Ephemeris {
    /**
     * Apparent geocentric place, km for Sun and Moon, a unit direction for the others.
     *
     * @param ttDays days of TT from J2000, in the years 1900 to 2150
     * @throws IllegalArgumentException where the body has no place of its own ({@link Body#placed})
     */
    Vector apparent(Body body, double ttDays);

    /** The apparent geocentric place in its frame; {@link #apparent} is the same for those who compute on with it. */
    default EquatorialOfDate place(Body body, double ttDays) {
        return EquatorialOfDate.of(apparent(body, ttDays));
    }

    /** The apparent geocentric place on the ecliptic of date. */
    default EclipticOfDate eclipticPlace(Body body, double ttDays) {
        return place(body, ttDays).toEcliptic(Angle.ofRadians(earth(ttDays).trueObliquityRad()));
    }

    /** Apparent less mean sidereal time, radians. */
    default double equationOfEquinoxesRad(double ttDays) {
        return earth(ttDays).equationOfEquinoxesRad();
    }

    /** What of the Earth's own motion a star's place and the sidereal time need. */
    EarthMotion earth(double ttDays);
}
