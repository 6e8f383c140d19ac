package org.halfdusk.eclipse;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.TreeSet;
import java.util.function.DoubleUnaryOperator;
import org.halfdusk.angle.Vector;
import org.halfdusk.ephemeris.Body;
import org.halfdusk.place.Observer;
import org.halfdusk.place.geodesy.GreatCircle;
import org.halfdusk.sky.Sky;
import org.halfdusk.sky.events.Curve;
import org.halfdusk.time.Interval;
import org.halfdusk.time.Moment;

/**
 * Where on the ground an eclipse of the Sun is total or annular: the line of the shadow's axis and the limits on both sides.
 *
 * <ol>
 *   <li>Sun and Moon are points of the apparent geocentric sky turned with the Earth, between nodes ten minutes apart by a
 *       polynomial through six of them.
 *   <li>The axis runs from the Sun through the Moon. Where it first meets the WGS 84 ellipsoid at sea level is the centre line.
 *   <li>About the axis lies the Moon's cone, r(s) = k a − s (R☉ − k a)/D with s from the Moon along the axis, k = 0.2725076 as
 *       for the contacts of one place; where r is negative its size is the ring's.
 *   <li>A place lies within the limits when at some time its distance from the axis is less than |r|. The limits are found
 *       from each point of the centre line outwards, square to its way over the ground, by halving.
 * </ol>
 *
 * <p>How long it lasts agrees with the contacts of single places within a second (EclipsePathTest); mountains and the Moon's limb
 * move the limits by a kilometre or two. Nearer than some minutes to sunrise or sunset the limits are left out, since the shadow grazes.
 */
public final class EclipsePath {
    /** Between moments at which the nearest one is looked for, days. */
    private static final double COARSE_DAYS = 1.0 / 24;

    private static final double NODE_DAYS = 10.0 / 1440;
    private static final double STEP_DAYS = 2.0 / 1440;
    private static final double REACH_DAYS = 3.5 / 24;

    /** Points nearer than a second to one another are one. */
    private static final double LEAST_APART_DAYS = 1.0 / 86_400;

    /** The shadow passes a place within this time of the moment at which it is nearest on the centre line, days. */
    private static final double PASSING_DAYS = 12.0 / 1440;

    /** Farther from the centre line no limit lies†, km. */
    private static final double WIDEST_KM = 2000;

    /** A limit where the Sun stands lower than this is not seen by anybody. */
    private static final double LOWEST_SUN_DEGREES = -0.9;

    private static final double POLAR = 1 - Observer.FLATTENING;

    private final SolarEclipse.Type type;
    private final Instant greatest;
    private final List<Point> points;
    private final Shadow shadow;

    /**
     * A point of the centre line.
     *
     * @param latitudeDegrees and longitude, −180 to 180
     * @param lasts how long it is total or annular there
     * @param left limit on the left of the shadow's way, latitude and longitude; nothing where the shadow grazes the ground
     * @param right limit
     * @param sunDegrees the Sun's airless altitude
     */
    public record Point(
            Instant at,
            double latitudeDegrees,
            double longitudeDegrees,
            Duration lasts,
            double sunDegrees,
            Optional<double[]> left,
            Optional<double[]> right) {
        /** From limit to limit along the ground, km; 0 where they are not known. */
        public double widthKm() {
            return left.isEmpty() || right.isEmpty()
                    ? 0
                    : GreatCircle.distanceKm(left.get()[0], left.get()[1], right.get()[0], right.get()[1]);
        }
    }

    private EclipsePath(SolarEclipse.Type type, Instant greatest, List<Point> points, Shadow shadow) {
        this.type = type;
        this.greatest = greatest;
        this.points = List.copyOf(points);
        this.shadow = shadow;
    }

    /** Total or annular, as at the greatest. */
    public SolarEclipse.Type type() {
        return type;
    }

    /** When the axis runs nearest to the Earth's centre. */
    public Instant greatest() {
        return greatest;
    }

    /** Along the centre line in order of time; never empty. */
    public List<Point> points() {
        return points;
    }

    /** The point of the greatest eclipse. */
    public Point middle() {
        return Collections.min(
                points,
                Comparator.comparing(p -> Duration.between(p.at(), greatest).abs()));
    }

