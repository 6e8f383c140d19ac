package org.halfdusk.eclipse;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import org.halfdusk.angle.LevelFrame;
import org.halfdusk.angle.Vector;
import org.halfdusk.ephemeris.Body;
import org.halfdusk.ephemeris.Ephemeris;
import org.halfdusk.place.Observer;
import org.halfdusk.sky.Sky;
import org.halfdusk.time.DeltaT;
import org.halfdusk.time.Moment;

/**
 * The Earth's shadow at the Moon's distance, by Danjon: umbra 1.01 π☾ + π☉ − s☉, penumbra 1.01 π☾ + π☉ + s☉, with
 * horizontal parallaxes of the equatorial radius, the Sun's 959.63″ at 1 au, the Moon's disc k = 0.272508.
 *
 * <p>How much of the Moon's light is left, and what an exposure goes by:
 *
 * <ol>
 *   <li>Points are spread evenly over the Moon's disc, and for each the distance from the shadow's axis is taken. Every figure
 *       below is a mean over them; none is read off the magnitude, which says nothing of how deep the rest lies.
 *   <li>Outside the penumbra a point has all of its light. Across it the Earth's limb passes over the Sun as a straight edge,
 *       which the Sun's small disc beside the Earth's allows: what is seen of the Sun is a circle's segment. Darkening
 *       towards the Sun's limb is left out.
 *   <li>Within the umbra only what the air bends in is left: for all of the Moon a ten-thousandth in a usual totality†. That is
 *       the least that {@link State#lightLeft()} gives; totalities differ by a hundred times (Danjon).
 *   <li>For an exposure of what lies in the umbra, its brightness goes by the mean square of those distances
 *       ({@link State#meanSquareDepth()}): a parabola from the axis to the brighter edge, through Danjon's value where a usual
 *       totality has it ({@code EclipseGuide.lunarShadow}).
 * </ol>
 */
public record EarthShadow(Ephemeris ephemeris, DeltaT deltaT) {
    private static final double MOON_RADIUS_KM = 0.272508 * Observer.EQUATORIAL_RADIUS_KM;
    private static final double ENLARGEMENT = 1.01;

    /** Of the full Moon's light, in a usual totality†. */
    private static final double BENT_IN = 1e-4;

    /** Points of the disc from its middle to its edge. */
    private static final int DEPTH_POINTS = 12;

    /**
     * Of points spread evenly over the Moon's disc, in its radii, x away from the shadow's axis.
     *
     * @param times as many as it stands for: across the line to the axis both halves are alike
     */
    private record Point(double x, double y, int times) {}

    private static final List<Point> DISC = disc();

    private static List<Point> disc() {
        List<Point> points = new ArrayList<>();
        for (int i = -DEPTH_POINTS; i <= DEPTH_POINTS; i++) {
            for (int j = 0; j <= DEPTH_POINTS; j++) {
                double x = i / (DEPTH_POINTS + 0.5);
                double y = j / (DEPTH_POINTS + 0.5);
                if (x * x + y * y <= 1) {
                    points.add(new Point(x, y, j == 0 ? 1 : 2));
                }
            }
        }
        return List.copyOf(points);
    }

    /** As it lies under an observer's sky. */
    public static EarthShadow of(Sky sky) {
        return new EarthShadow(sky.ephemeris(), sky.deltaT());
    }

    /** The Moon against the shadow: separation of the centres and radii, radians, seen from the Earth's centre. */
    public record State(double separation, double umbra, double penumbra, double moon) {
        /** Share of the Moon's diameter inside the umbra; negative outside, above 1 wholly inside. */
        public double umbralMagnitude() {
            return (umbra + moon - separation) / (2 * moon);
        }

