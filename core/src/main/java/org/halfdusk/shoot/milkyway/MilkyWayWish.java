package org.halfdusk.shoot.milkyway;

import java.util.List;
import org.halfdusk.shoot.Wish;
import org.halfdusk.shoot.WishKind;
import org.halfdusk.typed.Field;
import org.halfdusk.typed.Range;

/**
 * What is wished of the Milky Way.
 *
 * @param lowestCoreDegrees under which the core is not wanted, 0 to 60
 */
public record MilkyWayWish(double lowestCoreDegrees) implements Wish {
    public static final Range LOWEST_CORE_RANGE = new Range("lowest core altitude", 0, 60, "°");

    public static final Field<MilkyWayWish, Double> LOWEST_CORE = Field.number(
            "CORE_LOWEST", LOWEST_CORE_RANGE, MilkyWayWish::lowestCoreDegrees, (w, v) -> new MilkyWayWish(v));

    public static final WishKind<MilkyWayWish> KIND = new WishKind<>(
            MilkyWayWish.class, new MilkyWayWish(MilkyWayNight.DEFAULT_LOWEST_CORE_DEGREES), List.of(LOWEST_CORE));
}
