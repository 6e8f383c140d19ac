package org.halfdusk.web.night;

import jakarta.servlet.http.HttpServletResponse;
import java.util.Map;
import java.util.Optional;
import org.halfdusk.shoot.Places;
import org.halfdusk.shoot.Planner;
import org.halfdusk.web.layout.Shell;
import org.halfdusk.web.shoot.ShootDesk;
import org.halfdusk.web.shoot.ShootEditing;
import org.halfdusk.web.shoot.StepForms;
import org.halfdusk.web.subject.Subjects;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The Night step of a shoot. */
@Controller
class NightController {
    private final ShootDesk desk;
    private final StepForms forms;
    private final Places places;
    private final Planner planner;
    private final Subjects subjects;

    NightController(ShootDesk desk, StepForms forms, Places places, Planner planner, Subjects subjects) {
        this.subjects = subjects;
        this.planner = planner;
        this.desk = desk;
        this.forms = forms;
        this.places = places;
    }

    @GetMapping("/shoots/{id}/night")
    String show(
            @PathVariable long id,
            @RequestParam Optional<String> at,
            @ModelAttribute("frame") Shell.Frame frame,
            Model model) {
        return render(id, at, frame, model, ShootEditing.untouched());
    }

    @PostMapping("/shoots/{id}/night")
    String edit(
            @PathVariable long id,
            @RequestParam Map<String, String> form,
            @ModelAttribute("frame") Shell.Frame frame,
            Model model,
            HttpServletResponse response) {
        return forms.answer(
                id,
                "night",
                form,
                response,
                result -> render(id, Optional.ofNullable(form.get("at")), frame, model, result));
    }

    private String render(long id, Optional<String> at, Shell.Frame frame, Model model, ShootEditing.Result result) {
        ShootDesk.Open open = desk.open(id, at);
        model.addAttribute("shoot", desk.page(open, "night", frame.theme()));
        model.addAttribute("edit", result);
        model.addAttribute("page", NightPage.of(open, places, planner, subjects, frame.theme(), result.errors()));
        return "night/night";
    }
}
