package org.halfdusk.sky.shapes;

import java.time.Instant;
import java.util.Optional;
import org.halfdusk.ephemeris.Body;
import org.halfdusk.sky.HorizontalPosition;
import org.halfdusk.sky.Sky;

/**
 * The Milky Way's middle line over the horizon as an arch. A great circle's highest point stands as far from the zenith as its
 * pole from the horizon, over or under which it culminates.
 *
 * @param top its highest point
 * @param left azimuth of the foot that is to the left of one who faces the top, degrees
 * @param right of the other
 */
public record BandArch(HorizontalPosition top, double left, double right) {
    /** Under this height the whole line lies along the horizon, degrees. */
    private static final double FLAT_DEGREES = 1.15;

    /** Nothing where the whole line lies along the horizon: then it has no top. */
    public static Optional<BandArch> of(Sky sky, Instant at) {
        HorizontalPosition top = sky.at(Body.BAND_TOP, at);
        if (top.altitude().degrees() < FLAT_DEGREES) {
            return Optional.empty();
        }
        // A great circle meets the horizon a quarter turn either side of its top.
        double azimuth = top.azimuth().degrees();
        return Optional.of(new BandArch(top, (azimuth + 270) % 360, (azimuth + 90) % 360));
    }
}
