package org.halfdusk.shoot.lunareclipse;

import java.time.Duration;
import java.util.List;
import org.halfdusk.shoot.Wish;
import org.halfdusk.shoot.WishKind;
import org.halfdusk.typed.Codec;
import org.halfdusk.typed.Field;
import org.halfdusk.typed.Range;

/**
 * What is wished of a lunar eclipse.
 *
 * @param danjon darkness of totality by Danjon's scale, 0 to 4
 * @param changeOverPercent share of the disc from which on the shadow is exposed for, 50 to 100
 * @param minutes between frames, 0.5 to 60
 */
public record LunarEclipseWish(int danjon, double changeOverPercent, double minutes) implements Wish {
    public static final Field<LunarEclipseWish, Integer> DANJON = new Field<>(
            "LUNAR_DANJON",
            "darkness of totality",
            Codec.choice(
                    "darkness of totality",
                    new Codec.Chosen<>(2, "2", "Danjon 2, deep red"),
                    new Codec.Chosen<>(0, "0", "Danjon 0, almost invisible"),
                    new Codec.Chosen<>(1, "1", "Danjon 1, dark grey or brown"),
                    new Codec.Chosen<>(3, "3", "Danjon 3, brick red"),
                    new Codec.Chosen<>(4, "4", "Danjon 4, bright copper")),
            LunarEclipseWish::danjon,
            (w, v) -> new LunarEclipseWish(v, w.changeOverPercent, w.minutes));
    public static final Field<LunarEclipseWish, Double> CHANGE_OVER = Field.number(
            "LUNAR_CHANGE_OVER",
            new Range("expose for the shadow from", 50, 100, "% covered"),
            LunarEclipseWish::changeOverPercent,
            (w, v) -> new LunarEclipseWish(w.danjon, v, w.minutes));
    public static final Field<LunarEclipseWish, Double> MINUTES = Field.number(
            "LUNAR_MINUTES",
            new Range("minutes between frames", 0.5, 60, "min"),
            LunarEclipseWish::minutes,
            (w, v) -> new LunarEclipseWish(w.danjon, w.changeOverPercent, v));

    public static final WishKind<LunarEclipseWish> KIND = new WishKind<>(
            LunarEclipseWish.class, new LunarEclipseWish(2, 78, 5), List.of(DANJON, CHANGE_OVER, MINUTES));

    Duration between() {
        return Wish.minutes(minutes);
    }
}
