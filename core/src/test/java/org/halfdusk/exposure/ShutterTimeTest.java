package org.halfdusk.exposure;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Optional;
import org.halfdusk.photometry.Stops;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Marks and real times as cameras have them: powers of two by thirds. */
class ShutterTimeTest {
    private static final List<ShutterTime> DIAL = ShutterTime.dial();

    @ParameterizedTest
    @CsvSource({"30,32", "25,25.4", "20,20.2", "15,16", "13,12.7", "10,10.1", "8,8", "1,1", "0.008,0.0078125"})
    void realTimes(double nominal, double real) {
        ShutterTime t = ShutterTime.nearest(real, DIAL);
        assertEquals(nominal, t.nominalSeconds(), 1e-9);
        assertEquals(real, t.realSeconds(), 0.05 * Math.min(1, real));
    }

    @ParameterizedTest
    @CsvSource({"7.99,8 s", "31.25,25 s", "32,30 s", "27.8,25 s", "11.0,10 s", "0.009,1/125 s", "500,30 s"})
    void roundsDownByRealTimeForgivingOnePercent(double limit, String label) {
        assertEquals(Optional.of(label), ShutterTime.roundDown(limit, DIAL).map(ShutterTime::label));
    }

    @Test
    void nothingWhereAllAreLonger() {
        assertEquals(Optional.empty(), ShutterTime.roundDown(0.05, ShutterTime.available(0.1, 30, false)));
    }

    @Test
    void bulbAddsTimerTimesThatAreWhatTheySay() {
        List<ShutterTime> times = ShutterTime.available(1 / 8000.0, 30, true);
        assertEquals(3600, times.get(0).realSeconds());
        assertTrue(times.stream().noneMatch(t -> t.nominalSeconds() < 1 / 8001.0));
        for (int i = 1; i < times.size(); i++) {
            assertTrue(
                    times.get(i).realSeconds() < times.get(i - 1).realSeconds(),
                    times.get(i).label());
        }
    }

    @Test
    void neighboursAreAThirdOfAStopApart() {
        for (int i = 1; i < DIAL.size(); i++) {
            assertEquals(
                    1 / 3.0,
                    Stops.between(DIAL.get(i - 1).realSeconds(), DIAL.get(i).realSeconds()),
                    1e-9);
        }
    }
}
