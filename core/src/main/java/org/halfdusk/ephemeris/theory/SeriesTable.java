package org.halfdusk.ephemeris.theory;

import java.util.List;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.halfdusk.shipped.Shipped;

/** Reads the coefficient tables beside this class: lines of words, comments begin with a hash. */
final class SeriesTable {
    private SeriesTable() {}

    static List<String[]> lines(String name) {
        return Shipped.lines(SeriesTable.class, name, "coefficient table").stream()
                .map(line -> line.trim().split("\\s+"))
                .toList();
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
