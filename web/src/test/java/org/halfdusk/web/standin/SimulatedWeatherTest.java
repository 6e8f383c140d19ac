package org.halfdusk.web.standin;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.time.Duration;
import java.time.Instant;
import java.util.function.ToDoubleFunction;
import java.util.stream.IntStream;
import org.halfdusk.place.Observer;
import org.halfdusk.weather.WeatherHour;
import org.junit.jupiter.api.Test;

/** Made-up, but by season: means over a month of hours. */
class SimulatedWeatherTest {
    private static final Observer ISLE = Observer.of(35.95, -3.05, 10);

    private static double mean(Observer where, String from, ToDoubleFunction<WeatherHour> of) {
        SimulatedWeather weather = SimulatedWeather.of(where);
        Instant start = Instant.parse(from);
        return IntStream.range(0, 30 * 24)
                .mapToObj(i -> weather.hour(start.plus(Duration.ofHours(i))))
                .mapToDouble(of)
                .average()
                .orElseThrow();
    }

    @Test
    void warmerInSummerOnBothHemispheres() {
        double july = mean(ISLE, "2027-07-01T00:00:00Z", WeatherHour::celsius);
        double january = mean(ISLE, "2027-01-01T00:00:00Z", WeatherHour::celsius);
        assertTrue(july > 20 && july < 30, "July " + july);
        assertTrue(january > 6 && january < 17, "January " + january);
        Observer south = Observer.of(-35.95, 20, 10);
        assertTrue(mean(south, "2027-01-01T00:00:00Z", WeatherHour::celsius)
                > mean(south, "2027-07-01T00:00:00Z", WeatherHour::celsius));
    }

    @Test
    void summersAreDrierThanWinters() {
        assertTrue(mean(ISLE, "2027-07-01T00:00:00Z", WeatherHour::cover)
                < mean(ISLE, "2027-01-01T00:00:00Z", WeatherHour::cover) - 0.05);
    }

    @Test
    void heightCools() {
        Observer high = Observer.of(35.95, -3.05, 2010);
        double low = mean(ISLE, "2027-05-01T00:00:00Z", WeatherHour::celsius);
        assertEquals(low - 13, mean(high, "2027-05-01T00:00:00Z", WeatherHour::celsius), 0.2);
    }

    @Test
    void theSameHourIsAlwaysTheSame() {
        Instant at = Instant.parse("2027-06-04T22:00:00Z");
        assertEquals(
                SimulatedWeather.of(ISLE).hour(at), SimulatedWeather.of(ISLE).hour(at));
    }

    @Test
    void neverBeyondWhatWeatherCanBe() {
        for (double lat = -90; lat <= 90; lat += 15) {
            for (int elevation : new int[] {-430, 0, 5000, 9000}) {
                assertTrue(mean(Observer.of(lat, 100, elevation), "2027-01-10T00:00:00Z", WeatherHour::cover) < 1);
            }
        }
    }
}