    /** The point of the centre line that is nearest to a place. */
    public Point nearest(double latitude, double longitude) {
        Point nearest = Collections.min(
                points,
                Comparator.comparingDouble(
                        p -> GreatCircle.distanceKm(latitude, longitude, p.latitudeDegrees(), p.longitudeDegrees())));
        double around = Moment.utDays(nearest.at());
        double best = lowest(
                t -> shadow.ground(t)
                        .map(g -> GreatCircle.distanceKm(latitude, longitude, g[0], g[1]))
                        .orElse(Double.MAX_VALUE),
                around - STEP_DAYS,
                around + STEP_DAYS);
        return shadow.point(best).orElse(nearest);
    }

    /** How long it is total or annular at a place at sea level; nothing outside the path. */
    public Optional<Duration> lasts(double latitude, double longitude) {
        Point p = nearest(latitude, longitude);
        return shadow.lasts(Shadow.fixed(latitude, longitude), Moment.utDays(p.at()));
    }

    /**
     * The path of the eclipse whose greatest falls into the interval, at most one is looked for; nothing where there is none or no
     * place has it total or annular with its axis on the ground.
     *
     * @param sky of any place
     */
    public static Optional<EclipsePath> find(Sky sky, Interval interval) {
        Sky greenwich = sky.from(Observer.of(0, 0, 0));
        Moment from = sky.moment(interval.start());
        Moment to = sky.moment(interval.end());
        double apart = from.ttDays() - from.utDays();
        for (double tt : Syzygies.near(from.ttDays(), to.ttDays(), false)) {
            Shadow shadow = Shadow.about(greenwich, tt - apart);
            double greatest = shadow.greatest();
            Instant at = Moment.instantOf(greatest);
            if (interval.contains(at) && shadow.ground(greatest).isPresent()) {
                List<Point> points = new ArrayList<>();
                shadow.times(greatest).forEach(t -> shadow.point(t).ifPresent(points::add));
                if (!points.isEmpty()) {
                    SolarEclipse.Type type =
                            shadow.radius(greatest) > 0 ? SolarEclipse.Type.TOTAL : SolarEclipse.Type.ANNULAR;
                    return Optional.of(new EclipsePath(type, at, points, shadow));
                }
            }
        }
        return Optional.empty();
    }

    /** A tenth of a second. */
    private static final double NEAR_ENOUGH_DAYS = 1e-6;

    private static double lowest(DoubleUnaryOperator f, double from, double to) {
        return Curve.lowest(f, from, to, NEAR_ENOUGH_DAYS).at();
    }

    /** Sun and Moon over the turning Earth, km, x through Greenwich's meridian, z through the north pole. */
    private static final class Shadow {
        private final double first;
        private final Vector[] suns;
        private final Vector[] moons;
        private final double middle;

        private Shadow(double first, Vector[] suns, Vector[] moons, double middle) {
            this.first = first;
            this.suns = suns;
            this.moons = moons;
            this.middle = middle;
        }

        static Shadow about(Sky greenwich, double meanUtDays) {
            DoubleUnaryOperator apart = t -> {
                Moment m = greenwich.moment(t);
                Vector sun = greenwich.ephemeris().apparent(Body.SUN, m.ttDays());
                Vector moon = greenwich.ephemeris().apparent(Body.MOON, m.ttDays());
                return axisDistance(sun, moon);
            };
            double middle = meanUtDays;
            double least = Double.POSITIVE_INFINITY;
            for (double t = meanUtDays - Syzygies.REACH_DAYS; t <= meanUtDays + Syzygies.REACH_DAYS; t += COARSE_DAYS) {
                double d = apart.applyAsDouble(t);
                if (d < least) {
                    least = d;
                    middle = t;
                }
            }
            middle = lowest(apart, middle - COARSE_DAYS, middle + COARSE_DAYS);
            int half = (int) Math.ceil(REACH_DAYS / NODE_DAYS) + 4;
            Vector[] suns = new Vector[2 * half + 1];
            Vector[] moons = new Vector[2 * half + 1];
            double first = middle - half * NODE_DAYS;
            for (int i = 0; i <= 2 * half; i++) {
                Moment m = greenwich.moment(first + i * NODE_DAYS);
                double turned = greenwich.siderealTimeRad(m);
                suns[i] = greenwich.ephemeris().apparent(Body.SUN, m.ttDays()).aboutZ(turned);
                moons[i] = greenwich.ephemeris().apparent(Body.MOON, m.ttDays()).aboutZ(turned);
            }
            return new Shadow(first, suns, moons, middle);
        }

