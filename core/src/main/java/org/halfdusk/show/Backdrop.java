package org.halfdusk.show;

import java.util.List;
import java.util.Optional;
import org.halfdusk.place.Skyline;
import org.halfdusk.sky.HorizontalPosition;

/**
 * What stands behind a show.
 *
 * @param sky its luminance at altitudes, lowest first, at least one
 * @param moon where it stands, if it is up
 * @param skyline what hides the sky
 * @param water whether water lies before the launching ground, which doubles what glows
 * @param windows lit windows along the foot of the picture, 0 to 2,000
 */
public record Backdrop(List<Glow> sky, Optional<Moon> moon, Skyline skyline, boolean water, int windows) {
    /** Luminance of the sky at an altitude, cd/m². */
    public record Glow(double altitudeDegrees, double luminance) {}

    /** The Moon's disc as a thing that shines. @param luminance cd/m² */
    public record Moon(HorizontalPosition at, double radiusDegrees, double luminance) {}

    /** No light but the show's. */
    public static final Backdrop BLACK =
            new Backdrop(List.of(new Glow(0, 0)), Optional.empty(), Skyline.FLAT, false, 0);

    public Backdrop {
        if (sky.isEmpty()) {
            throw new IllegalArgumentException("the sky's luminance at one altitude at least is needed");
        }
        if (windows < 0 || windows > 2000) {
            throw new IllegalArgumentException("lit windows " + windows + " are outside 0 to 2000");
        }
    }

    /** Luminance of the sky at an altitude, between the given ones in proportion, cd/m². */
    double luminance(double altitudeDegrees) {
        Glow below = sky.get(0);
        for (Glow g : sky) {
            if (g.altitudeDegrees >= altitudeDegrees) {
                double span = g.altitudeDegrees - below.altitudeDegrees;
                double share = span <= 0 ? 0 : (altitudeDegrees - below.altitudeDegrees) / span;
                return below.luminance + Math.max(0, share) * (g.luminance - below.luminance);
            }
            below = g;
        }
        return below.luminance;
    }
}
