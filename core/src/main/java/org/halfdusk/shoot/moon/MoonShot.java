package org.halfdusk.shoot.moon;

import java.util.List;
import java.util.stream.DoubleStream;
import org.halfdusk.exposure.Iso;
import org.halfdusk.exposure.MoonExposure;
import org.halfdusk.exposure.Setting;
import org.halfdusk.exposure.ShutterTime;
import org.halfdusk.exposure.Stops;
import org.halfdusk.optics.Rig;
import org.halfdusk.shoot.ApertureChoice;
import org.halfdusk.shoot.ExposurePlan;
import org.halfdusk.shoot.Wishes;

/**
 * Exposure for the Moon's sunlit rock: the f/11 rule, with stops for phase and air, inside what motion and hands allow;
 * ISO rises only as far as the time limit makes it.
 *
 * @param phaseStops stops added for the phase
 * @param airStops stops added for the air at this altitude
 * @param limit the shortest of the limits on time
 * @param stopsOff from the rule to what was set, positive brighter: a mark's rounding, a pin, or a limit of the camera
 */
public record MoonShot(
        Rig rig,
        double phaseStops,
        double airStops,
        Limits limits,
        Limit limit,
        ApertureChoice aperture,
        ShutterTime shutter,
        int iso,
        double stopsOff) {
    /** Speed over the sky, ″/s. */
    public static final double SPEED_ARCSEC_PER_SECOND = MoonExposure.SPEED_ARCSEC_PER_SECOND;

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
     * @param hand 1/(f · crop)
     */
    public record Limits(double motion, double longLens, double hand) {}

    static MoonShot of(Rig rig, double phaseAngle, double altitudeDegrees, Wishes wishes, Support support) {
        double crop = rig.camera().sensor().cropFactor();
        Limits limits = new Limits(
                SHARP_PX * rig.pixelScaleArcsec() / SPEED_ARCSEC_PER_SECOND,
                rig.focalMm() * crop >= LONG_LENS_MM ? LONG_LENS_SECONDS : Double.POSITIVE_INFINITY,
                MoonExposure.handheldSeconds(rig.focalMm(), crop, 0));
        double steady = support == Support.HAND ? limits.hand() : limits.longLens();
        double least = Math.min(limits.motion(), steady);
        Limit limit = limits.motion() <= steady ? Limit.MOTION : support == Support.HAND ? Limit.HAND : Limit.LONG_LENS;
        ApertureChoice aperture = ApertureChoice.preferring(ApertureChoice.sharpest(rig), rig, wishes);
        double altitude = Math.max(0, altitudeDegrees);
        double lowIso = rig.camera().lowestIso();
        double atLowest = MoonExposure.seconds(aperture.fNumber(), lowIso, phaseAngle, altitude, MoonNight.AIR);
        List<ShutterTime> times = ExposurePlan.times(rig);
        List<Integer> isos =
                Iso.available(rig.camera().lowestIso(), rig.camera().highestIso());
        double wishedIso = Math.max(lowIso, lowIso * atLowest / least);
        int iso = wishes.pinnedIso().orElseGet(() -> firstAtLeast(wishedIso, isos));
        double exact = atLowest * lowIso / iso;
        ShutterTime shutter = wishes.pinnedSeconds().isPresent()
                ? ShutterTime.nearest(wishes.pinnedSeconds().getAsDouble(), times)
                : ShutterTime.nearest(exact, times);
        return new MoonShot(
                rig,
                MoonExposure.phaseStops(phaseAngle),
                MoonNight.AIR.stopsBelowHigh(altitude),
                limits,
                limit,
                aperture,
                shutter,
                iso,
                Stops.between(shutter.realSeconds(), exact));
    }

    private static int firstAtLeast(double wished, List<Integer> isos) {
        return isos.stream().filter(i -> i >= wished * 0.9).findFirst().orElse(isos.get(isos.size() - 1));
    }

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
        return shutter.realSeconds() * SPEED_ARCSEC_PER_SECOND / rig.pixelScaleArcsec();
    }

    /** Whether the time is longer than the limit: the camera's highest ISO was not enough, or a pin wants it. */
    public boolean overLimit() {
        return shutter.realSeconds() > limitSeconds() * 1.2;
    }

    /** A stop darker, right, a stop brighter. */
    public List<ShutterTime> bracket() {
        List<ShutterTime> times = ExposurePlan.times(rig);
        return DoubleStream.of(0.5, 1, 2)
                .mapToObj(k -> ShutterTime.nearest(shutter.realSeconds() * k, times))
                .distinct()
                .toList();
    }
}