        private static double axisDistance(Vector sun, Vector moon) {
            return moon.cross(moon.minus(sun).unit()).length();
        }

        double greatest() {
            return middle;
        }

        private Vector sun(double t) {
            return between(suns, t);
        }

        private Vector moon(double t) {
            return between(moons, t);
        }

        /** Lagrange's polynomial through six nodes. */
        private Vector between(Vector[] nodes, double t) {
            double at = (t - first) / NODE_DAYS;
            int from = Math.max(0, Math.min(nodes.length - 6, (int) Math.floor(at) - 2));
            Vector sum = new Vector(0, 0, 0);
            for (int i = 0; i < 6; i++) {
                double weight = 1;
                for (int j = 0; j < 6; j++) {
                    if (j != i) {
                        weight *= (at - from - j) / (i - j);
                    }
                }
                sum = sum.plus(nodes[from + i].times(weight));
            }
            return sum;
        }

        /** The cone's radius where the axis comes to the ground, km; negative for a ring. */
        double radius(double t) {
            return ground(t).map(g -> radius(t, fixed(g[0], g[1]))).orElse(0.0);
        }

        private double radius(double t, Vector place) {
            Vector moon = moon(t);
            Vector way = moon.minus(sun(t));
            double along = place.minus(moon).dot(way.unit());
            return SolarEclipse.MOON_RADIUS_KM
                    - along * (Sky.SUN_RADIUS_KM - SolarEclipse.MOON_RADIUS_KM) / way.length();
        }

        /** How deep a place stands in the cone, km; negative outside. */
        private double depth(double t, Vector place) {
            Vector moon = moon(t);
            Vector way = moon.minus(sun(t)).unit();
            return Math.abs(radius(t, place)) - place.minus(moon).cross(way).length();
        }

        /** Latitude and longitude where the axis first meets the ground. */
        Optional<double[]> ground(double t) {
            Vector moon = moon(t);
            Vector way = moon.minus(sun(t)).unit();
            // The ellipsoid drawn out along its axis to a sphere.
            Vector m = new Vector(moon.x(), moon.y(), moon.z() / POLAR);
            Vector w = new Vector(way.x(), way.y(), way.z() / POLAR);
            double a = w.dot(w);
            double b = m.dot(w);
            double c = m.dot(m) - Observer.EQUATORIAL_RADIUS_KM * Observer.EQUATORIAL_RADIUS_KM;
            double root = b * b - a * c;
            if (root < 0) {
                return Optional.empty();
            }
            double s = (-b - Math.sqrt(root)) / a;
            Vector p = moon.plus(way.times(s));
            double latitude = Math.atan2(p.z(), Math.hypot(p.x(), p.y()) * POLAR * POLAR);
            return Optional.of(new double[] {Math.toDegrees(latitude), Math.toDegrees(Math.atan2(p.y(), p.x()))});
        }

        /** Of a place at sea level, km. */
        static Vector fixed(double latitude, double longitude) {
            Observer o = Observer.of(latitude, Math.IEEEremainder(longitude, 360), 0);
            double lon = Math.toRadians(longitude);
            return new Vector(
                    o.axisDistanceKm() * Math.cos(lon), o.axisDistanceKm() * Math.sin(lon), o.equatorDistanceKm());
        }

