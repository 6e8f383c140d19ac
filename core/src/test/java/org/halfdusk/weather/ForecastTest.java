package org.halfdusk.weather;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import org.halfdusk.shoot.NightScore;
import org.halfdusk.time.Interval;
import org.junit.jupiter.api.Test;

class ForecastTest {
    private static final Instant TEN = Instant.parse("2027-06-04T22:00:00Z");

    static WeatherHour hour(int after, double low, double wind, double dew, double rain) {
        return new WeatherHour(
                TEN.plusSeconds(after * 3600L),
                low,
                0,
                0,
                wind,
                OptionalDouble.of(90),
                15,
                dew,
                OptionalDouble.of(30),
                OptionalDouble.of(1.5),
                rain);
    }

    private static Forecast forecast(WeatherHour... hours) {
        return new Forecast("test", true, TEN, List.of(hours));
    }

    private static Interval of(int from, int to) {
        return Interval.of(TEN.plusSeconds(from * 3600L), TEN.plusSeconds(to * 3600L));
    }

    @Test
    void layersCoverTogether() {
        WeatherHour h = new WeatherHour(
                TEN, 0.5, 0.5, 0, 3, OptionalDouble.empty(), 15, 5, OptionalDouble.empty(), OptionalDouble.empty(), 0);
        assertEquals(0.75, h.cover(), 1e-12);
        assertEquals(0, h.clear(), 1e-12);
    }

    @Test
    void aLittleCloudIsFreeAndRainIsNot() {
        assertEquals(1, hour(0, 0.1, 3, 5, 0).clear(), 1e-12);
        assertEquals(0.5, hour(0, 0.35, 3, 5, 0).clear(), 1e-12);
        assertEquals(0, hour(0, 0, 3, 5, 0.4).clear(), 1e-12);
    }

    @Test
    void aWindowMustBeForecastWhole() {
        Forecast f = forecast(hour(0, 0, 3, 5, 0), hour(1, 0, 3, 5, 0));
        assertTrue(f.during(of(0, 2)).isPresent());
        assertTrue(f.during(of(0, 3)).isEmpty());
        assertTrue(f.during(of(-1, 1)).isEmpty());
    }

    @Test
    void threeHourStepsAreBridgedAndLongerGapsAreNot() {
        Forecast f = forecast(hour(0, 0, 3, 5, 0), hour(3, 0, 3, 5, 0), hour(9, 0, 3, 5, 0));
        assertTrue(f.during(of(0, 4)).isPresent());
        assertTrue(f.during(of(3, 9)).isEmpty());
        assertEquals(5, f.at(TEN.plusSeconds(2 * 3600)).orElseThrow().dewPointCelsius());
        assertTrue(f.at(TEN.plusSeconds(5 * 3600)).isEmpty());
    }

    @Test
    void warnsOfWhatHurtsAndFromWhen() {
        Spell s = forecast(hour(0, 0, 3, 5, 0), hour(1, 0.8, 9.5, 12.4, 0), hour(2, 0, 3, 13, 0.6))
                .during(of(0, 3))
                .orElseThrow();
        assertEquals(
                List.of(Spell.Trouble.CLOUD, Spell.Trouble.RAIN, Spell.Trouble.DEW, Spell.Trouble.WIND),
                s.warnings().stream().map(Spell.Warning::trouble).toList());
        Spell.Warning dew = s.warnings().get(2);
        assertEquals(TEN.plusSeconds(3600), dew.from());
        assertEquals(-1, dew.worst(), 1e-9);
        assertEquals(1 / 3.0, s.clear(), 1e-9);
        assertEquals(90, s.windFromDegrees().orElseThrow(), 1e-9);
    }

    @Test
    void aCalmClearNightWarnsOfNothing() {
        Spell s = forecast(hour(0, 0, 3, 5, 0)).during(of(0, 1)).orElseThrow();
        assertEquals(List.of(), s.warnings());
    }

    @Test
    void refusesWhatCannotBe() {
        assertThrows(IllegalArgumentException.class, () -> hour(0, 1.2, 3, 5, 0));
        assertThrows(IllegalArgumentException.class, () -> hour(0, 0, 3, 17, 0));
        assertThrows(IllegalArgumentException.class, () -> hour(0, Double.NaN, 3, 5, 0));
        assertThrows(IllegalArgumentException.class, () -> forecast(hour(0, 0, 3, 5, 0), hour(0, 0, 4, 5, 0)));
        List<WeatherHour> many = new ArrayList<>();
        for (int i = 0; i <= Forecast.MOST_HOURS; i++) {
            many.add(hour(i, 0, 3, 5, 0));
        }
        assertThrows(IllegalArgumentException.class, () -> new Forecast("test", true, TEN, many));
    }

    @Test
    void weatherGivesTenPointsOfTheScore() {
        NightScore sky = NightScore.of(4, 30, 1);
        assertEquals(100, sky.total());
        assertEquals(100, sky.withWeather(1).total());
        assertEquals(90, sky.withWeather(0).total());
        assertEquals(0, NightScore.NONE.withWeather(1).total());
    }
}
