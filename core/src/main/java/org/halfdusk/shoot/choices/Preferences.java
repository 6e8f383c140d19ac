package org.halfdusk.shoot.choices;

import java.util.List;
import java.util.Optional;
import org.halfdusk.shoot.milkyway.MilkyWayNight;
import org.halfdusk.shoot.milkyway.MilkyWayWish;
import org.halfdusk.shoot.setting.wished.Wishes;
import org.halfdusk.time.YearlyDate;

/**
 * What a person has settled once for all: where new shoots begin.
 *
 * @param wishes of exposure
 * @param lowestCoreDegrees under which the Milky Way's core is not wanted, 0 to 60
 * @param placeId where they usually go
 * @param rigId what they usually take
 * @param dates of their own that come back each year
 */
public record Preferences(
        Wishes wishes, double lowestCoreDegrees, Optional<Long> placeId, Optional<Long> rigId, List<YearlyDate> dates) {
    public static final Preferences USUAL = new Preferences(
            Wishes.DEFAULT, MilkyWayNight.DEFAULT_LOWEST_CORE_DEGREES, Optional.empty(), Optional.empty(), List.of());

    public Preferences {
        MilkyWayWish.LOWEST_CORE_RANGE.check(lowestCoreDegrees);
        dates = List.copyOf(dates);
    }
}
