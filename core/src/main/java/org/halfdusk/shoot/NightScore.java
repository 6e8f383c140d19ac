package org.halfdusk.shoot;

import java.util.OptionalDouble;

/**
 * How good a night is, 0 to 100, and why.
 *
 * <p>Hours of window: up to 4 h give 50. Best altitude of the subject in it: 30° and more give 25, since above two air
 * masses little is gained. Moon: the share of the dark that is moonless gives 15. Weather: how clear the window is forecast gives 10 where that is
 * known; where it is not, the other parts are scaled to 100. A night without a window scores 0.
 */
public record NightScore(double hours, double altitude, double moon, OptionalDouble weather) {
    public static final double MOST_HOURS = 50;
    public static final double MOST_ALTITUDE = 25;
    public static final double MOST_MOON = 15;
    public static final double MOST_WEATHER = 10;
    private static final double FULL_HOURS = 4;
    private static final double FULL_ALTITUDE_DEGREES = 30;

    public static final NightScore NONE = new NightScore(0, 0, 0, OptionalDouble.empty());

    /** Ours. @param windowHours 0 and more @param bestAltitudeDegrees 0 to 90 @param moonlessShareOfDark 0 to 1 */
    public static NightScore of(double windowHours, double bestAltitudeDegrees, double moonlessShareOfDark) {
        return ofHours(windowHours, ofAltitude(bestAltitudeDegrees), moonlessShareOfDark);
    }

    /** From hours of window and shares of the other two parts' most. */
    public static NightScore ofHours(double windowHours, double subject, double circumstance) {
        return ofShares(windowHours / FULL_HOURS, subject, circumstance);
    }

    /** Share of the most that a best altitude gives, uncut. */
    public static double ofAltitude(double degrees) {
        return degrees / FULL_ALTITUDE_DEGREES;
    }

    /** From shares of each part's most, cut to 0 to 1; none without a window. For subjects that count other things. */
    public static NightScore ofShares(double window, double subject, double circumstance) {
        if (window <= 0) {
            return NONE;
        }
        return new NightScore(
                MOST_HOURS * Math.min(1, window),
                MOST_ALTITUDE * Math.max(0, Math.min(1, subject)),
                MOST_MOON * Math.max(0, Math.min(1, circumstance)),
                OptionalDouble.empty());
    }

    /**
     * The same with the weather known; none stays none.
     *
     * @param clear share of the window that is forecast clear, 0 to 1
     */
    public NightScore withWeather(double clear) {
        return hours <= 0
                ? this
                : new NightScore(
                        hours, altitude, moon, OptionalDouble.of(MOST_WEATHER * Math.max(0, Math.min(1, clear))));
    }

    /** From this share of the best one's score on a night counts as good†. */
    private static final double GOOD = 0.75;

    /** Whether it is good beside the best of its list. @param best the best one's total */
    public boolean goodBeside(int best) {
        return total() > 0 && total() >= GOOD * best;
    }

    /** 0 to 100, whole. */
    public int total() {
        double sky = hours + altitude + moon;
        return (int) Math.round(
                weather.isPresent()
                        ? sky + weather.getAsDouble()
                        : 100 * sky / (MOST_HOURS + MOST_ALTITUDE + MOST_MOON));
    }
}
