package org.halfdusk.shoot.setting;

import org.halfdusk.optics.DepthOfField;
import org.halfdusk.optics.Rig;
import org.halfdusk.photometry.FNumber;

/**
 * How large stars are drawn behind something near that is in focus.
 *
 * @param focusMetres in focus
 * @param px across the disc that a star becomes
 * @param shareOfWidth of the picture's longer side, 0 to 1
 */
public record StarBlur(double focusMetres, double px, double shareOfWidth) {
    /** Thin lens: c = f²/(N (s − f)). */
    public static StarBlur of(Rig rig, FNumber fNumber, double focusMetres) {
        double mm = new DepthOfField(
                        rig.focalMm(), fNumber, rig.camera().sensor().circleOfConfusionMm())
                .blurMm(focusMetres, Double.POSITIVE_INFINITY);
        return new StarBlur(
                focusMetres,
                mm * 1000 / rig.camera().sensor().pixelPitchMicrometres(),
                mm / rig.camera().sensor().widthMm());
    }

    /** Discs of more pixels are seen as such and not as stars out of focus†. */
    private static final double DISCS = 12;

    /** Whether stars are seen as discs and not as stars out of focus. */
    public boolean discs() {
        return px > DISCS;
    }
}
