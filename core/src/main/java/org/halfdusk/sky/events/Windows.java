package org.halfdusk.sky.events;

import java.util.List;
import java.util.function.DoubleUnaryOperator;
import org.halfdusk.ephemeris.Body;
import org.halfdusk.place.Skyline;
import org.halfdusk.sky.Refraction;
import org.halfdusk.sky.Sky;
import org.halfdusk.time.Interval;
import org.halfdusk.time.Moment;

/** Spans of time in which the sky is as somebody wants it, over any interval of up to 400 days. */
public final class Windows {
    private final Sky sky;
    private final Interval interval;

    private Windows(Sky sky, Interval interval) {
        this.sky = sky;
        this.interval = interval;
    }

    /** @throws IllegalArgumentException for an interval longer than {@link SkyEvents#LONGEST_DAYS} */
    public static Windows of(Sky sky, Interval interval) {
        if (interval.hours() > SkyEvents.LONGEST_DAYS * 24.0) {
            throw new IllegalArgumentException("interval of " + Math.round(interval.hours() / 24)
                    + " days is longer than " + SkyEvents.LONGEST_DAYS);
        }
        return new Windows(sky, interval);
    }

    private List<Interval> spans(DoubleUnaryOperator f, double level, boolean above) {
        Curve curve = Curve.of(f, Moment.utDays(interval.start()), Moment.utDays(interval.end()), SkyEvents.STEP_DAYS);
        return Curve.intervals(curve.spans(level, above));
    }

    /** A body's airless centre at or above an altitude in degrees. */
    public List<Interval> above(Body body, double degrees) {
        return spans(t -> sky.altitudeDegrees(body, t), degrees, true);
    }

    /**
     * A body's centre, lifted by refraction, at or above a skyline; all of the interval where that is flat, since rising
     * and setting are then asked by their own rules.
     */
    public List<Interval> over(Body body, Skyline skyline) {
        if (skyline.flat()) {
            return List.of(interval);
        }
        Curve curve = Curve.of(
                t -> sky.at(body, Moment.instantOf(t)).degreesOver(skyline),
                Moment.utDays(interval.start()),
                Moment.utDays(interval.end()),
                SKYLINE_STEP_DAYS);
        return Curve.intervals(curve.spans(0, true));
    }

    /** Five minutes: a body moves a degree or so along the skyline, and peaks narrower than that are crossed unseen. */
    private static final double SKYLINE_STEP_DAYS = 1.0 / 288;

    /** A body's airless centre below an altitude in degrees. */
    public List<Interval> below(Body body, double degrees) {
        return spans(t -> sky.altitudeDegrees(body, t), degrees, false);
    }

    /** The Moon's upper limb, with 34′ of refraction, below the horizon. */
    public List<Interval> moonDown() {
        return spans(sky::moonUpperLimbDegrees, -Refraction.AT_HORIZON_DEGREES, false);
    }

    /** Sun under −18° and Moon down. */
    public List<Interval> moonlessDark() {
        return Interval.intersect(below(Body.SUN, SkyEvents.ASTRONOMICAL_ALTITUDE), moonDown());
    }

    /** Moonless dark with the core at or above an altitude in degrees. */
    public List<Interval> moonlessDarkWithCore(double degrees) {
        return Interval.intersect(moonlessDark(), above(Body.GALACTIC_CENTRE, degrees));
    }
}
