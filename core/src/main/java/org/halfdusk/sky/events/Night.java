package org.halfdusk.sky.events;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.time.ZonedDateTime;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.halfdusk.angle.Azimuth;
import org.halfdusk.ephemeris.Body;
import org.halfdusk.sky.HorizontalPosition;
import org.halfdusk.sky.MoonPhase;
import org.halfdusk.sky.Refraction;
import org.halfdusk.sky.Sky;
import org.halfdusk.time.Interval;
import org.halfdusk.time.Moment;

/**
 * One night over one place: from local mean solar noon for 24 hours, named by that noon's civil date in the place's
 * zone.
 *
 * @param date the evening's civil date
 * @param interval noon to noon
 * @param sun whether and when it rises and sets
 * @param darkness when it is under −18°
 * @param sunUp spans with the Sun up
 * @param dark spans with the Sun under −18°
 * @param moonUp spans with the Moon's upper limb up
 * @param moonPhase at the middle of the dark (or least light)
 */
public record Night(
        Sky sky,
        LocalDate date,
        ZoneId zone,
        Interval interval,
        Rising sun,
        Darkness darkness,
        List<Interval> sunUp,
        List<Interval> dark,
        List<Interval> moonUp,
        Rising moon,
        MoonPhase moonPhase) {

    /** Three hours: in a night an altitude turns twice at the most, and never twice between three samples. */
    private static final double STEP_DAYS = 1.0 / 8;

    /** The night of an evening's date. */
    public static Night of(Sky sky, LocalDate date, ZoneId zone) {
        Interval interval = interval(sky, date, zone);
        double from = Moment.utDays(interval.start());
        double to = Moment.utDays(interval.end());
        Curve sun = Curve.of(t -> sky.altitudeDegrees(Body.SUN, t), from, to, STEP_DAYS);
        Curve moon = Curve.of(sky::moonUpperLimbDegrees, from, to, STEP_DAYS);
        List<Curve.Crossing> sunrises = sun.crossings(SkyEvents.SUNRISE_ALTITUDE);
        List<Curve.Crossing> moonrises = moon.crossings(-Refraction.AT_HORIZON_DEGREES);
        List<Interval> dark = Curve.intervals(sun.spans(SkyEvents.ASTRONOMICAL_ALTITUDE, false));
        Darkness darkness = darkness(sun, dark);
        return new Night(
                sky,
                date,
                zone,
                interval,
                rising(sun, SkyEvents.SUNRISE_ALTITUDE, sunrises),
                darkness,
                Curve.intervals(sun.spans(SkyEvents.SUNRISE_ALTITUDE, true, sunrises)),
                dark,
                Curve.intervals(moon.spans(-Refraction.AT_HORIZON_DEGREES, true, moonrises)),
                rising(moon, -Refraction.AT_HORIZON_DEGREES, moonrises),
                sky.moonPhase(middle(darkness)));
    }

    private static Darkness darkness(Curve sun, List<Interval> dark) {
        if (dark.isEmpty()) {
            Curve.Extremum lowest = sun.lowest();
            return new Darkness.NeverDark(lowest.value(), Moment.instantOf(lowest.at()));
        }
        return new Darkness.Dark(
                Interval.of(dark.get(0).start(), dark.get(dark.size() - 1).end()));
    }

    private static Instant middle(Darkness darkness) {
        return darkness instanceof Darkness.Dark dark ? dark.interval().middle() : ((Darkness.NeverDark) darkness).at();
    }

    /** The evening's date of the night that an instant belongs to. */
    public static LocalDate dateAt(Sky sky, Instant instant, ZoneId zone) {
        LocalDate guess = LocalDate.ofInstant(instant, ZoneOffset.UTC);
        for (LocalDate d = guess.minusDays(2); ; d = d.plusDays(1)) {
            if (interval(sky, d, zone).contains(instant)) {
                return d;
            }
        }
    }

    private static Interval interval(Sky sky, LocalDate date, ZoneId zone) {
        long offsetSeconds = Math.round(sky.observer().longitudeDegrees() * 240);
        Instant noon = date.atTime(12, 0).toInstant(ZoneOffset.UTC).minusSeconds(offsetSeconds);
        // Where the zone's date differs from the meridian's (near the date line), step to the noon of that civil date.
        long days = date.toEpochDay() - LocalDate.ofInstant(noon, zone).toEpochDay();
        Instant start = noon.plusSeconds(days * 86_400);
        return Interval.of(start, start.plusSeconds(86_400));
    }

    private static Rising rising(Curve curve, double level, List<Curve.Crossing> crossings) {
        if (crossings.isEmpty()) {
            Curve.Extremum lowest = curve.lowest();
            return lowest.value() >= level
                    ? new Rising.AlwaysUp(lowest.value())
                    : new Rising.AlwaysDown(curve.highest().value());
        }
        return new Rising.Crosses(first(crossings, true), first(crossings, false));
    }

    private static Optional<Instant> first(List<Curve.Crossing> crossings, boolean rising) {
        return crossings.stream().filter(c -> c.rising() == rising).findFirst().map(c -> Moment.instantOf(c.at()));
    }

    /** Spans of the night with a body at or above an airless altitude in degrees. */
    public List<Interval> above(Body body, double degrees) {
        return Curve.intervals(curve(body, interval).spans(degrees, true));
    }

    /** The moment of an interval at which a body stands highest, and where. */
    public Sighting highest(Body body, Interval within) {
        return highest(sky, body, within);
    }

    /** The same over any sky and at any time of day: the one place where it is sought. */
    public static Sighting highest(Sky sky, Body body, Interval within) {
        Instant at = Moment.instantOf(curve(sky, body, within).highest().at());
        return new Sighting(at, sky.at(body, at));
    }

    /** The moment of an interval at which a body's azimuth comes nearest to a wished one, to half a minute. */
    public Sighting nearestTo(Body body, Azimuth wished, Interval within) {
        Instant best = within.start();
        double least = Double.MAX_VALUE;
        for (Instant t = within.start(); t.isBefore(within.end()); t = t.plusSeconds(30)) {
            double off = Math.abs(sky.at(body, t).azimuth().turnTo(wished));
            if (off < least) {
                least = off;
                best = t;
            }
        }
        return new Sighting(best, sky.at(body, best));
    }

    private Curve curve(Body body, Interval within) {
        return curve(sky, body, within);
    }

    private static Curve curve(Sky sky, Body body, Interval within) {
        return Curve.of(
                t -> sky.altitudeDegrees(body, t),
                Moment.utDays(within.start()),
                Moment.utDays(within.end()),
                body == Body.BAND_TOP ? BAND_STEP_DAYS : STEP_DAYS);
    }

    /** The band's top turns wherever its plane's pole crosses zenith or horizon: half an hour, in which it does so once. */
    private static final double BAND_STEP_DAYS = 1.0 / 48;

    /** The first moment of an interval at which a body's airless altitude comes nearest to a wished one, degrees, and where. */
    public Sighting nearestAltitude(Body body, double degrees, Interval within) {
        Curve curve = curve(body, within);
        List<Curve.Crossing> crossings = curve.crossings(degrees);
        double lowest = curve.lowest().value();
        Curve.Extremum nearest = lowest > degrees ? curve.lowest() : curve.highest();
        Instant at = Moment.instantOf(
                crossings.isEmpty() ? nearest.at() : crossings.get(0).at());
        return new Sighting(at, sky.at(body, at));
    }

    /** Airless altitudes at a moment, degrees. */
    public record Course(Instant at, double sun, double moon, double core) {}

    /** Altitudes through an interval, a step apart, both ends included. */
    public List<Course> course(Interval within, Duration step) {
        return course(sky, within, step);
    }

    /** The same over any sky and at any time of day. */
    public static List<Course> course(Sky sky, Interval within, Duration step) {
        List<Course> course = new ArrayList<>();
        for (Instant t = within.start(); t.isBefore(within.end()); t = t.plus(step)) {
            course.add(courseAt(sky, t));
        }
        course.add(courseAt(sky, within.end()));
        return course;
    }

    private static Course courseAt(Sky sky, Instant at) {
        double ut = Moment.utDays(at);
        return new Course(
                at,
                sky.altitudeDegrees(Body.SUN, ut),
                sky.altitudeDegrees(Body.MOON, ut),
                sky.altitudeDegrees(Body.GALACTIC_CENTRE, ut));
    }

    /** From sunset to sunrise; the whole 24 hours where the Sun does not cross the horizon twice. */
    public Interval sunsetToSunrise() {
        return Interval.longest(interval.without(sunUp)).orElse(interval);
    }

    /** What a picture of the night shows: an hour before sunset to an hour after sunrise, on half hours, noon at the most. */
    public Interval axis() {
        Interval span = sunsetToSunrise();
        Instant from = halfHour(span.start().minusSeconds(3600), false);
        Instant to = halfHour(span.end().plusSeconds(3600), true);
        return Interval.of(from, to).intersect(interval).orElse(interval);
    }

    private Instant halfHour(Instant at, boolean up) {
        ZonedDateTime z = at.atZone(zone);
        int minutes = z.getMinute() % 30;
        ZonedDateTime down = z.truncatedTo(ChronoUnit.MINUTES).minusMinutes(minutes);
        return (up && minutes > 0 ? down.plusMinutes(30) : down).toInstant();
    }

    /** Dark spans with the Moon down. */
    public List<Interval> moonlessDark() {
        return moonless(dark);
    }

    /** What of some spans has the Moon down. */
    public List<Interval> moonless(List<Interval> spans) {
        return spans.stream().flatMap(d -> d.without(moonUp).stream()).toList();
    }

    /** A place in the sky at a time. */
    public record Sighting(Instant at, HorizontalPosition position) {}
}
