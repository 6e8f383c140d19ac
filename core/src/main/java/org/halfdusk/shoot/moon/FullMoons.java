package org.halfdusk.shoot.moon;

import java.time.Instant;
import java.time.Year;
import java.time.ZoneOffset;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.halfdusk.sky.Sky;
import org.halfdusk.sky.events.LunarEvents;
import org.halfdusk.time.Interval;

/**
 * The full moons of a civil year (UTC) by distance: which is the largest, which the smallest.
 *
 * @param all in order of time, twelve or thirteen
 */
public record FullMoons(int year, List<FullMoon> all) {
    /**
     * One of them.
     *
     * @param at opposition in ecliptic longitude
     * @param distanceKm from the Earth's centre to its own
     */
    public record FullMoon(Instant at, double distanceKm) {
        /** Apparent diameter from the Earth's centre, arcminutes. */
        public double diameterArcmin() {
            return 60 * Math.toDegrees(2 * Math.asin(Sky.MOON_RADIUS_KM / distanceKm));
        }
    }

    public FullMoons {
        all = List.copyOf(all);
    }

    /** Of a year 1900 to 2149. */
    public static FullMoons of(Sky sky, int year) {
        Instant start = Year.of(year).atDay(1).atStartOfDay(ZoneOffset.UTC).toInstant();
        Instant end = Year.of(year + 1).atDay(1).atStartOfDay(ZoneOffset.UTC).toInstant();
        List<FullMoon> all = LunarEvents.phases(sky.ephemeris(), sky.deltaT(), Interval.of(start, end)).stream()
                .filter(p -> p.phase() == LunarEvents.Phase.FULL)
                .map(p -> new FullMoon(p.at(), LunarEvents.distanceKm(sky.ephemeris(), sky.deltaT(), p.at())))
                .toList();
        return new FullMoons(year, all);
    }

    /** The largest on the sky. */
    public FullMoon nearest() {
        return all.stream()
                .min(Comparator.comparingDouble(FullMoon::distanceKm))
                .orElseThrow();
    }

    /** The smallest on the sky. */
    public FullMoon farthest() {
        return all.stream()
                .max(Comparator.comparingDouble(FullMoon::distanceKm))
                .orElseThrow();
    }

    /** That which falls into a span of time. */
    public Optional<FullMoon> in(Interval span) {
        return all.stream().filter(m -> span.contains(m.at())).findFirst();
    }
}
