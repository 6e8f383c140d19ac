package org.halfdusk.weather;

import java.time.Instant;
import java.util.OptionalDouble;
import org.halfdusk.typed.Range;

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

    /** @throws IllegalArgumentException for a time outside 1950 to 2100 or a figure out of range */
    public WeatherHour {
        if (at.isBefore(FIRST) || !at.isBefore(END)) {
            throw new IllegalArgumentException("time " + at + " is outside the years 1950 to 2100");
        }
        new Range("low cloud", 0, 1, "of the sky").check(lowCloud);
        new Range("middle cloud", 0, 1, "of the sky").check(midCloud);
        new Range("high cloud", 0, 1, "of the sky").check(highCloud);
        new Range("wind", 0, 120, "m/s").check(windMetresPerSecond);
        new Range("wind direction", 0, 360, "°").check(windFromDegrees.orElse(0));
        new Range("temperature", -90, 60, "°C").check(celsius);
        new Range("dew point", -100, 40, "°C").check(dewPointCelsius);
        if (dewPointCelsius > celsius + 0.5) {
            throw new IllegalArgumentException(
                    "dew point " + dewPointCelsius + " °C lies above the temperature " + celsius + " °C");
        }
        new Range("visibility", 0, 500, "km").check(visibilityKm.orElse(0));
        new Range("turbulence", 0.1, 20, "arcsec").check(turbulenceArcsec.orElse(1));
        new Range("precipitation", 0, 300, "mm").check(precipitationMm);
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
