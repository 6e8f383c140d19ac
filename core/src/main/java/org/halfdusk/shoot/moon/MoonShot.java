package org.halfdusk.shoot.moon;

import java.time.Instant;
import java.util.List;
import org.halfdusk.angle.Apparent;
import org.halfdusk.ephemeris.Body;
import org.halfdusk.exposure.MeterReading;
import org.halfdusk.exposure.Setting;
import org.halfdusk.exposure.ShutterTime;
import org.halfdusk.exposure.SkyExposure;
import org.halfdusk.exposure.discs.EclipseGuide;
import org.halfdusk.exposure.discs.EclipsedMoon;
import org.halfdusk.exposure.discs.MoonExposure;
import org.halfdusk.optics.Rig;
import org.halfdusk.photometry.FNumber;
import org.halfdusk.photometry.Iso;
import org.halfdusk.photometry.Magnitudes;
import org.halfdusk.photometry.SkyBrightness;
import org.halfdusk.photometry.Stops;
import org.halfdusk.shoot.setting.ApertureChoice;
import org.halfdusk.shoot.setting.ExposurePlan;
import org.halfdusk.shoot.setting.wished.Wishes;
import org.halfdusk.sky.BodyMotion;
import org.halfdusk.time.Moment;

/**
 * Exposure for the Moon's sunlit rock: the f/11 rule, with stops for phase and air, inside what motion and hands allow;
 * ISO rises only as far as the time limit makes it.
 *
 * @param phaseStops stops added for the phase
 * @param airStops stops added for the air at this altitude
 * @param limit the shortest of the limits on time
 * @param stopsOff from the rule to what was set, positive brighter: a mark's rounding, a pin, or a limit of the camera
 * @param skyStops by which the bright sky behind holds it under the rule; 0 in the dark
 * @param fixedIso whether a person fixed the ISO
 * @param handheld whether it is held in the hand
 * @param visible whether the Moon's surface stands out from the sky at all
 */
