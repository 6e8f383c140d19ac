package org.halfdusk.web.places;

import jakarta.servlet.http.HttpServletResponse;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.halfdusk.light.DarkSite;
import org.halfdusk.place.Gazetteer;
import org.halfdusk.place.Observer;
import org.halfdusk.place.Place;
import org.halfdusk.place.Track;
import org.halfdusk.shoot.kept.AllOrNothing;
import org.halfdusk.shoot.kept.Kept;
import org.halfdusk.shoot.kept.Places;
import org.halfdusk.shoot.kept.Tracks;
import org.halfdusk.web.door.NotFound;
import org.halfdusk.web.door.Upload;
import org.halfdusk.web.exchange.GeoJsonFile;
import org.halfdusk.web.exchange.GpxFile;
import org.halfdusk.web.exchange.KmlFile;
import org.halfdusk.web.exchange.MapFile;
import org.halfdusk.web.layout.Words;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;

/** Places and tracks in the open formats of maps, out and in. */
@Controller
class FormatsController {
    private static final int MOST_BYTES = 20_000_000;

    /** Nearer than this and of the same name, a point is the place that is there already, km. */
    private static final double SAME_KM = 0.03;

    private final Places places;
    private final Tracks tracks;
    private final AllOrNothing atOnce;

    FormatsController(Places places, Tracks tracks, AllOrNothing atOnce) {
        this.atOnce = atOnce;
        this.places = places;
        this.tracks = tracks;
    }

    record Line(long id, String name, String length) {}

    @GetMapping("/places/formats")
    String show(@RequestParam(defaultValue = "0") long deleted, Model model) {
        return page("", deleted, model);
    }

    private String page(String wrong, long deleted, Model model) {
        model.addAttribute("wrong", wrong);
        model.addAttribute("deleted", deleted);
        model.addAttribute("unread", tracks.unread());
        model.addAttribute(
                "tracks",
                tracks.list().stream()
                        .map(k -> new Line(k.id(), k.it().name(), Words.tenths(k.it().lengthKm()) + " km"))
                        .toList());
        return "places/formats";
    }

    @GetMapping("/places/export.{format:gpx|kml|geojson}")
    ResponseEntity<byte[]> export(@PathVariable String format) {
        List<MapFile.Waypoint> waypoints = places.list().stream()
                .map(Kept::it)
                .map(p -> new MapFile.Waypoint(p.name(), p.observer(), p.notes().access()))
                .toList();
        List<Track> ways = tracks.list().stream().map(Kept::it).toList();
        if (waypoints.isEmpty() && ways.isEmpty()) {
            throw new NotFound("There are no places and no tracks to take out yet.");
        }
        MapFile file = new MapFile(waypoints, ways);
        byte[] body = switch (format) {
            case "gpx" -> GpxFile.write(file);
            case "kml" -> KmlFile.write(file);
            default -> GeoJsonFile.write(file);
        };
        String type = switch (format) {
            case "gpx" -> "application/gpx+xml";
            case "kml" -> "application/xml";
            default -> "application/geo+json";
        };
        return ResponseEntity.ok()
                .contentType(MediaType.parseMediaType(type))
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"half-dusk-places." + format + "\"")
                .body(body);
    }

    @PostMapping("/places/formats")
    String bringIn(@RequestParam MultipartFile file, Model model, HttpServletResponse response) {
        try {
            MapFile read = MapFile.read(Upload.text(file, MOST_BYTES, "GPX, KML or GeoJSON"));
            model.addAttribute("heading", "Brought in");
            model.addAttribute("text", atOnce.of(() -> keep(read)));
            model.addAttribute("back", "/map");
            return "layout/said";
        } catch (IllegalArgumentException e) {
            response.setStatus(HttpStatus.BAD_REQUEST.value());
            return page(Words.sentence(String.valueOf(e.getMessage())) + " Nothing was changed.", 0, model);
        }
    }

    /** In one transaction: all are kept, or none. */
    private String keep(MapFile read) {
        Map<String, List<Place>> there = new HashMap<>();
        places.list().forEach(k -> named(there, k.it().name()).add(k.it()));
        List<Place> fresh = new ArrayList<>();
        for (MapFile.Waypoint w : read.waypoints()) {
            List<Place> alike = named(there, w.name());
            if (alike.stream().noneMatch(t -> near(t.observer(), w.position()))) {
                Place p = place(w);
                fresh.add(p);
                alike.add(p);
            }
        }
        List<Track> ways = tracks.list().stream().map(Kept::it).toList();
        List<Track> freshWays =
                read.tracks().stream().filter(t -> !ways.contains(t)).toList();
        fresh.forEach(places::add);
        freshWays.forEach(tracks::add);
        int known = read.waypoints().size() - fresh.size() + read.tracks().size() - freshWays.size();
        return Words.count(fresh.size(), "place") + " and " + Words.count(freshWays.size(), "track")
                + (fresh.size() + freshWays.size() == 1 ? " was added" : " were added")
                + (known > 0 ? "; " + known + " were there already and were not doubled." : ".");
    }

    private static Place place(MapFile.Waypoint w) {
        Observer o = w.position();
        return new Place(
                w.name(),
                o,
                Gazetteer.instance()
                        .nearest(o.latitudeDegrees(), o.longitudeDegrees())
                        .zone(),
                DarkSite.estimate(o),
                List.of(),
                w.notes());
    }

    private static List<Place> named(Map<String, List<Place>> there, String name) {
        return there.computeIfAbsent(name, k -> new ArrayList<>());
    }

    private static boolean near(Observer a, Observer b) {
        return a.distanceKm(b.latitudeDegrees(), b.longitudeDegrees()) < SAME_KM;
    }

    @PostMapping("/places/tracks/{id}/delete")
    String delete(@PathVariable long id) {
        if (!tracks.delete(id)) {
            throw new NotFound("There is no track number " + id + ".");
        }
        return "redirect:/places/formats?deleted=" + id;
    }

    @PostMapping("/places/tracks/{id}/restore")
    String restore(@PathVariable long id) {
        if (!tracks.restore(id)) {
            throw new NotFound("There is no deleted track number " + id + ".");
        }
        return "redirect:/places/formats";
    }
}
