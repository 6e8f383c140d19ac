package org.halfdusk.shoot.fireworks;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.time.Instant;
import java.util.List;
import java.util.OptionalDouble;
import org.halfdusk.time.Interval;
import org.halfdusk.weather.Forecast;
import org.halfdusk.weather.Spell;
import org.halfdusk.weather.WeatherHour;
import org.junit.jupiter.api.Test;

/** Facing north to the show: wind from the north brings the smoke, from the east it goes left, from the south away. */
class SmokeTest {
    private static Spell wind(double metresPerSecond, OptionalDouble from) {
        Instant at = Instant.parse("2027-08-15T20:00:00Z");
        WeatherHour hour = new WeatherHour(
                at, 0, 0, 0, metresPerSecond, from, 20, 10, OptionalDouble.empty(), OptionalDouble.empty(), 0);
        return new Forecast("test", true, at, List.of(hour))
                .during(Interval.of(at, at.plusSeconds(3600)))
                .orElseThrow();
    }

    private static Smoke.Drift drift(double windFrom) {
        return Smoke.of(0, wind(4, OptionalDouble.of(windFrom))).orElseThrow().drift();
    }

    @Test
    void goesWhereTheWindGoes() {
        assertEquals(Smoke.Drift.TOWARDS_YOU, drift(350));
        assertEquals(Smoke.Drift.LEFT, drift(90));
        assertEquals(Smoke.Drift.AWAY, drift(180));
        assertEquals(Smoke.Drift.RIGHT, drift(270));
        assertEquals(
                4, Smoke.of(0, wind(4, OptionalDouble.of(270))).orElseThrow().acrossMetresPerSecond(), 1e-9);
        assertEquals(
                -4, Smoke.of(0, wind(4, OptionalDouble.of(90))).orElseThrow().acrossMetresPerSecond(), 1e-9);
    }

    @Test
    void hangsInLightAirAndIsUnknownWithoutADirection() {
        assertEquals(
                Smoke.Drift.HANGS,
                Smoke.of(0, wind(1, OptionalDouble.empty())).orElseThrow().drift());
        assertTrue(Smoke.of(0, wind(4, OptionalDouble.empty())).isEmpty());
    }
}
