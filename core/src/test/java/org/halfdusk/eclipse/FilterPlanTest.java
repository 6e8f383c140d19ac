package org.halfdusk.eclipse;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.time.Duration;
import java.time.Instant;
import java.util.Optional;
import org.halfdusk.reference.ReferenceTable;
import org.halfdusk.reference.ReferenceTable.Row;
import org.halfdusk.time.Interval;
import org.junit.jupiter.api.Test;

/** The filter is never off outside totality: every row of the solar table, every ten seconds of its eclipse. */
class FilterPlanTest {
    @Test
    void neverOffOutsideTotalityAndNeverInAnAnnularOrPartialEclipse() {
        int total = 0;
        for (Row r : ReferenceTable.read("solar_eclipse_local.csv")) {
            Instant noon = Instant.parse(r.text("eclipse") + "T12:00:00Z");
            var found = SolarEclipse.find(
                    r.sky(), Interval.of(noon.minus(Duration.ofHours(26)), noon.plus(Duration.ofHours(26))));
            for (SolarEclipse e : found) {
                FilterPlan plan = FilterPlan.of(e);
                Optional<Instant> c2 =
                        r.instant("c2").filter(c -> r.text("type").equals("total"));
                total += c2.isPresent() ? 1 : 0;
                assertEquals(c2.isPresent(), plan.off().isPresent(), "row " + r.text("row"));
                for (Instant t = e.partial().start(); t.isBefore(e.partial().end()); t = t.plusSeconds(10)) {
                    boolean inTotality = e.type() == SolarEclipse.Type.TOTAL
                            && e.central().orElseThrow().contains(t);
                    assertEquals(!inTotality, plan.filtered(t));
                }
            }
        }
        assertTrue(total > 5, "rows with totality were looked at: " + total);
    }

    @Test
    void backOnAtThirdContactItself() {
        Instant c2 = Instant.parse("2027-08-02T08:48:06Z");
        Instant c3 = c2.plusSeconds(296);
        FilterPlan plan = new FilterPlan(Optional.of(Interval.of(c2, c3)));
        assertTrue(plan.filtered(c2.minusMillis(1)));
        assertFalse(plan.filtered(c2));
        assertTrue(plan.filtered(c3));
    }
}
