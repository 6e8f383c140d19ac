package org.halfdusk.shoot.setting;

import org.halfdusk.exposure.IsoSchool;
import org.halfdusk.photometry.Iso;
import org.halfdusk.shoot.setting.wished.Wishes;

/** What decided the ISO. */
public sealed interface IsoReason {
    /** How an ISO compares with the exact one that the wished school asks for. */
    static IsoReason of(Wishes wishes, Iso exact, Iso iso) {
        IsoSchool school = wishes.isoSchool();
        double over = iso.stopsOver(exact);
        if (wishes.pinnedIso().isPresent()) {
            return new Pinned(school, exact, over);
        }
        double third = 1.0 / 3;
        if (over < -third) {
            return new HighestOfCamera(school, exact, -over);
        }
        return over > third ? new LowestOfCamera(school, exact, over) : new SkyPlaced(school, exact);
    }

    /** Puts the sky where the school wants it; the exact value before rounding to a mark. */
    record SkyPlaced(IsoSchool school, Iso exact) implements IsoReason {}

    /** More would be needed than the camera usefully has; stops missing. */
    record HighestOfCamera(IsoSchool school, Iso exact, double stopsMissing) implements IsoReason {}

    /** Less would do than the camera has; stops too many. */
    record LowestOfCamera(IsoSchool school, Iso exact, double stopsOver) implements IsoReason {}

    /** Fixed by the person; stops from the school's target, positive brighter. */
    record Pinned(IsoSchool school, Iso exact, double stopsOver) implements IsoReason {}
}
