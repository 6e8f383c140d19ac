package org.halfdusk.web.frame.stand;

import jakarta.servlet.http.HttpServletResponse;
import java.time.Duration;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.halfdusk.place.ForegroundObject;
import org.halfdusk.place.Place;
import org.halfdusk.shoot.search.Alignments;
import org.halfdusk.shoot.search.StandingPoints;
import org.halfdusk.web.layout.FormErrors;
import org.halfdusk.web.layout.words.BodyWords;
import org.halfdusk.web.layout.words.Times;
import org.halfdusk.web.layout.words.Words;
import org.halfdusk.web.map.MapOverlay;
import org.halfdusk.web.map.MapSheets;
import org.halfdusk.web.shoot.ShootDesk;
import org.halfdusk.web.subject.page.Table;
import org.jspecify.annotations.Nullable;
import org.springframework.context.annotation.Lazy;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.util.UriComponentsBuilder;

/** From where, and when in a shoot's night, a body stands on an object of its place. */
@Controller
class StandController {
    private static final Duration STEP = Duration.ofMinutes(10);

    private final ShootDesk desk;
    private final StandSearch search;
    private final MapSheets sheets;

    StandController(ShootDesk desk, StandSearch search, MapSheets sheets) {
        this.desk = desk;
        this.search = search;
        this.sheets = sheets;
    }

    @GetMapping("/shoots/{id}/stand")
    String show(
            @PathVariable long id, @RequestParam Map<String, String> asked, Model model, HttpServletResponse response) {
        ShootDesk.Open open = desk.open(id, Optional.empty());
        Place place = open.plan().place();
        model.addAttribute("shootTitle", open.shoot().it().title());
        model.addAttribute("back", open.address("frame"));
        model.addAttribute("bodies", BodyWords.SOUGHT.asked());
        model.addAttribute("night", open.subject().date());
        List<ForegroundObject> targets = Alignments.targets(place);
        model.addAttribute("none", targets.isEmpty());
        model.addAttribute("gaps", targets.size() > place.objects().size());
        model.addAttribute(
                "objects", targets.stream().map(ForegroundObject::name).toList());
        if (targets.isEmpty()) {
            return "frame/stand";
        }
        Map<String, String> typed = StandSearch.typed(asked, open);
        FormErrors errors = new FormErrors(typed);
        StandSearch.Asked read = StandSearch.read(errors, place);
        model.addAttribute("typed", typed);
        model.addAttribute("errors", errors);
        model.addAttribute("found", null);
        model.addAttribute("sheet", null);
        if (read == null) {
            response.setStatus(HttpStatus.BAD_REQUEST.value());
            return "frame/stand";
        }
        StandingPoints.Wish wish = read.wish();
        List<StandingPoints.Spot> spots = search.spots(open, wish, STEP);
        model.addAttribute("answer", answer(spots, read.on().name(), wish, place.zone()));
        model.addAttribute("found", table(spots, place.zone()));
        Map<String, String> query = new HashMap<>(typed);
        query.put("stand", Long.toString(id));
        model.addAttribute("rest", rest(query));
        model.addAttribute(
                "sheet",
                sheets.about(wish.foot().latitudeDegrees(), wish.foot().longitudeDegrees(), zoom(spots), query));
        return "frame/stand";
    }

    private static String rest(Map<String, String> query) {
        UriComponentsBuilder rest = UriComponentsBuilder.newInstance();
        query.forEach(rest::queryParam);
        return "&" + rest.encode().build().getQuery();
    }

    /** The largest scale that shows half of the points. */
    private static int zoom(List<StandingPoints.Spot> spots) {
        double middle = spots.stream()
                .mapToDouble(StandingPoints.Spot::distanceMetres)
                .sorted()
                .skip(spots.size() / 2)
                .findFirst()
                .orElse(300);
        int zoom = 16;
        for (double reach = 400; reach < middle && zoom > 9; reach *= 2) {
            zoom--;
        }
        return zoom;
    }

    private static String answer(
            List<StandingPoints.Spot> spots, String object, StandingPoints.Wish wish, ZoneId zone) {
        String body = BodyWords.name(wish.body());
        if (spots.isEmpty()) {
            return "From nowhere within 30 km does " + body + " stand on " + object
                    + " this night: it is down, or too high for a place farther than "
                    + Words.distance(StandingPoints.NEAREST) + ".";
        }
        if (StandingPoints.still(spots)) {
            StandingPoints.Spot one = spots.get(0);
            return Words.capital(body) + " stands still: all night it stands on " + object + " from one point, "
                    + Words.distance(one.distanceMetres()) + " away, looking to "
                    + Words.azimuth(one.body().azimuth().degrees()) + ".";
        }
        List<String> spans = new ArrayList<>();
        StandingPoints.Spot first = spots.get(0);
        for (int i = 0; i < spots.size(); i++) {
            StandingPoints.Spot s = spots.get(i);
            if (i + 1 == spots.size() || spots.get(i + 1).at().isAfter(s.at().plus(STEP))) {
                spans.add("from " + Times.clock(first.at(), zone) + " (" + Words.distance(first.distanceMetres())
                        + " away) to " + Times.clock(s.at(), zone) + " (" + Words.distance(s.distanceMetres()) + ")");
                first = i + 1 == spots.size() ? s : spots.get(i + 1);
            }
        }
        return Words.capital(body) + " stands on " + object + " from the points of the line: "
                + String.join(", and ", spans) + ".";
    }

    private static Table table(List<StandingPoints.Spot> all, ZoneId zone) {
        List<StandingPoints.Spot> spots = StandingPoints.still(all) ? all.subList(0, 1) : all;
        List<Table.Row> rows = spots.stream()
                .map(s -> Table.Row.of(
                                false,
                                Times.clock(s.at(), zone),
                                Words.distance(s.distanceMetres()),
                                Words.azimuth(s.body().azimuth().degrees()),
                                Words.degrees(s.body().altitude().degrees()),
                                StandSearch.decimals(s.latitudeDegrees()) + ", "
                                        + StandSearch.decimals(s.longitudeDegrees()))
                        .to("/places/new?latitude=" + StandSearch.decimals(s.latitudeDegrees()) + "&longitude="
                                + StandSearch.decimals(s.longitudeDegrees())))
                .toList();
        return Table.of(
                "Points of the line",
                "Look along the azimuth from the point. The ground is taken as level at the height given; the time leads to a "
                        + "new place there. Check access, cliffs and tide by day.",
                rows,
                "time",
                "distance#",
                "look to#",
                "body's altitude#",
                "position#");
    }

    /** The line on the map. */
    @Component
    static final class Overlay implements MapOverlay {
        private static final Duration FINE = Duration.ofMinutes(2);

        private final ShootDesk desk;
        private final StandSearch search;

        Overlay(@Lazy ShootDesk desk, StandSearch search) {
            this.desk = desk;
            this.search = search;
        }

        @Override
        public Optional<Laid> laid(Map<String, String> query) {
            String id = query.getOrDefault("stand", "");
            if (!id.matches("\\d{1,9}")) {
                return Optional.empty();
            }
            ShootDesk.Open open = desk.open(Long.parseLong(id), Optional.empty());
            FormErrors errors = new FormErrors(StandSearch.typed(query, open));
            StandSearch.@Nullable Asked read =
                    StandSearch.read(errors, open.plan().place());
            return read == null
                    ? Optional.empty()
                    : Optional.of(() -> StandSearch.shapes(
                            open, read.on().name(), search.spots(open, read.wish(), FINE), read.wish()));
        }
    }
}
