package org.halfdusk.web.expose;

import jakarta.servlet.http.HttpServletResponse;
import java.util.Map;
import java.util.Optional;
import org.halfdusk.shoot.Kits;
import org.halfdusk.shoot.Planner;
import org.halfdusk.web.layout.Shell;
import org.halfdusk.web.shoot.ShootDesk;
import org.halfdusk.web.shoot.ShootEditing;
import org.halfdusk.web.shoot.StepForms;
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
    private final StepForms forms;
    private final Kits kits;
    private final Planner planner;

    ExposeController(ShootDesk desk, StepForms forms, Kits kits, Planner planner) {
        this.planner = planner;
        this.desk = desk;
        this.forms = forms;
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
        return forms.answer(
                id,
                "expose",
                form,
                response,
                result -> render(id, Optional.ofNullable(form.get("at")), frame, model, result));
    }

    private String render(long id, Optional<String> at, Shell.Frame frame, Model model, ShootEditing.Result result) {
        ShootDesk.Open open = desk.open(id, at);
        model.addAttribute("shoot", desk.page(open, "expose", frame.theme()));
        model.addAttribute("edit", result);
        model.addAttribute("page", ExposePage.of(open, kits, planner, result.errors(), frame.theme()));
        return "expose/expose";
    }
}
