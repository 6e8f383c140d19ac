package org.halfdusk.web.exchange;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import biweekly.Biweekly;
import biweekly.ICalendar;
import java.io.IOException;
import java.io.StringReader;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.ZoneId;
import java.util.List;
import java.util.Map;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVRecord;
import org.halfdusk.light.DarkSite;
import org.halfdusk.place.Observer;
import org.halfdusk.place.Place;
import org.halfdusk.time.Interval;
import org.halfdusk.web.DemoPages;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/** Tables and calendars as other programs read them. */
@Tag("slow")
class TablesTest extends DemoPages {
    private static List<CSVRecord> csv(String path) throws Exception {
        return CSVFormat.RFC4180
                .builder()
                .setHeader()
                .setSkipHeaderRecord(true)
                .get()
                .parse(new StringReader(app.get(path).body()))
                .getRecords();
    }

    private static Instant moment(CSVRecord r, String name) {
        return OffsetDateTime.parse(r.get(name + "date") + "T" + r.get(name + "time") + r.get(name + "offset"))
                .toInstant();
    }

    @Test
    void nightsOfAYear() throws Exception {
        List<CSVRecord> rows = csv("/nights/nights.csv?place=1&start=2027-06-01");
        assertEquals(366, rows.size());
        CSVRecord fifth = rows.get(4);
        assertEquals("2027-06-05", fifth.get("night"));
        assertEquals("Europe/Madrid", fifth.get("zone"));
        assertEquals("2027-06-05", fifth.get("sunset_date"));
        assertEquals("+02:00", fifth.get("sunset_offset"));
        assertTrue(fifth.get("sunset_time").matches("21:2\\d:\\d\\d"), fifth.get("sunset_time"));
        assertEquals("2027-06-06", fifth.get("dark_to_date"));
        for (CSVRecord r : rows) {
            assertTrue(moment(r, "sunset_").isBefore(moment(r, "dark_from_")), r.toString());
            assertTrue(moment(r, "dark_to_").isBefore(moment(r, "sunrise_")), r.toString());
            if (!r.get("usable_from_date").isEmpty()) {
                assertFalse(moment(r, "usable_to_").isBefore(moment(r, "usable_from_")), r.toString());
            }
        }
        assertEquals(404, app.get("/nights/nights.csv?place=999").statusCode());
        assertEquals(400, app.get("/nights/events.csv?place=1&start=never").statusCode());
    }

    /** In the night of the changing clocks the offset changes, and every row comes after the one before. */
    @Test
    void eventsOfTheSky() throws Exception {
        List<CSVRecord> rows = csv("/nights/events.csv?place=1&start=2027-10-25");
        assertTrue(rows.size() > 4000, () -> rows.size() + " rows");
        Instant before = Instant.MIN;
        for (CSVRecord r : rows) {
            Instant at = moment(r, "");
            assertFalse(at.isBefore(before), r.toString());
            before = at;
        }
        assertTrue(rows.stream().anyMatch(r -> r.get("offset").equals("+01:00")));
        assertTrue(rows.stream().anyMatch(r -> r.get("offset").equals("+02:00")));
        assertTrue(rows.stream().anyMatch(r -> r.get("event").equals("sunset")));
    }

    @Test
    void whatToPack() throws Exception {
        app.post("/shoots/1/pack/own", Map.of("name", "Tea, \"hot\""));
        List<CSVRecord> rows = csv("/shoots/1/pack/list.csv");
        assertTrue(rows.size() > 5);
        assertTrue(rows.stream().anyMatch(r -> r.get("thing").equals("Tea, \"hot\"")));
        assertTrue(rows.stream().allMatch(r -> r.get("packed").matches("yes|no")));
    }

    @Test
    void framesHaveTheirFocalLengthAndPauses() throws Exception {
        List<CSVRecord> rows = csv("/shoots/1/sequence/frames.csv");
        for (int i = 0; i < rows.size(); i++) {
            CSVRecord r = rows.get(i);
            assertEquals(18, Double.parseDouble(r.get("focal_length_mm")));
            assertTrue(r.get("real_s").length() < 12, r.get("real_s"));
            long apart = Math.abs(java.time.Duration.between(Instant.parse(r.get("opens_utc")), moment(r, "opens_"))
                    .toMillis());
            assertTrue(apart <= 500, r.toString());
            if (!r.get("pause_s").isEmpty()) {
                double gap = java.time.Duration.between(
                                        Instant.parse(r.get("opens_utc")),
                                        Instant.parse(rows.get(i + 1).get("opens_utc")))
                                .toMillis()
                        / 1000.0;
                assertEquals(gap, Double.parseDouble(r.get("real_s")) + Double.parseDouble(r.get("pause_s")), 0.01);
            }
        }
    }

    /** Names of many lands have two bytes and more a character; a clef has four. */
    @Test
    void calendarsHaveNoLineOverSeventyFiveOctets() throws IOException {
        Place far = new Place(
                "Þingvellir við Öxará, 夜の灯台, \uD834\uDD1E ".repeat(2).strip(),
                Observer.of(64.25, -21.13, 100),
                ZoneId.of("Atlantic/Reykjavik"),
                DarkSite.NATURAL,
                List.of(),
                "");
        Interval when = Interval.of(Instant.parse("2027-09-01T23:00:00Z"), Instant.parse("2027-09-02T03:00:00Z"));
        String text = "ljósin í norðri ".repeat(20) + "\n" + "灯".repeat(90);
        String calendar = CalendarFile.ofNights(
                List.of(new CalendarFile.Entry("a", "Nótt við Öxará ".repeat(8), text, far, when)), when.start());
        for (String line : calendar.split("\r\n")) {
            assertTrue(line.getBytes(StandardCharsets.UTF_8).length <= 75, line);
            assertFalse(line.contains("\uFFFD"), line);
        }
        ICalendar read = Biweekly.parse(calendar).first();
        assertEquals(text, read.getEvents().get(0).getDescription().getValue());
        assertEquals(far.name(), read.getEvents().get(0).getLocation().getValue());
        assertEquals(1, read.getEvents().get(0).getAlarms().size());
    }

    @Test
    void nightsInACalendarHaveAlarmsAndNoTimesInTheirTitles() throws Exception {
        String calendar = app.get("/nights/calendar.ics?place=1&night=2027-06-05&night=2027-06-06")
                .body();
        ICalendar read = Biweekly.parse(calendar).first();
        assertEquals(2, read.getEvents().size());
        read.getEvents().forEach(e -> {
            assertEquals(1, e.getAlarms().size());
            assertFalse(
                    e.getSummary().getValue().matches(".*\\d\\d:\\d\\d.*"),
                    e.getSummary().getValue());
        });
    }
}
