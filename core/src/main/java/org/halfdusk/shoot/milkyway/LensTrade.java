package org.halfdusk.shoot.milkyway;

import org.halfdusk.exposure.Setting;
import org.halfdusk.optics.Rig;
import org.halfdusk.photometry.Stops;

/**
 * What another lens would make of the same sky at the same moment.
 *
 * @param setting that it is then given
 * @param starStops by which a star in one frame leaves more light than through this shoot's lens: its light goes with the area of the
 *     entrance pupil, (f/N)², and with time; the sky's own comes out alike
 * @param held whether what is wished still fits into its shorter side, with the ground below it
 */
public record LensTrade(Rig rig, Setting setting, double starStops, boolean held) {
    /** For a plan. */
    public static LensTrade of(MilkyWayPlan plan, Rig other) {
        MilkyWayPlan then = plan.through(other);
        return new LensTrade(
                other,
                then.setting(),
                Stops.between(light(other, then.setting()), light(plan.rig(), plan.setting())),
                other.longFieldDegrees()
                        > plan.night().best().position().altitude().degrees());
    }

    private static double light(Rig rig, Setting s) {
        double pupil = rig.focalMm() / s.fNumber().value();
        return pupil * pupil * s.shutter().realSeconds();
    }
}
