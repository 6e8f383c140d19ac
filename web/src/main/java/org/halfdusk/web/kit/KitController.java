package org.halfdusk.web.kit;

import jakarta.servlet.http.HttpServletResponse;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.halfdusk.optics.Camera;
import org.halfdusk.optics.Lens;
import org.halfdusk.optics.TypicalKit;
import org.halfdusk.shoot.kept.AllOrNothing;
import org.halfdusk.shoot.kept.Unread;
import org.halfdusk.shoot.kept.kit.Kits;
import org.halfdusk.shoot.kept.kit.NewRig;
import org.halfdusk.shoot.kept.kit.Rigs;
import org.halfdusk.shoot.kept.kit.StandingRig;
import org.halfdusk.web.door.refusal.NotFound;
import org.halfdusk.web.layout.Meanwhile;
import org.halfdusk.web.layout.words.Words;
import org.halfdusk.web.subject.page.Line;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Kit as lists, added and edited; rigs from typical figures in one step. */
@Controller
class KitController {
    private final Shelf shelf;
    private final KitForms forms;
    private final KitFigures figures;
    private final Kits kits;
    private final Rigs rigs;
    private final AllOrNothing atOnce;

    KitController(Shelf shelf, KitForms forms, KitFigures figures, Kits kits, Rigs rigs, AllOrNothing atOnce) {
        this.atOnce = atOnce;
        this.shelf = shelf;
        this.forms = forms;
        this.figures = figures;
        this.kits = kits;
        this.rigs = rigs;
    }

    /** A kind of kit with what there is of it. */
    record Part(KitKind kind, List<Item> items, List<Unread> unread) {}

    record Item(long id, String name, String figures) {}

    @GetMapping("/kit")
    String list(
            @RequestParam(defaultValue = "") String deleted,
            @RequestParam(defaultValue = "0") long number,
            Model model) {
        List<Part> parts = Arrays.stream(KitKind.values())
                .map(k -> new Part(
                        k,
                        shelf.list(k).stream()
                                .map(i -> new Item(i.id(), KitForms.name(i.it()), figures.line(i.it())))
                                .toList(),
                        shelf.unread(k)))
                .toList();
        model.addAttribute("parts", parts);
        model.addAttribute(
                "presetCameras", TypicalKit.CAMERAS.stream().map(Camera::name).toList());
        model.addAttribute(
                "presetLenses", TypicalKit.LENSES.stream().map(Lens::name).toList());
        model.addAttribute("deleted", KitKind.of(deleted).isPresent() ? deleted : "");
        model.addAttribute("number", number);
        return "kit/kit";
    }

    /** Camera and lens of typical figures, and the rig of both; what the kit has already is not doubled. */
    @PostMapping("/kit/preset")
    String preset(@RequestParam int camera, @RequestParam int lens) {
        if (camera < 0 || camera >= TypicalKit.CAMERAS.size() || lens < 0 || lens >= TypicalKit.LENSES.size()) {
            throw new NotFound("There is no preset of these numbers.");
        }
        atOnce.of(() -> NewRig.keep(kits, rigs, TypicalKit.CAMERAS.get(camera), TypicalKit.LENSES.get(lens)));
        return "redirect:/kit";
    }

    @GetMapping("/kit/{kind}/new")
    String fresh(@PathVariable String kind, Model model) {
        return form(model, forms.fresh(known(kind)), 0);
    }

    @GetMapping("/kit/{kind}/{id}")
    String open(@PathVariable String kind, @PathVariable long id, Model model) {
        return form(model, read(known(kind), id), id);
    }

    private KitForm read(KitKind kind, long id) {
        return shelf.find(kind, id)
                .map(it -> forms.of(kind, it))
                .orElseThrow(() -> new NotFound("There is no " + kind.what() + " number " + id + "."));
    }

    @PostMapping("/kit/{kind}")
    String add(
            @PathVariable String kind,
            @RequestParam Map<String, String> typed,
            Model model,
            HttpServletResponse response) {
        return save(known(kind), 0, typed, model, response);
    }

    @PostMapping("/kit/{kind}/{id}")
    String update(
            @PathVariable String kind,
            @PathVariable long id,
            @RequestParam Map<String, String> typed,
            Model model,
            HttpServletResponse response) {
        return save(known(kind), id, typed, model, response);
    }

    private String save(KitKind kind, long id, Map<String, String> sent, Model model, HttpServletResponse response) {
        KitForm form = atOnce.of(() -> {
            Meanwhile meanwhile = id == 0
                    ? Meanwhile.none(sent)
                    : Meanwhile.of(sent, read(kind, id).typed());
            KitForm tried = KitForm.of(kind, forms.fields(kind), meanwhile);
            if (meanwhile.clashes().isEmpty()) {
                forms.read(tried).ifPresent(it -> shelf.keep(id, it));
            }
            return tried;
        });
        Optional<HttpStatus> refusal = form.meanwhile().refusal(form.errors());
        if (refusal.isEmpty()) {
            return "redirect:/kit";
        }
        response.setStatus(refusal.get().value());
        return form(model, form, id);
    }

    @PostMapping("/kit/{kind}/{id}/delete")
    String delete(@PathVariable String kind, @PathVariable long id, Model model, HttpServletResponse response) {
        KitKind k = known(kind);
        List<String> users = shelf.usedBy(k, id);
        if (!users.isEmpty()) {
            response.setStatus(HttpStatus.CONFLICT.value());
            KitForm form = read(k, id);
            form.errors()
                    .add(
                            "form",
                            "this cannot be deleted: used by " + String.join(", ", users)
                                    + ". Choose other kit there first");
            return form(model, form, id);
        }
        if (!shelf.delete(k, id)) {
            throw new NotFound("There is no " + k.what() + " number " + id + ".");
        }
        return "redirect:/kit?deleted=" + kind + "&number=" + id;
    }

    @PostMapping("/kit/{kind}/{id}/restore")
    String restore(@PathVariable String kind, @PathVariable long id) {
        read(known(kind), id);
        shelf.restore(known(kind), id);
        return "redirect:/kit";
    }

    private String form(Model model, KitForm form, long id) {
        model.addAttribute("form", form);
        model.addAttribute("id", id);
        model.addAttribute(
                "heading", id == 0 ? Words.capital("new " + form.kind().what()) : form.text("name"));
        model.addAttribute("usedBy", id == 0 ? List.of() : shelf.usedBy(form.kind(), id));
        List<Line> derived = id > 0
                        && form.kind() == KitKind.RIGS
                        && shelf.find(KitKind.RIGS, id).orElseThrow() instanceof StandingRig rig
                ? figures.derived(rig)
                : List.of();
        model.addAttribute("derived", derived);
        return "kit/item";
    }

    private static KitKind known(String name) {
        return KitKind.of(name).orElseThrow(() -> new NotFound("There is no kit called “" + name + "”."));
    }
}
