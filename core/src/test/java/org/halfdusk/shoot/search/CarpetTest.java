package org.halfdusk.shoot.search;

import static org.halfdusk.shoot.Isle.isle;
import static org.halfdusk.shoot.Isle.site;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import org.halfdusk.ephemeris.Body;
import org.halfdusk.shoot.Isle;
import org.halfdusk.shoot.Site;
import org.halfdusk.shoot.SubjectNight;
import org.halfdusk.shoot.SubjectPlanner;
import org.halfdusk.shoot.milkyway.MilkyWayPlanner;
import org.halfdusk.shoot.programme.check.SettingUp;
import org.halfdusk.shoot.solareclipse.SolarEclipsePlanner;
import org.halfdusk.shoot.trails.TrailsPlanner;
import org.halfdusk.time.Interval;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The year as a grid: what its cells say is what the nights say, on the clocks of the place. */
class CarpetTest {
    private static Carpet carpet(SubjectPlanner<?, ?> planner, Site site, LocalDate from, int nights) {
        List<SubjectNight> all = IntStream.range(0, nights)
                .<SubjectNight>mapToObj(i -> planner.usualNight(site, from.plusDays(i)))
                .toList();
        return Carpet.of(all);
    }

    private static Instant at(Carpet c, Carpet.Column column, int row) {
        return column.night()
                .date()
                .atStartOfDay()
                .plusMinutes(c.firstMinute() + (long) row * c.stepMinutes())
                .atZone(column.night().zone())
                .toInstant();
    }

    /** Altitudes are the sky's own to a thousandth of a degree (they are kept as floats); wishes are the windows. */
    private static void agrees(Carpet c) {
        for (Carpet.Column column : c.columns()) {
            for (int row = 0; row < c.rows(); row += 7) {
                if (Float.isNaN(column.sun()[row])) {
                    continue;
                }
                Instant t = at(c, column, row);
                double sun = column.night().sky().at(Body.SUN, t).altitude().degrees();
                assertEquals(sun, column.sun()[row], 0.001, column.night().date() + " row " + row);
                Interval cell = Interval.of(t, t.plusSeconds(c.stepMinutes() * 60L));
                boolean inside = column.night().windows().stream()
                        .anyMatch(w -> w.intersect(cell).isPresent());
                assertEquals(inside, column.wish()[row] > 0, column.night().date() + " row " + row);
            }
        }
    }

    @Test
    void aYearOnTheIsle() {
        Carpet c = carpet(new MilkyWayPlanner(), isle(), LocalDate.of(2027, 1, 1), 365);
        assertEquals(365, c.columns().size());
        assertEquals(15, c.stepMinutes());
        assertEquals(0, c.firstMinute() % 60);
        agrees(c);
        // Copper in June, none in December: the season of the core.
        assertTrue(copper(c, 154) > 15);
        assertEquals(0, copper(c, 350));
    }

    private static int copper(Carpet c, int column) {
        int n = 0;
        for (float w : c.columns().get(column).wish()) {
            n += w > 0 ? 1 : 0;
        }
        return n;
    }

    /** 60° N in June is never dark, 70° N in December has no sunrise; the south, the date line, a zone without DST. */
    @ParameterizedTest
    @CsvSource({
        "60,25,Europe/Helsinki,2027-06-01",
        "70,25,Europe/Oslo,2027-12-01",
        "-33.9,18.4,Africa/Johannesburg,2027-06-01",
        "1.9,-157.4,Pacific/Kiritimati,2027-06-01",
        "-13.8,-171.8,Pacific/Apia,2027-09-01",
        "28.6,77.2,Asia/Kolkata,2027-02-01",
        "90,0,UTC,2027-12-10"
    })
    void everywhere(double latitude, double longitude, String zone, String from) {
        Carpet c = carpet(new TrailsPlanner(), site(latitude, longitude, ZoneId.of(zone)), LocalDate.parse(from), 40);
        assertTrue(c.rows() > 20 && c.rows() <= 96, "rows " + c.rows());
        agrees(c);
    }

