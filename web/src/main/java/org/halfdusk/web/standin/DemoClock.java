package org.halfdusk.web.standin;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;

/** The demo's clock: it stands at 24 May 2027, 20:00 in Puerto Vela when the application starts, and runs from there. */
public final class DemoClock {
    /** 20:00 in the zone Europe/Madrid. */
    public static final Instant START = Instant.parse("2027-05-24T18:00:00Z");

    private DemoClock() {}

    public static Clock startingNow(Clock real) {
        return Clock.offset(real, Duration.between(real.instant(), START));
    }
}
