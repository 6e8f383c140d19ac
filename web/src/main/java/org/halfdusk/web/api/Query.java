package org.halfdusk.web.api;

import java.time.DateTimeException;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import org.halfdusk.place.Observer;
import org.halfdusk.time.DeltaT;
import org.halfdusk.time.Interval;
import org.halfdusk.typed.TypedNumber;
import org.halfdusk.web.layout.words.Words;
import org.springframework.util.MultiValueMap;

/** Reads parameters of a request, notes all that are wrong, and refuses once for all of them. */
final class Query {
    private static final Instant FIRST = Instant.parse("1950-01-01T00:00:00Z");
    private static final Instant END = Instant.parse("2101-01-01T00:00:00Z");

    private final MultiValueMap<String, String> parameters;
    private final List<BadQuery.Wrong> wrong = new ArrayList<>();

    /** Lists may be given in parts. */
    private final Set<String> repeatable = new HashSet<>();

    Query(MultiValueMap<String, String> parameters) {
        this.parameters = parameters;
    }

    private Optional<String> text(String name) {
        List<String> given = parameters.getOrDefault(name, List.of());
        if (given.size() > 1 && !repeatable.contains(name)) {
            refuse(name, "one value, not " + given.size());
        }
        return Optional.of(String.join(",", given)).map(String::trim).filter(s -> !s.isEmpty());
    }

    private void refuse(String name, String allowed) {
        if (wrong.stream().anyMatch(w -> w.name().equals(name))) {
            return;
        }
        wrong.add(new BadQuery.Wrong(
                name, TypedNumber.shown(String.join(", ", parameters.getOrDefault(name, List.of()))), allowed));
    }

    /** Throws where anything was wrong. */
    void check() {
        if (!wrong.isEmpty()) {
            throw new BadQuery(wrong);
        }
    }

    double number(String name, double least, double most) {
        return text(name).map(t -> parse(name, t, least, most)).orElseGet(() -> {
            refuse(name, range(least, most) + ", required");
            return Double.NaN;
        });
    }

    double number(String name, double least, double most, double otherwise) {
        return text(name).map(t -> parse(name, t, least, most)).orElse(otherwise);
    }

    boolean has(String name) {
        return text(name).isPresent();
    }

    private double parse(String name, String text, double least, double most) {
        try {
            double value = TypedNumber.written(name, text.contains(",") ? "" : text);
            if (value >= least && value <= most) {
                return value;
            }
        } catch (IllegalArgumentException e) {
            // refused below, as a number outside the range is
        }
        refuse(name, range(least, most));
        return Double.NaN;
    }

    private static String range(double least, double most) {
        return "a number from " + Words.plain(least) + " to " + Words.plain(most);
    }

    /** Nothing where the position is wrong. */
    Optional<Observer> observer() {
        double lat = number("lat", -90, 90);
        double lon = number("lon", -180, 180);
        double elevation = number("elevation", -430, 9000, 0);
        return Double.isNaN(lat + lon + elevation) ? Optional.empty() : Optional.of(Observer.of(lat, lon, elevation));
    }

    DeltaT deltaT() {
        if (!has("deltaT")) {
            return DeltaT.model();
        }
        double seconds = number("deltaT", -50, 300);
        return Double.isNaN(seconds) ? DeltaT.model() : DeltaT.fixed(seconds);
    }

    Instant instant(String name) {
        String allowed = "an instant like 2027-06-04T22:00:00Z between 1950 and 2100";
        Optional<String> text = text(name);
        try {
            Instant at = Instant.parse(text.orElse("").replace("+00:00", "Z"));
            if (!at.isBefore(FIRST) && !at.isAfter(END)) {
                return at;
            }
        } catch (DateTimeException e) {
            // refused below
        }
        refuse(name, text.isPresent() ? allowed : allowed + ", required");
        return FIRST;
    }

    LocalDate date(String name) {
        String allowed = "a date like 2027-06-04 between 1950 and 2100";
        try {
            LocalDate date = LocalDate.parse(text(name).orElse(""));
            if (date.getYear() >= 1950 && date.getYear() <= 2100) {
                return date;
            }
        } catch (DateTimeException e) {
            // refused below
        }
        refuse(name, allowed);
        return LocalDate.EPOCH;
    }

    /** An interval between 1950 and 2100; a harmless one where it is wrong. */
    Interval interval(String fromName, String toName) {
        Instant from = instant(fromName);
        Instant to = instant(toName);
        if (from.isBefore(to)) {
            return Interval.of(from, to);
        }
        refuse(toName, "after " + fromName);
        return Interval.of(FIRST, END);
    }

    ZoneId zone(String name, ZoneId otherwise) {
        try {
            return text(name).map(ZoneId::of).orElse(otherwise);
        } catch (DateTimeException e) {
            refuse(name, "a time zone like Europe/Madrid");
            return otherwise;
        }
    }

    /** Values of an enum, separated by commas or given several times; all of them where the parameter is missing. */
    <E extends Enum<E>> List<E> list(String name, Class<E> type) {
        List<E> all = List.of(type.getEnumConstants());
        repeatable.add(name);
        if (!has(name)) {
            return all;
        }
        List<E> wanted = new ArrayList<>();
        for (String word : text(name).orElse("").split(",")) {
            all.stream()
                    .filter(e -> e.name().equals(word.trim().toUpperCase(Locale.ROOT)))
                    .findFirst()
                    .ifPresentOrElse(wanted::add, () -> refuse(name, "some of " + all));
        }
        return wanted;
    }

    void refuseIf(boolean bad, String name, String allowed) {
        if (bad) {
            refuse(name, allowed);
        }
    }
}
