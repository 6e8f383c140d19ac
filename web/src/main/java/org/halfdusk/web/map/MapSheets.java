package org.halfdusk.web.map;

import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.halfdusk.optics.FrameWedge;
import org.halfdusk.place.CoastLines;
import org.halfdusk.place.Place;
import org.halfdusk.place.RasterMap;
import org.halfdusk.shoot.Subject;
import org.halfdusk.shoot.SubjectNight;
import org.halfdusk.shoot.kept.Kept;
import org.halfdusk.shoot.kept.Places;
import org.halfdusk.shoot.planning.Planner;
import org.halfdusk.sky.Night;
import org.halfdusk.web.ground.GroundFolder;
import org.halfdusk.web.layout.NightStrip;
import org.halfdusk.web.layout.Theme;
import org.halfdusk.web.subject.Subjects;
import org.halfdusk.web.subject.Table;
import org.springframework.stereotype.Component;

/** Draws maps with everything that is to be seen on them. */
@Component
public class MapSheets {
    private static final int PLACE_ZOOM = 14;
    private static final int PLACES_ZOOM = 12;
    private static final int WORLD_ZOOM = 2;
    private static final int PATH_ZOOM = 4;

    private final Places places;
    private final Planner planner;
    private final Subjects subjects;
    private final GroundFolder ground;
    private final Clock clock;
    private final List<MapLayer> layers;
    private final List<MapOverlay> overlays;

    MapSheets(
            Places places,
            Planner planner,
            Subjects subjects,
            GroundFolder ground,
            Clock clock,
            List<MapLayer> layers,
            List<MapOverlay> overlays) {
        this.ground = ground;
        this.subjects = subjects;
        this.overlays = overlays;
        this.places = places;
        this.planner = planner;
        this.clock = clock;
        this.layers = layers;
    }

    /** Around a place, or around the first of all, or the world; wide where something wide is laid over. */
    MapView usual(Optional<Kept<Place>> chosen, Map<String, String> query) {
        if (query.containsKey("eclipse")) {
            MapView about = usual(chosen);
            return new MapView(about.latitude(), about.longitude(), PATH_ZOOM);
        }
        return usual(chosen);
    }

    private MapView usual(Optional<Kept<Place>> chosen) {
        return chosen.map(c -> around(c.it(), PLACE_ZOOM))
                .or(() -> places.list().stream().findFirst().map(p -> around(p.it(), PLACES_ZOOM)))
                .orElse(new MapView(30, 0, WORLD_ZOOM));
    }

    private static MapView around(Place p, int zoom) {
        return new MapView(p.observer().latitudeDegrees(), p.observer().longitudeDegrees(), zoom);
    }

    LocalDate tonight(Place place) {
        return Night.dateAt(planner.sky(place), clock.instant(), place.zone());
    }

    /** @param hour at which the sky is drawn, as people write it; empty for what suits the night */
    Directions directions(Place place, LocalDate night, String hour) {
        return Directions.of(place, planner.sky(place), night, hour, clock.instant());
    }

    MapPicture draw(
            MapView view, Optional<Kept<Place>> chosen, Optional<Directions> directions, Map<String, String> query) {
        MapShapes own = Stream.concat(
                        layers.stream().map(MapLayer::shapes), overlays.stream().map(o -> o.shapes(query)))
                .reduce(MapShapes.NONE, MapShapes::and);
        return MapPicture.of(
                view, places.list(), chosen, directions, wedge(query), Backdrops.of(view, ground.maps()), own);
    }

    private Optional<FrameWedge> wedge(Map<String, String> query) {
        return overlays.stream().flatMap(o -> o.wedge(query).stream()).findFirst();
    }

    /** The night of a place with the moment drawn on it. */
    NightStrip strip(Directions d, Theme theme) {
        SubjectNight n = planner.night(
                Subject.MILKY_WAY, d.place(), d.date(), planner.initialWish(Subject.MILKY_WAY, d.place()));
        return NightStrip.large(
                n,
                theme,
                d.at(),
                subjects.of(Subject.MILKY_WAY, n).stripMarks(),
                List.of(),
                Optional.empty(),
                "The night at " + d.place().name());
    }

    /** Directions of the night, and what is laid over lists. */
    List<Table> tables(Map<String, String> query, Optional<Directions> directions) {
        return Stream.concat(
                        overlays.stream().flatMap(o -> o.tables(query).stream()),
                        directions.stream().map(d -> Bearings.table(d.lines(), d.place())))
                .toList();
    }

    /** A tile of a map of the user's; nothing where it has none. */
    Optional<RasterMap.Tile> tile(int number, int zoom, int x, int y) {
        List<RasterMap> maps = ground.maps();
        return number < 0 || number >= maps.size()
                ? Optional.empty()
                : maps.get(number).tile(zoom, x, y);
    }

    /** Whose maps lie under what is drawn. */
    List<String> attributions() {
        return ground.maps().stream()
                .map(m -> m.attribution().isEmpty() ? m.name() : m.attribution())
                .toList();
    }

    /** Whether a point lies on land that somebody adds to the map. */
    boolean land(double latitude, double longitude) {
        return layers.stream()
                .flatMap(l -> l.shapes().features().stream())
                .filter(f -> f.kind().equals("land"))
                .flatMap(f -> f.lines().stream())
                .anyMatch(line -> holds(line, latitude, longitude));
    }

    private static boolean holds(double[][] ring, double latitude, double longitude) {
        float[] longitudes = new float[ring.length];
        float[] latitudes = new float[ring.length];
        for (int i = 0; i < ring.length; i++) {
            longitudes[i] = (float) ring[i][0];
            latitudes[i] = (float) ring[i][1];
        }
        return CoastLines.Ring.of(longitudes, latitudes).holds(latitude, longitude);
    }

    /** What is said of what is laid over. */
    record Said(String text, boolean caution) {}

    List<Said> said(Map<String, String> query) {
        return overlays.stream()
                .map(o -> new Said(o.words(query), o.caution()))
                .filter(s -> !s.text().isEmpty())
                .toList();
    }

    /** For the page of a place: the map about it, without directions. */
    public MapPicture about(Optional<Kept<Place>> chosen) {
        return draw(usual(chosen), chosen, Optional.empty(), Map.of());
    }

    /** About a point, with what is laid over for a query. */
    public MapPicture about(double latitude, double longitude, int zoom, Map<String, String> query) {
        return draw(new MapView(latitude, longitude, zoom), Optional.empty(), Optional.empty(), query);
    }
}
