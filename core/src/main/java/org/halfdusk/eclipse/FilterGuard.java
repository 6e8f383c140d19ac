package org.halfdusk.eclipse;

import java.time.Duration;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.Optional;
import java.util.OptionalDouble;
import org.halfdusk.place.Observer;
import org.halfdusk.place.geodesy.GreatCircle;
import org.halfdusk.sky.Sky;
import org.halfdusk.sky.events.Curve;
import org.halfdusk.time.Interval;
import org.halfdusk.time.Moment;

/**
 * The one judge of when a lens may be bare in a solar eclipse; nothing else may decide it.
 *
 * <p>1. Contacts are shown with the mean lunar radius, k = 0.2725076 equatorial radii. The real moon has valleys, through
 * which sunlight falls for a second or two after that second contact and before that third one, and near the path's edge
 * there are places at which the mean moon covers the sun and the real one does not. So the guard takes the smaller k =
 * 0.272281 of the older tables (IAU 1982 to 2000 for total eclipses: the moon's lowest valleys), with which totality is
 * shorter and its path narrower.
 *
 * <p>2. From that time a margin is taken at each end: 3 s, up to 15 at the photographer's wish, never less. It holds the
 * clock's error, the hand's, and what a smooth limb neglects. The bare time begins and ends on whole seconds inside it.
 *
 * <p>3. Where C3 − C2 at that k, before the margins, is under 20 s, or less than 14 s would be left, there is none at all:
 * at the edge the filter stays on.
 *
 * @param verdict what it comes to here
 * @param off when the lens may be bare; nothing but in the middle of totality
 * @param marginSeconds taken at each end, 3 to 15
 * @param insideLimitKm distance to the nearest limit of the path as the smaller moon draws it, along the ground; negative
 *     outside; nothing where no limit is within 1,000 km. Good to 1 %, and to 0.1 km near the limit
 */
public record FilterGuard(Verdict verdict, Optional<Interval> off, double marginSeconds, OptionalDouble insideLimitKm) {
    /** What it comes to. */
    public enum Verdict {
        /** Bare in the middle of totality. */
        BARE_IN_TOTALITY,
        /** Total, but so near to the edge of the path that the filter stays on. */
        AT_THE_EDGE,
        /** Partial or annular here, or no eclipse: never bare. */
        NEVER
    }

    /** Lunar radius of the guard, equatorial radii of the earth. */
    public static final double LUNAR_K = 0.272281;

    public static final double LEAST_MARGIN_SECONDS = 3;
    public static final double MOST_MARGIN_SECONDS = 15;

    private static final double MOON_RADIUS_KM = LUNAR_K * Observer.EQUATORIAL_RADIUS_KM;
    private static final double LEAST_TOTALITY_SECONDS = 20;
    private static final double LEAST_BARE_SECONDS = 14;
    private static final double FARTHEST_LIMIT_KM = 1000;
    private static final double HALF_TOTALITY_DAYS = 0.01;
    private static final double MAXIMUM_MOVES_DAYS = 0.06;

    /** No eclipse, nothing to bare a lens for. */
    public static final FilterGuard NO_ECLIPSE =
            new FilterGuard(Verdict.NEVER, Optional.empty(), LEAST_MARGIN_SECONDS, OptionalDouble.empty());

    /** @throws IllegalArgumentException where the margin is outside 3 to 15 s */
    public FilterGuard {
        if (!(marginSeconds >= LEAST_MARGIN_SECONDS && marginSeconds <= MOST_MARGIN_SECONDS)) {
            throw new IllegalArgumentException("filter margin " + marginSeconds + " s is outside 3 to 15 s");
        }
        if (verdict != Verdict.BARE_IN_TOTALITY && off.isPresent()) {
            throw new IllegalArgumentException("a bare time without the verdict for it");
        }
    }

    /** With the least margin. */
    public static FilterGuard of(Sky sky, SolarEclipse eclipse) {
        return of(sky, eclipse, LEAST_MARGIN_SECONDS);
    }

    /**
     * @param marginSeconds 3 to 15: nobody can make it less
     * @throws IllegalArgumentException where it is outside
     */
    public static FilterGuard of(Sky sky, SolarEclipse eclipse, double marginSeconds) {
        OptionalDouble inside = insideLimitKm(sky, Moment.utDays(eclipse.maximum()));
        if (eclipse.type() != SolarEclipse.Type.TOTAL) {
            return new FilterGuard(Verdict.NEVER, Optional.empty(), marginSeconds, inside);
        }
        Optional<Interval> off = totality(sky, Moment.utDays(eclipse.maximum()))
                .filter(t -> t.duration().toMillis() >= LEAST_TOTALITY_SECONDS * 1000)
                .flatMap(t -> within(t, Math.round(marginSeconds * 1000)))
                .filter(t -> t.duration().toMillis() >= LEAST_BARE_SECONDS * 1000);
        return new FilterGuard(
                off.isPresent() ? Verdict.BARE_IN_TOTALITY : Verdict.AT_THE_EDGE, off, marginSeconds, inside);
    }

    private static Optional<Interval> within(Interval totality, long marginMillis) {
        Instant from =
                totality.start().plusMillis(marginMillis).plusNanos(999_999_999).truncatedTo(ChronoUnit.SECONDS);
        return Interval.between(from, totality.end().minusMillis(marginMillis).truncatedTo(ChronoUnit.SECONDS));
    }

    /** By how much the smaller moon's rim stands over the sun's, radians: above 0 the sun is covered by it. */
    private static double covered(Sky sky, double utDays) {
        Sky.Pair pair = sky.sunAndMoon(sky.moment(utDays));
        return Math.asin(MOON_RADIUS_KM / pair.moon().length())
                - Math.asin(Sky.SUN_RADIUS_KM / pair.sun().length())
                - pair.sun().separationRad(pair.moon());
    }

