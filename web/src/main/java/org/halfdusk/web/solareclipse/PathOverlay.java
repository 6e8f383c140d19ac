package org.halfdusk.web.solareclipse;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.halfdusk.eclipse.EclipsePath;
import org.halfdusk.eclipse.SolarEclipse;
import org.halfdusk.place.Observer;
import org.halfdusk.place.Place;
import org.halfdusk.place.geodesy.GreatCircle;
import org.halfdusk.shoot.Subject;
import org.halfdusk.shoot.choices.ShootField;
import org.halfdusk.shoot.kept.Kept;
import org.halfdusk.shoot.kept.Places;
import org.halfdusk.shoot.kept.Shoots;
import org.halfdusk.shoot.planning.Planner;
import org.halfdusk.sky.Sky;
import org.halfdusk.sky.shapes.Terminator;
import org.halfdusk.time.Interval;
import org.halfdusk.web.layout.words.Times;
import org.halfdusk.web.layout.words.Words;
import org.halfdusk.web.map.MapOverlay;
import org.halfdusk.web.map.picture.MapShapes;
import org.halfdusk.web.subject.page.Table;
import org.springframework.stereotype.Component;

/** The path of a solar eclipse on the map: centre line, limits, where the sun rises and sets at the greatest; how far it is off. */
@Component
class PathOverlay implements MapOverlay {
    private static final int MOST_KEPT = 12;
    private static final int NAMED_FROM = 4;
    private static final int EVERYWHERE = 1;

    /** Shares of the way from the centre line to the limit for which the durations are listed. */
    private static final double[] ACROSS = {-0.95, -0.8, -0.5, 0, 0.5, 0.8, 0.95};

    private final Planner planner;
    private final Places places;
    private final Shoots shoots;
    private final Cache<LocalDate, Optional<EclipsePath>> recent =
            Caffeine.newBuilder().maximumSize(MOST_KEPT).build();

    PathOverlay(Planner planner, Places places, Shoots shoots) {
        this.planner = planner;
        this.places = places;
        this.shoots = shoots;
    }

    /** The day that the query names, or that of its shoot where that is of a solar eclipse. */
    private Optional<LocalDate> day(Map<String, String> query) {
        String typed = query.getOrDefault("eclipse", "").strip();
        if (!typed.isEmpty()) {
            return Optional.of(ShootField.NIGHT.codec().read(typed));
        }
        String shoot = query.getOrDefault("frame", "").replaceFirst("/.*", "");
        return shoot.matches("\\d{1,9}")
                ? shoots.find(Long.parseLong(shoot))
                        .map(Kept::it)
                        .filter(s -> s.subject() == Subject.SOLAR_ECLIPSE)
                        .map(s -> s.night())
                : Optional.empty();
    }

    private Optional<EclipsePath> path(LocalDate day) {
        return recent.get(day, this::find);
    }

    /** That day in any zone. */
    private Optional<EclipsePath> find(LocalDate day) {
        Instant noon = day.atTime(12, 0).toInstant(ZoneOffset.UTC);
        return EclipsePath.find(sky(), Interval.of(noon.minusSeconds(26 * 3600), noon.plusSeconds(26 * 3600)));
    }

    private Sky sky() {
        return planner.sky(Observer.of(0, 0, 0));
    }

    @Override
    public Optional<Laid> laid(Map<String, String> query) {
        return day(query).map(d -> new OfDay(d, path(d), place(query)));
    }

    /** A day's eclipse, seen from a place where one is chosen. */
    private final class OfDay implements Laid {
        private final LocalDate day;
        private final Optional<EclipsePath> path;
        private final Optional<Place> place;

        OfDay(LocalDate day, Optional<EclipsePath> path, Optional<Place> place) {
            this.day = day;
            this.path = path;
            this.place = place;
        }

        @Override
        public MapShapes shapes() {
            return path.map(PathOverlay.this::shapes).orElse(MapShapes.NONE);
        }

        @Override
        public String words() {
            return path.map(p -> PathOverlay.words(day, p, place))
                    .orElseGet(() -> "No eclipse of the sun is total or annular on " + Times.longDate(day)
                            + "; where it is partial there is no path.");
        }

        @Override
        public List<Table> tables() {
            return path.flatMap(e -> place.flatMap(p -> across(e, p))).stream().toList();
        }
    }

