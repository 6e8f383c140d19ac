package org.halfdusk.weather;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.halfdusk.time.Interval;
import org.halfdusk.typed.PlainText;

/**
 * Hours of weather for a place.
 *
 * @param source who says so, or the file it came from
 * @param simulated whether it is made up
 * @param issued when it was made or read
 * @param hours in order of time, none twice
 */
public record Forecast(String source, boolean simulated, Instant issued, List<WeatherHour> hours) {
    private static final Duration HOUR = Duration.ofHours(1);

    /** Some forecasts come in steps of three hours; a longer gap is not bridged. */
    private static final Duration LONGEST_STEP = Duration.ofHours(3);

    /** A month of hours. */
    public static final int MOST_HOURS = 24 * 31;

    /** Longest name of a source. */
    public static final int LONGEST_SOURCE = 200;

    /** @throws IllegalArgumentException for no hour or more than {@link #MOST_HOURS}, and for an hour that comes twice */
    public Forecast {
        source = PlainText.shortened(source, LONGEST_SOURCE, "a file");
        hours = hours.stream().sorted(Comparator.comparing(WeatherHour::at)).toList();
        if (hours.isEmpty() || hours.size() > MOST_HOURS) {
            throw new IllegalArgumentException(
                    "a forecast of " + hours.size() + " hours is outside 1 to " + MOST_HOURS + " hours");
        }
        for (int i = 1; i < hours.size(); i++) {
            if (hours.get(i).at().equals(hours.get(i - 1).at())) {
                throw new IllegalArgumentException(
                        "the hour " + hours.get(i).at() + " comes twice; each hour once is allowed");
            }
        }
    }

    /** The time that an entry stands for: to the next one, at most three hours; the last for one hour. */
    private Interval span(int i) {
        Instant from = hours.get(i).at();
        if (i + 1 == hours.size()) {
            return Interval.of(from, from.plus(HOUR));
        }
        Instant next = hours.get(i + 1).at();
        return Interval.of(from, Duration.between(from, next).compareTo(LONGEST_STEP) > 0 ? from.plus(HOUR) : next);
    }

    /** Up to when anything is known. */
    public Instant end() {
        return hours.get(hours.size() - 1).at().plus(HOUR);
    }

    /** An entry and the part of a time that it stands for. */
    public record Part(WeatherHour hour, Interval of) {}

    /** What is known of a time, in order. */
    public List<Part> parts(Interval time) {
        if (!time.end().isAfter(hours.get(0).at()) || !time.start().isBefore(end())) {
            return List.of();
        }
        List<Part> parts = new ArrayList<>();
        for (int i = 0; i < hours.size(); i++) {
            WeatherHour hour = hours.get(i);
            span(i).intersect(time).ifPresent(t -> parts.add(new Part(hour, t)));
        }
        return parts;
    }

    /** The hour that a moment lies in; nothing outside of what is forecast. */
    public Optional<WeatherHour> at(Instant instant) {
        for (int i = 0; i < hours.size(); i++) {
            if (span(i).contains(instant)) {
                return Optional.of(hours.get(i));
            }
        }
        return Optional.empty();
    }

    /** The weather of a time, where all of it is forecast. */
    public Optional<Spell> during(Interval time) {
        List<Part> parts = parts(time);
        double known = parts.stream().mapToDouble(p -> p.of().hours()).sum();
        return known < time.hours() - 1e-6 || parts.isEmpty() ? Optional.empty() : Optional.of(new Spell(parts));
    }
}
