package org.halfdusk.eclipse;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.DoubleUnaryOperator;
import java.util.function.ToDoubleFunction;
import org.halfdusk.ephemeris.Ephemeris;
import org.halfdusk.sky.events.Curve;
import org.halfdusk.time.DeltaT;
import org.halfdusk.time.Interval;
import org.halfdusk.time.Moment;

/**
 * An eclipse of the Moon.
 *
 * <p>The shadow is {@link EarthShadow Danjon's}. Contacts within 1 s of independent
 * computations on the same convention; observed ones differ by tens of seconds, since the shadow's edge is soft.
 *
 * @param greatest the Moon's centre nearest to the shadow's axis
 * @param penumbra from P1 to P4
 * @param umbra from U1 to U4, where it touches the umbra
 * @param totality from U2 to U3, where it is wholly inside
 * @param umbralMagnitude share of the Moon's diameter inside the umbra at greatest, negative where it misses
 */
public record LunarEclipse(
        Type type,
        Instant greatest,
        Interval penumbra,
        Optional<Interval> umbra,
        Optional<Interval> totality,
        double umbralMagnitude,
        double penumbralMagnitude) {
    /** How deep the Moon goes. */
    public enum Type {
        PENUMBRAL,
        PARTIAL,
        TOTAL
    }

    private static final double STEP_DAYS = 1.0 / 12;
    private static final double HALF_DURATION_DAYS = 0.2;

    /** Those whose greatest eclipse falls into the interval, in order. */
    public static List<LunarEclipse> find(Ephemeris ephemeris, DeltaT deltaT, Interval interval) {
        List<LunarEclipse> found = new ArrayList<>();
        Moment from = Moment.of(interval.start(), deltaT);
        Moment to = Moment.of(interval.end(), deltaT);
        EarthShadow shadow = new EarthShadow(ephemeris, deltaT);
        for (double tt : Syzygies.near(from.ttDays(), to.ttDays(), true)) {
            double ut = tt - (from.ttDays() - from.utDays());
            near(shadow, ut).filter(e -> interval.contains(e.greatest)).ifPresent(found::add);
        }
        return found;
    }

    private static Optional<LunarEclipse> near(EarthShadow shadow, double utDays) {
        Curve distance = Curve.of(
                t -> Math.pow(shadow.at(t).separation(), 2),
                utDays - Syzygies.REACH_DAYS,
                utDays + Syzygies.REACH_DAYS,
                STEP_DAYS);
        double greatest = distance.lowest().at();
        EarthShadow.State s = shadow.at(greatest);
        double penumbral = s.penumbralMagnitude();
        if (penumbral <= 0) {
            return Optional.empty();
        }
        double umbral = s.umbralMagnitude();
        Type type = umbral >= 1 ? Type.TOTAL : umbral > 0 ? Type.PARTIAL : Type.PENUMBRAL;
        return Optional.of(new LunarEclipse(
                type,
                Moment.instantOf(greatest),
                contacts(shadow, greatest, state -> state.penumbra() + state.moon()),
                Optional.of(type)
                        .filter(x -> x != Type.PENUMBRAL)
                        .map(x -> contacts(shadow, greatest, state -> state.umbra() + state.moon())),
                Optional.of(type)
                        .filter(x -> x == Type.TOTAL)
                        .map(x -> contacts(shadow, greatest, state -> state.umbra() - state.moon())),
                umbral,
                penumbral));
    }

    /** The moments before and after greatest eclipse at which the separation equals an edge. */
    private static Interval contacts(EarthShadow shadow, double greatest, ToDoubleFunction<EarthShadow.State> edge) {
        DoubleUnaryOperator outside = t -> {
            EarthShadow.State s = shadow.at(t);
            return s.separation() - edge.applyAsDouble(s);
        };
        return Interval.of(
                Moment.instantOf(Curve.root(outside, greatest - HALF_DURATION_DAYS, greatest)),
                Moment.instantOf(Curve.root(outside, greatest, greatest + HALF_DURATION_DAYS)));
    }
}
