package org.halfdusk.ephemeris.theory;

import java.util.List;
import org.halfdusk.angle.Vector;

/**
 * VSOP87B (Bretagnon and Francou 1988, A&amp;A 202, 309), 648 terms: heliocentric Earth, ecliptic and equinox J2000. Within
 * 0.054″ of DE405 for 1960–2060.
 */
public final class EarthTheory {
    /** The astronomical unit, km (IAU 2012 resolution B2). */
    public static final double AU_KM = 149_597_870.7;

    private final Sum[] longitude;
    private final Sum[] latitude;
    private final Sum[] radius;

    private EarthTheory() {
        List<String[]> terms = SeriesTable.lines("earth.txt");
        longitude = SeriesTable.byPower(terms, "L").stream().map(Sum::new).toArray(Sum[]::new);
        latitude = SeriesTable.byPower(terms, "B").stream().map(Sum::new).toArray(Sum[]::new);
        radius = SeriesTable.byPower(terms, "R").stream().map(Sum::new).toArray(Sum[]::new);
    }

    /** The theory, read on first use. */
    public static EarthTheory instance() {
        return Holder.INSTANCE;
    }

    private static final class Holder {
        static final EarthTheory INSTANCE = new EarthTheory();
    }

    /** Geometric heliocentric Earth, km, mean equator and equinox J2000 (FK5); TT days from J2000. */
    public Vector heliocentricJ2000(double ttDays) {
        double tau = ttDays / 365_250;
        Vector ecliptic = Vector.ofSpherical(total(longitude, tau), total(latitude, tau), total(radius, tau) * AU_KM);
        return toFk5(ecliptic);
    }

    /** Distance of Sun and Earth, au. */
    public double radiusAu(double ttDays) {
        return total(radius, ttDays / 365_250);
    }

    /** The rotation that comes with the theory, from its dynamical ecliptic to the FK5 equator. */
    private static Vector toFk5(Vector v) {
        return new Vector(
                v.x() + 4.40360e-7 * v.y() - 1.90919e-7 * v.z(),
                -4.79966e-7 * v.x() + 0.917482137087 * v.y() - 0.397776982902 * v.z(),
                0.397776982902 * v.y() + 0.917482137087 * v.z());
    }

    private static double total(Sum[] sums, double tau) {
        double total = 0;
        for (int i = sums.length - 1; i >= 0; i--) {
            total = total * tau + sums[i].at(tau);
        }
        return total;
    }

    /** Σ A·cos(phase + frequency·τ), τ in thousands of Julian years. */
    private static final class Sum {
        private final double[] amplitude;
        private final double[] phase;
        private final double[] frequency;

        Sum(List<String[]> terms) {
            amplitude = SeriesTable.column(terms, 1);
            phase = SeriesTable.column(terms, 2);
            frequency = SeriesTable.column(terms, 3);
        }

        double at(double tau) {
            double sum = 0;
            for (int i = amplitude.length - 1; i >= 0; i--) {
                sum += amplitude[i] * Math.cos(phase[i] + frequency[i] * tau);
            }
            return sum;
        }
    }
}
