package org.halfdusk.web.map;

import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.BiPredicate;
import java.util.stream.Stream;
import org.halfdusk.optics.framing.FrameWedge;
import org.halfdusk.place.Place;
import org.halfdusk.place.terrain.RasterMap;
import org.halfdusk.place.towns.CoastLines;
import org.halfdusk.shoot.Subject;
import org.halfdusk.shoot.SubjectNight;
import org.halfdusk.shoot.kept.Kept;
import org.halfdusk.shoot.kept.Places;
import org.halfdusk.shoot.planning.Planner;
import org.halfdusk.sky.events.Night;
import org.halfdusk.web.ground.GroundFolder;
import org.halfdusk.web.layout.drawing.NightStrip;
import org.halfdusk.web.layout.drawing.Theme;
import org.halfdusk.web.map.picture.Backdrops;
import org.halfdusk.web.map.picture.Bearings;
import org.halfdusk.web.map.picture.Directions;
import org.halfdusk.web.map.picture.MapPicture;
import org.halfdusk.web.map.picture.MapShapes;
import org.halfdusk.web.map.picture.MapView;
import org.halfdusk.web.subject.Subjects;
import org.halfdusk.web.subject.page.Table;
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

    /** What a query lays over the map; asked once for a page. */
    List<MapOverlay.Laid> laid(Map<String, String> query) {
        return overlays.stream().flatMap(o -> o.laid(query).stream()).toList();
    }

    MapPicture draw(
            MapView view, Optional<Kept<Place>> chosen, Optional<Directions> directions, List<MapOverlay.Laid> laid) {
        MapShapes own = Stream.concat(
                        layers.stream().map(MapLayer::shapes), laid.stream().map(MapOverlay.Laid::shapes))
                .reduce(MapShapes.NONE, MapShapes::and);
        Optional<FrameWedge> wedge =
                laid.stream().flatMap(l -> l.wedge().stream()).findFirst();
        return MapPicture.of(view, places.list(), chosen, directions, wedge, Backdrops.of(view, ground.maps()), own);
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
    static List<Table> tables(List<MapOverlay.Laid> laid, Optional<Directions> directions) {
        return Stream.concat(
                        laid.stream().flatMap(l -> l.tables().stream()),
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

    /** Whether a latitude and a longitude lie on land: of the coasts, or that somebody adds to the map. */
    BiPredicate<Double, Double> land() {
        List<CoastLines.Ring> added = layers.stream()
                .flatMap(l -> l.shapes().features().stream())
                .filter(f -> f.kind().equals("land"))
                .flatMap(f -> f.lines().stream())
                .map(MapSheets::ring)
                .toList();
        return (latitude, longitude) ->
                CoastLines.land(latitude, longitude) || added.stream().anyMatch(r -> r.holds(latitude, longitude));
    }

    private static CoastLines.Ring ring(double[][] points) {
        float[] longitudes = new float[points.length];
        float[] latitudes = new float[points.length];
        for (int i = 0; i < points.length; i++) {
            longitudes[i] = (float) points[i][0];
            latitudes[i] = (float) points[i][1];
        }
        return CoastLines.Ring.of(longitudes, latitudes);
    }

    /** What is said of what is laid over. */
    record Said(String text, boolean caution) {}

    static List<Said> said(List<MapOverlay.Laid> laid) {
        return laid.stream()
                .map(l -> new Said(l.words(), l.caution()))
                .filter(s -> !s.text().isEmpty())
                .toList();
    }

    /** For the page of a place: the map about it, without directions. */
    public MapPicture about(Optional<Kept<Place>> chosen) {
        return draw(usual(chosen), chosen, Optional.empty(), List.of());
    }

    /** About a point, with what is laid over for a query. */
    public MapPicture about(double latitude, double longitude, int zoom, Map<String, String> query) {
        return draw(new MapView(latitude, longitude, zoom), Optional.empty(), Optional.empty(), laid(query));
    }
}
