package org.halfdusk.optics.kit;

/** What goes with cameras and lenses. */
public sealed interface Accessory permits Filter, Support, Card, BatteryPack {
    String name();

    /** How a person tells them apart. */
    enum Kind {
        FILTER,
        SUPPORT,
        CARD,
        BATTERY
    }

    Kind kind();
}
