package org.halfdusk.shoot.lunareclipse;

import java.util.List;
import org.halfdusk.angle.Apparent;
import org.halfdusk.exposure.Setting;
import org.halfdusk.exposure.ShutterTime;
import org.halfdusk.exposure.SkyExposure;
import org.halfdusk.exposure.discs.EclipseGuide;
import org.halfdusk.light.sources.Extinction;
import org.halfdusk.optics.Rig;
import org.halfdusk.photometry.FNumber;
import org.halfdusk.photometry.Iso;
import org.halfdusk.photometry.SkyBrightness;
import org.halfdusk.photometry.Stops;
import org.halfdusk.shoot.setting.ApertureChoice;
import org.halfdusk.shoot.setting.ExposurePlan;
import org.halfdusk.shoot.setting.wished.Wishes;

/**
 * One exposure of a Moon in eclipse: first longer times down to the motion limit, then the aperture opens, and only then
 * does ISO rise; and never so much that the sky behind it comes out like day.
 *
 * @param q guide value
 * @param airStops that the altitude costs
 * @param limitSeconds motion limit at this rig's pixel scale, or the mount's
 * @param stopsShort by which even the widest aperture and the highest ISO fall short; 0 where they do not
 * @param skyStops by which the sky behind holds it under what the Moon alone would want; 0 in the dark
 */
public record LunarExposure(
        double q,
        double airStops,
        double limitSeconds,
        Setting setting,
        Spent spent,
        double stopsShort,
        double skyStops) {
    /** What had to be used to get there. */
    public enum Spent {
        TIME,
        APERTURE,
        ISO,
        ALL,
        PINNED
    }

    /** With a turning mount nobody exposes longer with a long lens†: wind, gears and the shadow itself move. */
    private static final double MOST_FOLLOWED_SECONDS = 30;

    private static final Extinction AIR = Extinction.CLEAR;

    /** Daylight: the shadow's copper is then as the eye sees it, K. */
    private static final int WHITE_BALANCE_KELVIN = 5200;

    /**
     * Longest time for a rig: the trail budget at the speed with which the Moon crosses the sensor.
     *
     * @param speedArcsec of the Moon against the camera, tripod or mount, arcsec per second
     */
    public static double limitSeconds(Rig rig, Wishes wishes, double speedArcsec) {
        double seconds = wishes.budgetPx() * rig.pixelScaleArcsec() / speedArcsec;
        return wishes.limits().mount().turns() ? Math.min(MOST_FOLLOWED_SECONDS, seconds) : seconds;
    }

    /** What a mark may fall short of the ISO that is needed: a fourteenth of a stop. */
    private static final double LESS_FORGIVEN = 0.05;

    /** Magnitudes that the air takes at an apparent altitude; under the horizon as at it. */
    static double airMagnitudes(Apparent altitude) {
        return AIR.magnitudes(altitude);
    }

    /**
     * @param altitude of the Moon as it is seen
     * @param behind sky about the Moon, its own light left out
     */
    static LunarExposure of(Rig rig, double q, Apparent altitude, Wishes wishes, double limit, SkyBrightness behind) {
        double air = AIR.stopsBelowHigh(altitude);
        List<ShutterTime> times = ExposurePlan.times(rig);
        ShutterTime longest = ShutterTime.within(limit, times);
        List<Iso> isos = rig.camera().isos();
        Iso lowest = isos.get(0);
        FNumber usual =
                ApertureChoice.preferring(rig.sharpestAperture(), rig, wishes).fNumber();
        double sky = SkyExposure.guideValue(behind, SkyExposure.MOST_BEHIND);
        double own = q - air - wishes.metered().plusStops();
        double guide = Math.max(own, sky);
        double skyStops = guide - own;
        Spent spent = Spent.TIME;
        FNumber n = usual;
        Iso iso = wishes.pinnedIso().orElse(lowest);
        if (wishes.pinnedSeconds().isPresent()) {
            ShutterTime pinned = ShutterTime.nearest(wishes.pinnedSeconds().getAsDouble(), times);
            // ISO follows a time that is fixed.
            double more = EclipseGuide.seconds(n, lowest, guide) / pinned.realSeconds();
            Iso follows = wishes.pinnedIso()
                    .orElseGet(() -> lowest.times(Math.max(1, more)).nearest(isos));
            return of(q, air, limit, pinned, n, follows, guide, Spent.PINNED, skyStops);
        }
        double needed = EclipseGuide.seconds(n, iso, guide);
        // A ring is not turned frame by frame: such a lens keeps its aperture.
        boolean free = wishes.pinnedAperture().isEmpty() && rig.lens().electronicAperture();
        if (needed > longest.realSeconds() && free) {
            FNumber wanted = n.stoppedDown(Stops.between(longest.realSeconds(), needed));
            n = FNumber.available(rig.widestAperture(), usual).stream()
                    .filter(f -> f.compareTo(wanted) <= 0)
                    .max(FNumber::compareTo)
                    .orElse(rig.widestAperture());
            spent = Spent.APERTURE;
        }
        needed = EclipseGuide.seconds(n, iso, guide);
        if (needed > longest.realSeconds() * 1.02 && wishes.pinnedIso().isEmpty()) {
            Iso wanted = iso.times(needed / longest.realSeconds());
            iso = wanted.markFrom(isos, LESS_FORGIVEN);
            spent = iso.value() < wanted.value() * (1 - LESS_FORGIVEN) ? Spent.ALL : Spent.ISO;
        }
        needed = EclipseGuide.seconds(n, iso, guide);
        ShutterTime time = needed > longest.realSeconds() ? longest : ShutterTime.nearest(needed, times);
        return of(q, air, limit, time.compareTo(longest) > 0 ? longest : time, n, iso, guide, spent, skyStops);
    }

    private static LunarExposure of(
            double q,
            double air,
            double limit,
            ShutterTime time,
            FNumber n,
            Iso iso,
            double guide,
            Spent spent,
            double skyStops) {
        double shortBy = Stops.between(EclipseGuide.seconds(n, iso, guide), time.realSeconds());
        return new LunarExposure(
                q, air, limit, new Setting(time, n, iso, WHITE_BALANCE_KELVIN), spent, Math.max(0, shortBy), skyStops);
    }
}
