package org.halfdusk.web.expose;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import org.halfdusk.photometry.FNumber;
import org.halfdusk.shoot.Plan;
import org.halfdusk.shoot.programme.GroundFrames;
import org.halfdusk.web.layout.words.Words;
import org.halfdusk.web.subject.page.Line;

/** The foreground's own exposure. */
record GroundPart(String answer, String reason, List<Line> lines) {
    private static final FNumber PAINTED = new FNumber(4);

    static GroundPart of(Plan plan, Instant at) {
        GroundFrames frames = GroundFrames.of(plan, at);
        String answer = frames.needless()
                ? "The ground comes out in the sky's own frame"
                : "Ground: " + GroundFrames.FRAMES + " frames of "
                        + frames.setting().shutter().label() + ", "
                        + frames.setting().fNumber().label() + ", ISO "
                        + frames.setting().iso();
        List<Line> lines = new ArrayList<>();
        lines.add(new Line(
                "Light on the ground", Words.lux(frames.ground().lux()) + ", grass and soil giving back 15 %"));
        lines.add(new Line(
                "In the sky's frame it stands",
                Words.percent(frames.inSky().histogramPosition()) + " across the histogram"));
        lines.add(new Line(
                "In its own frames",
                Words.percent(frames.comesOut().histogramPosition()) + " across"
                        + (frames.tooDark() ? ", as far as ten minutes go" : "")));
        lines.add(new Line(
                "Light painting",
                PAINTED.atLeast(plan.setting().fNumber()).label()
                        + ", ISO 200 to 400, 20 to 30 s, lamp from the side"));
        return new GroundPart(
                answer,
                "Focus on the ground for them, take them from the same tripod before or after the sky, in the darkest light that "
                        + "still gives form: dusk, or a low moon. Join them at the horizon, where both are sharp; never paint with "
                        + "the lamp on the lens's own axis, and keep it off other people's frames.",
                lines);
    }
}
