package org.halfdusk.shoot;

import org.halfdusk.exposure.Stops;
import org.halfdusk.optics.Rig;

/** An aperture that a rig has, with what decided it. */
public record ApertureChoice(double fNumber, ApertureReason reason) {
    /** A subject's usual aperture unless the person fixed one, kept inside what the lens can do. */
    public static ApertureChoice preferring(double usual, Rig rig, Wishes wishes) {
        double widest = rig.widestAperture();
        double wished = wishes.pinnedAperture().orElse(usual);
        double fNumber = Math.max(widest, Math.min(rig.smallestAperture(), wished));
        if (Math.abs(wished - fNumber) > 0.01) {
            return new ApertureChoice(fNumber, new ApertureReason.OutOfReach(wished, widest, rig.smallestAperture()));
        }
        return new ApertureChoice(
                fNumber,
                wishes.pinnedAperture().isPresent()
                        ? new ApertureReason.Pinned(widest, 2 * Stops.between(fNumber, widest))
                        : new ApertureReason.Usual(widest, 2 * Stops.between(fNumber, widest)));
    }

    /** The f-number at which the lens is sharpest, on the sensor: with a converter its factor counts. */
    public static double sharpest(Rig rig) {
        double converter = rig.focalMm() / rig.lensFocalMm();
        return Math.max(rig.widestAperture(), rig.lens().sharpestAperture() * converter);
    }
}
