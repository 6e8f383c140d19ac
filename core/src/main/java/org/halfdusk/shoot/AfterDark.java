package org.halfdusk.shoot;

import java.time.LocalDate;
import java.time.ZoneId;
import org.halfdusk.shoot.fireworks.FireworksNight;
import org.halfdusk.shoot.lunareclipse.LunarEclipseNight;
import org.halfdusk.shoot.milkyway.MilkyWayNight;
import org.halfdusk.shoot.moon.MoonNight;
import org.halfdusk.shoot.town.TownNight;
import org.halfdusk.shoot.trails.TrailsNight;
import org.halfdusk.sky.Sky;
import org.halfdusk.sky.events.Night;
import org.halfdusk.time.Interval;

/** A subject of the night proper, between one noon and the next. */
public sealed interface AfterDark extends SubjectNight
        permits MilkyWayNight, TrailsNight, MoonNight, LunarEclipseNight, FireworksNight, TownNight {
    Night night();

    @Override
    default LocalDate date() {
        return night().date();
    }

    @Override
    default ZoneId zone() {
        return night().zone();
    }

    @Override
    default Sky sky() {
        return night().sky();
    }

    @Override
    default Interval whole() {
        return night().interval();
    }

    @Override
    default Interval axis() {
        return night().axis();
    }
}
