package org.halfdusk.show;

/** How far sound lags behind light: distance / (331.3 √(1 + T/273.15)) s; humidity changes it by less than 0.5 %. */
public final class Sound {
    private Sound() {}

    /**
     * Seconds by which a thump lags behind its flash.
     *
     * @param metres 1 to 50,000
     * @param celsius −60 to 60
     * @throws IllegalArgumentException where one is outside
     */
    public static double lagSeconds(double metres, double celsius) {
        if (!(celsius >= -60 && celsius <= 60)) {
            throw new IllegalArgumentException("temperature " + celsius + " °C is outside −60 to 60 °C");
        }
        if (!(metres >= 1 && metres <= 50_000)) {
            throw new IllegalArgumentException("distance " + metres + " m is outside 1 to 50000 m");
        }
        return metres / (331.3 * Math.sqrt(1 + celsius / 273.15));
    }
}
