package org.halfdusk.web.search;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.halfdusk.place.Place;
import org.halfdusk.place.towns.Gazetteer;
import org.halfdusk.shoot.kept.Places;
import org.halfdusk.shoot.kept.Shoots;
import org.halfdusk.web.kit.KitNames;
import org.halfdusk.web.layout.words.Times;
import org.halfdusk.web.layout.words.Words;
import org.halfdusk.web.subject.Subjects;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Search over everything a person keeps, and the towns of the gazetteer. */
@Controller
class SearchController {
    private static final int MOST = 12;
    private static final int MOST_TOWNS = 6;
    private static final int LONGEST = 100;

    private final Places places;
    private final Shoots shoots;
    private final Subjects subjects;
    private final KitNames kit;

    SearchController(Places places, Shoots shoots, Subjects subjects, KitNames kit) {
        this.places = places;
        this.shoots = shoots;
        this.subjects = subjects;
        this.kit = kit;
    }

    /** One thing found. */
    record Found(String name, String what, String address) {}

    /** Things of one sort. */
    record Sort(String title, List<Found> found) {}

    @GetMapping("/search")
    String search(@RequestParam(defaultValue = "") String q, Model model) {
        String asked = q.strip().substring(0, Math.min(LONGEST, q.strip().length()));
        model.addAttribute("q", asked);
        model.addAttribute("sorts", asked.isEmpty() ? List.of() : sorts(asked));
        return "search/search";
    }

    private List<Sort> sorts(String asked) {
        List<Sort> sorts = new ArrayList<>();
        add(sorts, "Shoots", shoots(asked));
        add(sorts, "Places", places(asked));
        add(sorts, "Kit", kit(asked));
        add(
                sorts,
                "Towns, to begin a place from",
                Gazetteer.instance().search(asked, MOST_TOWNS).stream()
                        .map(t -> new Found(
                                t.name() + ", " + t.country(),
                                Words.thousands(t.population()) + " people",
                                "/map?lat=" + t.latitudeDegrees() + "&lon=" + t.longitudeDegrees() + "&zoom=11"))
                        .toList());
        return sorts;
    }

    private static void add(List<Sort> sorts, String title, List<Found> found) {
        if (!found.isEmpty()) {
            sorts.add(new Sort(title, found.stream().limit(MOST).toList()));
        }
    }

    private List<Found> shoots(String asked) {
        return shoots.list(asked).stream()
                .map(k -> new Found(
                        k.it().title(),
                        subjects.name(k.it().subject()) + ", " + Times.longDate(k.it().night()),
                        "/shoots/" + k.id() + "/night"))
                .toList();
    }

    private List<Found> places(String asked) {
        return places.list().stream()
                .filter(k -> holds(k.it(), asked))
                .map(k -> new Found(k.it().name(), Words.position(k.it().observer()), "/places/" + k.id()))
                .toList();
    }

    private static boolean holds(Place p, String asked) {
        return has(p.name(), asked)
                || has(p.notes().access(), asked)
                || p.objects().stream().anyMatch(o -> has(o.name(), asked));
    }

    private List<Found> kit(String asked) {
        return kit.all().stream()
                .filter(n -> has(n.name(), asked) || has(n.kind(), asked))
                .map(n -> new Found(n.name(), n.kind() + ", " + n.figures(), n.address()))
                .toList();
    }

    private static boolean has(String text, String asked) {
        return text.toLowerCase(Locale.ROOT).contains(asked.toLowerCase(Locale.ROOT));
    }
}
