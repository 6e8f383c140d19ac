package org.halfdusk.optics;

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

    default Kind kind() {
        if (this instanceof Filter) {
            return Kind.FILTER;
        }
        if (this instanceof Support) {
            return Kind.SUPPORT;
        }
        return this instanceof Card ? Kind.CARD : Kind.BATTERY;
    }
}
