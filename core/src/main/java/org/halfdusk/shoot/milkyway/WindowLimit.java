package org.halfdusk.shoot.milkyway;

import java.time.Instant;

/** What begins or ends a window. */
public record WindowLimit(Cause cause, Instant at) {
    /** Beginnings: it gets dark, the Moon sets, the core has climbed, the core comes out from behind the
     * skyline. Ends: dawn, moonrise, the core has sunk, goes behind the skyline. */
    public enum Cause {
        DARK,
        MOON,
        CORE,
        SKYLINE
    }
}
