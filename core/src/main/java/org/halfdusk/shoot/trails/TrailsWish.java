package org.halfdusk.shoot.trails;

import java.time.Duration;
import java.util.List;
import java.util.OptionalDouble;
import org.halfdusk.shoot.Wish;
import org.halfdusk.shoot.WishKind;
import org.halfdusk.shoot.packing.Air;
import org.halfdusk.typed.Field;
import org.halfdusk.typed.Range;

/**
 * What is wished of star trails.
 *
 * @param minutes length of the trails, 1 to 960
 * @param gapSeconds between frames, 0 to 60
 * @param moonlightMagnitudes by which the moon may brighten the sky, 0 to 6
 * @param celsius expected
 */
public record TrailsWish(double minutes, double gapSeconds, double moonlightMagnitudes, OptionalDouble celsius)
        implements Wish {
    public static final Field<TrailsWish, Double> MINUTES = Field.number(
            "TRAILS_MINUTES",
            new Range("length of the trails", 1, 960, "min"),
            TrailsWish::minutes,
            (w, v) -> new TrailsWish(v, w.gapSeconds, w.moonlightMagnitudes, w.celsius));
    public static final Field<TrailsWish, Double> GAP = Field.number(
            "TRAILS_GAP",
            new Range("gap between frames", 0, 60, "s"),
            TrailsWish::gapSeconds,
            (w, v) -> new TrailsWish(w.minutes, v, w.moonlightMagnitudes, w.celsius));
    public static final Field<TrailsWish, Double> MOONLIGHT = Field.number(
            "TRAILS_MOONLIGHT",
            new Range("moonlight allowed", 0, 6, "mag"),
            TrailsWish::moonlightMagnitudes,
            (w, v) -> new TrailsWish(w.minutes, w.gapSeconds, v, w.celsius));
    public static final Field<TrailsWish, OptionalDouble> CELSIUS = Air.expected(
            "TRAILS_CELSIUS",
            TrailsWish::celsius,
            (w, v) -> new TrailsWish(w.minutes, w.gapSeconds, w.moonlightMagnitudes, v));

    public static final WishKind<TrailsWish> KIND = new WishKind<>(
            TrailsWish.class,
            new TrailsWish(120, 1, 1, OptionalDouble.empty()),
            List.of(MINUTES, GAP, MOONLIGHT, CELSIUS));

    Duration length() {
        return Wish.minutes(minutes);
    }
}