        /**
         * The mean square of the distances from the shadow's axis, in radii of the umbra, of what of the Moon's disc lies in it;
         * 1 where nothing does.
         */
        public double meanSquareDepth() {
            double sum = 0;
            int inside = 0;
            for (Point point : DISC) {
                double depth = fromAxis(point) / umbra;
                if (depth < 1) {
                    sum += point.times * depth * depth;
                    inside += point.times;
                }
            }
            return inside == 0 ? 1 : sum / inside;
        }

        /**
         * Share of the full Moon's light that is left, 1 outside the penumbra to a ten-thousandth in totality†: the mean over the
         * disc of how much of the Sun is seen from there. Across the penumbra the Earth's limb passes over the Sun as a straight
         * edge; in the umbra what the air bends in is left.
         */
        public double lightLeft() {
            if (!touches()) {
                return 1;
            }
            double sum = 0;
            int all = 0;
            for (Point point : DISC) {
                sum += point.times * sunSeen(fromAxis(point));
                all += point.times;
            }
            return Math.max(BENT_IN, sum / all);
        }

        /** Distance of a point of the Moon's disc from the shadow's axis, radians. */
        private double fromAxis(Point point) {
            double along = separation + point.x * moon;
            double across = point.y * moon;
            return Math.sqrt(along * along + across * across);
        }

        /** Share of the Sun that is seen over the Earth's edge at a distance from the axis, radians. */
        private double sunSeen(double fromAxis) {
            if (fromAxis <= umbra) {
                return 0;
            }
            double x = Math.min(1, (fromAxis - umbra) / (penumbra - umbra));
            double d = 1 - 2 * x;
            return (Math.acos(d) - d * Math.sqrt(1 - d * d)) / Math.PI;
        }

        /** Whether the Moon touches the shadow at all. */
        public boolean touches() {
            return separation < penumbra + moon;
        }

        /** Share of the Moon's diameter within the penumbra at the greatest; below 0 where it misses it. */
        public double penumbralMagnitude() {
            return (penumbra + moon - separation) / (2 * moon);
        }
    }

    /** @param utDays days of UT as {@link Moment} counts them */
    public State at(double utDays) {
        double tt = Moment.ofUtDays(utDays, deltaT).ttDays();
        Vector sun = ephemeris.apparent(Body.SUN, tt);
        Vector moon = ephemeris.apparent(Body.MOON, tt);
        double moonParallax = Math.asin(Observer.EQUATORIAL_RADIUS_KM / moon.length());
        double sunParallax = Math.asin(Observer.EQUATORIAL_RADIUS_KM / sun.length());
        double sunRadius = Math.asin(Sky.SUN_RADIUS_KM / sun.length());
        double middle = ENLARGEMENT * moonParallax + sunParallax;
        return new State(
                sun.times(-1).separationRad(moon),
                middle - sunRadius,
                middle + sunRadius,
                Math.asin(MOON_RADIUS_KM / moon.length()));
    }

    /** Where the Moon stands in the shadow at a time, by the axis of the shadow and its radii there. */
    public State at(Instant at) {
        return at(Moment.utDays(at));
    }

    /**
     * The shadow beside the Moon as an observer sees it.
     *
     * @param right of the shadow's centre from the Moon's, in radii of the Moon; negative to the left
     * @param up towards the zenith
     * @param umbra its radius in radii of the Moon
     */
    public record Seen(double right, double up, double umbra, double penumbra) {}

    /** Both lie at the Moon's distance, so parallax moves them alike: directions from the Earth's centre serve. */
    public Seen seenFrom(Sky sky, Instant at) {
        Moment m = sky.moment(at);
        State s = at(at);
        Vector moon = sky.northEastUp(ephemeris.apparent(Body.MOON, m.ttDays()).unit(), m);
        Vector shadow = sky.northEastUp(
                ephemeris.apparent(Body.SUN, m.ttDays()).times(-1).unit(), m);
        LevelFrame.Offset offset = LevelFrame.towards(moon).offset(shadow);
        return new Seen(
                offset.right() / s.moon(), offset.up() / s.moon(), s.umbra() / s.moon(), s.penumbra() / s.moon());
    }
}
