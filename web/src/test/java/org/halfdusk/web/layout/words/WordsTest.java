package org.halfdusk.web.layout.words;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import org.halfdusk.web.layout.drawing.SkyColours;
import org.halfdusk.web.layout.drawing.Theme;
import org.junit.jupiter.api.Test;

class WordsTest {
    private static final ZoneId MADRID = ZoneId.of("Europe/Madrid");

    @Test
    void timesRoundToTheNearestMinuteInThePlacesZone() {
        assertEquals("23:49", Times.clock(Instant.parse("2027-06-04T21:48:31Z"), MADRID));
        assertEquals("00:00", Times.clock(Instant.parse("2027-06-04T21:59:45Z"), MADRID));
        // The hour that the clocks skip and the one they repeat.
        assertEquals("03:00", Times.clock(Instant.parse("2027-03-28T01:00:00Z"), MADRID));
        assertEquals("02:30 UTC+2", Times.clock(Instant.parse("2027-10-31T00:30:00Z"), MADRID));
        assertEquals("02:30 UTC+1", Times.clock(Instant.parse("2027-10-31T01:30:00Z"), MADRID));
    }

    @Test
    void numbersAsThePagesSayThem() {
        assertEquals("5 h 18 m", Times.duration(5.3));
        assertEquals("48 m", Times.duration(0.8));
        assertEquals("−23.0°", Words.degrees(-23));
        assertEquals("0°", Words.azimuth(359.7));
        assertEquals("0.0°", Words.azimuthTenths(359.97));
        assertEquals("359.9°", Words.azimuthTenths(359.94));
        assertEquals("27.8 s", Words.seconds(27.78));
        assertEquals("0.13 s", Words.seconds(0.1251));
        assertEquals("120 s", Words.seconds(120.2));
        assertEquals("1 stop", Words.stops(-0.98));
        assertEquals("6.3 stops", Words.stops(6.33));
        assertEquals("43° left", Words.lean(-43.2));
        assertEquals("upright", Words.lean(2.1));
        assertEquals("flat", Words.lean(88.9));
        assertEquals("Fri 4 June 2027", Times.longDate(LocalDate.of(2027, 6, 4)));
        assertEquals("21.4", Words.plain(21.40));
        assertEquals("18", Words.plain(18));
    }

    @Test
    void skyColoursAreTheDesignsAtItsMarks() {
        assertEquals("#0f1220", SkyColours.of(-30, 0));
        assertEquals("#e9b27a", SkyColours.of(0, 0));
        assertEquals("#86a8c0", SkyColours.of(40, 1));
        assertEquals("#56486a", SkyColours.of(-8, 0));
    }

    @Test
    void fieldKeepsToTheRedChannel() {
        assertEquals("#86a8c0", Theme.DESK.colour("#86a8c0"));
        assertEquals("0000", Theme.FIELD.colour("#86a8c0").substring(3));
    }
}
