package org.halfdusk.shoot.town;

/** How a town is lit. */
public enum TownLight {
    /** Few lamps: class M6 of EN 13201-2. */
    VILLAGE(0.3, 0.15),
    /** Class M3. */
    TOWN(1, 0.5),
    /** Class M1, and fronts in floodlight. */
    CENTRE(2, 6);

    private final double street;
    private final double fronts;

    TownLight(double street, double fronts) {
        this.street = street;
        this.fronts = fronts;
    }

    /** Of a lit street, cd/m². */
    public double street() {
        return street;
    }

    /** Of fronts on which lamps shine, cd/m². */
    public double fronts() {
        return fronts;
    }
}
