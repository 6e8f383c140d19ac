package org.halfdusk.web.places;

import jakarta.servlet.http.HttpServletResponse;
import java.time.Clock;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.halfdusk.place.Place;
import org.halfdusk.place.Skyline;
import org.halfdusk.place.geodesy.Coordinates;
import org.halfdusk.place.terrain.Relief;
import org.halfdusk.place.towns.Gazetteer;
import org.halfdusk.shoot.kept.AllOrNothing;
import org.halfdusk.shoot.kept.Kept;
import org.halfdusk.shoot.kept.Places;
import org.halfdusk.web.door.Upload;
import org.halfdusk.web.door.refusal.NotFound;
import org.halfdusk.web.exchange.ElevationGridFile;
import org.halfdusk.web.ground.GroundFolder;
import org.halfdusk.web.layout.FormErrors;
import org.halfdusk.web.layout.Meanwhile;
import org.halfdusk.web.layout.PageOfList;
import org.halfdusk.web.layout.words.Numbers;
import org.halfdusk.web.map.MapSheets;
import org.halfdusk.web.shoot.begin.EarlierHere;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;

/** Places as a list, added and edited. */
@Controller
class PlacesController {
    private static final int MOST_TOWNS = 8;

    /** Places on a page of their list. */
    private static final int ROWS = 100;

    private final Places places;
    private final MapSheets maps;
    private final AllOrNothing atOnce;
    private final EarlierHere earlier;
    private final GroundFolder ground;
    private final Clock clock;

    PlacesController(
            Places places, MapSheets maps, AllOrNothing atOnce, EarlierHere earlier, GroundFolder ground, Clock clock) {
        this.ground = ground;
        this.earlier = earlier;
        this.clock = clock;
        this.atOnce = atOnce;
        this.places = places;
        this.maps = maps;
    }

    @GetMapping("/places")
    String list(
            @RequestParam(defaultValue = "0") long deleted, @RequestParam(defaultValue = "1") int page, Model model) {
        List<Kept<Place>> all = places.list();
        int last = Math.max(1, (all.size() + ROWS - 1) / ROWS);
        PageOfList.check(page, last);
        int first = (page - 1) * ROWS;
        int end = Math.min(all.size(), first + ROWS);
        model.addAttribute(
                "places", all.subList(first, end).stream().map(PlaceLine::of).toList());
        model.addAttribute("pages", PageOfList.of(page, ROWS, all.size()));
        model.addAttribute("unread", places.unread());
        model.addAttribute("deleted", deleted);
        return "places/places";
    }

    @GetMapping("/places/new")
    String fresh(@RequestParam Map<String, String> known, Model model) {
        Map<String, String> more = new HashMap<>(known);
        height(known).ifPresent(m -> more.putIfAbsent("elevation", Numbers.typed(Math.rint(m))));
        return form(model, PlaceForm.fresh(more), 0);
    }

    /** By the user's own heights, where a position that they hold is known. */
    private Optional<Double> height(Map<String, String> known) {
        try {
            return ground.metres(
                    Coordinates.latitude(known.getOrDefault("latitude", "")),
                    Coordinates.longitude(known.getOrDefault("longitude", "")));
        } catch (IllegalArgumentException e) {
            return Optional.empty();
        }
    }

    /** Towns of the gazetteer for some letters, each as a link to a new place there. */
    @GetMapping("/places/towns")
    String towns(@RequestParam(defaultValue = "") String q, Model model) {
        model.addAttribute("towns", Gazetteer.instance().search(q, MOST_TOWNS));
        model.addAttribute("asked", q.strip());
        return "places/towns";
    }

    /** A skyline from a file: pairs of azimuth and altitude, or computed from a grid of heights. */
    @PostMapping("/places/{id}/skyline")
    String skyline(@PathVariable long id, @RequestParam MultipartFile file, Model model, HttpServletResponse response) {
        Place place = place(id).it();
        try {
            String text = Upload.text(file, MOST_BYTES, "azimuth,altitude as CSV or an ASCII grid");
            Skyline skyline = ElevationGridFile.looksLikeOne(text)
                    ? ElevationGridFile.read(text).skyline(place.observer())
                    : SkylineText.parse(text);
            places.update(id, place.with(skyline));
            return "redirect:/places/" + id + "#skyline-part";
        } catch (IllegalArgumentException e) {
            response.setStatus(HttpStatus.BAD_REQUEST.value());
            PlaceForm form = PlaceForm.of(place);
            form.errors().add("file", String.valueOf(e.getMessage()));
            return form(model, form, id);
        }
    }

