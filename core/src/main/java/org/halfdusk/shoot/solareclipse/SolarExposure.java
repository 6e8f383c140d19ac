package org.halfdusk.shoot.solareclipse;

import org.halfdusk.exposure.ShutterTime;
import org.halfdusk.exposure.discs.EclipseGuide;
import org.halfdusk.optics.Rig;
import org.halfdusk.photometry.FNumber;
import org.halfdusk.photometry.Iso;
import org.halfdusk.shoot.setting.ExposurePlan;
import org.halfdusk.shoot.setting.wished.Wishes;

/**
 * The exposure of one phase by its guide value.
 *
 * @param airStops that the Sun's altitude costs
 * @param crescentStops by which what is left of the disc is darker than the whole
 * @param exactSeconds what the guide value gives with the air
 * @param shutter nearest mark of the camera
 * @param motionPx what the Sun moves meanwhile, against the camera as it is carried
 * @param tooLong it moves more than the trail budget
 */
public record SolarExposure(
        EclipseGuide.Solar phase,
        double airStops,
        double crescentStops,
        double exactSeconds,
        ShutterTime shutter,
        double motionPx,
        boolean tooLong) {
    static SolarExposure of(
            Rig rig,
            EclipseGuide.Solar phase,
            FNumber fNumber,
            Iso iso,
            double airStops,
            double crescentStops,
            double speedArcsec,
            Wishes wishes) {
        double darker = airStops + crescentStops + wishes.metered().plusStops();
        double exact = EclipseGuide.seconds(fNumber, iso, phase.q() - darker);
        ShutterTime shutter = ShutterTime.nearest(exact, ExposurePlan.times(rig));
        double px = shutter.realSeconds() * speedArcsec / rig.pixelScaleArcsec();
        return new SolarExposure(phase, airStops, crescentStops, exact, shutter, px, px > wishes.budgetPx());
    }
}
