package org.halfdusk.shoot.search;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.halfdusk.eclipse.LunarEclipse;
import org.halfdusk.eclipse.SolarEclipse;
import org.halfdusk.ephemeris.Body;
import org.halfdusk.shoot.Subject;
import org.halfdusk.shoot.SubjectNight;
import org.halfdusk.sky.Sky;
import org.halfdusk.sky.events.Night;
import org.halfdusk.sky.events.SkyEvents;
import org.halfdusk.sky.events.Windows;
import org.halfdusk.time.Interval;

/**
 * An eclipse that is seen from a place, whatever is planned there: each subject is told of it, since it changes the picture.
 *
 * @param subject that plans it
 * @param night under whose date that subject has it
 * @param seen from the first of it in sight to the last: of a lunar one the umbra's part, or the penumbra's where it is nothing else
 * @param kind total, partial, annular, penumbral: here
 * @param covered share of the diameter at its deepest, of a penumbral one that in the penumbra
 */
public record EclipseInSight(
        Subject subject, LocalDate night, Instant greatest, Interval seen, Kind kind, double covered) {
    /** What it comes to here. */
    public enum Kind {
        PENUMBRAL,
        PARTIAL,
        TOTAL,
        ANNULAR
    }

    /** Whether it is the moon that is eclipsed, not the sun. */
    public boolean ofTheMoon() {
        return subject == Subject.LUNAR_ECLIPSE;
    }

    /** A Moon less deep in the penumbra looks like any full one†. */
    private static final double SHOWS_IN_PENUMBRA = 0.6;

    /** Those that a night's axis sees something of, in order of time. */
    public static List<EclipseInSight> of(SubjectNight night) {
        return of(night.sky(), night.zone(), night.axis());
    }

    /** Those of which something is seen in a span, in order of time. */
    public static List<EclipseInSight> of(Sky sky, ZoneId zone, Interval span) {
        // The middle may lie outside while an end lies in the span.
        Interval wide =
                Interval.of(span.start().minusSeconds(4 * 3600), span.end().plusSeconds(4 * 3600));
        List<EclipseInSight> found = new ArrayList<>();
        for (LunarEclipse e : LunarEclipse.find(sky.ephemeris(), sky.deltaT(), wide)) {
            lunar(sky, zone, span, e).ifPresent(found::add);
        }
        for (SolarEclipse e : SolarEclipse.find(sky, wide)) {
            solar(sky, zone, span, e).ifPresent(found::add);
        }
        found.sort(Comparator.comparing(EclipseInSight::greatest));
        return found;
    }

    private static Optional<EclipseInSight> lunar(Sky sky, ZoneId zone, Interval span, LunarEclipse e) {
        if (e.type() == LunarEclipse.Type.PENUMBRAL && e.penumbralMagnitude() < SHOWS_IN_PENUMBRA) {
            return Optional.empty();
        }
        Interval part = e.umbra().orElse(e.penumbra());
        return inSight(Windows.of(sky, part).above(Body.MOON, SkyEvents.SUNRISE_ALTITUDE), span)
                .map(seen -> new EclipseInSight(
                        Subject.LUNAR_ECLIPSE,
                        Night.dateAt(sky, e.greatest(), zone),
                        e.greatest(),
                        seen,
                        Kind.valueOf(e.type().name()),
                        e.type() == LunarEclipse.Type.PENUMBRAL ? e.penumbralMagnitude() : e.umbralMagnitude()));
    }

    private static Optional<EclipseInSight> solar(Sky sky, ZoneId zone, Interval span, SolarEclipse e) {
        if (!e.visible()) {
            return Optional.empty();
        }
        return inSight(Windows.of(sky, e.partial()).above(Body.SUN, SkyEvents.SUNRISE_ALTITUDE), span)
                .map(seen -> new EclipseInSight(
                        Subject.SOLAR_ECLIPSE,
                        LocalDate.ofInstant(e.maximum(), zone),
                        e.maximum(),
                        seen,
                        Kind.valueOf(e.type().name()),
                        e.magnitude()));
    }

    private static Optional<Interval> inSight(List<Interval> up, Interval span) {
        List<Interval> seen = Interval.intersect(up, List.of(span));
        return seen.isEmpty()
                ? Optional.empty()
                : Optional.of(Interval.of(
                        seen.get(0).start(), seen.get(seen.size() - 1).end()));
    }
}