    /** The skyline that the user's own heights give. */
    @PostMapping("/places/{id}/skyline/ground")
    String skylineFromGround(@PathVariable long id, Model model, HttpServletResponse response) {
        Place place = place(id).it();
        try {
            places.update(id, place.with(Relief.skyline(ground.heights(), place.observer())));
            return "redirect:/places/" + id + "#skyline-part";
        } catch (IllegalArgumentException e) {
            response.setStatus(HttpStatus.BAD_REQUEST.value());
            PlaceForm form = PlaceForm.of(place);
            form.errors().add("file", String.valueOf(e.getMessage()));
            return form(model, form, id);
        }
    }

    private static final int MOST_BYTES = 40_000_000;

    @GetMapping("/places/{id}")
    String open(@PathVariable long id, Model model) {
        return form(model, PlaceForm.of(place(id).it()), id);
    }

    @PostMapping("/places")
    String add(@RequestParam Map<String, String> typed, Model model, HttpServletResponse response) {
        return save(0, typed, model, response);
    }

    @PostMapping("/places/{id}")
    String update(
            @PathVariable long id, @RequestParam Map<String, String> typed, Model model, HttpServletResponse response) {
        return save(id, typed, model, response);
    }

    private String save(long id, Map<String, String> sent, Model model, HttpServletResponse response) {
        PlaceForm form = atOnce.of(() -> {
            Meanwhile meanwhile = id == 0
                    ? Meanwhile.none(sent)
                    : Meanwhile.of(sent, PlaceForm.of(place(id).it()).typed());
            PlaceForm read = new PlaceForm(meanwhile, new FormErrors(meanwhile.typed()));
            Place place = meanwhile.clashes().isEmpty() ? read.read() : null;
            if (place != null && id == 0) {
                places.add(place);
            } else if (place != null) {
                places.update(id, place);
            }
            return read;
        });
        Optional<HttpStatus> refusal = form.meanwhile().refusal(form.errors());
        if (refusal.isEmpty()) {
            return "redirect:/places";
        }
        response.setStatus(refusal.get().value());
        return form(model, form, id);
    }

    @PostMapping("/places/{id}/delete")
    String delete(@PathVariable long id, Model model, HttpServletResponse response) {
        List<String> users = places.usedBy(id);
        if (!users.isEmpty()) {
            response.setStatus(HttpStatus.CONFLICT.value());
            PlaceForm form = PlaceForm.of(place(id).it());
            form.errors()
                    .add(
                            "form",
                            "this place cannot be deleted: used by " + String.join(", ", users)
                                    + ". Move or delete these shoots first");
            return form(model, form, id);
        }
        if (!places.delete(id)) {
            throw NotFound.place(id);
        }
        return "redirect:/places?deleted=" + id;
    }

    @PostMapping("/places/{id}/restore")
    String restore(@PathVariable long id) {
        if (!places.restore(id)) {
            throw NotFound.place(id);
        }
        return "redirect:/places";
    }

    private String form(Model model, PlaceForm form, long id) {
        model.addAttribute("form", form);
        model.addAttribute("id", id);
        model.addAttribute("heading", id == 0 ? "New place" : form.text("name"));
        model.addAttribute("visits", id == 0 ? List.of() : earlier.at(id, 0));
        model.addAttribute("usedBy", id == 0 ? List.of() : places.usedBy(id));
        Optional<Kept<Place>> kept = id == 0 ? Optional.empty() : places.find(id);
        model.addAttribute(
                "around",
                kept.map(k -> Surroundings.of(k.it(), ground.heights(), clock.instant()))
                        .orElse(null));
        model.addAttribute(
                "grounded",
                kept.flatMap(k -> ground.metres(
                                k.it().observer().latitudeDegrees(),
                                k.it().observer().longitudeDegrees()))
                        .isPresent());
        model.addAttribute("sheet", maps.about(kept));
        return "places/place";
    }

    private Kept<Place> place(long id) {
        return NotFound.place(places, id);
    }
}
