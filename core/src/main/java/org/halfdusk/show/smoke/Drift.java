package org.halfdusk.show.smoke;

import org.halfdusk.show.shells.Spark;
import org.halfdusk.typed.Range;

/**
 * Air that carries smoke and sparks.
 *
 * @param wind to the right, up and away, m/s, each −40 to 40
 * @param thickness of the smoke, 1 as usual, 0 for none, at most 5
 */
public record Drift(Spark.Point wind, double thickness) {
    private static final Range WIND = new Range("wind", -40, 40, "m/s");
    private static final Range THICKNESS = Range.of("thickness of smoke", 0, 5);

    /** Still and clear. */
    public static final Drift NONE = new Drift(Spark.Point.GROUND, 0);

    public Drift {
        WIND.check(wind.x());
        WIND.check(wind.y());
        WIND.check(wind.z());
        THICKNESS.check(thickness);
    }
}
