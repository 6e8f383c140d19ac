package org.halfdusk.shoot.milkyway;

import java.time.Instant;

/** What begins or ends a window. */
public record WindowLimit(Cause cause, Instant at) {
    /** Beginnings: it gets dark, the Moon sets, the core has climbed, the core comes out from behind the
     * skyline, the arch has come down from overhead. Ends: dawn, moonrise, the core has sunk, goes behind the skyline, the
     * arch goes overhead. In a night that is never dark its least light begins and ends in the place of the dark. */
    public enum Cause {
        DARK,
        LEAST_LIGHT,
        MOON,
        CORE,
        SKYLINE,
        OVERHEAD,
        /** It comes over the wished direction, or leaves it. */
        DIRECTION
    }
}
