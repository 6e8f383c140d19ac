package org.halfdusk.web.sequence;

import jakarta.servlet.http.HttpServletResponse;
import java.util.Map;
import java.util.Optional;
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

/** The Sequence step of a shoot. */
@Controller
class SequenceController {
    private final ShootDesk desk;
    private final StepForms forms;
    private final Planner planner;

    SequenceController(ShootDesk desk, StepForms forms, Planner planner) {
        this.desk = desk;
        this.forms = forms;
        this.planner = planner;
    }

    @GetMapping("/shoots/{id}/sequence")
    String show(
            @PathVariable long id,
            @RequestParam Optional<String> at,
            @ModelAttribute("frame") Shell.Frame frame,
            Model model) {
        return render(id, at, frame, model, ShootEditing.untouched());
    }

    @PostMapping("/shoots/{id}/sequence")
    String edit(
            @PathVariable long id,
            @RequestParam Map<String, String> form,
            @ModelAttribute("frame") Shell.Frame frame,
            Model model,
            HttpServletResponse response) {
        return forms.answer(
                id,
                "sequence",
                form,
                response,
                result -> render(id, Optional.ofNullable(form.get("at")), frame, model, result));
    }

    private String render(long id, Optional<String> at, Shell.Frame frame, Model model, ShootEditing.Result result) {
        ShootDesk.Open open = desk.open(id, at);
        model.addAttribute("shoot", desk.page(open, "sequence", frame.theme()));
        model.addAttribute("edit", result);
        model.addAttribute("page", SequencePage.of(open, planner, result.errors()));
        return "sequence/sequence";
    }
}
