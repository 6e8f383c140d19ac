package org.halfdusk.ephemeris.theory;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.TreeMap;
import java.util.stream.Collectors;

/** Reads the coefficient tables beside this class: lines of words, comments begin with a hash. */
final class SeriesTable {
    private SeriesTable() {}

    static List<String[]> lines(String name) {
        try (InputStream in = SeriesTable.class.getResourceAsStream(name)) {
            if (in == null) {
                throw new IllegalStateException("coefficient table " + name + " is missing from the core");
            }
            BufferedReader reader = new BufferedReader(new InputStreamReader(in, StandardCharsets.UTF_8));
            return reader.lines()
                    .filter(line -> !line.isBlank() && !line.startsWith("#"))
                    .map(line -> line.trim().split("\\s+"))
                    .toList();
        } catch (IOException e) {
            throw new UncheckedIOException("coefficient table " + name + " cannot be read", e);
        }
    }

    /** The terms of one series (L, B or R) in lists by their power of time, from 0 up. */
    static List<List<String[]>> byPower(List<String[]> terms, String series) {
        return terms.stream()
                .filter(t -> t[0].startsWith(series))
                .collect(Collectors.groupingBy(t -> t[0], TreeMap::new, Collectors.toList()))
                .values()
                .stream()
                .toList();
    }

    static double[] column(List<String[]> lines, int index) {
        return lines.stream().mapToDouble(l -> Double.parseDouble(l[index])).toArray();
    }
}