        /** Every two minutes about the greatest while the axis meets the ground, closer by its ends where it races, and its ends. */
        List<Double> times(double greatest) {
            double begin = end(greatest, -1);
            double end = end(greatest, 1);
            TreeSet<Double> wanted = new TreeSet<>(List.of(begin, begin + STEP_DAYS / 16, end - STEP_DAYS / 16, end));
            for (int quarter = 1; quarter <= 4; quarter++) {
                wanted.add(begin + quarter * STEP_DAYS / 4);
                wanted.add(end - quarter * STEP_DAYS / 4);
            }
            for (long step = (long) Math.ceil((begin - greatest) / STEP_DAYS);
                    greatest + step * STEP_DAYS < end;
                    step++) {
                wanted.add(greatest + step * STEP_DAYS);
            }
            List<Double> times = new ArrayList<>();
            for (double t : wanted.subSet(begin, true, end, true)) {
                boolean apart = times.isEmpty() || t - times.get(times.size() - 1) > LEAST_APART_DAYS;
                if (apart) {
                    times.add(t);
                } else if (t == greatest || t == end) {
                    times.set(times.size() - 1, t);
                }
            }
            return times;
        }

        /** The last moment before or after the greatest at which the axis meets the ground. */
        private double end(double greatest, int way) {
            double on = greatest;
            double off = greatest + way * REACH_DAYS;
            for (int i = 0; i < 40; i++) {
                double between = (on + off) / 2;
                if (ground(between).isPresent()) {
                    on = between;
                } else {
                    off = between;
                }
            }
            return on;
        }

        Optional<Point> point(double t) {
            return ground(t).map(g -> {
                Vector place = fixed(g[0], g[1]);
                double bearing = bearing(t, g);
                return new Point(
                        Moment.instantOf(t),
                        g[0],
                        g[1],
                        lasts(place, t).orElse(Duration.ZERO),
                        sunDegrees(t, g),
                        limit(t, g, bearing - 90),
                        limit(t, g, bearing + 90));
            });
        }

        /** The Sun's airless altitude at a latitude and longitude. */
        private double sunDegrees(double t, double[] at) {
            Vector up = Vector.ofSpherical(Math.toRadians(at[1]), Math.toRadians(at[0]), 1);
            return 90 - Math.toDegrees(sun(t).minus(fixed(at[0], at[1])).separationRad(up));
        }

        /** Which way the shadow runs over the ground. */
        private double bearing(double t, double[] here) {
            double step = 5.0 / 86400;
            Optional<double[]> next = ground(t + step);
            if (next.isPresent()) {
                return GreatCircle.bearingDegrees(here[0], here[1], next.get()[0], next.get()[1]);
            }
            return ground(t - step)
                    .map(b -> GreatCircle.bearingDegrees(b[0], b[1], here[0], here[1]))
                    .orElse(0.0);
        }

        /** The first place outwards that is outside at all times. */
        private Optional<double[]> limit(double t, double[] from, double bearing) {
            double inside = 0;
            double outside = 0;
            for (double km = 25; km <= WIDEST_KM && outside == 0; km *= 1.5) {
                if (deepest(destination(from, bearing, km), t) < 0) {
                    outside = km;
                } else {
                    inside = km;
                }
            }
            if (outside == 0) {
                return Optional.empty();
            }
            double km = Curve.root(d -> deepest(destination(from, bearing, d), t), inside, outside);
            double[] at = GreatCircle.destination(from[0], from[1], bearing, km);
            return sunDegrees(t, at) < LOWEST_SUN_DEGREES ? Optional.empty() : Optional.of(at);
        }

        private static Vector destination(double[] from, double bearing, double km) {
            double[] at = GreatCircle.destination(from[0], from[1], bearing, km);
            return fixed(at[0], at[1]);
        }

        /** When a place stands deepest in the cone. */
        private double deepestAt(Vector place, double around) {
            return lowest(t -> -depth(t, place), around - PASSING_DAYS, around + PASSING_DAYS);
        }

        private double deepest(Vector place, double around) {
            return depth(deepestAt(place, around), place);
        }

        Optional<Duration> lasts(Vector place, double around) {
            double at = deepestAt(place, around);
            if (depth(at, place) <= 0) {
                return Optional.empty();
            }
            DoubleUnaryOperator depth = t -> depth(t, place);
            double days = Curve.root(depth, at, at + PASSING_DAYS) - Curve.root(depth, at - PASSING_DAYS, at);
            return Optional.of(Duration.ofMillis(Math.round(days * 86_400_000)));
        }
    }
}
