package org.halfdusk.sky.events;

/** What can happen to the bodies that the planner follows; conventions in the package's description. */
public enum EventType {
    SUNRISE,
    SUNSET,
    CIVIL_DAWN,
    CIVIL_DUSK,
    NAUTICAL_DAWN,
    NAUTICAL_DUSK,
    ASTRONOMICAL_DAWN,
    ASTRONOMICAL_DUSK,
    MOONRISE,
    MOONSET,
    MOON_TRANSIT,
    CORE_RISE,
    CORE_SET,
    CORE_TRANSIT
}
