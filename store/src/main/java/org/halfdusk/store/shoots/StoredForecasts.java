package org.halfdusk.store.shoots;

import static org.halfdusk.store.jooq.Tables.FORECAST;
import static org.halfdusk.store.jooq.Tables.FORECAST_HOUR;

import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Function;
import org.halfdusk.place.Observer;
import org.halfdusk.shoot.kept.Forecasts;
import org.halfdusk.store.jooq.tables.records.ForecastHourRecord;
import org.halfdusk.store.jooq.tables.records.ForecastRecord;
import org.halfdusk.store.sqlite.Database;
import org.halfdusk.weather.Forecast;
import org.halfdusk.weather.WeatherHour;
import org.jooq.DSLContext;
import org.jspecify.annotations.Nullable;

/** Forecasts in the file. */
public final class StoredForecasts implements Forecasts {
    private final Database database;
    private final DSLContext dsl;
    private final Function<Observer, Optional<Forecast>> near;

    public StoredForecasts(Database database) {
        this.database = database;
        this.dsl = database.dsl();
        this.near = database.remembered(this::readNear);
    }

    @Override
    public Optional<Forecast> near(Observer where) {
        return near.apply(where);
    }

    private Optional<Forecast> readNear(Observer where) {
        return around(dsl, where).stream().findFirst().map(this::forecast);
    }

    /** The nearest first. */
    private static List<ForecastRecord> around(DSLContext dsl, Observer where) {
        return dsl.selectFrom(FORECAST).fetch().stream()
                .filter(r -> km(r, where) <= REACH_KM)
                .sorted(Comparator.comparingDouble(r -> km(r, where)))
                .toList();
    }

    private static double km(ForecastRecord r, Observer where) {
        return where.distanceKm(r.getLatitude(), r.getLongitude());
    }

    @Override
    public void keep(Observer where, Forecast forecast) {
        database.whole(() -> {
            drop(dsl, where);
            ForecastRecord r = dsl.newRecord(FORECAST);
            r.setSource(forecast.source());
            r.setLatitude(where.latitudeDegrees());
            r.setLongitude(where.longitudeDegrees());
            r.setIssuedAt(forecast.issued().toString());
            r.insert();
            long id = r.getId();
            dsl.batchInsert(forecast.hours().stream().map(h -> row(id, h)).toList())
                    .execute();
            return true;
        });
    }

    @Override
    public boolean forget(Observer where) {
        return database.whole(() -> drop(dsl, where));
    }

    private static boolean drop(DSLContext tx, Observer where) {
        List<Long> ids = around(tx, where).stream().map(ForecastRecord::getId).toList();
        return tx.deleteFrom(FORECAST).where(FORECAST.ID.in(ids)).execute() > 0;
    }

    private static ForecastHourRecord row(long id, WeatherHour h) {
        return new ForecastHourRecord(
                id,
                h.at().toString(),
                h.lowCloud(),
                h.midCloud(),
                h.highCloud(),
                h.windMetresPerSecond(),
                nullable(h.windFromDegrees()),
                h.celsius(),
                h.dewPointCelsius(),
                nullable(h.visibilityKm()),
                nullable(h.turbulenceArcsec()),
                h.precipitationMm());
    }

    private static @Nullable Double nullable(OptionalDouble value) {
        return value.isPresent() ? value.getAsDouble() : null;
    }

    private static OptionalDouble optional(@Nullable Double value) {
        return value == null ? OptionalDouble.empty() : OptionalDouble.of(value);
    }

    private Forecast forecast(ForecastRecord r) {
        List<WeatherHour> hours = dsl.selectFrom(FORECAST_HOUR)
                .where(FORECAST_HOUR.FORECAST_ID.eq(r.getId()))
                .orderBy(FORECAST_HOUR.AT)
                .fetch()
                .map(StoredForecasts::hour);
        return new Forecast(r.getSource(), false, Instant.parse(r.getIssuedAt()), hours);
    }

    private static WeatherHour hour(ForecastHourRecord h) {
        return new WeatherHour(
                Instant.parse(h.getAt()),
                h.getLowCloud(),
                h.getMidCloud(),
                h.getHighCloud(),
                h.getWindMPerS(),
                optional(h.getWindFrom()),
                h.getCelsius(),
                h.getDewPointCelsius(),
                optional(h.getVisibilityKm()),
                optional(h.getTurbulenceArcsec()),
                h.getPrecipitationMm());
    }
}
