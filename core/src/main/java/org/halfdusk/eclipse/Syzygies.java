package org.halfdusk.eclipse;

import java.util.ArrayList;
import java.util.List;

/**
 * Mean new and full moons near which an eclipse is possible (Meeus, Astronomical Algorithms 2nd ed., chapters 49 and 54):
 * within about 14 hours of the true ones, and only those with the Moon within 21° of a node or so.
 */
final class Syzygies {
    /** Farther from the mean moment than this, no eclipse of that lunation takes place, days. */
    static final double REACH_DAYS = 1.0;

    private static final double LUNATION_DAYS = 29.530588861;
    private static final double FIRST_NEW_MOON_TT_DAYS = 5.09766;
    private static final double NODE_SINE = 0.40;

    private Syzygies() {}

    /** Days of TT from J2000 in the interval; full moons where wished, new moons otherwise. */
    static List<Double> near(double fromTtDays, double toTtDays, boolean full) {
        double half = full ? 0.5 : 0;
        List<Double> found = new ArrayList<>();
        long first = (long) Math.floor((fromTtDays - REACH_DAYS - FIRST_NEW_MOON_TT_DAYS) / LUNATION_DAYS - half);
        for (long n = first; ; n++) {
            double k = n + half;
            double t = FIRST_NEW_MOON_TT_DAYS + LUNATION_DAYS * k;
            if (t > toTtDays + REACH_DAYS) {
                return found;
            }
            double latitudeArgument = Math.toRadians(160.7108 + 390.67050284 * k);
            if (t >= fromTtDays - REACH_DAYS && Math.abs(Math.sin(latitudeArgument)) < NODE_SINE) {
                found.add(t);
            }
        }
    }
}
