package org.halfdusk.sky;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.halfdusk.angle.Vector;

/**
 * The Milky Way's middle line over the horizon as an arch.
 *
 * @param top its highest point
 * @param left azimuth of the foot that is to the left of one who faces the top, degrees
 * @param right of the other
 */
public record BandArch(HorizontalPosition top, double left, double right) {
    private static final int POINTS = 720;

    /** Nothing where the whole line lies along the horizon: then it has no top. */
    public static Optional<BandArch> of(Sky sky, Instant at) {
        List<Vector> line = sky.galacticEquator(at, POINTS);
        Vector top = line.get(0);
        for (Vector v : line) {
            top = v.z() > top.z() ? v : top;
        }
        if (top.z() < 0.02) {
            return Optional.empty();
        }
        // A great circle meets the horizon a quarter turn either side of its top.
        double azimuth = HorizontalPosition.of(top).azimuth().degrees();
        return Optional.of(new BandArch(HorizontalPosition.of(top), (azimuth + 270) % 360, (azimuth + 90) % 360));
    }
}
