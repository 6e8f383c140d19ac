package org.halfdusk.place.towns;

import static org.junit.jupiter.api.Assertions.assertArrayEquals;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.TreeSet;
import java.util.zip.Deflater;
import java.util.zip.GZIPInputStream;
import java.util.zip.GZIPOutputStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class SettlementsTest {
    private static final Settlements ALL = Settlements.instance();

    /** What GeoNames says of a few, far apart and at the ends of the list. */
    @ParameterizedTest
    @CsvSource({
        "McMurdo Station, -77.846, 166.676, 1258",
        "Ushuaia, -54.81084, -68.31591, 58028",
        "Tolhuin, -54.51083, -67.1955, 3000",
        "Longyearbyen, 78.22334, 15.64689, 2060"
    })
    void asTheListSays(String name, double latitude, double longitude, int people) {
        int index = ALL.search(name)
                .filter(i -> ALL.name(i).equals(name))
                .findFirst()
                .orElseThrow();
        assertEquals(latitude, ALL.latitude(index), 1e-5);
        assertEquals(longitude, ALL.longitude(index), 1e-5);
        assertEquals(people, ALL.people(index));
    }

    @Test
    void allOfThem() {
        assertEquals(107_464, ALL.size());
        for (int i = 0; i < ALL.size(); i++) {
            int index = i;
            assertTrue(ALL.people(i) >= 1000 && ALL.people(i) < 30_000_000, () -> ALL.name(index));
            assertTrue(Math.abs(ALL.latitude(i)) <= 90 && Math.abs(ALL.longitude(i)) <= 180, () -> ALL.name(index));
            assertTrue(!ALL.name(i).isBlank() && !ALL.name(i).contains("\n"), () -> "number " + index);
        }
    }

    /** Bands of latitude lead to what looking at each of them finds: about a town, over the date line, near a pole. */
    @ParameterizedTest
    @CsvSource({"35.95, -3.05, 120", "-16.8, 179.9, 300", "78.2, 15.6, 900", "-89.9, 0, 2000", "0, 0, 700"})
    void nearFindsAllOfThem(double latitude, double longitude, double km) {
        TreeSet<Integer> found = new TreeSet<>();
        ALL.near(latitude, longitude, km, (i, lat, lon, people) -> found.add(i));
        Town here = new Town("here", "", latitude, longitude, 0, 0, java.time.ZoneOffset.UTC);
        for (int i = 0; i < ALL.size(); i++) {
            if (here.distanceKm(ALL.latitude(i), ALL.longitude(i)) < km) {
                assertTrue(found.contains(i), ALL.name(i));
            }
        }
    }

    /** The file that ships is what packing the list makes, so that a newer list can be packed: {@code SettlementsTest LIST FILE}. */
    @Test
    void packedAsItShips() throws Exception {
        List<String> rows = new ArrayList<>();
        for (int i = 0; i < ALL.size(); i++) {
            rows.add(ALL.name(i) + "\t" + ALL.latitude(i) + "\t" + ALL.longitude(i) + "\t\t\t" + ALL.people(i));
        }
        try (InputStream in = new GZIPInputStream(Settlements.class.getResourceAsStream("settlements.bin.gz"))) {
            assertArrayEquals(in.readAllBytes(), packed(rows));
        }
    }

    /** @param args a list of name, latitude, longitude, country, district and people, sorted by whole degrees of latitude; the file to write */
    public static void main(String[] args) throws IOException {
        List<String> lines = Files.readAllLines(Path.of(args[0]));
        try (GZIPOutputStream out = new GZIPOutputStream(Files.newOutputStream(Path.of(args[1]))) {
            {
                def.setLevel(Deflater.BEST_COMPRESSION);
            }
        }) {
            out.write(packed(lines.subList(1, lines.size())));
        }
    }

    private static byte[] packed(List<String> rows) {
        List<String[]> cells = rows.stream().map(r -> r.split("\t", -1)).toList();
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        put(out, cells.size());
        byte[] names = String.join("\n", cells.stream().map(c -> c[0]).toList()).getBytes(StandardCharsets.UTF_8);
        put(out, names.length);
        out.writeBytes(names);
        for (int column : new int[] {1, 2}) {
            int before = 0;
            for (String[] c : cells) {
                int steps = (int) Math.round(Double.parseDouble(c[column]) * 100_000);
                put(out, steps - before);
                before = steps;
            }
        }
        cells.forEach(c -> put(out, Integer.parseInt(c[5])));
        return out.toByteArray();
    }

    private static void put(ByteArrayOutputStream out, int number) {
        int left = number << 1 ^ number >> 31;
        while (left >>> 7 != 0) {
            out.write(left & 127 | 128);
            left >>>= 7;
        }
        out.write(left);
    }
}
