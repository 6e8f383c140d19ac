package org.halfdusk.web.map;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.time.Duration;
import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.halfdusk.light.map.GlowTiles;
import org.halfdusk.place.Place;
import org.halfdusk.shoot.choices.ShootField;
import org.halfdusk.shoot.kept.Kept;
import org.halfdusk.shoot.kept.Places;
import org.halfdusk.typed.TypedNumber;
import org.halfdusk.web.door.refusal.NotFound;
import org.halfdusk.web.layout.Shell;
import org.halfdusk.web.layout.drawing.Theme;
import org.halfdusk.web.map.picture.Directions;
import org.halfdusk.web.map.picture.GlowPicture;
import org.halfdusk.web.map.picture.MapView;
import org.halfdusk.web.picture.Previews;
import org.springframework.http.CacheControl;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.util.UriComponentsBuilder;

/** The map as a page, its sheet alone for who drags it, and the night's brightness as a picture. */
@Controller
class MapController {
    /** What an address carries on to the next view of the map, in this order. */
    private static final List<String> CARRIED =
            List.of("place", "night", "hour", "show", "frame", "eclipse", "stand", "darker", "within");

    private static final Duration KEPT = Duration.ofHours(1);

    private final MapSheets sheets;
    private final Places places;
    private final DarkList darks;
    private final GlowTiles tiles;

    MapController(MapSheets sheets, Places places, DarkList darks, GlowTiles tiles) {
        this.tiles = tiles;
        this.darks = darks;
        this.sheets = sheets;
        this.places = places;
    }

    @GetMapping("/map")
    String page(
            @RequestParam(name = "place") Optional<Long> placeId,
            @RequestParam Optional<Double> lat,
            @RequestParam Optional<Double> lon,
            @RequestParam Optional<Integer> zoom,
            @RequestParam Map<String, String> query,
            @ModelAttribute("frame") Shell.Frame frame,
            Model model,
            HttpServletResponse response) {
        Optional<Kept<Place>> chosen = placeId.map(id -> NotFound.place(places, id));
        MapView usual = sheets.usual(chosen, query);
        MapView view =
                new MapView(lat.orElse(usual.latitude()), lon.orElse(usual.longitude()), zoom.orElse(usual.zoom()));
        Optional<Directions> d = chosen.map(c -> directions(c.it(), query));
        List<MapOverlay.Laid> laid = sheets.laid(query);
        DarkList.Found dark = dark(chosen, view, query);
        if (dark.errors().any()) {
            response.setStatus(HttpStatus.BAD_REQUEST.value());
        }
        Map<String, String> carried = carried(query, d);
        String rest = query(carried);
        carried.remove("hour");
        model.addAttribute("sheet", sheets.draw(view, chosen, d, laid));
        model.addAttribute("places", places.list());
        model.addAttribute("placeId", chosen.map(Kept::id).orElse(0L));
        model.addAttribute("carried", hidden(query));
        String here = view.query() + query(carried);
        model.addAttribute("page", page(chosen, d, laid, dark, view, here, rest, frame.theme()));
        return "map/map";
    }

    /** About the place that is chosen, else about the middle of the sheet. */
    private DarkList.Found dark(Optional<Kept<Place>> chosen, MapView view, Map<String, String> query) {
        return darks.around(
                chosen.map(c -> c.it().observer().latitudeDegrees()).orElse(view.latitude()),
                chosen.map(c -> c.it().observer().longitudeDegrees()).orElse(view.longitude()),
                query);
    }

    /** @param here what the address says but the hour @param rest what it says beside the view */
    private MapPage page(
            Optional<Kept<Place>> chosen,
            Optional<Directions> d,
            List<MapOverlay.Laid> laid,
            DarkList.Found dark,
            MapView view,
            String here,
            String rest,
            Theme theme) {
        return new MapPage(
                MapPage.heading(d),
                MapPage.from(chosen, d),
                d.map(x -> sheets.strip(x, theme)),
                d.map(x -> x.at().toString()).orElse(""),
                d.map(MapPage::clock).orElse(""),
                d.map(Directions::hour).orElse(""),
                d.map(x -> x.date().toString()).orElse(""),
                MapSheets.said(laid),
                here,
                rest,
                GlowPicture.legend(theme),
                dark,
                MapSheets.tables(laid, d),
                sheets.attributions(),
                MapPage.Move.about(view, rest));
    }

