package org.halfdusk.shoot.programme;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import org.halfdusk.exposure.ShutterTime;
import org.halfdusk.exposure.SkyExposure;
import org.halfdusk.photometry.FNumber;
import org.halfdusk.photometry.Iso;
import org.halfdusk.photometry.SkyBrightness;
import org.halfdusk.photometry.Stops;
import org.halfdusk.sequence.Frame;
import org.halfdusk.shoot.Plan;
import org.halfdusk.shoot.setting.ExposurePlan;

/**
 * Frames of a time lapse that follow the light from day to night or back: the sky stays at one place of the histogram while
 * the light engine's brightness towards the frame changes. As it darkens the time is lengthened to the longest that is
 * wished, then the ISO is raised; aperture and interval stay. Steps are the camera's thirds and change only when the light has
 * changed by a third, so that the clip does not flicker to and fro.
 */
public final class Ramp {
    private static final double THIRD = 1.0 / 3;
    /** A step is taken when what is set is off by more than this: over half a third, so that it does not go to and fro. */
    private static final double HALF_STEP = 0.25;

    private Ramp() {}

    /**
     * @param longest time of the darkest frames
     * @param intervalSeconds from opening to opening
     * @param highestIso of the darkest frames
     */
    public static List<Frame> frames(
            Plan plan,
            Instant start,
            int frames,
            ShutterTime longest,
            double intervalSeconds,
            FNumber fNumber,
            Iso highestIso,
            double histogramPosition) {
        List<ShutterTime> times = ExposurePlan.times(plan.rig()).stream()
                .filter(t -> t.realSeconds() <= longest.realSeconds() * 1.001)
                .toList();
        List<Iso> isos = Iso.available(plan.rig().camera().sensitivity().lowestIso(), highestIso.number());
        List<Frame> all = new ArrayList<>();
        ShutterTime time = longest;
        Iso iso = highestIso;
        for (int i = 0; i < frames; i++) {
            Instant at = start.plusNanos(Math.round(i * intervalSeconds * 1e9));
            SkyBrightness brightness = plan.night()
                    .light()
                    .at(at)
                    .towards(plan.framing().direction())
                    .total()
                    .exposable();
            // Time·ISO that puts this sky at the place, against what is set: the step that is taken, not the one that
            // was wished.
            double needed = new SkyExposure(brightness, fNumber, 1, Iso.HUNDRED)
                    .isoFor(histogramPosition)
                    .value();
            boolean first = i == 0;
            double off = Stops.between(needed, time.realSeconds() * iso.value());
            if (first || Math.abs(off) > HALF_STEP) {
                // Light that changes slowly is followed by thirds; where it runs ahead of them, by as many as it takes.
                double step = Math.copySign(Math.max(THIRD, Math.rint(Math.abs(off) * 3) / 3), off);
                double wished = first ? needed : time.realSeconds() * iso.value() * Math.pow(2, step);
                double lowest = isos.get(0).value();
                time = wished / lowest <= longest.realSeconds() ? ShutterTime.nearest(wished / lowest, times) : longest;
                iso = Iso.of(wished / time.realSeconds()).nearest(isos);
            }
            all.add(new Frame(at, time, fNumber, iso));
        }
        return all;
    }
}
