package org.halfdusk.web.expose;

import java.util.ArrayList;
import java.util.List;
import org.halfdusk.exposure.FNumber;
import org.halfdusk.exposure.Ground;
import org.halfdusk.exposure.Reciprocity;
import org.halfdusk.exposure.Setting;
import org.halfdusk.exposure.ShutterTime;
import org.halfdusk.exposure.SkyExposure;
import org.halfdusk.light.SkyLight;
import org.halfdusk.optics.Camera;
import org.halfdusk.shoot.ExposurePlan;
import org.halfdusk.shoot.Plan;
import org.halfdusk.web.layout.Words;
import org.halfdusk.web.subject.Line;

/** The foreground's own exposure. */
record GroundPart(String answer, String reason, List<Line> lines) {
    private static final double LONGEST_SECONDS = 600;
    private static final int FRAMES = 3;

    static GroundPart of(Plan plan, SkyLight.At light, double sunAltitude) {
        Setting s = plan.setting();
        Ground ground = Ground.under(light, sunAltitude, Ground.USUAL_REFLECTANCE);
        SkyExposure now = ground.comesOut(
                s.fNumber(), Reciprocity.counts(plan.rig().camera(), s.shutter().realSeconds()), s.iso());
        double quarterIso = Math.max(plan.rig().camera().lowestIso(), s.iso() / 2.0);
        Camera camera = plan.rig().camera();
        double seconds = Reciprocity.needed(camera, ground.seconds(Ground.TARGET, s.fNumber(), quarterIso));
        List<ShutterTime> times = ExposurePlan.times(plan.rig());
        boolean dark = seconds > LONGEST_SECONDS;
        ShutterTime time = ShutterTime.nearest(Math.min(seconds, LONGEST_SECONDS), times);
        double position = ground.comesOut(s.fNumber(), Reciprocity.counts(camera, time.realSeconds()), quarterIso)
                .histogramPosition();
        String answer = now.histogramPosition() >= Ground.TARGET
                ? "The ground comes out in the sky's own frame"
                : "Ground: " + FRAMES + " frames of " + time.label() + ", " + FNumber.label(s.fNumber()) + ", ISO "
                        + Math.round(quarterIso);
        List<Line> lines = new ArrayList<>();
        lines.add(new Line("Light on the ground", lux(ground.lux()) + ", grass and soil giving back 15 %"));
        lines.add(new Line(
                "In the sky's frame it stands", Words.percent(now.histogramPosition()) + " across the histogram"));
        lines.add(new Line(
                "In its own frames", Words.percent(position) + " across" + (dark ? ", as far as ten minutes go" : "")));
        lines.add(new Line(
                "Light painting",
                FNumber.label(Math.max(4, s.fNumber())) + ", ISO 200 to 400, 20 to 30 s, lamp from the side"));
        return new GroundPart(
                answer,
                "Focus on the ground for them, take them from the same tripod before or after the sky, in the darkest light that "
                        + "still gives form: dusk, or a low moon. Join them at the horizon, where both are sharp; never paint with "
                        + "the lamp on the lens's own axis, and keep it off other people's frames.",
                lines);
    }

    private static String lux(double lux) {
        return (lux < 0.01
                ? Words.thousandths(lux * 1000) + " mlx"
                : lux < 10 ? Words.thousandths(lux) + " lx" : Math.round(lux) + " lx");
    }
}
