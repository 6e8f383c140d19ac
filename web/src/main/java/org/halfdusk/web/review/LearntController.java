package org.halfdusk.web.review;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.halfdusk.shoot.choices.Shoot;
import org.halfdusk.shoot.kept.Kept;
import org.halfdusk.shoot.kept.Places;
import org.halfdusk.shoot.kept.Shoots;
import org.halfdusk.shoot.kept.done.Learning;
import org.halfdusk.shoot.kept.kit.Kits;
import org.halfdusk.shoot.kept.kit.Rigs;
import org.halfdusk.shoot.review.learnt.Knowledge;
import org.halfdusk.shoot.review.learnt.Learnt;
import org.halfdusk.typed.Codec;
import org.halfdusk.typed.Range;
import org.halfdusk.web.door.refusal.NotFound;
import org.halfdusk.web.layout.words.Times;
import org.halfdusk.web.subject.words.LearntWords;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** What frames have taught: looked at, switched off, forgotten. */
@Controller
class LearntController {
    private static final Range NUMBER = new Range("number", 1, Integer.MAX_VALUE, "");

    private final Learning learning;
    private final Kits kits;
    private final Rigs rigs;
    private final Places places;
    private final Shoots shoots;

    LearntController(Learning learning, Kits kits, Rigs rigs, Places places, Shoots shoots) {
        this.learning = learning;
        this.kits = kits;
        this.rigs = rigs;
        this.places = places;
        this.shoots = shoots;
    }

    /**
     * A figure of a thing, with all shoots that showed it.
     *
     * @param said what plans go by, or would
     */
    record Row(String thing, String figure, long id, List<String> said, List<From> from, boolean on) {}

    record From(String title, String href, String how) {}

    @GetMapping("/learnt")
    String show(Model model) {
        List<Learnt> all = learning.all();
        List<Row> rows = new ArrayList<>();
        for (Learnt.Figure figure : Learnt.Figure.values()) {
            all.stream()
                    .filter(l -> l.figure() == figure)
                    .map(Learnt::id)
                    .distinct()
                    .forEach(id -> rows.add(row(figure, id, all)));
        }
        model.addAttribute("rows", rows);
        return "review/learnt";
    }

    private Row row(Learnt.Figure figure, long id, List<Learnt> all) {
        List<Learnt> mine =
                all.stream().filter(l -> l.figure() == figure && l.id() == id).toList();
        // As plans would go by it, were it on.
        Knowledge whole = new Knowledge(mine.stream().map(l -> l.with(true)).toList(), Map.of());
        return new Row(
                thing(figure.of(), id),
                figure.name(),
                id,
                mine.stream()
                        .map(Learnt::detail)
                        .distinct()
                        .flatMap(d -> whole
                                .of(figure, id, d)
                                .map(m -> LearntWords.said(figure, d, m) + ", " + LearntWords.from(figure, m))
                                .stream())
                        .toList(),
                mine.stream().map(l -> from(l, figure)).distinct().toList(),
                mine.stream().anyMatch(Learnt::on));
    }

    private From from(Learnt l, Learnt.Figure figure) {
        Optional<Shoot> shoot = shoots.find(l.shootId()).map(Kept::it);
        return new From(
                shoot.map(s -> s.title() + ", " + Times.longDate(s.night()))
                        .orElse("a shoot that is not there any more"),
                shoot.isPresent() ? "/shoots/" + l.shootId() + "/review" : "",
                LearntWords.from(figure, l.value()));
    }

    private String thing(Learnt.Of of, long id) {
        return switch (of) {
            case CAMERA -> kits.camera(id).map(k -> k.it().name()).orElse("a camera that is not there any more");
            case LENS -> kits.lens(id).map(k -> k.it().name()).orElse("a lens that is not there any more");
            case PLACE -> places.find(id).map(p -> p.it().name()).orElse("a place that is not there any more");
            case MOUNT -> rigs.accessory(id).map(a -> a.it().name()).orElse("a mount that is not there any more");
        };
    }

    /** @param what on, off or forget */
    @PostMapping("/learnt")
    String change(
            @RequestParam(defaultValue = "") String figure,
            @RequestParam(defaultValue = "") String id,
            @RequestParam(defaultValue = "") String what) {
        Learnt.Figure of = Codec.constant("figure", Learnt.Figure.class).read(figure);
        long number = NUMBER.whole(id);
        int way = Codec.choice(
                        "what to do",
                        new Codec.Chosen<>(1, "on", "switch on"),
                        new Codec.Chosen<>(0, "off", "switch off"),
                        new Codec.Chosen<>(-1, "forget", "forget"))
                .read(what);
        boolean there = way < 0 ? learning.forget(of, number) : learning.turn(of, number, way > 0);
        if (!there) {
            throw new NotFound("Nothing of that sort was learnt of number " + number + ".");
        }
        return "redirect:/learnt";
    }
}
