package org.halfdusk.sky.events;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertInstanceOf;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import org.halfdusk.place.Observer;
import org.halfdusk.reference.ReferenceTable;
import org.halfdusk.sky.Sky;
import org.halfdusk.time.DeltaT;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What a night is, at ordinary and at odd places. */
class NightTest {
    private static Sky sky(double lat, double lon) {
        return Sky.over(Observer.of(lat, lon, 0), ReferenceTable.EPHEMERIS, DeltaT.model());
    }

    private static Night night(double lat, double lon, String date, String zone) {
        return Night.of(sky(lat, lon), LocalDate.parse(date), ZoneId.of(zone));
    }

    @Test
    void runsFromMeanNoonFor24Hours() {
        Night n = night(35.95, -3.05, "2027-06-04", "Europe/Madrid");
        assertEquals(Instant.parse("2027-06-04T12:12:12Z"), n.interval().start());
        assertEquals(24, n.interval().hours());
    }

    @ParameterizedTest
    @CsvSource({
        "52, 4.9, Europe/Amsterdam",
        "-17.8, 177.4, Pacific/Fiji",
        "-13.8, -171.8, Pacific/Apia",
        "65.5, -169, America/Nome",
        "1.9, -157.4, Pacific/Kiritimati"
    })
    void isNamedByTheCivilDateOfItsNoonEverywhere(double lat, double lon, String zone) {
        LocalDate date = LocalDate.of(2027, 3, 14);
        Night n = Night.of(sky(lat, lon), date, ZoneId.of(zone));
        assertEquals(date, LocalDate.ofInstant(n.interval().start(), ZoneId.of(zone)));
        assertEquals(date, Night.dateAt(sky(lat, lon), n.interval().middle(), ZoneId.of(zone)));
    }

    @Test
    void anHourAfterMidnightBelongsToTheEveningBefore() {
        Instant afterMidnight = Instant.parse("2027-06-04T23:30:00Z");
        assertEquals(
                LocalDate.of(2027, 6, 4), Night.dateAt(sky(35.95, -3.05), afterMidnight, ZoneId.of("Europe/Madrid")));
    }

    @Test
    void polarDayAndPolarNight() {
        Night june = night(70, 25, "2027-06-21", "Europe/Oslo");
        assertInstanceOf(Rising.AlwaysUp.class, june.sun());
        assertInstanceOf(Darkness.NeverDark.class, june.darkness());
        Night december = night(70, 25, "2027-12-21", "Europe/Oslo");
        assertInstanceOf(Rising.AlwaysDown.class, december.sun());
        assertTrue(((Darkness.Dark) december.darkness()).interval().hours() > 10);
    }

    @Test
    void whiteNightIsNeverDarkButHasASunset() {
        Night n = night(60, 25, "2027-06-21", "Europe/Helsinki");
        assertInstanceOf(Rising.Crosses.class, n.sun());
        Darkness.NeverDark never = assertInstanceOf(Darkness.NeverDark.class, n.darkness());
        assertEquals(-6.6, never.sunLowestDegrees(), 0.1);
    }

    @Test
    void atThePoleTheNightIsStillADay() {
        Night n = night(90, 0, "2027-12-21", "UTC");
        assertEquals(24, ((Darkness.Dark) n.darkness()).interval().hours(), 0.01);
        assertEquals(24, n.sunsetToSunrise().hours(), 0.01);
    }

    @Test
    void moonlessDarkIsDarkAndMoonless() {
        Night n = night(35.95, -3.05, "2027-06-10", "Europe/Madrid");
        assertTrue(n.moonlessDark().stream()
                .allMatch(i -> n.dark().stream().anyMatch(d -> d.intersect(i).isPresent())
                        && n.moonUp().stream().noneMatch(m -> m.intersect(i).isPresent())));
    }
}
