package org.halfdusk.light;

import java.util.List;
import org.halfdusk.ephemeris.Body;
import org.halfdusk.photometry.SkyBrightness;
import org.halfdusk.sky.events.Curve;
import org.halfdusk.sky.events.Darkness;
import org.halfdusk.sky.events.Night;
import org.halfdusk.time.Interval;
import org.halfdusk.time.Moment;

/** Spans in which the sky is dark enough, by its computed brightness: Moon, twilight and towns all counted. */
public final class LightWindows {
    /** Twenty minutes: twilight changes by half a magnitude a degree, and a Moon that rises by less in that time. */
    private static final double STEP_DAYS = 1.0 / 72;

    private LightWindows() {}

    /** Where the zenith is at least as dark as a brightness. */
    public static List<Interval> zenithDarkerThan(SkyLight light, SkyBrightness least, Interval within) {
        return intervals(curve(light, within, t -> light.at(t).zenith().magnitude()), least);
    }

    /** In a night that is never dark, so much over the least light still counts as it, magnitudes at the zenith†. */
    public static final double LEAST_LIGHT_MAGNITUDES = 0.5;

    /**
     * The darkest spans of a night, whatever the Moon does: the Sun under −18°, or where it never gets there, the zenith no more
     * than half a magnitude brighter than in the least light.
     */
    public static List<Interval> darkest(SkyLight light, Night night) {
        if (!(night.darkness() instanceof Darkness.NeverDark never)) {
            return night.dark();
        }
        double least = light.at(never.at()).zenith().withoutMoon().magnitude();
        Curve zenith = curve(
                light, night.interval(), t -> light.at(t).zenith().withoutMoon().magnitude());
        return Curve.intervals(zenith.spans(least - LEAST_LIGHT_MAGNITUDES, true));
    }

    /** Where the sky about a body is at least as dark as a brightness; below the horizon the horizon's value counts. */
    public static List<Interval> darkerThan(SkyLight light, Body body, SkyBrightness least, Interval within) {
        return intervals(
                curve(
                        light,
                        within,
                        t -> light.at(t).towards(light.direction(body, t)).magnitude()),
                least);
    }

    /** Where the Moon lifts the zenith by no more than so many magnitudes. */
    public static List<Interval> moonLiftAtMost(SkyLight light, double magnitudes, Interval within) {
        Curve lift = curve(light, within, t -> light.at(t).zenith().moonLift());
        return Curve.intervals(lift.spans(magnitudes, false));
    }

    private interface Brightness {
        double at(Moment moment);
    }

    private static Curve curve(SkyLight light, Interval within, Brightness brightness) {
        return Curve.of(
                t -> brightness.at(light.moment(t)),
                Moment.utDays(within.start()),
                Moment.utDays(within.end()),
                STEP_DAYS);
    }

    private static List<Interval> intervals(Curve curve, SkyBrightness least) {
        return Curve.intervals(curve.spans(least.magnitude(), true));
    }
}
