package org.halfdusk.shoot;

/** What a shoot is about. */
public enum Subject {
    MILKY_WAY,
    STAR_TRAILS,
    MOON,
    LUNAR_ECLIPSE,
    SOLAR_ECLIPSE,
    FIREWORKS,
    TOWN
}
