package org.halfdusk.web.frame;

import java.util.ArrayList;
import java.util.List;
import org.halfdusk.optics.DepthOfField;
import org.halfdusk.optics.Rig;
import org.halfdusk.photometry.FNumber;
import org.halfdusk.place.ForegroundObject;
import org.halfdusk.shoot.Plan;
import org.halfdusk.web.layout.words.Words;
import org.halfdusk.web.subject.page.Line;

/**
 * What is sharp from near to far.
 *
 * @param focus as typed; empty for the stars
 * @param error of the last form
 */
record DepthPart(String focus, String error, String answer, String reason, List<Line> lines) {
    /** Two pixels: what looks sharp at 100 %. */
    private static final double PIXELS = 2;

    static DepthPart of(Plan plan, double focusMetres, String typed, String error) {
        Rig rig = plan.rig();
        FNumber fNumber = plan.setting().fNumber();
        double print = rig.camera().sensor().circleOfConfusionMm();
        double pixels = PIXELS * rig.camera().sensor().pixelPitchMicrometres() / 1000;
        DepthOfField onPrint = new DepthOfField(rig.focalMm(), fNumber, print);
        DepthOfField onScreen = new DepthOfField(rig.focalMm(), fNumber, pixels);
        String at = Words.plain(rig.focalMm()) + " mm " + fNumber.label();
        List<Line> lines = new ArrayList<>();
        lines.add(new Line("Sharp on a print, circle " + Words.plain(print) + " mm", range(onPrint, focusMetres)));
        lines.add(new Line("Sharp at 100 %, circle of two pixels", range(onScreen, focusMetres)));
        lines.add(new Line(
                "Hyperfocal distance",
                Words.distance(onPrint.hyperfocalMetres()) + " on a print, "
                        + Words.distance(onScreen.hyperfocalMetres()) + " at 100 %"));
        return new DepthPart(
                typed,
                error,
                answer(plan.place().objects(), onPrint, focusMetres),
                "At " + at + ", focused "
                        + (Double.isInfinite(focusMetres) ? "on the stars" : "at " + Words.distance(focusMetres))
                        + ". Focus by eye, magnified, not on a mark of the lens; the figures are those of a thin lens.",
                lines);
    }

    private static String range(DepthOfField d, double focus) {
        double far = d.farMetres(focus);
        return Words.distance(d.nearMetres(focus))
                + (Double.isInfinite(far) ? " to the stars" : " to " + Words.distance(far));
    }

    private static String answer(List<ForegroundObject> objects, DepthOfField d, double focus) {
        boolean stars = Double.isInfinite(d.farMetres(focus));
        double near = d.nearMetres(focus);
        if (!stars) {
            return "The stars are soft: sharp ends at " + Words.distance(d.farMetres(focus)) + ". Focus at "
                    + Words.distance(d.hyperfocalMetres()) + " or farther.";
        }
        ForegroundObject nearest = null;
        for (ForegroundObject o : objects) {
            nearest = nearest == null || o.distanceMetres() < nearest.distanceMetres() ? o : nearest;
        }
        if (nearest == null) {
            return "All from " + Words.distance(near) + " to the stars is sharp.";
        }
        String what = nearest.name() + " at " + Words.distance(nearest.distanceMetres());
        if (nearest.distanceMetres() >= near) {
            return what + " and the stars are both sharp, from " + Words.distance(near) + " on.";
        }
        double closest = d.nearMetres(d.hyperfocalMetres());
        return nearest.distanceMetres() >= closest
                ? what + " is soft; focused at " + Words.distance(d.hyperfocalMetres()) + " all from "
                        + Words.distance(closest) + " to the stars is."
                : what + " is too near for one frame. Take a second one focused at it, and join the two.";
    }
}
