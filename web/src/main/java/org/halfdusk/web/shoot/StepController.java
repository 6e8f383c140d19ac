package org.halfdusk.web.shoot;

import jakarta.servlet.http.HttpServletResponse;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.halfdusk.web.door.refusal.NotFound;
import org.halfdusk.web.layout.Shell;
import org.halfdusk.web.shoot.edit.ShootEditing;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestParam;

/** The steps of a shoot: all show a moment of it, and take a form that changes it. */
@Controller
class StepController {
    private final ShootDesk desk;
    private final StepForms forms;
    private final List<StepPages> steps;

    StepController(ShootDesk desk, StepForms forms, List<StepPages> steps) {
        this.desk = desk;
        this.forms = forms;
        this.steps = steps;
    }

    @GetMapping({
        "/shoots/{id}/{step:night|frame|expose|sequence|pack|run}",
        "/shoots/{id}/rig{rig:\\d{1,3}}/{step:night|frame|expose|sequence|pack|run}"
    })
    String show(
            @PathVariable long id,
            @PathVariable(required = false) Optional<Integer> rig,
            @PathVariable String step,
            @RequestParam Optional<String> at,
            @ModelAttribute("frame") Shell.Frame frame,
            Model model) {
        return render(id, ShootDesk.rigNumber(rig), of(step), at, frame, model, ShootEditing.untouched());
    }

    @PostMapping({
        "/shoots/{id}/{step:night|frame|expose|sequence|pack|run|review}",
        "/shoots/{id}/rig{rig:\\d{1,3}}/{step:night|frame|expose|sequence|pack|run|review}"
    })
    String edit(
            @PathVariable long id,
            @PathVariable(required = false) Optional<Integer> rig,
            @PathVariable String step,
            @RequestParam Map<String, String> form,
            @ModelAttribute("frame") Shell.Frame frame,
            Model model,
            @RequestHeader(name = "HX-Request", defaultValue = "false") boolean partial,
            HttpServletResponse response) {
        int number = ShootDesk.rigNumber(rig);
        return forms.answer(
                id,
                number,
                step,
                of(step).fields(form),
                of(step).more(() -> desk.open(id, number, Optional.ofNullable(form.get("at")))),
                partial,
                response,
                result -> render(id, number, of(step), Optional.ofNullable(form.get("at")), frame, model, result));
    }

    private StepPages of(String step) {
        return steps.stream()
                .filter(s -> s.step().equals(step))
                .findFirst()
                .orElseThrow(() -> new NotFound("There is no step “" + step + "”."));
    }

    private String render(
            long id,
            int rig,
            StepPages step,
            Optional<String> at,
            Shell.Frame frame,
            Model model,
            ShootEditing.Result result) {
        ShootDesk.Open open = desk.open(id, rig, at);
        model.addAttribute("shoot", desk.page(open, step.step(), frame.theme()));
        model.addAttribute("edit", result);
        model.addAttribute("page", step.page(open, result, frame.theme()));
        return step.step() + "/" + step.step();
    }
}
