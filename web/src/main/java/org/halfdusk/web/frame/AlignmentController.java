package org.halfdusk.web.frame;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import jakarta.servlet.http.HttpServletResponse;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.halfdusk.ephemeris.Body;
import org.halfdusk.place.ForegroundObject;
import org.halfdusk.place.Place;
import org.halfdusk.shoot.choices.Shoot;
import org.halfdusk.shoot.planning.Planner;
import org.halfdusk.shoot.search.Alignments;
import org.halfdusk.typed.Codec;
import org.halfdusk.web.layout.FormErrors;
import org.halfdusk.web.layout.words.BodyWords;
import org.halfdusk.web.layout.words.Times;
import org.halfdusk.web.layout.words.Words;
import org.halfdusk.web.shoot.ShootDesk;
import org.halfdusk.web.subject.page.Table;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;

/** Nights of a year on which a body stands over an object of a shoot's place. */
@Controller
class AlignmentController {
    private static final int YEAR = 365;

    private static final int MOST_SEARCHES = 50;

    private final Cache<Search, List<Alignments.Match>> searched =
            Caffeine.newBuilder().maximumSize(MOST_SEARCHES).build();
    private final ShootDesk desk;
    private final Planner planner;

    AlignmentController(ShootDesk desk, Planner planner) {
        this.desk = desk;
        this.planner = planner;
    }

    @GetMapping("/shoots/{id}/alignments")
    String season(
            @PathVariable long id, @RequestParam Map<String, String> asked, Model model, HttpServletResponse response) {
        ShootDesk.Open open = desk.open(id, Optional.empty());
        Shoot shoot = open.shoot().it();
        List<ForegroundObject> objects = Alignments.targets(open.plan().place());
        model.addAttribute("shootTitle", shoot.title());
        model.addAttribute("place", open.plan().place().name());
        model.addAttribute("back", open.address("frame"));
        model.addAttribute("bodies", BodyWords.SOUGHT.asked());
        model.addAttribute("lights", LIGHT.asked());
        model.addAttribute(
                "objects", objects.stream().map(ForegroundObject::name).toList());
        Optional<Alignments.Wish> usual = Alignments.usual(sought(open), objects);
        if (usual.isEmpty()) {
            model.addAttribute("none", true);
            return "frame/alignments";
        }
        Map<String, String> typed = typed(asked, usual.get());
        FormErrors errors = new FormErrors(typed);
        model.addAttribute("none", false);
        model.addAttribute("typed", typed);
        model.addAttribute("errors", errors);
        Alignments.Wish wish = read(errors, objects);
        LocalDate from = shoot.night().withDayOfYear(1);
        if (wish == null) {
            response.setStatus(HttpStatus.BAD_REQUEST.value());
            model.addAttribute("found", null);
            return "frame/alignments";
        }
        List<Alignments.Match> found = found(open, wish, from);
        model.addAttribute("answer", answer(found, from));
        model.addAttribute("found", table(found, open.plan().place().zone(), shoot));
        return "frame/alignments";
    }

    private static final Codec<Alignments.Light> LIGHT = Codec.choice(
            "light",
            new Codec.Chosen<>(Alignments.Light.DARK, "DARK", "dark, no moon"),
            new Codec.Chosen<>(Alignments.Light.DUSK, "DUSK", "dusk or dawn"),
            new Codec.Chosen<>(Alignments.Light.ANY, "ANY", "any light"));

    /** What a shoot follows; where it follows nothing, what its subject would. */
    static Body sought(ShootDesk.Open open) {
        return open.plan()
                .night()
                .followed()
                .orElseGet(() -> open.plan().traits().body());
    }

    /** What a year's search followed from. */
    private record Search(Place place, Alignments.Wish wish, LocalDate from) {}

    private List<Alignments.Match> found(ShootDesk.Open open, Alignments.Wish wish, LocalDate from) {
        return searched.get(
                new Search(open.plan().place(), wish, from),
                s -> Alignments.search(planner.site(s.place()), s.wish(), s.from(), YEAR));
    }

    /** On which nights of the year it repeats, for the Frame page, which does not wait for it. */
    @GetMapping("/shoots/{id}/alignments/summary")
    String summary(@PathVariable long id, Model model) {
        ShootDesk.Open open = desk.open(id, Optional.empty());
        LocalDate from = open.shoot().it().night().withDayOfYear(1);
        String words = Alignments.usual(sought(open), open.plan().place().objects())
                .map(w -> inWords(w, found(open, w, from), from))
                .orElse("");
        model.addAttribute("words", words);
        return "frame/parts :: summary(words=${words})";
    }

    private static String inWords(Alignments.Wish wish, List<Alignments.Match> found, LocalDate from) {
        String what = BodyWords.name(wish.body()) + " within " + Words.plain(wish.sidewaysDegrees()) + "° over "
                + wish.object().name()
                + switch (wish.light()) {
                    case DARK -> ", dark and moonless";
                    case DUSK -> ", at dusk or dawn";
                    case ANY -> "";
                };
        return Words.capital(what) + ": " + answer(found, from);
    }

    private static Map<String, String> typed(Map<String, String> asked, Alignments.Wish usual) {
        Map<String, String> typed = new HashMap<>(Map.of(
                "body", usual.body().name(),
                "object", "0",
                "sideways", Words.plain(usual.sidewaysDegrees()),
                "over", Words.plain(usual.mostOverDegrees()),
                "light", usual.light().name()));
        typed.putAll(asked);
        return typed;
    }

    private static Alignments.@Nullable Wish read(FormErrors e, List<ForegroundObject> objects) {
        double sideways = e.number("sideways", "tolerance to the side", Alignments.LEAST_TOLERANCE, 45, "°");
        double over = e.number("over", "height over the top", 0.1, 90, "°");
        int object = e.whole("object", "object", 0, objects.size() - 1, "");
        Body body = e.check("body", () -> BodyWords.SOUGHT.read(e.text("body")));
        Alignments.Light light = e.check("light", () -> LIGHT.read(e.text("light")));
        return e.any() || body == null || light == null
                ? null
                : e.check("sideways", () -> new Alignments.Wish(body, objects.get(object), sideways, over, light));
    }

    private static String answer(List<Alignments.Match> found, LocalDate from) {
        long nights = found.stream().map(Alignments.Match::night).distinct().count();
        return nights == 0
                ? "On no night of " + from.getYear()
                        + ". Allow more to the side or over the top, another light, or another object."
                : Words.count(nights, "night") + " of " + from.getYear() + ", the first "
                        + Times.day(found.get(0).night()) + ".";
    }

    private static Table table(List<Alignments.Match> found, ZoneId zone, Shoot shoot) {
        List<Table.Row> rows = found.stream()
                .map(m -> Table.Row.of(
                                m.night().equals(shoot.night()),
                                Times.shortDate(m.night()),
                                Times.span(m.span(), zone),
                                Times.clock(m.closest().at(), zone),
                                Words.degrees(m.overDegrees()))
                        .to("/nights/" + m.night() + "?subject=" + shoot.subject() + "&place=" + shoot.placeId()))
                .toList();
        return Table.of("Nights", "", rows, "night", "from, to", "nearest#", "over the top#");
    }
}
