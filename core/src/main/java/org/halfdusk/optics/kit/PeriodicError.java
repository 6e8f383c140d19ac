package org.halfdusk.optics.kit;

/**
 * How a mount's worm sways about its mean rate once a turn, in right ascension: taken as a sine.
 *
 * @param arcsec from one end to the other, 0 to 600
 * @param periodSeconds of one turn of the worm, 30 to 3600
 */
public record PeriodicError(double arcsec, double periodSeconds) {
    public static final double USUAL_PERIOD_SECONDS = 600;
    public static final PeriodicError NONE = new PeriodicError(0, USUAL_PERIOD_SECONDS);

    /** @throws IllegalArgumentException naming the figure and what is allowed */
    public PeriodicError {
        Figures.within("periodic error", arcsec, 0, 600, "arcsec");
        Figures.within("period of the worm", periodSeconds, 30, 3600, "s");
    }

    /**
     * The most that it moves a star in so many seconds, whenever they begin: P sin(π t/T), the chord of a sine about its fastest
     * point; all of P from half a turn on. Arcseconds.
     */
    public double mostArcsec(double seconds) {
        return seconds >= periodSeconds / 2 ? arcsec : arcsec * Math.sin(Math.PI * seconds / periodSeconds);
    }

    /** Its fastest, arcsec per second: π P/T. */
    public double fastestArcsecPerSecond() {
        return Math.PI * arcsec / periodSeconds;
    }
}
