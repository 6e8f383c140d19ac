package org.halfdusk.web.kit;

import jakarta.servlet.http.HttpServletResponse;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.halfdusk.optics.Camera;
import org.halfdusk.optics.Converter;
import org.halfdusk.optics.Lens;
import org.halfdusk.shoot.Kept;
import org.halfdusk.shoot.Kits;
import org.halfdusk.web.layout.FormErrors;
import org.halfdusk.web.layout.NotFound;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Kit as lists, added and edited. */
@Controller
class KitController {
    private final Kits kits;

    KitController(Kits kits) {
        this.kits = kits;
    }

    @GetMapping("/kit")
    String list(
            @RequestParam(defaultValue = "") String deleted,
            @RequestParam(defaultValue = "0") long number,
            Model model) {
        model.addAttribute("cameras", kits.cameras().stream().map(KitLine::of).toList());
        model.addAttribute("lenses", kits.lenses().stream().map(KitLine::ofLens).toList());
        model.addAttribute(
                "converters",
                kits.converters().stream().map(KitLine::ofConverter).toList());
        model.addAttribute("deleted", kind(deleted).isPresent() ? deleted : "");
        model.addAttribute("number", number);
        return "kit/kit";
    }

    @GetMapping("/kit/{kind}/new")
    String fresh(@PathVariable String kind, Model model) {
        return form(model, KitForm.fresh(known(kind)), 0);
    }

    @GetMapping("/kit/{kind}/{id}")
    String open(@PathVariable String kind, @PathVariable long id, Model model) {
        return form(model, read(known(kind), id), id);
    }

    private KitForm read(Kits.Kind kind, long id) {
        return switch (kind) {
            case CAMERA -> KitForm.of(found(kits.camera(id), "camera", id));
            case LENS -> KitForm.of(found(kits.lens(id), "lens", id));
            case CONVERTER -> KitForm.of(found(kits.converter(id), "converter", id));
        };
    }

    private static <T> T found(Optional<Kept<T>> kept, String what, long id) {
        return kept.orElseThrow(() -> new NotFound("There is no " + what + " number " + id + "."))
                .it();
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
        read(known(kind), id);
        return save(known(kind), id, typed, model, response);
    }

    private String save(Kits.Kind kind, long id, Map<String, String> typed, Model model, HttpServletResponse response) {
        KitForm form = new KitForm(kind, typed, new FormErrors(typed));
        boolean saved = switch (kind) {
            case CAMERA -> keep(form.readCamera(), id);
            case LENS -> keep(form.readLens(), id);
            case CONVERTER -> keep(form.readConverter(), id);
        };
        if (saved) {
            return "redirect:/kit";
        }
        response.setStatus(HttpStatus.BAD_REQUEST.value());
        return form(model, form, id);
    }

    private boolean keep(Optional<?> read, long id) {
        if (read.isEmpty()) {
            return false;
        }
        Object it = read.get();
        if (it instanceof Camera camera) {
            return id == 0 ? kits.add(camera) > 0 : kits.update(id, camera);
        }
        if (it instanceof Lens lens) {
            return id == 0 ? kits.add(lens) > 0 : kits.update(id, lens);
        }
        Converter converter = (Converter) it;
        return id == 0 ? kits.add(converter) > 0 : kits.update(id, converter);
    }

    @PostMapping("/kit/{kind}/{id}/delete")
    String delete(@PathVariable String kind, @PathVariable long id, Model model, HttpServletResponse response) {
        Kits.Kind k = known(kind);
        KitForm form = read(k, id);
        List<String> users = kits.usedBy(k, id);
        if (!users.isEmpty()) {
            response.setStatus(HttpStatus.CONFLICT.value());
            form.errors()
                    .add(
                            "form",
                            "this cannot be deleted: used by " + String.join(", ", users)
                                    + ". Choose other kit there first");
            return form(model, form, id);
        }
        kits.delete(k, id);
        return "redirect:/kit?deleted=" + kind + "&number=" + id;
    }

    @PostMapping("/kit/{kind}/{id}/restore")
    String restore(@PathVariable String kind, @PathVariable long id) {
        read(known(kind), id);
        kits.restore(known(kind), id);
        return "redirect:/kit";
    }

    private String form(Model model, KitForm form, long id) {
        model.addAttribute("form", form);
        model.addAttribute("id", id);
        model.addAttribute("heading", id == 0 ? "New " + form.what() : form.text("name"));
        model.addAttribute("usedBy", id == 0 ? List.of() : kits.usedBy(form.kind(), id));
        return "kit/item";
    }

    private static Optional<Kits.Kind> kind(String name) {
        return switch (name) {
            case "cameras" -> Optional.of(Kits.Kind.CAMERA);
            case "lenses" -> Optional.of(Kits.Kind.LENS);
            case "converters" -> Optional.of(Kits.Kind.CONVERTER);
            default -> Optional.empty();
        };
    }

    private static Kits.Kind known(String name) {
        return kind(name).orElseThrow(() -> new NotFound("There is no kit called “" + name + "”."));
    }
}
