package org.halfdusk.optics.kit;

/**
 * Batteries of one kind.
 *
 * @param frames from one charge at 20 °C
 * @param minutes of exposing from one charge at 20 °C
 * @param count how many there are
 */
public record BatteryPack(String name, int frames, int minutes, int count) implements Accessory {
    /** @throws IllegalArgumentException for an empty name or a figure out of range */
    public BatteryPack {
        name = Figures.name(name);
        Figures.within("battery", frames, 1, 100_000, "frames");
        Figures.within("battery", minutes, 1, 10_000, "min");
        Figures.within("number of batteries", count, 1, 100, "");
    }

    @Override
    public Kind kind() {
        return Kind.BATTERY;
    }
}
