package org.halfdusk.shoot.milkyway;

import java.util.Optional;
import org.halfdusk.angle.Azimuth;
import org.halfdusk.sky.HorizontalPosition;
import org.halfdusk.typed.Range;

/**
 * Where a part of the band is wished: over a direction, as a gap between two hills or a valley is.
 *
 * @param azimuth nothing for anywhere
 * @param withinDegrees to either side, along the sky, 1 to 60
 */
public record Towards(Optional<Azimuth> azimuth, double withinDegrees) {
    public static final Range AZIMUTH = new Range("over the direction", 0, 360, "°");
    public static final Range WITHIN = new Range("to either side of it", 1, 60, "°");

    /** Anywhere. */
    public static final Towards ANYWHERE = new Towards(Optional.empty(), 8);

    /** @throws IllegalArgumentException naming the degrees and what is allowed */
    public Towards {
        WITHIN.check(withinDegrees);
    }

    /** Whether a place is over the direction. */
    public boolean holds(HorizontalPosition p) {
        return margin(p) >= 0;
    }

    /** By how many degrees a place is inside; negative outside. */
    double margin(HorizontalPosition p) {
        return azimuth.map(a -> withinDegrees - p.degreesAside(a)).orElse(withinDegrees);
    }
}