    @Test
    void aLeapYearHasItsDay() {
        Carpet c = carpet(new MilkyWayPlanner(), isle(), LocalDate.of(2028, 2, 20), 20);
        assertTrue(c.columns().stream().anyMatch(x -> x.night().date().equals(LocalDate.of(2028, 2, 29))));
        agrees(c);
    }

    /** On the night of 27 March 2027 the clocks skip from two to three: four rows have no time, and no wish. */
    @Test
    void theHourThatTheClocksSkipHasNoCells() {
        Carpet c = carpet(new MilkyWayPlanner(), isle(), LocalDate.of(2027, 3, 25), 6);
        for (Carpet.Column column : c.columns()) {
            int skipped = 0;
            for (int row = 0; row < c.rows(); row++) {
                boolean gone = Float.isNaN(column.sun()[row]);
                skipped += gone ? 1 : 0;
                assertFalse(gone && column.wish()[row] > 0);
            }
            assertEquals(column.night().date().equals(LocalDate.of(2027, 3, 27)) ? 4 : 0, skipped);
        }
    }

    /** Sunset is an hour earlier on the clocks after the night of 30 October 2027, and the carpet shows that. */
    @Test
    void sunsetJumpsWithTheClocks() {
        Carpet c = carpet(new MilkyWayPlanner(), isle(), LocalDate.of(2027, 10, 29), 4);
        int before = sunsetRow(c, 1);
        int after = sunsetRow(c, 2);
        assertEquals(4, before - after, 1);
    }

    private static int sunsetRow(Carpet c, int column) {
        float[] sun = c.columns().get(column).sun();
        int row = 0;
        while (sun[row] > -0.83) {
            row++;
        }
        return row;
    }

    @Test
    void moonlightShowsOnlyInTheDarkWithTheMoonUp() {
        Carpet c = carpet(new TrailsPlanner(), isle(), LocalDate.of(2027, 1, 15), 15);
        float most = 0;
        for (Carpet.Column column : c.columns()) {
            for (int row = 0; row < c.rows(); row++) {
                most = Math.max(most, column.moon()[row]);
                boolean up = column.night()
                                .sky()
                                .at(Body.MOON, at(c, column, row))
                                .altitude()
                                .degrees()
                        > 0;
                assertTrue(column.moon()[row] >= 0 && (up || column.moon()[row] == 0));
            }
        }
        assertTrue(most > 2.5, "a full moon lifts the zenith by " + most);
    }

    @Test
    void aDayOfASolarEclipseIsInIt() {
        Carpet c = carpet(new SolarEclipsePlanner(), isle(), LocalDate.of(2027, 7, 30), 5);
        assertEquals(0, copper(c, 0));
        assertTrue(copper(c, 3) > 8);
        Carpet none = c.wishingOnlyOn(Set.of(LocalDate.of(2027, 7, 31)));
        assertEquals(0, copper(none, 3));
        assertThrows(IllegalArgumentException.class, () -> Carpet.of(List.of()));
    }

    /** An hour before the window one arrives, half an hour before it lamps go out; scouting ends with the daylight. */
    @Test
    void settingUpCountsBackFromTheWindow() {
        var night = new MilkyWayPlanner().usualNight(isle(), LocalDate.of(2027, 6, 4));
        SettingUp s = SettingUp.of(night, Optional.empty()).orElseThrow();
        assertEquals("21:25", Isle.minute(s.scoutBy().orElseThrow()));
        assertEquals("22:49", Isle.minute(s.arrive()));
        assertEquals("23:19", Isle.minute(s.lampsOut()));
        assertEquals(night.main().orElseThrow().start(), s.ready());
        var white =
                new MilkyWayPlanner().usualNight(site(60, 25, ZoneId.of("Europe/Helsinki")), LocalDate.of(2027, 6, 21));
        assertTrue(SettingUp.of(white, Optional.empty()).isEmpty());
        // A first frame before the window is what one has to be ready for; lamps are not out before sunset.
        Instant sunset = s.scoutBy().orElseThrow();
        SettingUp early =
                SettingUp.of(night, Optional.of(sunset.plusSeconds(600))).orElseThrow();
        assertEquals(sunset.minusSeconds(3000), early.arrive());
        assertEquals(sunset, early.lampsOut());
    }
}
