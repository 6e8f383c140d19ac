package org.halfdusk.eclipse;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.DoubleUnaryOperator;
import org.halfdusk.ephemeris.Body;
import org.halfdusk.place.Observer;
import org.halfdusk.sky.Sky;
import org.halfdusk.sky.events.Curve;
import org.halfdusk.sky.events.SkyEvents;
import org.halfdusk.time.Interval;
import org.halfdusk.time.Moment;

/**
 * An eclipse of the Sun as one place has it, whether or not the Sun is up.
 *
 * <p>Sun 696,000 km, Moon k = 0.2725076 equatorial radii for all contacts, smooth limb, topocentric with elevation.
 * Contacts within 1 s of independent computations; the Moon's true limb moves second and third contact by a second or
 * two, and near the edge of the path by more.
 *
 * @param type what it comes to here
 * @param partial from first to fourth contact
 * @param maximum the centres nearest to each other
 * @param central from second to third contact, where the eclipse is total or annular here
 * @param magnitude share of the Sun's diameter covered; where central, the Moon's diameter over the Sun's
 * @param obscuration share of the Sun's disc covered, 0 to 1
 * @param highestSunDegrees the Sun's highest airless altitude between first and fourth contact
 */
public record SolarEclipse(
        Type type,
        Interval partial,
        Instant maximum,
        Optional<Interval> central,
        double magnitude,
        double obscuration,
        double highestSunDegrees) {
    /** What an eclipse comes to at a place. */
    public enum Type {
        PARTIAL,
        ANNULAR,
        TOTAL
    }

    static final double MOON_RADIUS_KM = 0.2725076 * Observer.EQUATORIAL_RADIUS_KM;

    /** The topocentric maximum lies within some hours of new moon, that within fourteen hours of the mean one. */
    private static final double STEP_DAYS = 1.0 / 24;

    private static final double HALF_DURATION_DAYS = 0.16;

    /** Whether any of it is to be seen: the Sun's centre above −50′ at some time. */
    public boolean visible() {
        return highestSunDegrees > SkyEvents.SUNRISE_ALTITUDE;
    }

    /** Those whose maximum here falls into the interval, in order, also below the horizon. */
    public static List<SolarEclipse> find(Sky sky, Interval interval) {
        List<SolarEclipse> found = new ArrayList<>();
        Moment from = sky.moment(interval.start());
        Moment to = sky.moment(interval.end());
        for (double tt : Syzygies.near(from.ttDays(), to.ttDays(), false)) {
            near(sky, tt - (from.ttDays() - from.utDays()))
                    .filter(e -> interval.contains(e.maximum))
                    .ifPresent(found::add);
        }
        return found;
    }

    /** The discs at a moment, radians. */
    private record Discs(double separation, double sun, double moon) {
        static Discs at(Sky sky, double utDays) {
            Sky.Pair pair = sky.sunAndMoon(sky.moment(utDays));
            return new Discs(
                    pair.sun().separationRad(pair.moon()),
                    Math.asin(Sky.SUN_RADIUS_KM / pair.sun().length()),
                    Math.asin(MOON_RADIUS_KM / pair.moon().length()));
        }

        double outside() {
            return separation - sun - moon;
        }

        double notCentral() {
            return separation - Math.abs(moon - sun);
        }

        /** Share of the Sun's disc behind the Moon: two circles' common area. */
        double obscuration() {
            if (notCentral() <= 0) {
                return Math.min(1, moon * moon / (sun * sun));
            }
            double d = separation;
            double a = Math.acos((d * d + sun * sun - moon * moon) / (2 * d * sun));
            double b = Math.acos((d * d + moon * moon - sun * sun) / (2 * d * moon));
            double common = sun * sun * (a - Math.sin(2 * a) / 2) + moon * moon * (b - Math.sin(2 * b) / 2);
            return common / (Math.PI * sun * sun);
        }
    }

    private static Optional<SolarEclipse> near(Sky sky, double utDays) {
        Curve distance = Curve.of(
                t -> Math.pow(Discs.at(sky, t).separation(), 2),
                utDays - Syzygies.REACH_DAYS,
                utDays + Syzygies.REACH_DAYS,
                STEP_DAYS);
        double maximum = distance.lowest().at();
        Discs discs = Discs.at(sky, maximum);
        if (discs.outside() >= 0) {
            return Optional.empty();
        }
        boolean central = discs.notCentral() < 0;
        Type type = !central ? Type.PARTIAL : discs.moon() > discs.sun() ? Type.TOTAL : Type.ANNULAR;
        Interval partial = contacts(maximum, t -> Discs.at(sky, t).outside());
        return Optional.of(new SolarEclipse(
                type,
                partial,
                Moment.instantOf(maximum),
                central ? Optional.of(contacts(maximum, t -> Discs.at(sky, t).notCentral())) : Optional.empty(),
                central
                        ? discs.moon() / discs.sun()
                        : (discs.sun() + discs.moon() - discs.separation()) / (2 * discs.sun()),
                discs.obscuration(),
                highestSun(sky, partial)));
    }

    private static Interval contacts(double maximum, DoubleUnaryOperator outside) {
        return Interval.of(
                Moment.instantOf(Curve.root(outside, maximum - HALF_DURATION_DAYS, maximum)),
                Moment.instantOf(Curve.root(outside, maximum, maximum + HALF_DURATION_DAYS)));
    }

    private static double highestSun(Sky sky, Interval partial) {
        return Curve.of(
                        t -> sky.altitudeDegrees(Body.SUN, t),
                        Moment.utDays(partial.start()),
                        Moment.utDays(partial.end()),
                        STEP_DAYS)
                .highest()
                .value();
    }
}
