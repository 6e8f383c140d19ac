package org.halfdusk.shoot.moon;

/** What picture of the moon is wished. */
public enum MoonPicture {
    /** Low, with the land, both lit alike. */
    WITH_LAND(0, 1),
    /** By itself, high in a night sky, and large. */
    BY_ITSELF(0, 1),
    /** A crescent in twilight. */
    CRESCENT(0, 0.15),
    /** Half lit, for the relief along its terminator. */
    HALF(0.3, 0.7),
    /** Just behind an object of the foreground. */
    BEHIND(0, 1);

    private final double least;
    private final double most;

    MoonPicture(double least, double most) {
        this.least = least;
        this.most = most;
    }

    /** Share of the disc that is lit on such a picture, 0 to 1†. */
    public double leastLit() {
        return least;
    }

    /** The most of it. */
    public double mostLit() {
        return most;
    }

    /** Whether nothing but the moon is in it: then it stands in the middle and the land's light does not matter. */
    public boolean alone() {
        return this == BY_ITSELF || this == HALF;
    }

    /** Whether a moon lit so far can give it. */
    public boolean suits(double illuminatedFraction) {
        return illuminatedFraction >= least && illuminatedFraction <= most;
    }
}
