package org.halfdusk.shoot.moon;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.halfdusk.angle.Altitude;
import org.halfdusk.angle.Apparent;
import org.halfdusk.ephemeris.Body;
import org.halfdusk.exposure.Metering;
import org.halfdusk.exposure.discs.EclipsedMoon;
import org.halfdusk.exposure.discs.MoonExposure;
import org.halfdusk.light.sources.Daylight;
import org.halfdusk.light.sources.Extinction;
import org.halfdusk.light.sources.Moonlight;
import org.halfdusk.photometry.FNumber;
import org.halfdusk.photometry.Iso;
import org.halfdusk.photometry.Stops;
import org.halfdusk.sky.Refraction;
import org.halfdusk.sky.Sky;
import org.halfdusk.sky.events.Curve;
import org.halfdusk.time.Interval;
import org.halfdusk.time.Moment;

/**
 * How the light of the land compares with the Moon's: two exposures, the land's two stops under an incident meter, as dusk
 * looks, the Moon's by the f/11 rule with phase and air counted. One frame holds both while they differ by little.
 */
public final class LandAndMoon {
    /** Of a frame exposed between the two a raw file still gives both†, stops. */
    public static final double MOON_BRIGHTER_BY_AT_MOST = 4;

    /** A Moon that is paler than the land still shows†, stops. */
    public static final double MOON_DARKER_BY_AT_MOST = 2;

    /** Dusk is to look like dusk: land is taken so many stops under what a meter says†. */
    public static final double DUSK_STOPS = 2;

    /** Altitude at which a Moon is still low enough to be large beside a foreground, degrees†. */
    private static final Apparent LOW = Apparent.ofDegrees(2);

    /** At a night's middle; in that night the Moon may touch the Earth's shadow. */
    private static final double NEAR_FULL_DEGREES = 10;

    private static final double STEP_DAYS = 1.0 / 96;

    private static final FNumber N = new FNumber(11);
    private static final Iso ISO = Iso.HUNDRED;

    private LandAndMoon() {}

    /** Seconds that land and Moon want at the same aperture and ISO. */
    public record Pair(double landSeconds, double moonSeconds) {
        /** Stops by which the Moon is brighter than the land, as a meter sees them. */
        public double moonBrighterBy() {
            return Stops.between(landSeconds, moonSeconds);
        }

        /** Whether one exposure holds both. */
        public boolean together() {
            double brighter = moonBrighterBy();
            return brighter <= MOON_BRIGHTER_BY_AT_MOST && brighter >= -MOON_DARKER_BY_AT_MOST;
        }
    }

    /** At a moment; the Moon below the horizon counts as on it. */
    public static Pair at(Sky sky, Instant at, double phaseAngleDegrees, Extinction air) {
        return at(sky, Moment.utDays(at), phaseAngleDegrees, air);
    }

    private static Pair at(Sky sky, double utDays, double phaseAngleDegrees, Extinction air) {
        Apparent moon = seenMoon(sky, utDays);
        double land = landSeconds(sky, utDays, moon, phaseAngleDegrees, air);
        double shadow = phaseAngleDegrees < NEAR_FULL_DEGREES
                ? EclipsedMoon.over(sky, utDays).stops()
                : 0;
        return new Pair(land, MoonExposure.seconds(N, ISO, phaseAngleDegrees, moon, air) * Math.pow(2, shadow));
    }

    private static Apparent seenMoon(Sky sky, double utDays) {
        return Refraction.STANDARD.seen(Altitude.ofDegrees(sky.altitudeDegrees(Body.MOON, utDays)));
    }

    /** In the light of Sun, twilight and the Moon itself. */
    private static double landSeconds(Sky sky, double utDays, Apparent moon, double phaseAngleDegrees, Extinction air) {
        double lux =
                Daylight.lux(sky.altitudeDegrees(Body.SUN, utDays)) + Moonlight.groundLux(phaseAngleDegrees, moon, air);
        return Metering.seconds(lux, N, ISO) / Math.pow(2, DUSK_STOPS);
    }

    /** Spans of an interval in which one exposure holds both; the Moon's altitude is not asked here. */
    static List<Interval> together(Sky sky, Interval within, double phaseAngleDegrees, Extinction air) {
        Curve brighter = curve(sky, within, phaseAngleDegrees, air);
        List<Interval> notTooBright = Curve.intervals(brighter.spans(MOON_BRIGHTER_BY_AT_MOST, false));
        List<Interval> notTooDark = Curve.intervals(brighter.spans(-MOON_DARKER_BY_AT_MOST, true));
        return Interval.intersect(notTooBright, notTooDark);
    }

    private static Curve curve(Sky sky, Interval within, double phaseAngleDegrees, Extinction air) {
        return Curve.of(
                t -> at(sky, t, phaseAngleDegrees, air).moonBrighterBy(),
                Moment.utDays(within.start()),
                Moment.utDays(within.end()),
                STEP_DAYS);
    }

    /**
     * The moment nearest to another at which the land's light equals that of a Moon standing low, at 2°, in the same phase:
     * once in the evening, once in the morning.
     */
    static Optional<Instant> equalLight(
            Sky sky, Interval within, double phaseAngleDegrees, Extinction air, Instant nearestTo) {
        double moon = MoonExposure.seconds(N, ISO, phaseAngleDegrees, LOW, air);
        Curve land = Curve.of(
                t -> Stops.between(landSeconds(sky, t, seenMoon(sky, t), phaseAngleDegrees, air), moon),
                Moment.utDays(within.start()),
                Moment.utDays(within.end()),
                1.0 / 24);
        double wished = Moment.utDays(nearestTo);
        return land.crossings(0).stream()
                .map(Curve.Crossing::at)
                .min((a, b) -> Double.compare(Math.abs(a - wished), Math.abs(b - wished)))
                .map(Moment::instantOf);
    }
}
