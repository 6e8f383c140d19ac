package org.halfdusk.shoot.town;

/** A class of what sends light in a town. */
public enum TownPart {
    /** Bare lamps, seen themselves. */
    LAMPS(1.5, 0.0005),
    /** Lit rooms. */
    WINDOWS(1.5, 0.012),
    /** Fronts on which lamps shine. */
    FRONTS(1, 0.2),
    /** Street, quay: the mid-tone that a meter is pointed at. */
    STREET(0.7, 0.03),
    SKY(0.4, 0.36),
    WATER(1.2, 0.2415),
    /** Walls and hills that no lamp reaches: the shadows. */
    WALLS(1, 0.116),
    /** Boats and all that stands before the light. */
    HULLS(1, 0.04);

    private final double spreadStops;
    private final double share;

    TownPart(double spreadStops, double share) {
        this.spreadStops = spreadStops;
        this.share = share;
    }

    /** Standard deviation of its luminance, stops†. */
    public double spreadStops() {
        return spreadStops;
    }

    /** Of a usual picture with sky and water, 0 to 1†. */
    public double share() {
        return share;
    }
}
