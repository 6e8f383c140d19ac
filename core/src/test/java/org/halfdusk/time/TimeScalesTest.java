package org.halfdusk.time;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.time.Instant;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class TimeScalesTest {
    private static double deltaT(String date) {
        return DeltaT.model().secondsAt(Moment.utDays(Instant.parse(date + "T00:00:00Z")));
    }

    /** TT − UTC less DUT1 of IERS Bulletin B at the start of these years; linear interpolation is good to 0.1 s. */
    @ParameterizedTest
    @CsvSource({"1973-01-01,43.37", "1985-07-01,54.6", "1999-01-01,63.47", "2010-01-01,66.07", "2020-01-01,69.36"})
    void knownPast(String date, double seconds) {
        assertEquals(seconds, deltaT(date), 0.1);
    }

    @Test
    void futureHoldsAndThenDriftsWithoutJumps() {
        assertEquals(69.15, deltaT("2029-06-01"), 0.06);
        double before = deltaT("2026-01-01");
        for (int year = 2026; year < 2101; year++) {
            double now = deltaT(year + "-12-31");
            assertTrue(Math.abs(now - before) < 0.8, year + " jumps by " + (now - before));
            before = now;
        }
    }

    @Test
    void fixedIsCheckedPositively() {
        assertEquals(69.2, DeltaT.fixed(69.2).secondsAt(0));
        assertThrows(IllegalArgumentException.class, () -> DeltaT.fixed(Double.NaN));
        assertThrows(IllegalArgumentException.class, () -> DeltaT.fixed(301));
    }

    @Test
    void momentsGoThereAndBack() {
        Instant at = Instant.parse("2087-03-01T05:06:07.123400Z");
        assertEquals(at, Moment.instantOf(Moment.utDays(at)));
        assertEquals(0, Moment.utDays(Instant.parse("2000-01-01T12:00:00Z")));
    }

    /** Meeus, Astronomical Algorithms 2nd ed., example 12.b: 1987 April 10, 19:21:00 UT, mean sidereal time 8h34m57.0896s. */
    @Test
    void meanSiderealTimeOfThePublishedExample() {
        double ut = Moment.utDays(Instant.parse("1987-04-10T19:21:00Z"));
        double hours = Math.toDegrees(SiderealTime.greenwichMeanRad(ut, ut + 55.8 / 86400)) / 15;
        // The older theory of the example differs by some milliseconds.
        assertEquals(8 + 34 / 60.0 + 57.0896 / 3600, hours, 0.02 / 3600);
    }
}
