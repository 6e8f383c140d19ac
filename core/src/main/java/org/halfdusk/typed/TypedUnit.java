package org.halfdusk.typed;

import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.DoubleUnaryOperator;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * What people write about a number: its unit or another of the same kind, "f/" and "ISO" before it, a time as a fraction. 1/250, 30",
 * f/2.8, 24 mm, 62 m, 200 ft and 50 °F are what they say.
 */
final class TypedUnit {
    /** A number and how it counts in the field's unit. */
    record Counted(String number, DoubleUnaryOperator of) {}

    private static final Map<String, Map<String, Double>> FACTORS = Map.ofEntries(
            Map.entry(
                    "s",
                    Map.of(
                            "s", 1.0, "sec", 1.0, "\"", 1.0, "″", 1.0, "''", 1.0, "ms", 0.001, "min", 60.0, "h",
                            3600.0)),
            Map.entry("min", Map.of("min", 1.0, "m", 1.0, "h", 60.0, "s", 1 / 60.0, "'", 1.0)),
            Map.entry("h", Map.of("h", 1.0, "min", 1 / 60.0)),
            Map.entry(
                    "m",
                    Map.of(
                            "m", 1.0, "km", 1000.0, "cm", 0.01, "ft", 0.3048, "'", 0.3048, "′", 0.3048, "yd", 0.9144,
                            "mi", 1609.344)),
            Map.entry("km", Map.of("km", 1.0, "m", 0.001, "mi", 1.609344)),
            Map.entry("cm", Map.of("cm", 1.0, "m", 100.0, "mm", 0.1, "in", 2.54, "\"", 2.54)),
            Map.entry("mm", Map.of("mm", 1.0, "cm", 10.0, "in", 25.4)),
            Map.entry("°", Map.of("°", 1.0, "deg", 1.0, "'", 1 / 60.0, "′", 1 / 60.0)),
            Map.entry("arcmin", Map.of("arcmin", 1.0, "'", 1.0, "′", 1.0, "°", 60.0)),
            Map.entry("%", Map.of("%", 1.0)),
            Map.entry("px", Map.of("px", 1.0)),
            Map.entry("MB", Map.of("mb", 1.0, "gb", 1000.0)),
            Map.entry("GB", Map.of("gb", 1.0, "tb", 1000.0)),
            Map.entry("MB/s", Map.of("mb/s", 1.0)),
            Map.entry("stops", Map.of("stops", 1.0, "stop", 1.0, "ev", 1.0)),
            Map.entry("mag/arcsec²", Map.of("mag/arcsec²", 1.0, "mag", 1.0)));

    private static final Pattern WITH_UNIT = Pattern.compile("(.*\\d[.,]?)\\s*(\\D+)");
    private static final Pattern FRACTION = Pattern.compile("1\\s*/\\s*(\\d+(?:[.,]\\d+)?)");
    private static final Pattern F_NUMBER = Pattern.compile("(?i)[fƒ]\\s*/?\\s*(\\d.*)");
    private static final Pattern ISO = Pattern.compile("(?i)iso\\s*(\\d.*)");
    private static final double FAHRENHEIT_ZERO = 32;
    private static final double FAHRENHEIT_DEGREES = 5.0 / 9;

    private TypedUnit() {}

    /**
     * What stands about the number.
     *
     * @param what the field is: "aperture f/" takes "f/2.8", "ISO" takes "ISO 1600"
     * @param unit of the field; may be empty
     */
    static Counted read(String what, String text, String unit) {
        String typed = text.strip();
        if (what.contains("f/")) {
            return new Counted(after(F_NUMBER, typed), v -> v);
        }
        if (what.equals("ISO")) {
            return new Counted(after(ISO, typed), v -> v);
        }
        Matcher m = WITH_UNIT.matcher(typed);
        Optional<DoubleUnaryOperator> of = m.matches() ? factor(unit, m.group(2)) : Optional.empty();
        String number = of.isPresent() ? m.group(1).strip() : typed;
        DoubleUnaryOperator counts = of.orElse(v -> v);
        Matcher fraction = FRACTION.matcher(number);
        return unit.equals("s") && fraction.matches()
                ? new Counted(fraction.group(1), v -> counts.applyAsDouble(1 / v))
                : new Counted(number, counts);
    }

    private static String after(Pattern pattern, String text) {
        Matcher m = pattern.matcher(text);
        return m.matches() ? m.group(1) : text;
    }

    private static Optional<DoubleUnaryOperator> factor(String unit, String written) {
        String w = written.strip().toLowerCase(Locale.ROOT);
        if (unit.equals("°C")) {
            return switch (w) {
                case "°c", "c" -> Optional.of(v -> v);
                case "°f", "f" -> Optional.of(v -> (v - FAHRENHEIT_ZERO) * FAHRENHEIT_DEGREES);
                default -> Optional.empty();
            };
        }
        return Optional.ofNullable(FACTORS.getOrDefault(unit, Map.of()).get(w)).map(k -> v -> v * k);
    }
}