    /** What the form of place and night takes along unseen. */
    private static Map<String, String> hidden(Map<String, String> query) {
        Map<String, String> hidden = new LinkedHashMap<>();
        for (String name : List.of("show", "frame", "eclipse", "darker", "within")) {
            if (query.containsKey(name)) {
                hidden.put(name, query.getOrDefault(name, ""));
            }
        }
        return hidden;
    }

    private static Map<String, String> carried(Map<String, String> query, Optional<Directions> d) {
        Map<String, String> carried = new LinkedHashMap<>();
        for (String name : CARRIED) {
            if (query.containsKey(name)) {
                carried.put(name, query.getOrDefault(name, ""));
            }
        }
        d.ifPresent(x -> {
            carried.put("night", x.date().toString());
            carried.put("hour", x.hour());
        });
        return carried;
    }

    private static String query(Map<String, String> carried) {
        if (carried.isEmpty()) {
            return "";
        }
        UriComponentsBuilder rest = UriComponentsBuilder.newInstance();
        carried.forEach((name, value) -> rest.queryParam(name, "{" + name + "}"));
        return "&" + rest.encode().buildAndExpand(carried).toUri().getRawQuery();
    }

    private Directions directions(Place place, Map<String, String> query) {
        String night = query.getOrDefault("night", query.getOrDefault("eclipse", ""));
        LocalDate date = night.isBlank()
                ? sheets.tonight(place)
                : ShootField.NIGHT.codec().read(night);
        return sheets.directions(place, date, query.getOrDefault("at", query.getOrDefault("hour", "")));
    }

    @GetMapping("/map/sheet")
    String sheet(
            @RequestParam(name = "place") Optional<Long> placeId,
            @RequestParam double lat,
            @RequestParam double lon,
            @RequestParam int zoom,
            @RequestParam Map<String, String> query,
            Model model) {
        Optional<Kept<Place>> chosen = placeId.map(id -> NotFound.place(places, id));
        Optional<Directions> d = query.getOrDefault("night", "").isBlank()
                ? Optional.empty()
                : chosen.map(c -> directions(c.it(), query));
        model.addAttribute("sheet", sheets.draw(new MapView(lat, lon, zoom), chosen, d, sheets.laid(query)));
        return "map/parts :: sheet(m=${sheet})";
    }

    @GetMapping("/map/glow.png")
    ResponseEntity<byte[]> glow(
            @RequestParam double lat,
            @RequestParam double lon,
            @RequestParam int zoom,
            @ModelAttribute("frame") Shell.Frame frame)
            throws IOException {
        if (!(Math.abs(lat) <= 90 && Math.abs(lon) <= 360)) {
            throw new IllegalArgumentException("the middle of the map, " + TypedNumber.shown(lat + ", " + lon)
                    + ", is outside −90 to 90 and −360 to 360 degrees");
        }
        return ResponseEntity.ok()
                .contentType(MediaType.IMAGE_PNG)
                .cacheControl(CacheControl.maxAge(KEPT).cachePrivate())
                .header("Vary", "Cookie")
                .body(Previews.png(GlowPicture.of(tiles, new MapView(lat, lon, zoom), frame.theme())));
    }

    /** A tile of a raster map of the user's own. */
    @GetMapping("/map/tiles/{number}/{zoom}/{x}/{y}")
    ResponseEntity<byte[]> tile(
            @PathVariable int number, @PathVariable int zoom, @PathVariable int x, @PathVariable int y) {
        return sheets.tile(number, zoom, x, y)
                .map(t -> ResponseEntity.ok()
                        .contentType(MediaType.parseMediaType(t.mediaType()))
                        .cacheControl(CacheControl.maxAge(KEPT).cachePrivate())
                        .body(t.bytes()))
                .orElseGet(() -> ResponseEntity.noContent().build());
    }
}
