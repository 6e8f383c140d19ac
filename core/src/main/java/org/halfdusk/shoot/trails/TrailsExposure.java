package org.halfdusk.shoot.trails;

import java.util.List;
import org.halfdusk.exposure.Reciprocity;
import org.halfdusk.exposure.Setting;
import org.halfdusk.exposure.ShutterTime;
import org.halfdusk.exposure.SkyExposure;
import org.halfdusk.optics.Rig;
import org.halfdusk.photometry.FNumber;
import org.halfdusk.photometry.Iso;
import org.halfdusk.photometry.SkyBrightness;
import org.halfdusk.photometry.Stops;
import org.halfdusk.shoot.setting.ApertureChoice;
import org.halfdusk.shoot.setting.ApertureReason;
import org.halfdusk.shoot.setting.ExposurePlan;
import org.halfdusk.shoot.setting.IsoReason;
import org.halfdusk.shoot.setting.wished.Wishes;
import org.halfdusk.trailing.School;

/**
 * One frame of star trails. The sky's glow, not the stars' motion, limits it: at a third of the way across the histogram
 * faint trails begin to drown.
 *
 * @param skyBrightness the brightest towards the frame during the run
 * @param timeReason what decided the time
 * @param glowLimitSeconds longest time at this aperture and ISO before the sky stands a third across
 */
public record TrailsExposure(
        Rig rig,
        SkyBrightness skyBrightness,
        Wishes wishes,
        ShutterTime shutter,
        TimeReason timeReason,
        ApertureChoice aperture,
        Iso iso,
        IsoReason isoReason,
        double glowLimitSeconds) {
    /** Where on the histogram the sky's glow begins to drown faint trails. */
    public static final double GLOW_LIMIT = 1.0 / 3;

    /** A frame that one headlight may cost without much loss, and long enough to keep the number of files down. */
    public static final double USUAL_SECONDS = 90;

    private static final FNumber USUAL_APERTURE = new FNumber(4);

    /** Cool enough to keep the night blue, K. */
    private static final int WHITE_BALANCE_KELVIN = 3200;

    /** What decided the time of a frame. */
    public enum TimeReason {
        USUAL,
        LONGEST_OF_CAMERA,
        SKY_GLOW,
        /** The light that a film of one speed needs, its slowness in the dark counted. */
        FILM,
        /** Aperture and ISO are fixed: it follows the light. */
        LIGHT,
        PINNED
    }

    static TrailsExposure of(Rig rig, SkyBrightness skyBrightness, Wishes wishes) {
        ApertureChoice aperture = aperture(rig, skyBrightness, wishes);
        List<ShutterTime> times = ExposurePlan.times(rig);
        List<Iso> isos = rig.camera().isos();
        double slowest = limit(rig, skyBrightness, aperture.fNumber(), isos.get(0));
        ShutterTime usual = ShutterTime.within(USUAL_SECONDS, times);
        ShutterTime chosen = usual;
        TimeReason reason = usual.nominalSeconds() < USUAL_SECONDS ? TimeReason.LONGEST_OF_CAMERA : TimeReason.USUAL;
        double filmSeconds = Reciprocity.needed(
                rig,
                wishes.isoFor(new SkyExposure(skyBrightness, aperture.fNumber(), 1, Iso.HUNDRED))
                                .value()
                        / isos.get(0).value());
        if (wishes.pinnedSeconds().isEmpty() && rig.camera().film()) {
            chosen = ShutterTime.nearest(Math.min(School.LONGEST_SECONDS, filmSeconds), times);
            reason = TimeReason.FILM;
        } else if (wishes.pinnedSeconds().isPresent()) {
            chosen = ShutterTime.nearest(wishes.pinnedSeconds().getAsDouble(), times);
            reason = TimeReason.PINNED;
        } else if (wishes.pinnedAperture().isPresent() && wishes.pinnedIso().isPresent()) {
            double needed = wishes.isoFor(new SkyExposure(skyBrightness, aperture.fNumber(), 1, Iso.HUNDRED))
                            .value()
                    / wishes.pinnedIso().get().value();
            chosen = ShutterTime.nearest(Math.min(School.LONGEST_SECONDS, needed), times);
            reason = TimeReason.LIGHT;
        } else if (usual.realSeconds() > slowest) {
            chosen = ShutterTime.within(slowest, times);
            reason = TimeReason.SKY_GLOW;
        }
        double counts = Reciprocity.counts(rig, chosen.realSeconds());
        Iso exact = wishes.isoFor(new SkyExposure(skyBrightness, aperture.fNumber(), counts, Iso.HUNDRED));
        Iso iso = wishes.pinnedIso().orElseGet(() -> exact.nearest(isos));
        return new TrailsExposure(
                rig,
                skyBrightness,
                wishes,
                chosen,
                reason,
                aperture,
                iso,
                IsoReason.of(wishes, exact, iso),
                limit(rig, skyBrightness, aperture.fNumber(), iso));
    }

    /** The usual one, or where time and ISO are fixed that which the light then asks for. */
    private static ApertureChoice aperture(Rig rig, SkyBrightness sky, Wishes wishes) {
        if (wishes.pinnedAperture().isEmpty()
                && wishes.pinnedSeconds().isPresent()
                && wishes.pinnedIso().isPresent()) {
            ShutterTime time = ShutterTime.nearest(wishes.pinnedSeconds().getAsDouble(), ExposurePlan.times(rig));
            double counts = Reciprocity.counts(rig, time.realSeconds());
            Iso needed = wishes.isoFor(new SkyExposure(sky, FNumber.ONE, counts, Iso.HUNDRED));
            FNumber exact = FNumber.ONE.stoppedDown(wishes.pinnedIso().get().stopsOver(needed));
            FNumber nearest = exact.nearest(rig.apertures());
            return new ApertureChoice(nearest, new ApertureReason.FromLight(exact, exact.stopsOver(nearest)));
        }
        return ApertureChoice.preferring(
                wishes.pinnedAperture().isPresent() ? USUAL_APERTURE : USUAL_APERTURE.atLeast(rig.widestAperture()),
                rig,
                wishes);
    }

    /** Seconds until the sky stands at the glow limit. */
    private static double limit(Rig rig, SkyBrightness skyBrightness, FNumber fNumber, Iso iso) {
        return Reciprocity.needed(
                rig,
                new SkyExposure(skyBrightness, fNumber, 1, Iso.HUNDRED)
                                .isoFor(GLOW_LIMIT)
                                .value()
                        / iso.value());
    }

    /** The aperture that all its frames share. */
    public FNumber fNumber() {
        return aperture.fNumber();
    }

    /** What is set for each frame of the trail. */
    public Setting setting() {
        return new Setting(shutter, fNumber(), iso, WHITE_BALANCE_KELVIN);
    }

    /** How the sky comes out in one frame. */
    public SkyExposure sky() {
        return new SkyExposure(skyBrightness, fNumber(), Reciprocity.counts(rig, shutter.realSeconds()), iso);
    }

    /** Stops by which the sky stays under the glow limit; negative where it is over. */
    public double stopsUnderGlow() {
        return Stops.between(glowLimitSeconds, shutter.realSeconds());
    }
}
