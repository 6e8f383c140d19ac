package org.halfdusk.web.map.picture;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.format.DateTimeParseException;
import java.util.List;
import java.util.Optional;
import org.halfdusk.ephemeris.Body;
import org.halfdusk.place.Place;
import org.halfdusk.sky.Sky;
import org.halfdusk.sky.events.Night;
import org.halfdusk.time.CivilTime;
import org.halfdusk.typed.TypedNumber;

/**
 * What is to be said about the directions from a place in one night.
 *
 * @param lines rises, sets and the core's way
 * @param at the moment at which the sky is drawn
 */
public record Directions(Place place, Sky sky, Night night, List<Bearings.Line> lines, Instant at) {
    /**
     * @param hour as people write it; empty for now, or where now is another night for when the core stands highest in the dark
     * @throws IllegalArgumentException where the hour is none of that night
     */
    public static Directions of(Place place, Sky sky, LocalDate date, String hour, Instant now) {
        Night night = Night.of(sky, date, place.zone());
        return new Directions(
                place,
                sky,
                night,
                Bearings.of(sky, night, place.zone(), now),
                at(night, place.zone(), hour.strip(), now));
    }

    private static Instant at(Night night, ZoneId zone, String hour, Instant now) {
        if (!hour.isEmpty()) {
            return instant(hour)
                    .filter(night.interval()::contains)
                    .or(() -> CivilTime.read(hour)
                            .flatMap(t -> t.on(night.interval(), zone))
                            .map(CivilTime.Meant::at))
                    .orElseThrow(() -> new IllegalArgumentException("hour “" + TypedNumber.shown(hour)
                            + "” is no time of this night; write it as 23:30 or 11:30 pm"));
        }
        return night.interval().contains(now)
                ? now
                : night.highest(Body.GALACTIC_CENTRE, night.sunsetToSunrise()).at();
    }

    /** As the strip writes it: 2027-06-05T01:00:00Z. */
    private static Optional<Instant> instant(String text) {
        try {
            return Optional.of(Instant.parse(text));
        } catch (DateTimeParseException e) {
            return Optional.empty();
        }
    }

    /** The evening's. */
    public LocalDate date() {
        return night.date();
    }

    /** As its field takes it. */
    public String hour() {
        return CivilTime.text(at, place.zone());
    }
}
