package org.halfdusk.place.towns;

import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.halfdusk.place.geodesy.Coordinates;
import org.halfdusk.place.geodesy.GreatCircle;
import org.halfdusk.typed.TypedNumber;

/**
 * Where somebody says that they will stand: a town, a village, or a position.
 *
 * @param people who live there; 0 of a position
 * @param elevationMetres of the town; 0 where none is known
 * @param zone of the nearest town
 */
public record Whereabouts(
        String name,
        String country,
        int people,
        double latitudeDegrees,
        double longitudeDegrees,
        double elevationMetres,
        ZoneId zone) {
    /** Fewer people than these are called a village†. */
    public static final int VILLAGE_PEOPLE = 5000;

    /** A village listed with towns lies so far from every one of them that has its name. */
    private static final double SAME_KM = 10;

    private static final double MOST_LATITUDE = 89;

    /**
     * What a text can mean, the likeliest first: "35.95 −3.05", "35°57′ N 3°03′ W", "Puerto".
     *
     * @param most at the most
     */
    public static List<Whereabouts> found(String text, int most) {
        Optional<Whereabouts> position = position(text);
        if (position.isPresent()) {
            return List.of(position.get());
        }
        List<Whereabouts> found = new ArrayList<>();
        for (Town t : Gazetteer.instance().search(text, most)) {
            found.add(new Whereabouts(
                    t.name(),
                    t.country(),
                    t.population(),
                    t.latitudeDegrees(),
                    t.longitudeDegrees(),
                    t.elevationMetres(),
                    t.zone()));
        }
        if (found.size() < most) {
            villages(text, most - found.size(), found);
        }
        return List.copyOf(found);
    }

    private static void villages(String text, int most, List<Whereabouts> found) {
        Settlements all = Settlements.instance();
        all.search(text)
                .boxed()
                .filter(i -> found.stream()
                        .noneMatch(f -> GreatCircle.distanceKm(
                                        f.latitudeDegrees(), f.longitudeDegrees(), all.latitude(i), all.longitude(i))
                                < SAME_KM))
                .sorted(Comparator.comparingInt((Integer i) -> all.people(i)).reversed())
                .limit(most)
                .map(i -> at(all.name(i), all.people(i), all.latitude(i), all.longitude(i)))
                .forEach(found::add);
    }

    private static Whereabouts at(String name, int people, double latitude, double longitude) {
        Town near = Gazetteer.instance().nearest(latitude, longitude);
        return new Whereabouts(name, near.country(), people, latitude, longitude, 0, near.zone());
    }

    /** Latitude and longitude in one line, parted by a space, a comma or a semicolon; a comma can be a decimal one as well. */
    private static Optional<Whereabouts> position(String text) {
        String typed = text.strip();
        Stream<Matcher> gaps =
                TypedNumber.bare(typed) ? Stream.empty() : Stream.of(GAP.matcher(typed), COMMA.matcher(typed));
        return gaps.flatMap(Matcher::results)
                .map(m -> position(typed.substring(0, m.start()), typed.substring(m.end())))
                .flatMap(Optional::stream)
                .findFirst();
    }

    private static final Pattern GAP = Pattern.compile(",?\\s+|;\\s*");
    private static final Pattern COMMA = Pattern.compile(",");

    private static Optional<Whereabouts> position(String north, String east) {
        try {
            double latitude = Coordinates.latitude(north);
            double longitude = Coordinates.longitude(east);
            return Math.abs(latitude) > MOST_LATITUDE
                    ? Optional.empty()
                    : Optional.of(at(name(latitude, longitude), 0, latitude, longitude));
        } catch (IllegalArgumentException e) {
            return Optional.empty();
        }
    }

    private static String name(double latitude, double longitude) {
        return String.format(
                Locale.ROOT,
                "%.3f° %s %.3f° %s",
                Math.abs(latitude),
                latitude < 0 ? "S" : "N",
                Math.abs(longitude),
                longitude < 0 ? "W" : "E");
    }
}
