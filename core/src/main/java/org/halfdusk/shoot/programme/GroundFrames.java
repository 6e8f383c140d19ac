package org.halfdusk.shoot.programme;

import java.time.Instant;
import java.util.List;
import org.halfdusk.ephemeris.Body;
import org.halfdusk.exposure.Ground;
import org.halfdusk.exposure.Reciprocity;
import org.halfdusk.exposure.Setting;
import org.halfdusk.exposure.ShutterTime;
import org.halfdusk.exposure.SkyExposure;
import org.halfdusk.optics.Rig;
import org.halfdusk.photometry.Iso;
import org.halfdusk.shoot.Plan;
import org.halfdusk.shoot.setting.ExposurePlan;

/**
 * The foreground's own frames: the sky's aperture, a stop less ISO, and the time that shows it as night.
 *
 * @param ground its light at the moment
 * @param setting of each frame
 * @param inSky how it comes out in the sky's own frame
 * @param comesOut how it comes out in its own
 * @param tooDark whether even the longest time that is waited for leaves it darker than wished
 */
public record GroundFrames(Ground ground, Setting setting, SkyExposure inSky, SkyExposure comesOut, boolean tooDark) {
    /** Longer than this nobody waits for one frame, s†. */
    public static final double LONGEST_SECONDS = 600;

    /** Enough for their mean to gain 0.8 stops, and for one that a lamp spoils†. */
    public static final int FRAMES = 3;

    /** Whole seconds between frames. */
    public static final double GAP_SECONDS = 2;

    /** By the light of a moment. */
    public static GroundFrames of(Plan plan, Instant at) {
        Setting s = plan.setting();
        Rig rig = plan.rig();
        Ground ground = Ground.under(
                plan.night().light().at(at),
                plan.night().sky().at(Body.SUN, at).altitude().degrees(),
                Ground.USUAL_REFLECTANCE);
        Iso iso = s.iso().times(0.5).nearest(rig.camera().isos());
        double seconds = Reciprocity.needed(rig, ground.seconds(Ground.TARGET, s.fNumber(), iso));
        List<ShutterTime> times = ExposurePlan.times(rig);
        ShutterTime time = ShutterTime.nearest(Math.min(seconds, LONGEST_SECONDS), times);
        return new GroundFrames(
                ground,
                new Setting(time, s.fNumber(), iso, s.kelvin()),
                ground.comesOut(s.fNumber(), Reciprocity.counts(rig, s.shutter().realSeconds()), s.iso()),
                ground.comesOut(s.fNumber(), Reciprocity.counts(rig, time.realSeconds()), iso),
                seconds > LONGEST_SECONDS);
    }

    /** Whether the ground shows in the sky's own frame, so that it needs none of its own. */
    public boolean needless() {
        return inSky.histogramPosition() >= Ground.TARGET;
    }
}
