package org.halfdusk.reference;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.halfdusk.ephemeris.ChebyshevEphemeris;
import org.halfdusk.ephemeris.Ephemeris;
import org.halfdusk.ephemeris.SeriesEphemeris;
import org.halfdusk.place.Observer;
import org.halfdusk.sky.Sky;
import org.halfdusk.time.DeltaT;

/** Rows of one of the independent tables beside this class. */
public final class ReferenceTable {
    /** One ephemeris for all tests, so that its polynomials are fitted once. */
    public static final Ephemeris EPHEMERIS = new ChebyshevEphemeris(new SeriesEphemeris());

    private ReferenceTable() {}

    public record Row(Map<String, String> cells) {
        public String text(String column) {
            String value = cells.get(column);
            if (value == null) {
                throw new IllegalArgumentException("no column " + column);
            }
            return value;
        }

        public double number(String column) {
            return Double.parseDouble(text(column));
        }

        public Optional<Instant> instant(String column) {
            return text(column).isEmpty() ? Optional.empty() : Optional.of(Instant.parse(text(column)));
        }

        /** The sky over the row's place, with the row's ΔT. */
        public Sky sky() {
            double elevation = cells.containsKey("elev_m") ? number("elev_m") : 0;
            return Sky.over(
                    Observer.of(number("lat_deg"), number("lon_deg"), elevation),
                    EPHEMERIS,
                    DeltaT.fixed(number("delta_t_s")));
        }
    }

    public static List<Row> read(String name) {
        try (InputStream in = ReferenceTable.class.getResourceAsStream(name)) {
            BufferedReader reader = new BufferedReader(new InputStreamReader(in, StandardCharsets.UTF_8));
            List<String> lines = reader.lines()
                    .filter(l -> !l.startsWith("#") && !l.isBlank())
                    .toList();
            String[] head = lines.get(0).split(",", -1);
            List<Row> rows = new ArrayList<>();
            for (String line : lines.subList(1, lines.size())) {
                String[] cells = line.split(",", -1);
                Map<String, String> map = new HashMap<>();
                for (int i = 0; i < head.length; i++) {
                    map.put(head[i], cells[i]);
                }
                rows.add(new Row(map));
            }
            return rows;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
