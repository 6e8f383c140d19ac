package org.halfdusk.shoot;

import java.time.Duration;
import java.util.OptionalDouble;
import org.halfdusk.shoot.fireworks.FireworksWish;
import org.halfdusk.shoot.lunareclipse.LunarEclipseWish;
import org.halfdusk.shoot.milkyway.MilkyWayWish;
import org.halfdusk.shoot.moon.MoonWish;
import org.halfdusk.shoot.solareclipse.SolarEclipseWish;
import org.halfdusk.shoot.town.TownWish;
import org.halfdusk.shoot.trails.TrailsWish;

/** What a person wishes of a subject itself, beside the exposure. */
public sealed interface Wish
        permits MilkyWayWish, TrailsWish, MoonWish, LunarEclipseWish, SolarEclipseWish, FireworksWish, TownWish {
    /** Minutes as people wish them, to the second. */
    static Duration minutes(double minutes) {
        return Duration.ofSeconds(Math.round(minutes * 60));
    }

    /** What temperature they expect, °C; nothing where they have not said so. */
    default OptionalDouble celsius() {
        return OptionalDouble.empty();
    }
}