public record MoonShot(
        Rig rig,
        double phaseStops,
        double airStops,
        Limits limits,
        Limit limit,
        ApertureChoice aperture,
        ShutterTime shutter,
        Iso iso,
        double stopsOff,
        double skyStops,
        boolean visible,
        boolean fixedIso,
        boolean handheld,
        Circumstances circumstances) {
    /**
     * The Moon at a moment.
     *
     * @param phaseAngleDegrees 0 full to 180 new
     * @param altitude of it as it is seen
     * @param speedArcsec over the sky, arcsec per second
     * @param sky behind it without its own light
     * @param eclipse what the Earth's shadow makes of it: full where it stands outside
     */
    public record Circumstances(
            double phaseAngleDegrees, Apparent altitude, double speedArcsec, SkyBrightness sky, EclipsedMoon eclipse) {
        static Circumstances of(MoonNight night, Instant at) {
            return new Circumstances(
                    night.sky().moonPhase(at).phaseAngleDegrees(),
                    night.sky().at(Body.MOON, at).seen(),
                    BodyMotion.arcsecPerSecond(night.sky(), Body.MOON, at, 0),
                    night.light().at(at).behindMoon(),
                    EclipsedMoon.over(night.sky(), Moment.utDays(at)));
        }

        /** The Moon's surface through the air. */
        public SkyBrightness surface() {
            return EclipseGuide.lunarSurface(eclipse.guide() - MoonExposure.phaseStops(phaseAngleDegrees))
                    .darkerBy(MoonNight.AIR.magnitudes(altitude));
        }
    }

    /** What a long lens on a tripod still shakes: the usual advice is 1/125 s or faster. */
    public static final double LONG_LENS_SECONDS = 1 / 125.0;

    /** Full-frame focal length from which a lens counts as long, mm†. */
    private static final double LONG_LENS_MM = 200;

    /** Trail over which the craters' edges begin to smear, px. */
    public static final double SHARP_PX = 1;

    /** Daylight, a little warm, K: a low Moon is to stay warm beside the blue land. */
    private static final int WHITE_BALANCE_KELVIN = 5600;

    /** What limits the time. */
    public enum Limit {
        MOTION,
        LONG_LENS,
        HAND
    }

    /**
     * The limits in seconds.
     *
     * @param motion one pixel of the Moon's way
     * @param longLens infinite for a short lens
     * @param hand 1/(f · crop), lengthened by the stabiliser
     */
    public record Limits(double motion, double longLens, double hand) {}

    static MoonShot of(Rig rig, Circumstances moon, Wishes wishes, Support support) {
        double crop = rig.camera().sensor().cropFactor();
        Limits limits = new Limits(
                SHARP_PX * rig.pixelScaleArcsec() / moon.speedArcsec(),
                rig.focalMm() * crop >= LONG_LENS_MM ? LONG_LENS_SECONDS : Double.POSITIVE_INFINITY,
                MoonExposure.handheldSeconds(
                        rig.focalMm(), crop, rig.camera().shutter().stabiliserStops()));
        double steady = support == Support.HAND ? limits.hand() : limits.longLens();
        double least = Math.min(limits.motion(), steady);
        Limit limit = limits.motion() <= steady ? Limit.MOTION : support == Support.HAND ? Limit.HAND : Limit.LONG_LENS;
        ApertureChoice aperture = ApertureChoice.preferring(rig.sharpestAperture(), rig, wishes);
        FNumber n = aperture.fNumber();
        Iso lowIso = Iso.of(rig.camera().sensitivity().lowestIso());
        double rule = MoonExposure.seconds(n, lowIso, moon.phaseAngleDegrees(), moon.altitude(), MoonNight.AIR)
                * Math.pow(2, moon.eclipse().stops())
                * Math.pow(2, wishes.metered().or(moon.surface()).over(moon.surface()) / Magnitudes.PER_STOP)
                * wishes.metered().light();
        double sky = SkyExposure.guideValue(moon.sky(), SkyExposure.MOST_BEHIND);
        double atLowest = Math.min(rule, EclipseGuide.seconds(n, lowIso, sky));
        List<ShutterTime> times = ExposurePlan.times(rig);
        List<Iso> isos = rig.camera().isos();
        // A time that is fixed lets ISO follow it.
        double available = wishes.pinnedSeconds().orElse(least);
        Iso wishedIso = lowIso.times(Math.max(1, atLowest / available));
        Iso iso = wishes.pinnedIso().orElseGet(() -> wishedIso.markFrom(isos, ShutterTime.FORGIVEN));
        double exact = atLowest * lowIso.value() / iso.value();
        ShutterTime shutter = wishes.pinnedSeconds().isPresent()
                ? ShutterTime.nearest(wishes.pinnedSeconds().getAsDouble(), times)
                : inside(least, exact, times);
        return new MoonShot(
                rig,
                MoonExposure.phaseStops(moon.phaseAngleDegrees()),
                MoonNight.AIR.stopsBelowHigh(moon.altitude()),
                limits,
                limit,
                aperture,
                shutter,
                iso,
                Stops.between(shutter.realSeconds(), exact),
                Stops.between(rule, atLowest),
                moon.altitude().up() && moon.sky().atLeastAsDarkAs(moon.surface()),
                wishes.pinnedIso().isPresent(),
                support == Support.HAND,
                moon);
    }

    /** The mark nearest to a wish that is not longer than the limit; the shortest where all are. */
    private static ShutterTime inside(double limit, double wished, List<ShutterTime> longestFirst) {
        List<ShutterTime> allowed = longestFirst.stream()
                .filter(t -> t.realSeconds() <= limit * (1 + ShutterTime.FORGIVEN))
                .toList();
        return allowed.isEmpty() ? longestFirst.get(longestFirst.size() - 1) : ShutterTime.nearest(wished, allowed);
    }

    /** What is set, its white daylight's, a little warm. */
    public Setting setting() {
        return new Setting(shutter, aperture.fNumber(), iso, WHITE_BALANCE_KELVIN);
    }

    /** The limit on time in seconds. */
    public double limitSeconds() {
        return switch (limit) {
            case MOTION -> limits.motion();
            case LONG_LENS -> limits.longLens();
            case HAND -> limits.hand();
        };
    }

    /** What the Moon moves in this time, px. */
    public double motionPx() {
        return shutter.realSeconds() * circumstances.speedArcsec() / rig.pixelScaleArcsec();
    }

    /** Whether the time is longer than the limit: a person fixed it, or the camera has no shorter one. */
    public boolean overLimit() {
        return shutter.realSeconds() > limitSeconds() * (1 + ShutterTime.FORGIVEN);
    }

    /** What hands or a long lens allow, whatever the Moon moves, s. */
    public double steadySeconds() {
        return handheld ? limits.hand() : limits.longLens();
    }

    /** What people point at the Moon, or reckon by. */
    public enum School {
        F11_RULE,
        GUIDE_VALUE_8,
        AVERAGING_METER
    }

    /**
     * A school's answer at this aperture and ISO.
     *
     * @param position of the disc's mean across the histogram, 0 to 1
     * @param stopsOver clipping of the disc's mean; negative under it
     */
    public record Answer(School school, double seconds, double position, double stopsOver) {}

    /**
     * All of them.
     *
     * @param shareOfFrame that the lit disc takes of the picture, 0 to 1: what is dark beside it misleads a meter
     */
    public List<Answer> schools(double shareOfFrame) {
        FNumber n = aperture.fNumber();
        double rule = exactSeconds();
        double guide = EclipseGuide.seconds(
                n,
                iso,
                EclipseGuide.fullMoon()
                        - phaseStops
                        - airStops
                        - circumstances.eclipse().stops());
        double mean = shareOfFrame * circumstances.surface().luminance()
                + (1 - shareOfFrame) * circumstances.sky().luminance();
        double meter = new MeterReading(MeterReading.EV.clamped(MeterReading.ev(mean))).seconds(n, iso);
        return List.of(
                answer(School.F11_RULE, rule),
                answer(School.GUIDE_VALUE_8, guide),
                answer(School.AVERAGING_METER, meter));
    }

    private Answer answer(School school, double seconds) {
        SkyExposure out = new SkyExposure(circumstances.surface().exposable(), aperture.fNumber(), seconds, iso);
        return new Answer(school, seconds, out.histogramPosition(), -out.stopsUnderClipping());
    }

    /** What the rule asks for, before a mark is chosen, s. */
    public double exactSeconds() {
        return shutter.realSeconds() / Math.pow(2, stopsOff);
    }
}
