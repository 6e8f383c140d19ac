package org.halfdusk.shoot.moon;

import java.time.Duration;
import java.util.List;
import org.halfdusk.shoot.Wish;
import org.halfdusk.shoot.WishKind;
import org.halfdusk.typed.Codec;
import org.halfdusk.typed.Field;
import org.halfdusk.typed.Range;

/**
 * What is wished of the moon.
 *
 * @param lowestDegrees altitude under which it is not wanted, 0 to 60
 * @param highestDegrees altitude over which it is not with the land, 1 to 89; by itself it may stand anywhere
 * @param minutes between brackets, 0.2 to 60
 */
public record MoonWish(
        MoonPicture picture, double lowestDegrees, double highestDegrees, Support support, double minutes)
        implements Wish {
    public static final Field<MoonWish, MoonPicture> PICTURE = new Field<>(
            "MOON_PICTURE",
            "picture of the moon",
            Codec.choice(
                    "picture of the moon",
                    new Codec.Chosen<>(MoonPicture.WITH_LAND, "LAND", "low, with the land in equal light"),
                    new Codec.Chosen<>(MoonPicture.BY_ITSELF, "ALONE", "by itself, high and large"),
                    new Codec.Chosen<>(MoonPicture.CRESCENT, "CRESCENT", "a thin crescent in twilight"),
                    new Codec.Chosen<>(MoonPicture.HALF, "HALF", "half lit, for the relief"),
                    new Codec.Chosen<>(MoonPicture.BEHIND, "BEHIND", "behind an object")),
            MoonWish::picture,
            (w, v) -> new MoonWish(v, w.lowestDegrees, w.highestDegrees, w.support, w.minutes));
    public static final Field<MoonWish, Double> LOWEST = Field.number(
            "MOON_LOWEST",
            new Range("moon not under", 0, 60, "°"),
            MoonWish::lowestDegrees,
            (w, v) -> new MoonWish(w.picture, v, w.highestDegrees, w.support, w.minutes));
    public static final Field<MoonWish, Double> HIGHEST = Field.number(
            "MOON_HIGHEST",
            new Range("with land, moon not over", 1, 89, "°"),
            MoonWish::highestDegrees,
            (w, v) -> new MoonWish(w.picture, w.lowestDegrees, v, w.support, w.minutes));
    public static final Field<MoonWish, Support> SUPPORT = new Field<>(
            "MOON_SUPPORT",
            "camera held by",
            Codec.choice(
                    "camera held by",
                    new Codec.Chosen<>(Support.TRIPOD, "TRIPOD", "tripod"),
                    new Codec.Chosen<>(Support.HAND, "HAND", "hand")),
            MoonWish::support,
            (w, v) -> new MoonWish(w.picture, w.lowestDegrees, w.highestDegrees, v, w.minutes));
    public static final Field<MoonWish, Double> MINUTES = Field.number(
            "MOON_MINUTES",
            new Range("minutes between brackets", 0.2, 60, "min"),
            MoonWish::minutes,
            (w, v) -> new MoonWish(w.picture, w.lowestDegrees, w.highestDegrees, w.support, v));

    public static final WishKind<MoonWish> KIND = new WishKind<>(
            MoonWish.class,
            new MoonWish(MoonPicture.WITH_LAND, 0, 12, Support.TRIPOD, 2),
            List.of(PICTURE, LOWEST, HIGHEST, SUPPORT, MINUTES));

    Duration between() {
        return Wish.minutes(minutes);
    }
}
