package org.halfdusk.sky.events;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import org.halfdusk.ephemeris.Body;
import org.halfdusk.light.DarkSite;
import org.halfdusk.photometry.SkyBrightness;
import org.halfdusk.place.Observer;
import org.halfdusk.reference.ReferenceTable;
import org.halfdusk.shoot.milkyway.MilkyWayNight;
import org.halfdusk.sky.Sky;
import org.halfdusk.time.DeltaT;
import org.halfdusk.time.Interval;
import org.junit.jupiter.api.Test;

/** Windows over a long interval are those of its nights, put together. */
class WindowsTest {
    private static final ZoneId MADRID = ZoneId.of("Europe/Madrid");
    private static final Sky SKY = Sky.over(Observer.of(35.95, -3.05, 0), ReferenceTable.EPHEMERIS, DeltaT.model());

    @Test
    void aMonthIsTheSumOfItsNights() {
        LocalDate first = LocalDate.of(2027, 6, 1);
        DarkSite site = DarkSite.withoutTowns(SkyBrightness.of(21.4));
        double nightly = 0;
        for (int i = 0; i < 30; i++) {
            nightly +=
                    MilkyWayNight.of(SKY, site, first.plusDays(i), MADRID, 10).windowHours();
        }
        Instant start = Night.of(SKY, first, MADRID).interval().start();
        Windows month = Windows.of(SKY, Interval.of(start, start.plus(Duration.ofDays(30))));
        assertEquals(nightly, Interval.hours(month.moonlessDarkWithCore(10)), 0.001);
    }

    @Test
    void upAndDownMakeTheYear() {
        Instant start = Instant.parse("2027-01-01T00:00:00Z");
        Interval year = Interval.of(start, start.plus(Duration.ofDays(365)));
        Windows windows = Windows.of(SKY, year);
        double sum = Interval.hours(windows.above(Body.SUN, -6)) + Interval.hours(windows.below(Body.SUN, -6));
        assertEquals(365 * 24, sum, 0.001);
        assertTrue(Interval.hours(windows.moonlessDark()) < Interval.hours(windows.below(Body.SUN, -18)));
        assertThrows(
                IllegalArgumentException.class,
                () -> Windows.of(SKY, Interval.of(start, start.plus(Duration.ofDays(401)))));
    }

    @Test
    void anyBodyCrossesAnyAltitude() {
        Instant start = Instant.parse("2027-06-04T12:00:00Z");
        Interval day = Interval.of(start, start.plus(Duration.ofDays(1)));
        for (Body body : Body.values()) {
            for (Curve.Crossing c : SkyEvents.crossings(SKY, body, 20, day)) {
                assertEquals(20, SKY.altitudeDegrees(body, c.at()), 1e-6);
            }
        }
        assertEquals(2, SkyEvents.crossings(SKY, Body.GALACTIC_CENTRE, 20, day).size());
    }
}
