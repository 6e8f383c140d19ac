package org.halfdusk.sky.events;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import java.util.function.DoubleUnaryOperator;
import org.halfdusk.angle.Vector;
import org.halfdusk.ephemeris.Body;
import org.halfdusk.sky.HorizontalPosition;
import org.halfdusk.sky.Refraction;
import org.halfdusk.sky.Sky;
import org.halfdusk.time.Interval;
import org.halfdusk.time.Moment;

/** Rise, set, twilight and transit over one observer. */
public final class SkyEvents {
    /** The Sun's centre at sunrise and sunset, degrees: 34′ of refraction and 16′ of semidiameter. */
    public static final double SUNRISE_ALTITUDE = -50.0 / 60;

    public static final double CIVIL_ALTITUDE = -6;
    public static final double NAUTICAL_ALTITUDE = -12;
    public static final double ASTRONOMICAL_ALTITUDE = -18;

    /** Longest interval of one search, days. */
    public static final int LONGEST_DAYS = 400;

    /** Altitudes have one extremum in 12 hours; a twelfth of a day leaves no second one between samples. */
    static final double STEP_DAYS = 1.0 / 12;

    private final Sky sky;
    private final double from;
    private final double to;

    private SkyEvents(Sky sky, Interval interval) {
        if (interval.hours() > LONGEST_DAYS * 24.0) {
            throw new IllegalArgumentException(
                    "interval of " + Math.round(interval.hours() / 24) + " days is longer than " + LONGEST_DAYS);
        }
        this.sky = sky;
        this.from = Moment.utDays(interval.start());
        this.to = Moment.utDays(interval.end());
    }

    /** All events of the wanted types in the interval, in order. */
    public static List<SkyEvent> find(Sky sky, Interval interval, Set<EventType> types) {
        SkyEvents search = new SkyEvents(sky, interval);
        List<SkyEvent> events = new ArrayList<>();
        search.sun(types, events);
        search.moon(types, events);
        search.core(types, events);
        events.sort(Comparator.comparing(SkyEvent::at));
        return events;
    }

    /** All events in the interval, in order. */
    public static List<SkyEvent> find(Sky sky, Interval interval) {
        return find(sky, interval, EnumSet.allOf(EventType.class));
    }

    /** When a body's airless centre crosses an altitude in degrees, rising or falling; at most 400 days. */
    public static List<Curve.Crossing> crossings(Sky sky, Body body, double altitudeDegrees, Interval interval) {
        SkyEvents search = new SkyEvents(sky, interval);
        return search.curve(t -> sky.altitudeDegrees(body, t)).crossings(altitudeDegrees);
    }

    private Curve curve(DoubleUnaryOperator f) {
        return Curve.of(f, from, to, STEP_DAYS);
    }

    private void sun(Set<EventType> types, List<SkyEvent> events) {
        Curve sun = curve(t -> sky.altitudeDegrees(Body.SUN, t));
        add(types, events, sun, SUNRISE_ALTITUDE, EventType.SUNRISE, EventType.SUNSET, Body.SUN);
        add(types, events, sun, CIVIL_ALTITUDE, EventType.CIVIL_DAWN, EventType.CIVIL_DUSK, Body.SUN);
        add(types, events, sun, NAUTICAL_ALTITUDE, EventType.NAUTICAL_DAWN, EventType.NAUTICAL_DUSK, Body.SUN);
        add(
                types,
                events,
                sun,
                ASTRONOMICAL_ALTITUDE,
                EventType.ASTRONOMICAL_DAWN,
                EventType.ASTRONOMICAL_DUSK,
                Body.SUN);
    }

    private void moon(Set<EventType> types, List<SkyEvent> events) {
        if (types.contains(EventType.MOONRISE) || types.contains(EventType.MOONSET)) {
            Curve limb = curve(sky::moonUpperLimbDegrees);
            add(types, events, limb, -Refraction.AT_HORIZON_DEGREES, EventType.MOONRISE, EventType.MOONSET, Body.MOON);
        }
        transit(types, events, Body.MOON, EventType.MOON_TRANSIT);
    }

    private void core(Set<EventType> types, List<SkyEvent> events) {
        if (types.contains(EventType.CORE_RISE) || types.contains(EventType.CORE_SET)) {
            Curve core = curve(t -> sky.altitudeDegrees(Body.GALACTIC_CENTRE, t));
            add(types, events, core, 0, EventType.CORE_RISE, EventType.CORE_SET, Body.GALACTIC_CENTRE);
        }
        transit(types, events, Body.GALACTIC_CENTRE, EventType.CORE_TRANSIT);
    }

    private void add(
            Set<EventType> types,
            List<SkyEvent> events,
            Curve curve,
            double level,
            EventType rising,
            EventType falling,
            Body body) {
        if (!types.contains(rising) && !types.contains(falling)) {
            return;
        }
        for (Curve.Crossing c : curve.crossings(level)) {
            EventType type = c.rising() ? rising : falling;
            if (types.contains(type)) {
                events.add(event(type, body, c.at()));
            }
        }
    }

    /** Upper transits: the body passes the meridian on the equator's side of the pole, from east to west. */
    private void transit(Set<EventType> types, List<SkyEvent> events, Body body, EventType type) {
        if (!types.contains(type)) {
            return;
        }
        Curve east = curve(t -> {
            Vector v = sky.meridian(body, sky.moment(t));
            return v.y() / Math.sqrt(v.x() * v.x() + v.y() * v.y());
        });
        for (Curve.Crossing c : east.crossings(0)) {
            if (sky.meridian(body, sky.moment(c.at())).x() > 0) {
                events.add(event(type, body, c.at()));
            }
        }
    }

    private SkyEvent event(EventType type, Body body, double utDays) {
        Instant at = Moment.instantOf(utDays);
        return new SkyEvent(type, at, HorizontalPosition.of(sky.northEastUp(body, sky.moment(utDays))));
    }
}
