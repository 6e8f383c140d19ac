package org.halfdusk.place;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.List;
import org.junit.jupiter.api.Test;

/** The hundred check values that come with the model (NOAA NCEI and BGS, WMM2025), to 0.01° and 0.1 nT. */
class MagneticFieldTest {
    @Test
    void theModelsOwnCheckValues() throws Exception {
        int rows = 0;
        try (var in = MagneticFieldTest.class.getResourceAsStream("wmm2025-check.csv")) {
            List<String> lines = new String(in.readAllBytes(), StandardCharsets.UTF_8)
                    .lines()
                    .filter(l -> !l.startsWith("#") && !l.startsWith("date"))
                    .toList();
            for (String line : lines) {
                String[] c = line.split(",");
                rows++;
                MagneticField f = MagneticField.at(
                        Double.parseDouble(c[2]),
                        Double.parseDouble(c[3]),
                        Double.parseDouble(c[1]),
                        Double.parseDouble(c[0]));
                assertEquals(Double.parseDouble(c[7]), f.horizontalNanotesla(), 0.15, line);
                assertEquals(Double.parseDouble(c[9]), f.inclinationDegrees(), 0.01, line);
                assertEquals(
                        0, Math.IEEEremainder(Double.parseDouble(c[10]) - f.declinationDegrees(), 360), 0.01, line);
                assertTrue(f.valid());
            }
        }
        assertEquals(100, rows);
    }

    @Test
    void otherYearsAreTakenAtTheNearerEnd() {
        Observer isle = Observer.of(35.95, -3.05, 0);
        MagneticField before = MagneticField.at(isle, Instant.parse("1999-06-01T00:00:00Z"));
        assertFalse(before.valid());
        assertEquals(
                MagneticField.at(isle, Instant.parse("2025-01-01T00:00:00Z")).declinationDegrees(),
                before.declinationDegrees(),
                1e-9);
        assertFalse(
                MagneticField.at(isle, Instant.parse("2042-06-01T00:00:00Z")).valid());
    }

    @Test
    void thePolesHaveAField() {
        for (double latitude : new double[] {90, -90}) {
            MagneticField f = MagneticField.at(Observer.of(latitude, 0, 0), Instant.parse("2027-01-01T00:00:00Z"));
            assertTrue(Double.isFinite(f.declinationDegrees()) && f.horizontalNanotesla() > 0);
        }
    }
}
