package org.halfdusk.ephemeris.theory;

import java.util.List;
import org.halfdusk.angle.Angle;
import org.halfdusk.angle.Vector;

/**
 * ELP/MPP02 (Chapront and Francou 2003, A&amp;A 404, 735) with constants fitted to DE405, cut at 0.002″ and 0.02 km: 1,943
 * terms. Against DE405 within 0.26″ for 1960–2060, usually within 0.06″.
 */
public final class LunarTheory {
    /** Obliquity of the inertial ecliptic of the theory, and the angle between its equinox and the equator's. */
    private static final double OBLIQUITY_RAD = 84381.40928 / Angle.ARCSECONDS_PER_RADIAN;

    private static final double EQUINOX_RAD = -0.0509 / Angle.ARCSECONDS_PER_RADIAN;

    private static final double[] P = {0, 0.10180391e-4, 0.47020439e-6, -0.5417367e-9, -0.2507948e-11, 0.463486e-14};
    private static final double[] Q = {0, -0.113469002e-3, 0.12372674e-6, 0.12654170e-8, -0.1371808e-11, -0.320334e-14};

    private final double[] meanLongitude;
    private final Sum[] longitude;
    private final Sum[] latitude;
    private final Sum[] distance;

    private LunarTheory() {
        List<String[]> lines = SeriesTable.lines("moon.txt");
        String[] first = lines.get(0);
        meanLongitude = new double[first.length];
        for (int i = 0; i < first.length; i++) {
            meanLongitude[i] = Double.parseDouble(first[i]);
        }
        List<String[]> terms = lines.subList(1, lines.size());
        longitude = SeriesTable.byPower(terms, "L").stream().map(Sum::new).toArray(Sum[]::new);
        latitude = SeriesTable.byPower(terms, "B").stream().map(Sum::new).toArray(Sum[]::new);
        distance = SeriesTable.byPower(terms, "R").stream().map(Sum::new).toArray(Sum[]::new);
    }

    /** The theory, read on first use. */
    public static LunarTheory instance() {
        return Holder.INSTANCE;
    }

    private static final class Holder {
        static final LunarTheory INSTANCE = new LunarTheory();
    }

    /** Geometric geocentric position, km, mean equator and equinox J2000; tCenturies of TT from J2000. */
    public Vector positionJ2000(double tCenturies) {
        double t = tCenturies;
        double lon = polynomial(meanLongitude, t) + total(longitude, t) / Angle.ARCSECONDS_PER_RADIAN;
        double lat = total(latitude, t) / Angle.ARCSECONDS_PER_RADIAN;
        Vector ofDate = Vector.ofSpherical(lon, lat, total(distance, t));
        return toInertialEcliptic(ofDate, t).aboutX(-OBLIQUITY_RAD).aboutZ(-EQUINOX_RAD);
    }

    /** Laskar's P and Q: from the mean ecliptic of date, inertial equinox, to the ecliptic J2000. */
    private static Vector toInertialEcliptic(Vector v, double t) {
        double p = polynomial(P, t);
        double q = polynomial(Q, t);
        double s = 2 * Math.sqrt(1 - p * p - q * q);
        return new Vector(
                (1 - 2 * p * p) * v.x() + 2 * p * q * v.y() + p * s * v.z(),
                2 * p * q * v.x() + (1 - 2 * q * q) * v.y() - q * s * v.z(),
                -p * s * v.x() + q * s * v.y() + (1 - 2 * p * p - 2 * q * q) * v.z());
    }

    private static double total(Sum[] sums, double t) {
        double total = 0;
        for (int i = sums.length - 1; i >= 0; i--) {
            total = total * t + sums[i].at(t);
        }
        return total;
    }

    private static double polynomial(double[] c, double t) {
        double value = 0;
        for (int i = c.length - 1; i >= 0; i--) {
            value = value * t + c[i];
        }
        return value;
    }

    /** Σ A·sin(p0 + p1 T + p2 T² + p3 T³ + p4 T⁴). */
    private static final class Sum {
        private final double[] amplitude;
        private final double[] p0;
        private final double[] p1;
        private final double[] p2;
        private final double[] p3;
        private final double[] p4;

        Sum(List<String[]> terms) {
            amplitude = SeriesTable.column(terms, 1);
            p0 = SeriesTable.column(terms, 2);
            p1 = SeriesTable.column(terms, 3);
            p2 = SeriesTable.column(terms, 4);
            p3 = SeriesTable.column(terms, 5);
            p4 = SeriesTable.column(terms, 6);
        }

        double at(double t) {
            double sum = 0;
            for (int i = amplitude.length - 1; i >= 0; i--) {
                sum += amplitude[i] * Math.sin(p0[i] + t * (p1[i] + t * (p2[i] + t * (p3[i] + t * p4[i]))));
            }
            return sum;
        }
    }
}
