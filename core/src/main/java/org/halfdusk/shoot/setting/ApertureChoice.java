package org.halfdusk.shoot.setting;

import org.halfdusk.optics.Rig;
import org.halfdusk.photometry.FNumber;
import org.halfdusk.shoot.setting.wished.Wishes;

/** An aperture that a rig has, with what decided it. */
public record ApertureChoice(FNumber fNumber, ApertureReason reason) {
    /** A subject's usual aperture unless the person fixed one, kept inside what the lens can do. */
    public static ApertureChoice preferring(FNumber usual, Rig rig, Wishes wishes) {
        FNumber widest = rig.widestAperture();
        FNumber wished = wishes.pinnedAperture().orElse(usual);
        FNumber fNumber = wished.within(widest, rig.smallestAperture());
        if (!wished.same(fNumber)) {
            return new ApertureChoice(fNumber, new ApertureReason.OutOfReach(wished, widest, rig.smallestAperture()));
        }
        return new ApertureChoice(
                fNumber,
                wishes.pinnedAperture().isPresent()
                        ? new ApertureReason.Pinned(widest, fNumber.stopsOver(widest))
                        : new ApertureReason.Usual(widest, fNumber.stopsOver(widest)));
    }
}
