package org.halfdusk.show;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.halfdusk.place.Skyline;
import org.halfdusk.show.shells.Spark;
import org.halfdusk.sky.HorizontalPosition;

/**
 * What stands behind a show.
 *
 * @param sky its luminance at altitudes, lowest first, at least one
 * @param moon where it stands, if it is up
 * @param skyline what hides the sky
 * @param water whether water lies before the launching ground, which doubles what glows
 * @param lamps of towns, and lit windows, 2,000 at the most
 */
public record Backdrop(List<Glow> sky, Optional<Moon> moon, Skyline skyline, boolean water, List<Lamp> lamps) {
    /** Across the foot of a picture windows are made up this far to both sides, in distances of the launching ground†. */
    private static final double ASIDE = 0.8;

    /** A lit window†, cd. */
    private static final double WINDOW_CANDELA = 9;

    private static final int MOST = 2000;

    /** Luminance of the sky at an altitude, cd/m². */
    public record Glow(double altitudeDegrees, double luminance) {}

    /** The Moon's disc as a thing that shines. @param luminance cd/m² */
    public record Moon(HorizontalPosition at, double radiusDegrees, double luminance) {}

    /**
     * A lamp or a window that shines all the time.
     *
     * @param at in the show's own place
     * @param warm 0 to 1: how yellow it is
     */
    public record Lamp(Spark.Point at, double candela, double warm) {}

    /** Windows of nobody's houses behind a launching ground, always the same. @param metres to the launching ground */
    public static List<Lamp> madeUpWindows(int count, double metres) {
        Random chance = new Random(count);
        List<Lamp> all = new ArrayList<>();
        for (int i = 0; i < count; i++) {
            double right = metres * ASIDE * (2 * chance.nextDouble() - 1);
            double up = 2 + 14 * chance.nextDouble() * chance.nextDouble();
            Spark.Point at = new Spark.Point(right, up, metres * 0.1 * chance.nextDouble());
            all.add(new Lamp(at, WINDOW_CANDELA, chance.nextDouble()));
        }
        return all;
    }

    /** No light but the show's. */
    public static final Backdrop BLACK =
            new Backdrop(List.of(new Glow(0, 0)), Optional.empty(), Skyline.FLAT, false, List.of());

    /** @throws IllegalArgumentException without a sky, or with too many lamps */
    public Backdrop {
        if (sky.isEmpty()) {
            throw new IllegalArgumentException("the sky's luminance at one altitude at least is needed");
        }
        if (lamps.size() > MOST) {
            throw new IllegalArgumentException(lamps.size() + " lamps are more than " + MOST);
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
