package org.halfdusk.sky.events;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.halfdusk.reference.ReferenceTable;
import org.halfdusk.reference.ReferenceTable.Row;
import org.halfdusk.time.DeltaT;
import org.halfdusk.time.Interval;
import org.junit.jupiter.api.Test;

/** Phases within 2 s, apsides within 60 s and 2 km of the tables, with their ΔT. */
class LunarEventsTest {
    private static final Map<String, LunarEvents.Phase> PHASES = Map.of(
            "new_moon", LunarEvents.Phase.NEW,
            "first_quarter", LunarEvents.Phase.FIRST_QUARTER,
            "full_moon", LunarEvents.Phase.FULL,
            "last_quarter", LunarEvents.Phase.LAST_QUARTER);

    private static Interval about(Row r) {
        Instant at = r.instant("utc").orElseThrow();
        return Interval.of(at.minus(Duration.ofDays(2)), at.plus(Duration.ofDays(2)));
    }

    private static double seconds(Row r, Instant found) {
        return Math.abs(Duration.between(r.instant("utc").orElseThrow(), found).toMillis() / 1000.0);
    }

    @Test
    void phases() {
        double worst = 0;
        List<String> missed = new ArrayList<>();
        for (Row r : ReferenceTable.read("phases.csv")) {
            LunarEvents.Phase phase = PHASES.get(r.text("kind"));
            if (phase != null) {
                var found =
                        LunarEvents.phases(ReferenceTable.EPHEMERIS, DeltaT.fixed(r.number("delta_t_s")), about(r))
                                .stream()
                                .filter(e -> e.phase() == phase)
                                .findFirst();
                if (found.isEmpty()) {
                    missed.add(r.text("utc"));
                } else {
                    worst = Math.max(worst, seconds(r, found.get().at()));
                }
            }
        }
        System.out.printf("phases: worst %.2f s%n", worst);
        assertEquals(List.of(), missed);
        assertTrue(worst <= 2, "off by " + worst + " s");
    }

    @Test
    void apsides() {
        double worst = 0;
        double worstKm = 0;
        for (Row r : ReferenceTable.read("phases.csv")) {
            if (r.text("kind").equals("perigee") || r.text("kind").equals("apogee")) {
                LunarEvents.ApsisEvent found = LunarEvents.apsides(
                                ReferenceTable.EPHEMERIS, DeltaT.fixed(r.number("delta_t_s")), about(r))
                        .get(0);
                assertEquals(
                        r.text("kind").toUpperCase(java.util.Locale.ROOT),
                        found.apsis().name());
                worst = Math.max(worst, seconds(r, found.at()));
                worstKm = Math.max(worstKm, Math.abs(found.distanceKm() - r.number("dist_km")));
            }
        }
        System.out.printf("apsides: worst %.1f s, %.2f km%n", worst, worstKm);
        assertTrue(worst <= 60, "off by " + worst + " s");
        assertTrue(worstKm <= 2, "off by " + worstKm + " km");
    }

    @Test
    void aYearHasThirteenPerigeesAndTwelveOrThirteenOfEachPhase() {
        Interval year = Interval.of(Instant.parse("2027-01-01T00:00:00Z"), Instant.parse("2028-01-01T00:00:00Z"));
        var phases = LunarEvents.phases(ReferenceTable.EPHEMERIS, DeltaT.model(), year);
        for (int i = 1; i < phases.size(); i++) {
            assertEquals(
                    (phases.get(i - 1).phase().ordinal() + 1) % 4,
                    phases.get(i).phase().ordinal(),
                    "phases in turn");
        }
        assertTrue(phases.size() >= 49 && phases.size() <= 50, phases.size() + " phases");
        assertEquals(
                26,
                LunarEvents.apsides(ReferenceTable.EPHEMERIS, DeltaT.model(), year)
                        .size(),
                1);
    }
}
