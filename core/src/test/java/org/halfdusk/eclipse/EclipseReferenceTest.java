package org.halfdusk.eclipse;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.halfdusk.place.Observer;
import org.halfdusk.reference.ReferenceTable;
import org.halfdusk.reference.ReferenceTable.Row;
import org.halfdusk.sky.Sky;
import org.halfdusk.time.DeltaT;
import org.halfdusk.time.Interval;
import org.junit.jupiter.api.Test;

/** Eclipses against the tables: solar contacts 1 s, maximum 2 s; lunar umbra 2 s, penumbra 5 s; magnitudes 0.001. */
class EclipseReferenceTest {
    private static double seconds(Row r, String column, Instant found) {
        return Math.abs(Duration.between(r.instant(column).orElseThrow(), found).toNanos() * 1e-9);
    }

    private static void within(double limit, double value, Row r, String what) {
        assertTrue(value <= limit, what + " of row " + r.text("row") + " is off by " + value);
    }

    @Test
    void lunarEclipses() {
        double worst = 0;
        for (Row r : ReferenceTable.read("lunar_eclipses.csv")) {
            Instant about = r.instant("greatest").orElseThrow();
            List<LunarEclipse> found = LunarEclipse.find(
                    ReferenceTable.EPHEMERIS,
                    DeltaT.fixed(r.number("delta_t_s")),
                    Interval.of(about.minus(Duration.ofDays(2)), about.plus(Duration.ofDays(2))));
            assertEquals(1, found.size(), "row " + r.text("row"));
            LunarEclipse e = found.get(0);
            assertEquals(r.text("type").toUpperCase(Locale.ROOT), e.type().name());
            within(5, seconds(r, "danjon_p1", e.penumbra().start()), r, "P1");
            within(5, seconds(r, "danjon_p4", e.penumbra().end()), r, "P4");
            within(2, seconds(r, "danjon_greatest", e.greatest()), r, "greatest");
            assertEquals(r.instant("danjon_u1").isPresent(), e.umbra().isPresent());
            assertEquals(r.instant("danjon_u2").isPresent(), e.totality().isPresent());
            e.umbra().ifPresent(u -> {
                within(2, seconds(r, "danjon_u1", u.start()), r, "U1");
                within(2, seconds(r, "danjon_u4", u.end()), r, "U4");
            });
            e.totality().ifPresent(t -> {
                within(2, seconds(r, "danjon_u2", t.start()), r, "U2");
                within(2, seconds(r, "danjon_u3", t.end()), r, "U3");
            });
            within(0.001, Math.abs(e.umbralMagnitude() - r.number("danjon_umbral_mag")), r, "umbral magnitude");
            within(0.001, Math.abs(e.penumbralMagnitude() - r.number("danjon_penumbral_mag")), r, "magnitude");
            worst = Math.max(worst, seconds(r, "danjon_p1", e.penumbra().start()));
        }
        System.out.printf("lunar eclipses: worst P1 %.2f s%n", worst);
    }

    private static Optional<SolarEclipse> here(Row r) {
        Instant noon = Instant.parse(r.text("eclipse") + "T12:00:00Z");
        return SolarEclipse.find(
                        r.sky(), Interval.of(noon.minus(Duration.ofHours(26)), noon.plus(Duration.ofHours(26))))
                .stream()
                .findFirst();
    }

    @Test
    void solarEclipsesHere() {
        double worst = 0;
        for (Row r : ReferenceTable.read("solar_eclipse_local.csv")) {
            Optional<SolarEclipse> found = here(r);
            if (r.text("type").equals("none")) {
                assertTrue(found.isEmpty(), "row " + r.text("row"));
                continue;
            }
            SolarEclipse e = found.orElseThrow();
            assertEquals(r.text("type").toUpperCase(Locale.ROOT), e.type().name(), "row " + r.text("row"));
            assertEquals(r.text("visible").equals("1"), e.visible(), "visible, row " + r.text("row"));
            within(1, seconds(r, "c1", e.partial().start()), r, "C1");
            within(1, seconds(r, "c4", e.partial().end()), r, "C4");
            within(2, seconds(r, "max", e.maximum()), r, "maximum");
            within(0.001, Math.abs(e.magnitude() - r.number("magnitude")), r, "magnitude");
            within(0.001, Math.abs(e.obscuration() - r.number("obscuration")), r, "obscuration");
            assertEquals(r.instant("c2").isPresent(), e.central().isPresent());
            if (e.central().isPresent() && !r.text("place").contains("limit")) {
                within(1, seconds(r, "c2", e.central().get().start()), r, "C2");
                within(1, seconds(r, "c3", e.central().get().end()), r, "C3");
                worst = Math.max(worst, seconds(r, "c2", e.central().get().start()));
            }
        }
        System.out.printf("solar eclipses: worst C2 %.2f s%n", worst);
    }

    /** Canon counts (Espenak and Meeus): 230 lunar eclipses of all kinds 2001–2100 by the usual shadow; Danjon's drops few. */
    @Test
    void aCenturyOfLunarEclipses() {
        Interval century = Interval.of(Instant.parse("2001-01-01T00:00:00Z"), Instant.parse("2101-01-01T00:00:00Z"));
        List<LunarEclipse> all = LunarEclipse.find(ReferenceTable.EPHEMERIS, DeltaT.model(), century);
        assertEquals(228, all.size(), 2);
        assertEquals(
                85,
                all.stream().filter(e -> e.type() == LunarEclipse.Type.TOTAL).count());
    }

    @Test
    void totalityOverTheIsleInAugust2027() {
        Sky isle = Sky.over(Observer.of(35.978, -3.041, 28), ReferenceTable.EPHEMERIS, DeltaT.model());
        Interval day = Interval.of(Instant.parse("2027-08-02T00:00:00Z"), Instant.parse("2027-08-03T00:00:00Z"));
        SolarEclipse e = SolarEclipse.find(isle, day).get(0);
        assertEquals(SolarEclipse.Type.TOTAL, e.type());
        double seconds = e.central().orElseThrow().hours() * 3600;
        assertTrue(seconds > 200 && seconds < 390, "totality of " + seconds + " s");
        assertTrue(e.visible());
        assertEquals(1, e.obscuration());
    }
}