    private MapShapes shapes(EclipsePath path) {
        List<MapShapes.Feature> all = new ArrayList<>();
        List<double[]> band = band(path);
        if (band.size() > 2) {
            all.add(line("path", word(path) + " here", band, EVERYWHERE));
        }
        List<double[]> centre = path.points().stream()
                .map(p -> new double[] {p.latitudeDegrees(), p.longitudeDegrees()})
                .toList();
        all.add(line("centre", "centre line", centre, EVERYWHERE));
        all.add(line(
                "terminator",
                "the sun rises or sets at the greatest eclipse",
                Terminator.line(sky(), path.greatest()),
                EVERYWHERE));
        for (int i = 0; i < path.points().size(); i += 10) {
            EclipsePath.Point p = path.points().get(i);
            all.add(line(
                    "name",
                    Times.clock(p.at(), ZoneOffset.UTC) + " UTC, " + Times.minutesSeconds(p.lasts()),
                    List.<double[]>of(new double[] {p.latitudeDegrees(), p.longitudeDegrees()}),
                    NAMED_FROM));
        }
        return new MapShapes(all);
    }

    /** Along one limit and back along the other. */
    private static List<double[]> band(EclipsePath path) {
        List<double[]> band = new ArrayList<>();
        List<double[]> back = new ArrayList<>();
        for (EclipsePath.Point p : path.points()) {
            if (p.left().isPresent() && p.right().isPresent()) {
                band.add(p.left().get());
                back.add(0, p.right().get());
            }
        }
        band.addAll(back);
        return band;
    }

    private static MapShapes.Feature line(String kind, String name, List<double[]> points, int least) {
        return new MapShapes.Feature(kind, name, List.<double[][]>of(MapShapes.continued(points)), least);
    }

    private static String word(EclipsePath path) {
        return path.type() == SolarEclipse.Type.TOTAL ? "total" : "annular";
    }

    private static String words(LocalDate day, EclipsePath path, Optional<Place> place) {
        EclipsePath.Point middle = path.middle();
        String all = Words.capital(word(path)) + " eclipse of " + Times.longDate(day) + ": at its greatest "
                + Times.minutesSeconds(middle.lasts()) + " on a path " + Math.round(middle.widthKm()) + " km wide.";
        return place.map(p -> all + " " + here(path, p)).orElse(all)
                + " Never look at the sun without an approved filter outside totality.";
    }

    private Optional<Place> place(Map<String, String> query) {
        String id = query.getOrDefault("place", "");
        return id.matches("\\d{1,9}") ? places.find(Long.parseLong(id)).map(Kept::it) : Optional.empty();
    }

    private static String here(EclipsePath path, Place place) {
        double lat = place.observer().latitudeDegrees();
        double lon = place.observer().longitudeDegrees();
        EclipsePath.Point near = path.nearest(lat, lon);
        double km = GreatCircle.distanceKm(lat, lon, near.latitudeDegrees(), near.longitudeDegrees());
        double bearing = GreatCircle.bearingDegrees(lat, lon, near.latitudeDegrees(), near.longitudeDegrees());
        String lasts = path.lasts(lat, lon)
                .map(d -> "At " + place.shortName() + " it lasts " + Times.minutesSeconds(d))
                .orElse(place.shortName() + " lies outside the path");
        return lasts + "; the centre line runs " + Words.distance(km * 1000) + " to the " + Words.compassWord(bearing)
                + ", where it lasts " + Times.minutesSeconds(near.lasts()) + ".";
    }

    private static Optional<Table> across(EclipsePath path, Place place) {
        EclipsePath.Point p = path.nearest(
                place.observer().latitudeDegrees(), place.observer().longitudeDegrees());
        if (p.left().isEmpty() || p.right().isEmpty()) {
            return Optional.empty();
        }
        ZoneId zone = place.zone();
        List<Table.Row> rows = new ArrayList<>();
        for (double share : ACROSS) {
            double[] limit = share < 0 ? p.left().get() : p.right().get();
            double bearing = GreatCircle.bearingDegrees(p.latitudeDegrees(), p.longitudeDegrees(), limit[0], limit[1]);
            double km = Math.abs(share)
                    * GreatCircle.distanceKm(p.latitudeDegrees(), p.longitudeDegrees(), limit[0], limit[1]);
            double[] at = GreatCircle.destination(p.latitudeDegrees(), p.longitudeDegrees(), bearing, km);
            rows.add(Table.Row.of(
                    share == 0,
                    share == 0 ? "centre line" : Math.round(km) + " km " + Words.compass(bearing),
                    path.lasts(at[0], at[1]).map(Times::minutesSeconds).orElse("none"),
                    share == 0 ? "" : Math.round(100 * Math.abs(share)) + " %"));
        }
        return Optional.of(Table.of(
                "Across the path near here",
                "At " + Times.clock(p.at(), zone) + " the shadow's middle stands nearest to this place, the sun "
                        + Words.degrees(p.sunDegrees())
                        + " up. The Moon's mountains move the limits by a kilometre or two.",
                rows,
                "from the centre line",
                word(path) + " for#",
                "of the way to the limit#"));
    }
}
