package org.halfdusk.sky;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.halfdusk.reference.ReferenceTable;
import org.halfdusk.reference.ReferenceTable.Row;
import org.halfdusk.sky.events.EventType;
import org.halfdusk.sky.events.SkyEvent;
import org.halfdusk.sky.events.SkyEvents;
import org.halfdusk.time.Interval;
import org.junit.jupiter.api.Test;

/** Rise, set, twilight and core events against the tables: existence exact, 1″ of altitude, 0.3 s at usual rates. */
class SkyEventsReferenceTest {
    private static final Map<String, EventType> COLUMNS = Map.of(
            "sunset", EventType.SUNSET,
            "civil_dusk", EventType.CIVIL_DUSK,
            "nautical_dusk", EventType.NAUTICAL_DUSK,
            "astro_dusk", EventType.ASTRONOMICAL_DUSK,
            "astro_dawn", EventType.ASTRONOMICAL_DAWN,
            "nautical_dawn", EventType.NAUTICAL_DAWN,
            "civil_dawn", EventType.CIVIL_DAWN,
            "sunrise", EventType.SUNRISE,
            "moonrise", EventType.MOONRISE,
            "moonset", EventType.MOONSET);

    private static List<SkyEvent> dayOf(Row r) {
        Instant start = r.instant("window_start").orElseThrow();
        return SkyEvents.find(r.sky(), Interval.of(start, start.plus(Duration.ofHours(24))));
    }

    private static Optional<Instant> first(List<SkyEvent> events, EventType type) {
        return events.stream().filter(e -> e.type() == type).findFirst().map(SkyEvent::at);
    }

    @Test
    void sunAndMoonRiseAndSetWhenTheTableSays() {
        List<String> wrong = new ArrayList<>();
        double arcsec = 0;
        double seconds = 0;
        for (Row r : ReferenceTable.read("riseset.csv")) {
            List<SkyEvent> events = dayOf(r);
            for (Map.Entry<String, EventType> column : COLUMNS.entrySet()) {
                Optional<Instant> expected = r.instant(column.getKey());
                Optional<Instant> found = first(events, column.getValue());
                if (expected.isPresent() != found.isPresent()) {
                    wrong.add(column.getKey() + " " + r.text("place") + " " + r.text("date"));
                } else if (expected.isPresent()) {
                    double off = Math.abs(
                            Duration.between(expected.get(), found.get()).toNanos() * 1e-9);
                    double degreesPerHour = Math.abs(r.number(column.getKey() + "_rate"));
                    arcsec = Math.max(arcsec, off * degreesPerHour);
                    seconds = degreesPerHour > 5 ? Math.max(seconds, off) : seconds;
                }
            }
        }
        System.out.printf("rise and set: worst %.3f arcsec, %.3f s at over 5 deg/h%n", arcsec, seconds);
        assertEquals(List.of(), wrong, "events that exist on one side only");
        assertTrue(arcsec <= 1.0, "off by " + arcsec + " arcsec of altitude");
        assertTrue(seconds <= 0.3, "off by " + seconds + " s");
    }

    @Test
    void coreRisesSetsAndCulminatesWhenTheTableSays() {
        Map<String, EventType> columns = Map.of(
                "gc_rise", EventType.CORE_RISE, "gc_set", EventType.CORE_SET, "gc_transit", EventType.CORE_TRANSIT);
        List<String> wrong = new ArrayList<>();
        double seconds = 0;
        for (Row r : ReferenceTable.read("galactic.csv")) {
            List<SkyEvent> events = dayOf(r);
            for (Map.Entry<String, EventType> column : columns.entrySet()) {
                Optional<Instant> expected = r.instant(column.getKey());
                Optional<Instant> found = first(events, column.getValue());
                if (expected.isPresent() != found.isPresent()) {
                    wrong.add(column.getKey() + " " + r.text("place") + " " + r.text("date"));
                } else if (expected.isPresent()) {
                    seconds = Math.max(
                            seconds,
                            Math.abs(Duration.between(expected.get(), found.get())
                                            .toNanos()
                                    * 1e-9));
                }
            }
        }
        System.out.printf("core: worst %.3f s%n", seconds);
        assertEquals(List.of(), wrong);
        assertTrue(seconds <= 0.3, "off by " + seconds + " s");
    }
}
