package org.halfdusk.weather;

import java.time.Instant;
import java.util.OptionalDouble;

/**
 * The weather of one hour from an instant on.
 *
 * @param lowCloud share of the sky covered by low cloud, 0 to 1; so midCloud, highCloud
 * @param windMetresPerSecond mean at 10 m, 0 to 120
 * @param windFromDegrees where it blows from, 0 to 360, where known
 * @param celsius of the air, −90 to 60
 * @param dewPointCelsius not above the air's temperature
 * @param visibilityKm horizontal, where known
 * @param turbulenceArcsec blur of a star by the air, full width at half height at the zenith, where known
 * @param precipitationMm in the hour
 */
public record WeatherHour(
        Instant at,
        double lowCloud,
        double midCloud,
        double highCloud,
        double windMetresPerSecond,
        OptionalDouble windFromDegrees,
        double celsius,
        double dewPointCelsius,
        OptionalDouble visibilityKm,
        OptionalDouble turbulenceArcsec,
        double precipitationMm) {
    private static final Instant FIRST = Instant.parse("1950-01-01T00:00:00Z");
    private static final Instant END = Instant.parse("2101-01-01T00:00:00Z");

    public WeatherHour {
        if (at.isBefore(FIRST) || !at.isBefore(END)) {
            throw new IllegalArgumentException("time " + at + " is outside the years 1950 to 2100");
        }
        within("low cloud", lowCloud, 0, 1, "of the sky");
        within("middle cloud", midCloud, 0, 1, "of the sky");
        within("high cloud", highCloud, 0, 1, "of the sky");
        within("wind", windMetresPerSecond, 0, 120, "m/s");
        within("wind direction", windFromDegrees.orElse(0), 0, 360, "°");
        within("temperature", celsius, -90, 60, "°C");
        within("dew point", dewPointCelsius, -100, 40, "°C");
        if (dewPointCelsius > celsius + 0.5) {
            throw new IllegalArgumentException(
                    "dew point " + dewPointCelsius + " °C lies above the temperature " + celsius + " °C");
        }
        within("visibility", visibilityKm.orElse(0), 0, 500, "km");
        within("turbulence", turbulenceArcsec.orElse(1), 0.1, 20, "arcsec");
        within("precipitation", precipitationMm, 0, 300, "mm");
    }

    private static void within(String what, double value, double least, double most, String unit) {
        if (!(value >= least && value <= most)) {
            throw new IllegalArgumentException(what + " " + value + " is outside " + Math.round(least * 10) / 10.0
                    + " to " + Math.round(most) + " " + unit);
        }
    }

    /** Share of the sky covered by any layer, 0 to 1, if layers lie without regard to one another. */
    public double cover() {
        return 1 - (1 - lowCloud) * (1 - midCloud) * (1 - highCloud);
    }

    /** By how much bare glass stays above the dew point, °C. */
    public double dewMarginCelsius() {
        return Dew.marginCelsius(celsius, dewPointCelsius);
    }

    /**
     * How well the sky can be photographed, 0 to 1: up to 10 % of cloud costs nothing, from 60 % on or in rain there is
     * nothing to be had (working figures: even a little cloud spoils stars).
     */
    public double clear() {
        if (precipitationMm >= RAIN_MM) {
            return 0;
        }
        return Math.max(0, Math.min(1, (MOST_COVER - cover()) / (MOST_COVER - FREE_COVER)));
    }

    private static final double FREE_COVER = 0.1;
    private static final double MOST_COVER = 0.6;

    /** Rain that is felt. */
    static final double RAIN_MM = 0.1;
}
