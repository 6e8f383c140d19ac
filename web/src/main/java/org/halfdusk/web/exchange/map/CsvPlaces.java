package org.halfdusk.web.exchange.map;

import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import org.halfdusk.place.geodesy.Coordinates;
import org.halfdusk.typed.TypedNumber;
import org.halfdusk.web.exchange.CsvLine;

/**
 * Places as a table: a head that names the columns, parted by commas, semicolons or tabs; latitude and longitude as people write
 * them, elevation in metres, notes.
 */
final class CsvPlaces {
    private static final List<String> LATITUDE = List.of("latitude", "lat", "y", "breite");
    private static final List<String> LONGITUDE = List.of("longitude", "lon", "lng", "long", "x");
    private static final List<String> NAME = List.of("name", "title", "place", "id");
    private static final List<String> ELEVATION =
            List.of("elevation", "elevation_m", "ele", "height", "altitude", "elevation, m", "z");
    private static final List<String> TIME = List.of("time", "recorded", "timestamp", "date_time");
    private static final List<String> NOTES = List.of("notes", "note", "description", "desc", "comment", "cmt");

    private CsvPlaces() {}

    /** Whether the first line names a latitude and a longitude. */
    static boolean looksLike(String head) {
        String first = head.lines().findFirst().orElse("");
        return first.length() < 2000
                && separator(first)
                        .map(s -> {
                            Map<String, Integer> columns = columns(List.of(first.split(String.valueOf(s), -1)));
                            return find(columns, LATITUDE).isPresent()
                                    && find(columns, LONGITUDE).isPresent();
                        })
                        .orElse(false);
    }

    private static Optional<Character> separator(String line) {
        for (char c : new char[] {'\t', ';', ','}) {
            if (line.indexOf(c) >= 0) {
                return Optional.of(c);
            }
        }
        return Optional.empty();
    }

    private static Map<String, Integer> columns(List<String> names) {
        Map<String, Integer> columns = new HashMap<>();
        for (int i = 0; i < names.size(); i++) {
            String bare = names.get(i).strip().replaceAll("^\"|\"$", "").strip();
            columns.putIfAbsent(bare.toLowerCase(Locale.ROOT), i);
        }
        return columns;
    }

    private static Optional<Integer> find(Map<String, Integer> columns, List<String> names) {
        return names.stream()
                .flatMap(n -> Optional.<Integer>ofNullable(columns.get(n)).stream())
                .findFirst();
    }

    static MapFile read(String text) {
        String whole = text.stripLeading();
        char separator = separator(whole.lines().findFirst().orElse("")).orElse(',');
        Gathered gathered = new Gathered();
        Map<String, Integer> columns = new HashMap<>();
        for (CsvLine line : CsvLine.of("the file", whole, separator)) {
            if (columns.isEmpty()) {
                columns = columns(line.cells());
            } else {
                place(gathered, columns, line);
            }
        }
        return gathered.file();
    }

    private static void place(Gathered gathered, Map<String, Integer> columns, CsvLine line) {
        String name = cell(columns, NAME, line);
        gathered.each(name.isBlank() ? "line " + line.line() : name, () -> {
            String elevation = cell(columns, ELEVATION, line);
            gathered.waypoint(
                    name,
                    Coordinates.latitude(cell(columns, LATITUDE, line)),
                    Coordinates.longitude(cell(columns, LONGITUDE, line)),
                    elevation.isBlank()
                            ? OptionalDouble.empty()
                            : OptionalDouble.of(TypedNumber.written("elevation", elevation.replace(',', '.'))),
                    Gathered.recorded(cell(columns, NOTES, line), Gathered.time(cell(columns, TIME, line))),
                    Map.of());
        });
    }

    private static String cell(Map<String, Integer> columns, List<String> names, CsvLine line) {
        return find(columns, names)
                .filter(i -> i < line.cells().size())
                .map(line.cells()::get)
                .orElse("");
    }
}
