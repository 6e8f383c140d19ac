package org.halfdusk.web.places;

import jakarta.servlet.http.HttpServletResponse;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.halfdusk.place.Track;
import org.halfdusk.shoot.kept.Kept;
import org.halfdusk.shoot.kept.Places;
import org.halfdusk.shoot.kept.Tracks;
import org.halfdusk.typed.TypedNumber;
import org.halfdusk.web.door.Upload;
import org.halfdusk.web.door.refusal.NotFound;
import org.halfdusk.web.exchange.map.GeoJsonFile;
import org.halfdusk.web.exchange.map.GpxFile;
import org.halfdusk.web.exchange.map.KmlFile;
import org.halfdusk.web.exchange.map.KmzFile;
import org.halfdusk.web.exchange.map.MapFile;
import org.halfdusk.web.exchange.map.PlaceTexts;
import org.halfdusk.web.ground.GroundFolder;
import org.halfdusk.web.layout.words.Words;
import org.halfdusk.web.shoot.ShootDesk;
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

    private final Places places;
    private final Tracks tracks;
    private final BroughtPlaces bringIn;
    private final ShootDesk desk;
    private final GroundFolder ground;

    FormatsController(Places places, Tracks tracks, BroughtPlaces bringIn, ShootDesk desk, GroundFolder ground) {
        this.ground = ground;
        this.bringIn = bringIn;
        this.desk = desk;
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
        model.addAttribute("grounds", ground.told());
        model.addAttribute("groundThere", ground.there());
        model.addAttribute(
                "tracks",
                tracks.list().stream()
                        .map(k -> new Line(k.id(), k.it().name(), Words.tenths(k.it().lengthKm()) + " km"))
                        .toList());
        return "places/formats";
    }

    /** All places and tracks, or one place, or what of a shoot stands on a map. */
    @GetMapping("/places/export.{format:gpx|kml|geojson}")
    ResponseEntity<byte[]> export(
            @PathVariable String format,
            @RequestParam(name = "place") Optional<Long> placeId,
            @RequestParam(name = "shoot") Optional<Long> shootId,
            @RequestParam Optional<Integer> rig) {
        MapFile file = shootId.map(id -> TakeOut.of(desk.through(id, rig).plan()))
                .or(() -> placeId.map(id -> new MapFile(
                        List.of(PlaceTexts.of(NotFound.place(places, id).it())), List.of())))
                .orElseGet(this::all);
        byte[] body = switch (format) {
            case "gpx" -> GpxFile.write(file);
            case "kml" -> KmlFile.write(file);
            default -> GeoJsonFile.write(file);
        };
        String type = switch (format) {
            case "gpx" -> "application/gpx+xml";
            case "kml" -> "application/vnd.google-earth.kml+xml";
            default -> "application/geo+json";
        };
        String name = shootId.map(id -> "shoot-" + id)
                .or(() -> placeId.map(id -> "place-" + id))
                .orElse("places");
        return ResponseEntity.ok()
                .contentType(MediaType.parseMediaType(type))
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        "attachment; filename=\"half-dusk-" + name + "." + format + "\"")
                .body(body);
    }

    private MapFile all() {
        List<MapFile.Waypoint> waypoints =
                places.list().stream().map(k -> PlaceTexts.of(k.it())).toList();
        List<Track> ways = tracks.list().stream().map(Kept::it).toList();
        if (waypoints.isEmpty() && ways.isEmpty()) {
            throw new NotFound("There are no places and no tracks to take out yet.");
        }
        return new MapFile(waypoints, ways);
    }

    /** Reads a file and shows what it holds; nothing is kept yet. */
    @PostMapping("/places/formats")
    String look(@RequestParam MultipartFile file, Model model, HttpServletResponse response) {
        try {
            byte[] bytes = Upload.bytes(file, MOST_BYTES, "GPX, KML, KMZ, GeoJSON or CSV");
            boolean packed = KmzFile.looksLike(bytes);
            byte[] plain = packed ? KmzFile.kml(bytes, MOST_BYTES) : bytes;
            MapFile read = MapFile.read(
                    Upload.decoded(plain, packed ? Optional.empty() : Optional.ofNullable(file.getContentType())));
            model.addAttribute("page", preview(bringIn.wait(read), read));
            return "places/bring";
        } catch (IllegalArgumentException e) {
            return refused(e, model, response);
        }
    }

    private BringPage preview(String ticket, MapFile read) {
        return BringPage.of(ticket, read, bringIn.knownPlaces(read), bringIn.knownTracks(read), bringIn::metres);
    }

    private String refused(IllegalArgumentException e, Model model, HttpServletResponse response) {
        response.setStatus(HttpStatus.BAD_REQUEST.value());
        return page(Words.sentence(String.valueOf(e.getMessage())) + " Nothing was changed.", 0, model);
    }

    /** Takes what was chosen of a file that was looked at. */
    @PostMapping("/places/formats/take")
    String take(
            @RequestParam(defaultValue = "") String ticket,
            @RequestParam(name = "point", required = false) Optional<List<String>> points,
            @RequestParam(name = "way", required = false) Optional<List<String>> ways,
            Model model,
            HttpServletResponse response) {
        try {
            MapFile file = bringIn.waiting(ticket)
                    .orElseThrow(
                            () -> new IllegalArgumentException(
                                    "the file “" + TypedNumber.shown(ticket)
                                            + "” is no longer held; choose it again, one of the last eight that were looked at is allowed"));
            BroughtPlaces.Taken taken = bringIn.take(
                    file,
                    numbers("point", points, file.waypoints().size()),
                    numbers("track", ways, file.tracks().size()));
            model.addAttribute("taken", taken);
            model.addAttribute("said", said(taken));
            return "places/brought";
        } catch (IllegalArgumentException e) {
            return refused(e, model, response);
        }
    }

    private static Set<Integer> numbers(String what, Optional<List<String>> typed, int count) {
        Set<Integer> numbers = new HashSet<>();
        for (String n : typed.orElseGet(List::of)) {
            numbers.add((int) TypedNumber.whole(what, n, 0, Math.max(0, count - 1), ""));
        }
        return numbers;
    }

    private static String said(BroughtPlaces.Taken t) {
        int all = t.places().size() + t.tracks().size();
        return Words.count(t.places().size(), "place") + " and "
                + Words.count(t.tracks().size(), "track") + (all == 1 ? " was" : " were") + " brought in.";
    }

    /** Takes back a whole bringing in by its numbers. */
    @PostMapping("/places/formats/undo")
    String undo(
            @RequestParam(name = "place", required = false) Optional<List<String>> placeIds,
            @RequestParam(name = "track", required = false) Optional<List<String>> trackIds,
            Model model) {
        BroughtPlaces.Taken taken = new BroughtPlaces.Taken(ids("place", placeIds), ids("track", trackIds));
        int gone = bringIn.undo(taken);
        int stay = taken.places().size() + taken.tracks().size() - gone;
        model.addAttribute("heading", "Taken back");
        model.addAttribute(
                "text",
                Words.count(gone, "thing") + (gone == 1 ? " was" : " were") + " taken back."
                        + (stay > 0 ? " " + stay + " stay, since a shoot uses them or they are gone already." : ""));
        model.addAttribute("back", "/places/formats");
        return "layout/said";
    }

    private static List<Long> ids(String what, Optional<List<String>> typed) {
        return typed.orElseGet(List::of).stream()
                .limit(2 * MapFile.MOST_WAYPOINTS)
                .map(n -> TypedNumber.whole(what, n, 1, Long.MAX_VALUE, ""))
                .toList();
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
