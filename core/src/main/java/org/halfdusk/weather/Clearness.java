package org.halfdusk.weather;

/** How much of a time a sky is good for photographs, in a word. */
public enum Clearness {
    CLEAR(0.8),
    PART(0.4),
    CLOUDY(0);

    private final double from;

    Clearness(double from) {
        this.from = from;
    }

    /** @param share as {@link WeatherHour#clear} counts it, 0 to 1 */
    public static Clearness of(double share) {
        return share >= CLEAR.from ? CLEAR : share >= PART.from ? PART : CLOUDY;
    }
}