    private static Optional<Interval> totality(Sky sky, double maximum) {
        if (!(covered(sky, maximum) > 0)) {
            return Optional.empty();
        }
        return Interval.between(
                Moment.instantOf(crossing(sky, maximum, maximum - HALF_TOTALITY_DAYS)),
                Moment.instantOf(crossing(sky, maximum, maximum + HALF_TOTALITY_DAYS)));
    }

    /** Bisection from inside to outside, to a tenth of a millisecond, on the covered side. */
    private static double crossing(Sky sky, double inside, double outside) {
        double in = inside;
        double out = outside;
        while (Math.abs(out - in) > 1e-9) {
            double middle = (in + out) / 2;
            if (covered(sky, middle) > 0) {
                in = middle;
            } else {
                out = middle;
            }
        }
        return in;
    }

    /** Deepest covering over time at a place: the square of the separation is a parabola about its least value. */
    private static double deepest(Sky sky, double latitude, double longitude, double about) {
        Sky there = sky.from(Observer.of(latitude, longitude, sky.observer().elevationMetres()));
        double at = about;
        double step = 0.01;
        for (int i = 0; i < 4; i++) {
            double before = squared(there, at - step);
            double now = squared(there, at);
            double after = squared(there, at + step);
            double bend = after - 2 * now + before;
            double move = bend > 0 ? step * (before - after) / (2 * bend) : 0;
            at = Math.max(about - MAXIMUM_MOVES_DAYS, Math.min(about + MAXIMUM_MOVES_DAYS, at + move));
            step /= 6;
        }
        return covered(there, at);
    }

    private static double squared(Sky sky, double utDays) {
        Sky.Pair pair = sky.sunAndMoon(sky.moment(utDays));
        double separation = pair.sun().separationRad(pair.moon());
        return separation * separation;
    }

    /**
     * Along the steepest way to the limit, turned where that way bends: the depth of the covering falls evenly from the
     * centre line to both sides.
     */
    private static OptionalDouble insideLimitKm(Sky sky, double maximum) {
        double latitude = sky.observer().latitudeDegrees();
        double longitude = sky.observer().longitudeDegrees();
        double depth = deepest(sky, latitude, longitude, maximum);
        boolean inside = depth > 0;
        double bearing = steepest(sky, latitude, longitude, maximum) + (inside ? 180 : 0);
        OptionalDouble km = OptionalDouble.empty();
        for (int turn = 0; turn < 4; turn++) {
            km = along(sky, latitude, longitude, bearing, inside, maximum);
            if (km.isEmpty()) {
                return km;
            }
            double[] limit = GreatCircle.destination(latitude, longitude, bearing, km.getAsDouble());
            // At the nearest point of the limit the way to it stands square to it.
            double square = steepest(sky, limit[0], limit[1], maximum) + (inside ? 180 : 0);
            double backAt = GreatCircle.bearingDegrees(limit[0], limit[1], latitude, longitude) + 180;
            double off = Math.IEEEremainder(square - backAt, 360);
            if (km.getAsDouble() < 1 || Math.abs(off) < 1 || Math.abs(off) > 60) {
                break;
            }
            bearing += off;
        }
        return inside ? km : OptionalDouble.of(-km.getAsDouble());
    }

    /** Direction in which the covering gets deeper, degrees. */
    private static double steepest(Sky sky, double latitude, double longitude, double maximum) {
        double step = 2;
        double[] by = new double[4];
        for (int i = 0; i < 4; i++) {
            double[] p = GreatCircle.destination(latitude, longitude, 90 * i, step);
            by[i] = deepest(sky, p[0], p[1], maximum);
        }
        return Math.toDegrees(Math.atan2(by[1] - by[3], by[0] - by[2]));
    }

    private static OptionalDouble along(
            Sky sky, double latitude, double longitude, double bearing, boolean inside, double maximum) {
        double atNear = depthAt(sky, latitude, longitude, bearing, 0, maximum);
        double near = 0;
        double far = 2;
        double atFar = depthAt(sky, latitude, longitude, bearing, far, maximum);
        while (inside == atFar > 0) {
            if (far > FARTHEST_LIMIT_KM) {
                return OptionalDouble.empty();
            }
            // As far again as the fall so far promises, and a little more.
            double promised = atNear == atFar ? 2 * far : far + atFar * (far - near) / (atNear - atFar);
            near = far;
            atNear = atFar;
            far = Math.min(1.1 * FARTHEST_LIMIT_KM, Math.max(1.05 * Math.abs(promised), 1.3 * far));
            atFar = depthAt(sky, latitude, longitude, bearing, far, maximum);
        }
        if (atNear == 0 || atFar == 0) {
            return OptionalDouble.of(atNear == 0 ? near : far);
        }
        double limit = Curve.root(km -> depthAt(sky, latitude, longitude, bearing, km, maximum), near, far);
        return limit > FARTHEST_LIMIT_KM ? OptionalDouble.empty() : OptionalDouble.of(limit);
    }

    private static double depthAt(
            Sky sky, double latitude, double longitude, double bearing, double km, double maximum) {
        double[] p = GreatCircle.destination(latitude, longitude, bearing, km);
        return deepest(sky, p[0], p[1], maximum);
    }

    /** Whether every lens and finder must be filtered at a moment. Eyes have their own rule: ISO 12312-2. */
    public boolean filtered(Instant at) {
        return off.map(o -> !o.contains(at)).orElse(true);
    }

    /** How long a lens may be bare; zero where never. */
    public Duration bare() {
        return off.map(Interval::duration).orElse(Duration.ZERO);
    }
}
