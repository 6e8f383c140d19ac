package org.halfdusk.shoot.setting.wished;

import java.time.Instant;
import java.util.Objects;
import org.halfdusk.ephemeris.Body;
import org.halfdusk.optics.kit.PeriodicError;
import org.halfdusk.optics.kit.Support;
import org.halfdusk.sky.BodyMotion;
import org.halfdusk.sky.Sky;
import org.halfdusk.trailing.Mount;

/**
 * What holds an exposure back beside the trail budget, and what helps it.
 *
 * @param polarErrorArcmin of a mount's axis, 0 to 600
 * @param periodic error of the mount's worm; a file of an older version has none
 * @param personStands in the frame: they sway, so the time is held to about 3 s
 * @param filterDensity of a filter before the lens, 0 to 6
 */
public record ExposureLimits(
        Mount mount, double polarErrorArcmin, PeriodicError periodic, boolean personStands, double filterDensity) {
    public static final ExposureLimits NONE = new ExposureLimits(Mount.TRIPOD, 0, PeriodicError.NONE, false, 0);

    /** How long a person stands still, s. */
    public static final double PERSON_SECONDS = 3;

    /** With a mount nobody exposes longer in one go†: clouds, planes and a bumped leg cost all of it. */
    public static final double TRACKED_SECONDS = 240;

    /** The same with nobody in the frame. */
    public ExposureLimits withoutPerson() {
        return new ExposureLimits(mount, polarErrorArcmin, periodic, false, filterDensity);
    }

    /** @throws IllegalArgumentException for an axis off by more than 600 arcmin, a density outside 0 to 6 */
    public ExposureLimits {
        Objects.requireNonNull(mount, "mount is missing");
        periodic = Objects.requireNonNullElse(periodic, PeriodicError.NONE);
        if (!(polarErrorArcmin >= 0 && polarErrorArcmin <= 600)) {
            throw new IllegalArgumentException(
                    "axis off the pole by " + polarErrorArcmin + " arcmin is outside 0 to 600 arcmin");
        }
        if (!(filterDensity >= 0 && filterDensity <= 6)) {
            throw new IllegalArgumentException("filter density " + filterDensity + " is outside 0 to 6");
        }
    }

    /**
     * How fast a body crosses the sensor, arcsec per second: on a tripod its motion over the sky, on a mount what its rate leaves of
     * that, its worm at its fastest, and the drift by its axis, which stands across both.
     */
    public double speedArcsec(Sky sky, Body body, Instant at) {
        double left = BodyMotion.arcsecPerSecond(sky, body, at, mount.arcsecPerSecond());
        if (!mount.turns()) {
            return left;
        }
        return Math.hypot(left + periodic.fastestArcsecPerSecond(), Support.driftArcsec(polarErrorArcmin));
    }

    /** Magnitudes by which the filter dims everything. */
    public double filterMagnitudes() {
        return 2.5 * filterDensity;
    }
}
