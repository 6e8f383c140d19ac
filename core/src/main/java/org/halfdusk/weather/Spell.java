package org.halfdusk.weather;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.function.ToDoubleFunction;
import java.util.stream.Stream;
import org.halfdusk.weather.Forecast.Part;

/** The weather of a window, and what of it hurts a picture. */
public record Spell(List<Part> parts) {
    /** Wind from which a tripod shakes, m/s: a fresh breeze, Beaufort 5 (a working figure). */
    public static final double SHAKY_METRES_PER_SECOND = 8;

    /** Visibility under which what stands low fades: haze begins at 5 km in weather reports, twice that here, km. */
    public static final double HAZY_KM = 10;

    /** Blur of the air from which a long lens shows it, arcsec (a working figure). */
    public static final double SWIMMING_ARCSEC = 2.5;

    /** Glass within this of the dew point may fog, since it cools by 2 to 4 °C: half of that spread, °C. */
    public static final double DEW_UNSURE_CELSIUS = 1;

    /** What hurts. */
    public enum Trouble {
        CLOUD,
        RAIN,
        DEW,
        WIND,
        HAZE,
        TURBULENCE
    }

    /** @param from when it begins, first time in the window @param worst its figure in the unit of the trouble */
    public record Warning(Trouble trouble, Instant from, double worst) {}

    /** Share of the window's light that cloud and rain leave, 0 to 1: the mean of its hours. */
    public double clear() {
        return mean(WeatherHour::clear);
    }

    /** Mean share of the sky covered. */
    public double cover() {
        return mean(WeatherHour::cover);
    }

    /** The least temperature of its hours, °C. */
    public double coldestCelsius() {
        return parts.stream().mapToDouble(p -> p.hour().celsius()).min().orElseThrow();
    }

    /** The most of its hours, m/s. */
    public double mostWindMetresPerSecond() {
        return parts.stream()
                .mapToDouble(p -> p.hour().windMetresPerSecond())
                .max()
                .orElseThrow();
    }

    /** Mean direction the wind comes from, by its strength, 0 to 360; nothing where no hour knows it. */
    public OptionalDouble windFromDegrees() {
        double east = 0;
        double north = 0;
        boolean known = false;
        for (Part p : parts) {
            if (p.hour().windFromDegrees().isPresent()) {
                double from = Math.toRadians(p.hour().windFromDegrees().getAsDouble());
                double weight = p.of().hours() * p.hour().windMetresPerSecond();
                east += weight * Math.sin(from);
                north += weight * Math.cos(from);
                known = true;
            }
        }
        return known
                ? OptionalDouble.of((Math.toDegrees(Math.atan2(east, north)) + 360) % 360)
                : OptionalDouble.empty();
    }

    private double mean(ToDoubleFunction<WeatherHour> of) {
        double hours = parts.stream().mapToDouble(p -> p.of().hours()).sum();
        return parts.stream()
                        .mapToDouble(p -> p.of().hours() * of.applyAsDouble(p.hour()))
                        .sum()
                / hours;
    }

    /** What hurts, in the order of the troubles; each once. */
    public List<Warning> warnings() {
        return Stream.of(
                        // Cover over which stars are spoilt, and its most.
                        most(Trouble.CLOUD, h -> h.clear() < 0.5, WeatherHour::cover),
                        most(
                                Trouble.RAIN,
                                h -> h.precipitationMm() >= WeatherHour.RAIN_MM,
                                WeatherHour::precipitationMm),
                        least(
                                Trouble.DEW,
                                h -> h.dewMarginCelsius() <= DEW_UNSURE_CELSIUS,
                                h -> OptionalDouble.of(h.dewMarginCelsius())),
                        most(
                                Trouble.WIND,
                                h -> h.windMetresPerSecond() >= SHAKY_METRES_PER_SECOND,
                                WeatherHour::windMetresPerSecond),
                        least(Trouble.HAZE, h -> h.visibilityKm().orElse(HAZY_KM) < HAZY_KM, WeatherHour::visibilityKm),
                        most(
                                Trouble.TURBULENCE,
                                h -> h.turbulenceArcsec().orElse(0) >= SWIMMING_ARCSEC,
                                h -> h.turbulenceArcsec().orElse(0)))
                .flatMap(Optional::stream)
                .toList();
    }

    private Optional<Warning> most(Trouble trouble, Predicate<WeatherHour> hurts, ToDoubleFunction<WeatherHour> of) {
        return first(hurts)
                .map(from -> new Warning(
                        trouble,
                        from,
                        parts.stream()
                                .mapToDouble(p -> of.applyAsDouble(p.hour()))
                                .max()
                                .orElseThrow()));
    }

    private Optional<Warning> least(
            Trouble trouble, Predicate<WeatherHour> hurts, Function<WeatherHour, OptionalDouble> of) {
        return first(hurts)
                .map(from -> new Warning(
                        trouble,
                        from,
                        parts.stream()
                                .flatMapToDouble(p -> of.apply(p.hour()).stream())
                                .min()
                                .orElseThrow()));
    }

    private Optional<Instant> first(Predicate<WeatherHour> hurts) {
        return parts.stream().filter(p -> hurts.test(p.hour())).findFirst().map(p -> p.of().start());
    }
}
