package org.halfdusk.store;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import java.util.OptionalDouble;
import org.halfdusk.place.Observer;
import org.halfdusk.store.shoots.StoredForecasts;
import org.halfdusk.store.sqlite.Database;
import org.halfdusk.weather.Forecast;
import org.halfdusk.weather.WeatherHour;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class ForecastStoreTest {
    private static final Instant NOW = Instant.parse("2027-05-24T18:00:00Z");
    private static final Observer TOWER = Observer.of(35.952, -3.048, 62);
    private static final Observer PANS = Observer.of(35.931, -3.071, 2);
    private static final Observer INLAND = Observer.of(36.2, -3.05, 300);

    @TempDir
    private Path folder;

    private Database database;

    @BeforeEach
    void open() {
        database = Database.open(folder, Clock.fixed(NOW, ZoneOffset.UTC));
    }

    @AfterEach
    void close() {
        database.close();
    }

    private static Forecast forecast(String source, double cloud) {
        return new Forecast(
                source,
                false,
                NOW,
                List.of(new WeatherHour(
                        NOW,
                        cloud,
                        0.1,
                        0,
                        3,
                        OptionalDouble.of(250),
                        20,
                        11,
                        OptionalDouble.empty(),
                        OptionalDouble.of(1.8),
                        0.2)));
    }

    @Test
    void servesAPlaceAndItsNeighboursAfterReopening() {
        new StoredForecasts(database).keep(TOWER, forecast("a.csv", 0.4));
        close();
        open();
        StoredForecasts forecasts = new StoredForecasts(database);
        assertEquals(forecast("a.csv", 0.4), forecasts.near(TOWER).orElseThrow());
        assertEquals("a.csv", forecasts.near(PANS).orElseThrow().source());
        assertTrue(forecasts.near(INLAND).isEmpty());
    }

    @Test
    void theNewestStandsAlone() {
        StoredForecasts forecasts = new StoredForecasts(database);
        forecasts.keep(TOWER, forecast("old.csv", 0.4));
        forecasts.keep(PANS, forecast("new.csv", 0.1));
        assertEquals("new.csv", forecasts.near(TOWER).orElseThrow().source());
        assertTrue(forecasts.forget(TOWER));
        assertTrue(forecasts.near(PANS).isEmpty());
        assertFalse(forecasts.forget(TOWER));
    }
}
