package org.halfdusk.exposure.discs;

import java.util.List;
import org.halfdusk.photometry.SkyBrightness;

/**
 * The Sun's corona as a picture of totality shows it: how bright it is by distance, from the guide values of the eclipse tables. A
 * guide value 8 is the full Moon's surface, 3.5 mag/arcsec²; each step a stop.
 *
 * @param radii from the Sun's middle, in its radii, 1 and more
 * @param surface how bright it is there
 */
public record Corona(double radii, SkyBrightness surface) {
    /** From the limb outwards; between them it falls evenly in magnitudes. */
    public static List<Corona> profile() {
        return List.of(
                at(1, EclipseGuide.Solar.PROMINENCES),
                at(1.1, EclipseGuide.Solar.CORONA_0_1_R),
                at(1.2, EclipseGuide.Solar.CORONA_0_2_R),
                at(1.5, EclipseGuide.Solar.CORONA_0_5_R),
                at(2, EclipseGuide.Solar.CORONA_1_R),
                at(3, EclipseGuide.Solar.CORONA_2_R),
                at(5, EclipseGuide.Solar.CORONA_4_R),
                at(9, EclipseGuide.Solar.CORONA_8_R));
    }

    private static Corona at(double radii, EclipseGuide.Solar guide) {
        return new Corona(radii, EclipseGuide.lunarSurface(guide.q()));
    }

    /** How opaque it is drawn, 0 to 1: fading out where its guide values end, at eight radii over the limb†. */
    public double opacity() {
        double over =
                EclipseGuide.lunarSurface(EclipseGuide.Solar.CORONA_8_R.q()).over(surface);
        return Math.pow(Math.max(0, Math.min(1, over / 8)), 1.6);
    }
}
