package org.halfdusk.ephemeris.coordinates;

import org.halfdusk.angle.Rotation;
import org.halfdusk.angle.Vector;

/** From the catalogue place of something at infinity to its apparent place. */
public final class FixedDirection {
    /** 2GM/c² of the Sun in astronomical units: the deflection at 90° from it, in radians (4.07 mas). */
    private static final double DEFLECTION = 1.97412574336e-8;

    private FixedDirection() {}

    /**
     * Apparent direction in the frame that the rotation leads to.
     *
     * @param j2000 unit direction, mean equator J2000
     * @param sun direction of the Sun from the Earth in the same frame, any length
     * @param sunAu its distance in au
     */
    public static Vector apparent(Vector j2000, Vector sun, double sunAu, Vector velocity, Rotation toDate) {
        return toDate.apply(aberrated(deflected(j2000, sun.unit(), sunAu), velocity));
    }

    /** Gravitational deflection by the Sun (Explanatory Supplement 2013, 7.63); none behind its disc. */
    private static Vector deflected(Vector p, Vector sun, double sunAu) {
        double cos = p.dot(sun);
        if (cos > 0.99999) {
            return p;
        }
        double k = DEFLECTION / sunAu / (1 - cos);
        return p.plus(p.times(cos).minus(sun).times(k)).unit();
    }

    /** Annual aberration, special relativity (Explanatory Supplement 2013, 7.40). */
    private static Vector aberrated(Vector p, Vector beta) {
        double inverseGamma = Math.sqrt(1 - beta.dot(beta));
        double along = p.dot(beta);
        return p.times(inverseGamma)
                .plus(beta.times(1 + along / (1 + inverseGamma)))
                .times(1 / (1 + along))
                .unit();
    }
}
