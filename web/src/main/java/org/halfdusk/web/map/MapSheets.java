package org.halfdusk.web.map;

import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.halfdusk.place.Place;
import org.halfdusk.shoot.kept.Kept;
import org.halfdusk.shoot.kept.Places;
import org.halfdusk.shoot.planning.Planner;
import org.halfdusk.sky.Night;
import org.springframework.stereotype.Component;

/** Draws maps with everything that is to be seen on them. */
@Component
public class MapSheets {
    private static final int PLACE_ZOOM = 14;
    private static final int PLACES_ZOOM = 12;
    private static final int WORLD_ZOOM = 2;

    private final Places places;
    private final Planner planner;
    private final Clock clock;
    private final List<MapLayer> layers;
    private final List<MapOverlay> overlays;

    MapSheets(Places places, Planner planner, Clock clock, List<MapLayer> layers, List<MapOverlay> overlays) {
        this.overlays = overlays;
        this.places = places;
        this.planner = planner;
        this.clock = clock;
        this.layers = layers;
    }

    /** Around a place, or around the first of all, or the world. */
    MapView usual(Optional<Kept<Place>> chosen) {
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
        return MapPicture.of(view, places.list(), chosen, directions, own);
    }

    /** What is said of what is laid over for a query. */
    String words(Map<String, String> query) {
        return overlays.stream()
                .map(o -> o.words(query))
                .filter(w -> !w.isEmpty())
                .findFirst()
                .orElse("");
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
