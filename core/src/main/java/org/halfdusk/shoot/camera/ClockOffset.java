package org.halfdusk.shoot.camera;

import java.time.Duration;
import java.time.Instant;
import org.halfdusk.typed.Range;

/**
 * How far a camera's clock is off: what it shows less what is true.
 *
 * @param seconds positive where the camera is ahead
 * @param at when that was found
 */
public record ClockOffset(double seconds, Instant at) {
    public static final Range SECONDS = new Range("clock offset", -86_400, 86_400, "s");

    /** Less than this nobody sets a clock better by hand†. */
    public static final double FAIR_SECONDS = 1;

    /** A face shows tenths. */
    private static final double READ_SECONDS = 0.1;

    /** Zones of the world lie whole quarters of an hour from UTC, s. */
    private static final double ZONE_SECONDS = 900;

    public ClockOffset {
        SECONDS.check(seconds);
    }

    /**
     * What is left when the camera's zone is taken off, whole quarters of an hour: −450 to 450 s.
     *
     * @param shown on the camera, at a true moment
     */
    public static ClockOffset of(Instant shown, Instant truly) {
        double apart = Duration.between(truly, shown).toMillis() / 1000.0;
        return new ClockOffset(apart - ZONE_SECONDS * Math.rint(apart / ZONE_SECONDS), truly);
    }

    /** What the camera's clock shows at a moment. */
    public Instant shown(Instant truly) {
        return truly.plusMillis(Math.round(seconds * 1000));
    }

    /** Whether it is off by less than can be read from a photographed face. */
    public boolean right() {
        return Math.abs(seconds) < READ_SECONDS / 2;
    }

    /** Whether a script that counts seconds can be run by it. */
    public boolean fair() {
        return Math.abs(seconds) <= FAIR_SECONDS;
    }
}
