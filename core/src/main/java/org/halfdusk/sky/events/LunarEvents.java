package org.halfdusk.sky.events;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import org.halfdusk.angle.Angle;
import org.halfdusk.ephemeris.Body;
import org.halfdusk.ephemeris.Ephemeris;
import org.halfdusk.time.DeltaT;
import org.halfdusk.time.Interval;
import org.halfdusk.time.Moment;

/** Phases and apsides of the Moon, seen from the Earth's centre. */
public final class LunarEvents {
    /** Apparent ecliptic longitude of the Moon less that of the Sun: 0°, 90°, 180°, 270°. */
    public enum Phase {
        NEW,
        FIRST_QUARTER,
        FULL,
        LAST_QUARTER
    }

    /** Extremes of distance. */
    public enum Apsis {
        PERIGEE,
        APOGEE
    }

    public record PhaseEvent(Phase phase, Instant at) {}

    public record ApsisEvent(Apsis apsis, Instant at, double distanceKm) {}

    private static final double STEP_DAYS = 1;

    /** Half the step of the distance's numerical slope: its bias is seconds, its noise less. */
    private static final double SLOPE_DAYS = 0.05;

    private final Ephemeris ephemeris;
    private final DeltaT deltaT;
    private final double from;
    private final double to;

    private LunarEvents(Ephemeris ephemeris, DeltaT deltaT, Interval interval) {
        this.ephemeris = ephemeris;
        this.deltaT = deltaT;
        this.from = Moment.utDays(interval.start());
        this.to = Moment.utDays(interval.end());
    }

    /** Phases in the interval, in order; within 1 s of JPL-based times. */
    public static List<PhaseEvent> phases(Ephemeris ephemeris, DeltaT deltaT, Interval interval) {
        LunarEvents search = new LunarEvents(ephemeris, deltaT, interval);
        List<PhaseEvent> events = new ArrayList<>();
        for (Phase phase : Phase.values()) {
            double target = phase.ordinal() * Math.PI / 2;
            Curve curve = Curve.of(t -> Math.sin(search.elongationRad(t) - target), search.from, search.to, STEP_DAYS);
            for (Curve.Crossing c : curve.crossings(0)) {
                if (c.rising() && Math.cos(search.elongationRad(c.at()) - target) > 0) {
                    events.add(new PhaseEvent(phase, Moment.instantOf(c.at())));
                }
            }
        }
        events.sort(Comparator.comparing(PhaseEvent::at));
        return events;
    }

    /** Perigees and apogees in the interval, in order; within seconds and tenths of a kilometre. */
    public static List<ApsisEvent> apsides(Ephemeris ephemeris, DeltaT deltaT, Interval interval) {
        LunarEvents search = new LunarEvents(ephemeris, deltaT, interval);
        Curve slope = Curve.of(
                t -> search.distance(t + SLOPE_DAYS) - search.distance(t - SLOPE_DAYS),
                search.from,
                search.to,
                STEP_DAYS);
        return slope.crossings(0).stream()
                .map(c -> new ApsisEvent(
                        c.rising() ? Apsis.PERIGEE : Apsis.APOGEE, Moment.instantOf(c.at()), search.distance(c.at())))
                .toList();
    }

    /** From the Earth's centre to the Moon's, km. */
    public static double distanceKm(Ephemeris ephemeris, DeltaT deltaT, Instant at) {
        return distanceKm(ephemeris, Moment.of(at, deltaT));
    }

    private static double distanceKm(Ephemeris ephemeris, Moment at) {
        return ephemeris.apparent(Body.MOON, at.ttDays()).length();
    }

    private double distance(double utDays) {
        return distanceKm(ephemeris, Moment.ofUtDays(utDays, deltaT));
    }

    private double elongationRad(double utDays) {
        double tt = Moment.ofUtDays(utDays, deltaT).ttDays();
        Angle moon = ephemeris.eclipticPlace(Body.MOON, tt).longitude();
        return moon.minus(ephemeris.eclipticPlace(Body.SUN, tt).longitude())
                .wrapped()
                .radians();
    }
}
