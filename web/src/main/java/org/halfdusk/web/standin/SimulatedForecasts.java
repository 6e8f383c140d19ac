package org.halfdusk.web.standin;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.Optional;
import java.util.stream.IntStream;
import org.halfdusk.place.Observer;
import org.halfdusk.shoot.kept.Forecasts;
import org.halfdusk.weather.Forecast;

/**
 * Stands in for a weather service: ten days of made-up hours for wherever nothing was brought in. What a person brought in
 * comes first.
 */
public final class SimulatedForecasts implements Forecasts {
    private static final int DAYS_AHEAD = 10;
    private static final int MOST_KEPT = 64;

    /** Half a day back, so that the night that has begun is whole. */
    private static final Duration BACK = Duration.ofHours(12);

    private final Forecasts kept;
    private final Clock clock;
    private final Cache<Issue, Forecast> made =
            Caffeine.newBuilder().maximumSize(MOST_KEPT).build();

    public SimulatedForecasts(Forecasts kept, Clock clock) {
        this.kept = kept;
        this.clock = clock;
    }

    @Override
    public Optional<Forecast> near(Observer where) {
        return kept.near(where)
                .or(() -> Optional.of(made.get(
                        new Issue(where, clock.instant().truncatedTo(ChronoUnit.HOURS)), SimulatedForecasts::made)));
    }

    /** Where and when a forecast was issued: it is the same until the next. */
    private record Issue(Observer where, Instant at) {}

    private static Forecast made(Issue issue) {
        Instant now = issue.at();
        Instant from = now.minus(BACK);
        int hours = (int) BACK.toHours() + DAYS_AHEAD * 24;
        SimulatedWeather weather = SimulatedWeather.of(issue.where());
        return new Forecast(
                "simulated forecast",
                true,
                now,
                IntStream.range(0, hours)
                        .mapToObj(i -> weather.hour(from.plus(Duration.ofHours(i))))
                        .toList());
    }

    @Override
    public void keep(Observer where, Forecast forecast) {
        kept.keep(where, forecast);
    }

    @Override
    public boolean forget(Observer where) {
        return kept.forget(where);
    }
}
