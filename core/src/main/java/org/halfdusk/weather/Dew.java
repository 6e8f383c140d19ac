package org.halfdusk.weather;

/** Dew on glass. Magnus form with the constants of Sonntag (1990) as WMO-No. 8 has them, over water, −45 to 60 °C. */
public final class Dew {
    private static final double A = 17.62;
    private static final double B_CELSIUS = 243.12;

    /** Glass under an open sky is colder than the air by 2 to 4 °C (a working figure); its middle. */
    public static final double GLASS_COOLING_CELSIUS = 3;

    private Dew() {}

    /**
     * Temperature at which air becomes saturated, °C.
     *
     * @param celsius of the air, −45 to 60
     * @param humidity relative, above 0 to 1
     * @throws IllegalArgumentException for a humidity outside above 0 to 1, a temperature outside −45 to 60 °C
     */
    public static double pointCelsius(double celsius, double humidity) {
        if (!(humidity > 0 && humidity <= 1)) {
            throw new IllegalArgumentException("relative humidity " + humidity + " is outside above 0 to 1");
        }
        if (!(celsius >= -45 && celsius <= 60)) {
            throw new IllegalArgumentException("temperature " + celsius + " °C is outside −45 to 60 °C");
        }
        double gamma = Math.log(humidity) + A * celsius / (B_CELSIUS + celsius);
        return B_CELSIUS * gamma / (A - gamma);
    }

    /** Relative humidity, 0 to 1, of air with a dew point. */
    public static double humidity(double celsius, double dewPointCelsius) {
        return Math.min(
                1, Math.exp(A * dewPointCelsius / (B_CELSIUS + dewPointCelsius) - A * celsius / (B_CELSIUS + celsius)));
    }

    /** By how much bare glass stays above the dew point, °C; at 0 and under it fogs. */
    public static double marginCelsius(double celsius, double dewPointCelsius) {
        return celsius - GLASS_COOLING_CELSIUS - dewPointCelsius;
    }
}
