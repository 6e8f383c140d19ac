package org.halfdusk.web.exchange;

import java.time.DateTimeException;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.OffsetDateTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.OptionalDouble;
import org.halfdusk.typed.TypedNumber;
import org.halfdusk.weather.Dew;
import org.halfdusk.weather.Forecast;
import org.halfdusk.weather.WeatherHour;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * An hourly forecast as CSV with a line of heads, or as JSON: a list of objects, or an object with such a list under
 * {@code hours}. Heads and keys are the same; {@code docs/forecast.md} lists them.
 */
public final class ForecastFile {
    private static final double PERCENT = 100;
    private static final JsonMapper JSON = JsonMapper.builder().build();

    private ForecastFile() {}

    /**
     * @param name of the file, kept as the source
     * @param zone of times without an offset
     * @throws IllegalArgumentException naming the row, the value and what is allowed
     */
    public static Forecast read(String name, String text, ZoneId zone, Instant now) {
        String body = text.startsWith("\uFEFF") ? text.substring(1) : text;
        String start = body.stripLeading();
        if (start.isEmpty()) {
            throw new IllegalArgumentException("the forecast is empty; a CSV or JSON file is allowed");
        }
        List<Map<String, String>> rows = start.startsWith("[") || start.startsWith("{") ? json(start) : csv(body);
        if (rows.size() > Forecast.MOST_HOURS) {
            throw new IllegalArgumentException(
                    "the forecast has " + rows.size() + " rows; 1 to " + Forecast.MOST_HOURS + " are allowed");
        }
        List<WeatherHour> hours = new ArrayList<>();
        for (int i = 0; i < rows.size(); i++) {
            try {
                hours.add(hour(rows.get(i), zone));
            } catch (IllegalArgumentException e) {
                throw new IllegalArgumentException("row " + (i + 1) + ": " + e.getMessage(), e);
            }
        }
        return new Forecast(name.isBlank() ? "a file" : name, false, now, hours);
    }

    private static List<Map<String, String>> csv(String text) {
        char separator = text.lines().findFirst().orElse("").contains(";") ? ';' : ',';
        List<CsvLine> lines = CsvLine.of("the forecast", text, separator);
        List<String> heads = lines.get(0).cells();
        List<Map<String, String>> rows = new ArrayList<>();
        for (CsvLine line : lines.subList(1, lines.size())) {
            Map<String, String> row = new HashMap<>();
            for (int i = 0; i < Math.min(heads.size(), line.cells().size()); i++) {
                row.put(heads.get(i).toLowerCase(Locale.ROOT), line.cells().get(i));
            }
            rows.add(row);
        }
        return rows;
    }

    private static List<Map<String, String>> json(String text) {
        JsonNode root;
        try {
            root = JSON.readTree(text);
        } catch (JacksonException e) {
            throw new IllegalArgumentException("the forecast is no JSON: " + e.getOriginalMessage(), e);
        }
        JsonNode list = root.isArray() ? root : root.path("hours");
        if (!list.isArray()) {
            throw new IllegalArgumentException(
                    "the forecast's JSON has no list of hours; a list of objects, or an object"
                            + " with one under “hours”, is allowed");
        }
        List<Map<String, String>> rows = new ArrayList<>();
        for (JsonNode entry : list) {
            Map<String, String> row = new HashMap<>();
            entry.properties().forEach(p -> {
                if (!p.getValue().isNull()) {
                    row.put(p.getKey().toLowerCase(Locale.ROOT), p.getValue().asString(""));
                }
            });
            rows.add(row);
        }
        return rows;
    }

    private static WeatherHour hour(Map<String, String> row, ZoneId zone) {
        boolean layers = row.containsKey("cloud_low") || row.containsKey("cloud_mid") || row.containsKey("cloud_high");
        double celsius = needed(row, "temperature");
        return new WeatherHour(
                time(row, zone),
                (layers ? optional(row, "cloud_low").orElse(0) : needed(row, "cloud")) / PERCENT,
                layers ? optional(row, "cloud_mid").orElse(0) / PERCENT : 0,
                layers ? optional(row, "cloud_high").orElse(0) / PERCENT : 0,
                needed(row, "wind"),
                optional(row, "wind_from"),
                celsius,
                dewPoint(row, celsius),
                optional(row, "visibility"),
                optional(row, "turbulence"),
                optional(row, "precipitation").orElse(0));
    }

    private static double dewPoint(Map<String, String> row, double celsius) {
        OptionalDouble given = optional(row, "dew_point");
        return given.isPresent()
                ? Math.min(celsius, given.getAsDouble())
                : Dew.pointCelsius(celsius, needed(row, "humidity") / PERCENT);
    }

    private static Instant time(Map<String, String> row, ZoneId zone) {
        String text = row.getOrDefault("time", "").trim();
        try {
            String iso = text.replace(' ', 'T');
            boolean offset = iso.endsWith("Z") || iso.matches(".*T.*[+-]\\d\\d:?\\d\\d$");
            return offset
                    ? OffsetDateTime.parse(iso.replaceFirst("([+-]\\d\\d)(\\d\\d)$", "$1:$2"))
                            .toInstant()
                    : LocalDateTime.parse(iso).atZone(zone).toInstant();
        } catch (DateTimeException e) {
            throw new IllegalArgumentException(
                    "time “" + TypedNumber.shown(text) + "” is not a time; write 2027-06-04T22:00, or with its offset"
                            + " 2027-06-04T22:00+02:00",
                    e);
        }
    }

    private static double needed(Map<String, String> row, String name) {
        return optional(row, name).orElseThrow(() -> new IllegalArgumentException(name + " is missing"));
    }

    private static OptionalDouble optional(Map<String, String> row, String name) {
        String text = row.getOrDefault(name, "").trim();
        if (text.isEmpty()) {
            return OptionalDouble.empty();
        }
        return OptionalDouble.of(TypedNumber.written(name, text));
    }
}
