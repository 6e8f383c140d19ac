package org.halfdusk.web.expose;

import jakarta.servlet.http.HttpServletResponse;
import java.util.Map;
import java.util.Optional;
import org.halfdusk.shoot.Kits;
import org.halfdusk.web.layout.Shell;
import org.halfdusk.web.shoot.ShootDesk;
import org.halfdusk.web.shoot.ShootEditing;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The Expose step of a shoot. */
@Controller
class ExposeController {
    private final ShootDesk desk;
    private final ShootEditing editing;
    private final Kits kits;

    ExposeController(ShootDesk desk, ShootEditing editing, Kits kits) {
        this.desk = desk;
        this.editing = editing;
        this.kits = kits;
    }

    @GetMapping("/shoots/{id}/expose")
    String show(
            @PathVariable long id,
            @RequestParam Optional<String> at,
            @ModelAttribute("frame") Shell.Frame frame,
            Model model) {
        return render(id, at, frame, model, ShootEditing.untouched());
    }

    @PostMapping("/shoots/{id}/expose")
    String edit(
            @PathVariable long id,
            @RequestParam Map<String, String> form,
            @ModelAttribute("frame") Shell.Frame frame,
            Model model,
            HttpServletResponse response) {
        ShootEditing.Result result = editing.apply(id, form);
        String at = form.getOrDefault("at", "");
        if (result.saved()) {
            return "redirect:/shoots/" + id + "/expose" + (at.isBlank() ? "" : "?at=" + at);
        }
        response.setStatus(result.clash().isPresent() ? HttpStatus.CONFLICT.value() : HttpStatus.BAD_REQUEST.value());
        return render(id, Optional.of(at), frame, model, result);
    }

    private String render(long id, Optional<String> at, Shell.Frame frame, Model model, ShootEditing.Result result) {
        ShootDesk.Open open = desk.open(id, at);
        model.addAttribute("shoot", desk.page(open, "expose", frame.theme()));
        model.addAttribute("edit", result);
        model.addAttribute("page", ExposePage.of(open, kits, result.errors(), frame.theme()));
        return "expose/expose";
    }
}
