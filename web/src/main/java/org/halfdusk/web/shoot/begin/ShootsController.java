package org.halfdusk.web.shoot.begin;

import jakarta.servlet.http.HttpServletResponse;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.halfdusk.shoot.choices.Shoot;
import org.halfdusk.shoot.choices.ShootField;
import org.halfdusk.shoot.kept.Places;
import org.halfdusk.shoot.kept.Shoots;
import org.halfdusk.shoot.kept.kit.Rigs;
import org.halfdusk.shoot.kept.kit.StandingRig;
import org.halfdusk.shoot.planning.Planner;
import org.halfdusk.web.door.refusal.NotFound;
import org.halfdusk.web.layout.PageOfList;
import org.halfdusk.web.shoot.ShootDesk;
import org.halfdusk.web.shoot.edit.ShootEditing;
import org.halfdusk.web.subject.Subjects;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Shoots as a list. */
@Controller
class ShootsController {
    private final Shoots shoots;
    private final Places places;
    private final Planner planner;
    private final Subjects subjects;
    private final ShootEditing editing;
    private final Rigs rigs;

    ShootsController(
            Shoots shoots, Places places, Planner planner, Subjects subjects, ShootEditing editing, Rigs rigs) {
        this.rigs = rigs;
        this.subjects = subjects;
        this.shoots = shoots;
        this.places = places;
        this.planner = planner;
        this.editing = editing;
    }

    @GetMapping("/shoots")
    String list(
            @RequestParam(defaultValue = "") String q,
            @RequestParam(defaultValue = "0") long deleted,
            @RequestParam(defaultValue = "0") long moved,
            @RequestParam(defaultValue = "1") int page,
            Model model) {
        model.addAttribute("page", page(q, page, deleted, moved, ShootEditing.untouched(), 0));
        return "shoot/shoots";
    }

    private ShootsPage page(String q, int number, long deleted, long moved, ShootEditing.Result result, long tried) {
        int last = 1 + (int) (MOST_SHOOTS / ShootsPage.ROWS);
        PageOfList.check(number, last);
        Shoots.Listed found = shoots.list(new Shoots.Part(q, (number - 1) * ShootsPage.ROWS, ShootsPage.ROWS));
        return ShootsPage.of(q, number, deleted, moved, found, places, planner, subjects, result, tried);
    }

    /** Pages beyond so many shoots are not asked for. */
    private static final long MOST_SHOOTS = 1_000_000;

    @GetMapping("/shoots/{id}")
    String open(@PathVariable long id) {
        return "redirect:/shoots/" + id + "/night";
    }

    @PostMapping("/shoots/{id}/duplicate")
    String duplicate(@PathVariable long id) {
        long copy = shoots.duplicate(id).orElseThrow(() -> NotFound.shoot(id));
        return "redirect:/shoots/" + copy + "/night";
    }

    @PostMapping("/shoots/{id}/move")
    String move(
            @PathVariable long id, @RequestParam Map<String, String> form, Model model, HttpServletResponse response) {
        Map<String, String> only = Map.of(
                ShootField.NIGHT.name(),
                form.getOrDefault("NIGHT", ""),
                "was.NIGHT",
                form.getOrDefault("was.NIGHT", ""));
        if (shoots.find(id).isEmpty()) {
            throw NotFound.shoot(id);
        }
        ShootEditing.Result result = editing.apply(id, only);
        if (result.saved()) {
            return "redirect:/shoots?moved=" + id;
        }
        response.setStatus(result.refusal().value());
        model.addAttribute("page", page("", 1, 0, 0, result, id));
        return "shoot/shoots";
    }

    /** Takes camera, lens, focal length and converter of a standing rig; one save, so one undo. */
    @PostMapping("/shoots/{id}/rig")
    String take(@PathVariable long id, @RequestParam long rig, @RequestParam(defaultValue = "0") int of) {
        StandingRig standing = rigs.rig(rig)
                .orElseThrow(() -> new NotFound("There is no rig number " + rig + "."))
                .it();
        Shoot now = shoots.find(id, of).orElseThrow(() -> NotFound.shoot(id)).it();
        shoots.change(
                id,
                of,
                List.of(
                        Shoots.Edit.of(now, ShootField.CAMERA, standing.cameraId()),
                        Shoots.Edit.of(now, ShootField.LENS, standing.lensId()),
                        Shoots.Edit.of(now, ShootField.CONVERTER, standing.converterId()),
                        Shoots.Edit.of(now, ShootField.FOCAL, standing.focalMm())));
        return "redirect:" + ShootDesk.Open.base(id, of) + "/expose";
    }

    /** One rig more: a standing one, or the one at hand once again. */
    @PostMapping("/shoots/{id}/rigs")
    String addRig(@PathVariable long id, @RequestParam Optional<Long> rig, @RequestParam(defaultValue = "0") int of) {
        Shoot.ShootRig at =
                shoots.find(id, of).orElseThrow(() -> NotFound.shoot(id)).it().rig();
        Shoot.ShootRig more = rig.map(r -> rigs.rig(r)
                        .orElseThrow(() -> new NotFound("There is no rig number " + r + "."))
                        .it())
                .map(r -> new Shoot.ShootRig(
                        r.cameraId(), r.lensId(), r.converterId(), r.focalMm(), Optional.empty(), at.wishes()))
                .orElse(at);
        return "redirect:" + ShootDesk.Open.base(id, shoots.addRig(id, more)) + "/expose";
    }

    @PostMapping("/shoots/{id}/rigs/{of}/remove")
    String removeRig(@PathVariable long id, @PathVariable int of) {
        if (!shoots.removeRig(id, of)) {
            throw NotFound.shoot(id);
        }
        return "redirect:/shoots/" + id + "/expose?removed=" + of;
    }

    @PostMapping("/shoots/{id}/rigs/{of}/restore")
    String restoreRig(@PathVariable long id, @PathVariable int of) {
        if (!shoots.restoreRig(id, of)) {
            throw NotFound.shoot(id);
        }
        return "redirect:" + ShootDesk.Open.base(id, of) + "/expose";
    }

    @PostMapping("/shoots/{id}/delete")
    String delete(@PathVariable long id) {
        if (!shoots.delete(id)) {
            throw NotFound.shoot(id);
        }
        return "redirect:/shoots?deleted=" + id;
    }

    @PostMapping("/shoots/{id}/restore")
    String restore(@PathVariable long id) {
        if (!shoots.restore(id)) {
            throw NotFound.shoot(id);
        }
        return "redirect:/shoots";
    }

    @PostMapping("/shoots/{id}/undo")
    String undo(@PathVariable long id, @RequestParam(defaultValue = "night") String step) {
        if (shoots.find(id).isEmpty()) {
            throw NotFound.shoot(id);
        }
        shoots.undo(id);
        String safe = List.of("frame", "expose", "sequence", "pack", "list").contains(step) ? step : "night";
        return safe.equals("list") ? "redirect:/shoots" : "redirect:/shoots/" + id + "/" + safe;
    }
}
