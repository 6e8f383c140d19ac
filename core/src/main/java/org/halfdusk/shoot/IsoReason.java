package org.halfdusk.shoot;

import org.halfdusk.exposure.IsoSchool;

/** What decided the ISO. */
public sealed interface IsoReason {
    /** Puts the sky where the school wants it; the exact value before rounding to a mark. */
    record SkyPlaced(IsoSchool school, double exact) implements IsoReason {}

    /** More would be needed than the camera usefully has; stops missing. */
    record HighestOfCamera(IsoSchool school, double exact, double stopsMissing) implements IsoReason {}

    /** Less would do than the camera has; stops too many. */
    record LowestOfCamera(IsoSchool school, double exact, double stopsOver) implements IsoReason {}

    /** Fixed by the person; stops from the school's target, positive brighter. */
    record Pinned(IsoSchool school, double exact, double stopsOver) implements IsoReason {}
}
