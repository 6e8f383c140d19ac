package org.halfdusk.shoot.setting;

import java.time.Duration;
import java.time.Instant;
import java.util.Optional;
import org.halfdusk.ephemeris.Body;
import org.halfdusk.optics.Rig;
import org.halfdusk.shoot.setting.wished.ExposureLimits;
import org.halfdusk.sky.Sky;

/**
 * How long the sun or the moon stays in a frame that was centred on it: until its rim reaches the nearer edge, wherever it drifts.
 *
 * @param after whole seconds, rounded down; zero where the disc does not fit
 * @param degrees by which the camera is then turned
 * @param byHand whether one follows it by hand: through a long lens; a wide frame is composed, and the disc crosses it
 */
public record Recentring(Duration after, double degrees, boolean byHand) {
    /** Short side of a frame in which nothing but the disc stands, at most, degrees†. */
    private static final double LONG_LENS_DEGREES = 8;

    /** Sun and moon at their largest, degrees. */
    private static final double RADIUS_DEGREES = 0.28;

    /** Nobody minds a disc that takes longer than an eclipse to leave. */
    private static final Duration LONGEST = Duration.ofHours(6);

    /**
     * @param limits mount and how well it stands
     * @return nothing where it stays in the frame for hours: a mount follows it, or the frame is wide
     */
    public static Optional<Recentring> of(Rig rig, ExposureLimits limits, Sky sky, Body body, Instant at) {
        double way = Math.max(0, rig.shortFieldDegrees() / 2 - RADIUS_DEGREES);
        double perSecond = limits.speedArcsec(sky, body, at) / 3600;
        if (perSecond * LONGEST.toSeconds() < way) {
            return Optional.empty();
        }
        return Optional.of(new Recentring(
                Duration.ofSeconds((long) (way / perSecond)), way, rig.shortFieldDegrees() <= LONG_LENS_DEGREES));
    }
}
