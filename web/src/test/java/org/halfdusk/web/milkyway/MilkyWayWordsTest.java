package org.halfdusk.web.milkyway;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Optional;
import org.halfdusk.ephemeris.Body;
import org.halfdusk.ephemeris.ChebyshevEphemeris;
import org.halfdusk.ephemeris.SeriesEphemeris;
import org.halfdusk.light.DarkSite;
import org.halfdusk.light.SkyLight;
import org.halfdusk.photometry.SkyBrightness;
import org.halfdusk.place.Observer;
import org.halfdusk.place.Skyline;
import org.halfdusk.shoot.milkyway.MilkyWayNight;
import org.halfdusk.shoot.milkyway.MilkyWayWish;
import org.halfdusk.sky.Sky;
import org.halfdusk.time.DeltaT;
import org.halfdusk.web.layout.drawing.NightStrip;
import org.halfdusk.web.layout.drawing.Theme;
import org.junit.jupiter.api.Test;

/** Nights in words and as strips, on the isle and at odd places. */
class MilkyWayWordsTest {
    private static final ChebyshevEphemeris EPHEMERIS = new ChebyshevEphemeris(new SeriesEphemeris());

    private static MilkyWayNight night(double lat, double lon, String date, String zone) {
        Sky sky = Sky.over(Observer.of(lat, lon, 0), EPHEMERIS, DeltaT.model());
        DarkSite site = DarkSite.withoutTowns(SkyBrightness.of(21.4));
        return MilkyWayNight.of(sky, site, LocalDate.parse(date), ZoneId.of(zone), 10);
    }

    private static MilkyWayNight isle(String date) {
        return night(35.952, -3.048, date, "Europe/Madrid");
    }

    @Test
    void aGoodNight() {
        MilkyWayNight m = isle("2027-06-04");
        assertEquals("5 h 20 m dark, no moon", MilkyWayWords.answer(m));
        assertEquals("23:49 to 05:08", MilkyWayWords.heading(m));
        assertEquals("core under 10° until 23:49", MilkyWayWords.whyNotMore(m));
        assertTrue(MilkyWayWords.sentence(m).contains("the core 10–25° up"), MilkyWayWords.sentence(m));
        assertEquals(
                "Opens when the core has climbed to 10° (23:49), closes when dawn begins (05:08).",
                MilkyWayWords.edges(m));
    }

    private static MilkyWayNight of(double lat, double lon, String date, String zone, Body part, double lowest) {
        Sky sky = Sky.over(Observer.of(lat, lon, 0), EPHEMERIS, DeltaT.model());
        SkyLight light = new SkyLight(sky, DarkSite.withoutTowns(SkyBrightness.of(21.4)));
        return MilkyWayNight.of(
                light, LocalDate.parse(date), ZoneId.of(zone), MilkyWayWish.of(part, lowest), Skyline.FLAT);
    }

    @Test
    void otherPartsOfTheBandAreNamed() {
        MilkyWayNight arch = of(35.952, -3.048, "2027-04-07", "Europe/Madrid", Body.BAND_TOP, 10);
        assertTrue(
                MilkyWayWords.sentence(arch)
                        .contains("Best at 04:40 with its top 35.0° up, the band from 357° to 177°"),
                MilkyWayWords.sentence(arch));
        MilkyWayNight carina = of(35.952, -3.048, "2027-04-07", "Europe/Madrid", Body.CARINA, 5);
        assertEquals("Carina too low", MilkyWayWords.answer(carina));
        MilkyWayNight north = of(55.5, 12, "2028-06-21", "Europe/Copenhagen", Body.CYGNUS, 10);
        assertTrue(MilkyWayWords.answer(north).endsWith("of least light, no moon"), MilkyWayWords.answer(north));
        assertTrue(
                MilkyWayWords.sentence(north).contains("It never gets dark: the sky then is 2."),
                MilkyWayWords.sentence(north));
        assertTrue(
                MilkyWayWords.edges(north).contains("within 0.5 mag of its least light"), MilkyWayWords.edges(north));
    }

    @Test
    void whatCostsMost() {
        assertEquals("moonrise at 01:33", MilkyWayWords.whyNotMore(isle("2027-05-25")));
        assertEquals("moon up until 02:58", MilkyWayWords.whyNotMore(isle("2027-06-12")));
        assertTrue(MilkyWayWords.whyNotMore(isle("2027-08-30")).startsWith("core under 10° from"));
    }

    @Test
    void nightsWithoutAWindow() {
        assertEquals("moon up all night", MilkyWayWords.answer(isle("2027-06-18")));
        assertEquals("core too low", MilkyWayWords.answer(isle("2027-12-25")));
        MilkyWayNight white = night(60, 25, "2027-06-21", "Europe/Helsinki");
        assertEquals("Never dark", MilkyWayWords.heading(white));
        assertTrue(MilkyWayWords.sentence(white).contains("the least light is at 01:2"), MilkyWayWords.sentence(white));
        assertEquals("", MilkyWayWords.edges(white));
    }

    @Test
    void theStripFitsTheNight() {
        MilkyWayNight m = isle("2027-06-04");
        Instant at = Instant.parse("2027-06-05T00:30:00Z");
        NightStrip strip = strip(m, Theme.DESK, at);
        assertTrue(strip.axis().contains(m.main().orElseThrow().start()));
        assertEquals("02:30", strip.playhead().orElseThrow().text());
        assertEquals(1, strip.windows().size());
        assertEquals(
                List.of("sunset 21:25", "dark 23:13", "dawn begins 05:08", "sunrise 06:56"),
                strip.labels().stream().map(NightStrip.Label::text).toList());
        assertTrue(strip.followed().startsWith("M") && !strip.followed().contains("NaN"));
        assertTrue(strip.sky().contains("stop-color=\"#86a8c0\""));
        assertFalse(strip(m, Theme.FIELD, at).sky().contains("#86a8c0"));
    }

    @Test
    void aPolarStripIsAWholeDay() {
        for (String date : List.of("2027-06-21", "2027-12-21")) {
            MilkyWayNight m = night(80, 25, date, "Europe/Oslo");
            assertEquals(Duration.ofHours(24), m.night().axis().duration());
            NightStrip strip = strip(m, Theme.DESK, m.bestMoment());
            assertTrue(strip.ticks().size() > 8);
        }
    }

    @Test
    void aNightInWhichTheClocksChangeKeepsItsOrder() {
        NightStrip strip = strip(isle("2027-10-30"), Theme.DESK, Instant.parse("2027-10-31T01:30:00Z"));
        // The hour from two to three comes twice.
        assertEquals(
                2, strip.ticks().stream().filter(t -> t.text().equals("02:00")).count());
    }

    private static NightStrip strip(MilkyWayNight night, Theme theme, Instant at) {
        return NightStrip.large(
                night, theme, at, NightStrip.marks(night.night()), List.of(), Optional.empty(), "words");
    }
}
