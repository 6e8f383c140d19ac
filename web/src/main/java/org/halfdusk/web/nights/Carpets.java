package org.halfdusk.web.nights;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.LocalDate;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Supplier;
import org.halfdusk.place.Place;
import org.halfdusk.shoot.Subject;
import org.halfdusk.shoot.SubjectNight;
import org.halfdusk.shoot.Traits;
import org.halfdusk.shoot.Wish;
import org.halfdusk.shoot.choices.Preferences;
import org.halfdusk.shoot.kept.Kept;
import org.halfdusk.shoot.kept.Shoots;
import org.halfdusk.shoot.planning.Planner;
import org.halfdusk.shoot.search.Carpet;
import org.halfdusk.weather.Forecast;
import org.halfdusk.web.layout.drawing.Theme;
import org.halfdusk.web.layout.words.Units;
import org.halfdusk.web.layout.words.Words;
import org.halfdusk.web.subject.Subjects;
import org.springframework.stereotype.Component;

/** Carpets as they are asked for: the page and its picture want the same one shortly after one another. */
@Component
class Carpets {
    /** A year and a day, so that a leap year is whole. */
    static final int NIGHTS = 366;

    private static final int KEPT = 12;

    private final Planner planner;
    private final Shoots shoots;
    private final Supplier<Preferences> preferences;
    private final Subjects subjects;
    private final Cache<Key, Year> kept =
            Caffeine.newBuilder().maximumSize(KEPT).build();

    Carpets(Planner planner, Shoots shoots, Subjects subjects, Supplier<Preferences> preferences) {
        this.preferences = preferences;
        this.subjects = subjects;
        this.planner = planner;
        this.shoots = shoots;
    }

    private record Key(
            Subject subject,
            long placeId,
            Place place,
            LocalDate first,
            Set<LocalDate> dated,
            Optional<Forecast> forecast,
            Wish wish,
            Units units) {}

    /**
     * A year as it is shown.
     *
     * @param table its rows as HTML: 366 rows of nine cells cost a template engine more than all the astronomy
     * @param pictures by theme, made when first asked for
     */
    record Year(Carpet carpet, String table, Optional<Forecast> forecast, Map<Theme, byte[]> pictures) {
        List<SubjectNight> nights() {
            return carpet.columns().stream().map(Carpet.Column::night).toList();
        }

        byte[] picture(Theme theme) {
            return pictures.computeIfAbsent(theme, t -> CarpetPicture.png(carpet, t));
        }
    }

    /** Nights with a shoot here, and those of the person's own dates. */
    private Set<LocalDate> dated(Subject subject, Kept<Place> place, LocalDate first) {
        Set<LocalDate> all = new HashSet<>(shoots.nights(subject, place.id()));
        preferences.get().dates().forEach(d -> all.add(d.next(first)));
        return Set.copyOf(all);
    }

    /** The year from a date on. Of fireworks only the nights that the person has a show on bear a wish. */
    Year of(Subject subject, Kept<Place> place, LocalDate first) {
        boolean known = Traits.of(subject).dating() == Traits.Dating.OF_PEOPLE;
        Set<LocalDate> dated = known ? dated(subject, place, first) : Set.of();
        Optional<Forecast> forecast = planner.forecast(place.it());
        Key key = new Key(
                subject,
                place.id(),
                place.it(),
                first,
                dated,
                forecast,
                planner.initialWish(subject, place.it()),
                Words.units());
        return kept.get(key, k -> made(k, known));
    }

    private Year made(Key key, boolean known) {
        List<SubjectNight> nights = planner.everyNight(key.subject(), key.place(), key.first(), NIGHTS);
        Carpet all = Carpet.of(nights);
        Carpet carpet = known ? all.wishingOnlyOn(key.dated()) : all;
        String table = NightsTable.of(carpet, key.subject(), subjects, key.placeId());
        return new Year(carpet, table, key.forecast(), new ConcurrentHashMap<>());
    }
}
