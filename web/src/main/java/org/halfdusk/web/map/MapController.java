package org.halfdusk.web.map;

import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.halfdusk.place.Place;
import org.halfdusk.shoot.ShootField;
import org.halfdusk.shoot.kept.Kept;
import org.halfdusk.shoot.kept.Places;
import org.halfdusk.web.door.NotFound;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The map as a page, and its sheet alone for who drags it. */
@Controller
class MapController {
    private final MapSheets sheets;
    private final Places places;

    MapController(MapSheets sheets, Places places) {
        this.sheets = sheets;
        this.places = places;
    }

    @GetMapping("/map")
    String page(
            @RequestParam(name = "place") Optional<Long> placeId,
            @RequestParam Optional<String> night,
            @RequestParam(defaultValue = "") String hour,
            @RequestParam Optional<Double> lat,
            @RequestParam Optional<Double> lon,
            @RequestParam Optional<Integer> zoom,
            @RequestParam Map<String, String> query,
            Model model) {
        Optional<Kept<Place>> chosen = placeId.map(this::place);
        MapView view = view(chosen, lat, lon, zoom);
        Optional<LocalDate> date = chosen.map(c -> night.filter(n -> !n.isBlank())
                .map(ShootField.NIGHT.codec()::read)
                .orElseGet(() -> sheets.tonight(c.it())));
        Optional<Directions> directions = chosen.map(c -> sheets.directions(c.it(), date.orElseThrow(), hour));
        String rest = chosen.map(c -> "&place=" + c.id() + "&night=" + date.orElseThrow() + "&hour="
                                + URLEncoder.encode(directions.orElseThrow().hour(), StandardCharsets.UTF_8))
                        .orElse("")
                + (query.containsKey("show")
                        ? "&show=" + URLEncoder.encode(query.getOrDefault("show", ""), StandardCharsets.UTF_8)
                        : "");
        model.addAttribute("laid", sheets.words(query));
        MapPicture sheet = sheets.draw(view, chosen, directions, query);
        model.addAttribute("sheet", sheet);
        model.addAttribute("hour", directions.map(Directions::hour).orElse(""));
        model.addAttribute(
                "sky",
                sheet.rings().stream()
                        .findFirst()
                        .map(r -> r.words() + ".")
                        .orElse("Choose a place, and the sky over it is drawn about it."));
        model.addAttribute("places", places.list());
        model.addAttribute("placeId", chosen.map(Kept::id).orElse(0L));
        model.addAttribute("night", date.map(LocalDate::toString).orElse(""));
        model.addAttribute(
                "bearings",
                directions.map(d -> Bearings.table(d.lines(), d.place())).orElse(null));
        model.addAttribute("rest", rest);
        model.addAttribute(
                "moves",
                List.of(
                        new Move("Closer", view.zoomed(1), rest),
                        new Move("Farther", view.zoomed(-1), rest),
                        new Move("North", view.moved(0, -0.5), rest),
                        new Move("South", view.moved(0, 0.5), rest),
                        new Move("West", view.moved(-0.5, 0), rest),
                        new Move("East", view.moved(0.5, 0), rest)));
        return "map/map";
    }

    /** A neighbouring view. */
    record Move(String name, String href) {
        Move(String name, MapView view, String rest) {
            this(name, "/map?" + view.query() + rest);
        }
    }

    @GetMapping("/map/sheet")
    String sheet(
            @RequestParam(name = "place") Optional<Long> placeId,
            @RequestParam Optional<String> night,
            @RequestParam(defaultValue = "") String hour,
            @RequestParam double lat,
            @RequestParam double lon,
            @RequestParam int zoom,
            @RequestParam Map<String, String> query,
            Model model) {
        Optional<Kept<Place>> chosen = placeId.map(this::place);
        Optional<Directions> directions = chosen.flatMap(c -> night.filter(n -> !n.isBlank())
                .map(n -> sheets.directions(c.it(), ShootField.NIGHT.codec().read(n), hour)));
        model.addAttribute("sheet", sheets.draw(new MapView(lat, lon, zoom), chosen, directions, query));
        return "map/parts :: sheet(m=${sheet})";
    }

    private MapView view(
            Optional<Kept<Place>> chosen, Optional<Double> lat, Optional<Double> lon, Optional<Integer> zoom) {
        MapView usual = sheets.usual(chosen);
        return new MapView(lat.orElse(usual.latitude()), lon.orElse(usual.longitude()), zoom.orElse(usual.zoom()));
    }

    private Kept<Place> place(long id) {
        return NotFound.place(places, id);
    }
}
