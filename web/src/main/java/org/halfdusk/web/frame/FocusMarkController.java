package org.halfdusk.web.frame;

import jakarta.servlet.http.HttpServletResponse;
import java.time.Clock;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import org.halfdusk.optics.FocusMark;
import org.halfdusk.shoot.kept.kit.FocusMarks;
import org.halfdusk.typed.Codec;
import org.halfdusk.web.door.refusal.NotFound;
import org.halfdusk.web.layout.FormErrors;
import org.halfdusk.web.layout.Shell;
import org.halfdusk.web.shoot.ShootDesk;
import org.halfdusk.web.shoot.edit.ShootEditing;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Marks of focus are kept with the lens, and offered again with every shoot through it. */
@Controller
@RequestMapping({"/shoots/{id}/frame/marks", "/shoots/{id}/rig{rig:\\d{1,3}}/frame/marks"})
class FocusMarkController {
    private final ShootDesk desk;
    private final FocusMarks marks;
    private final FramePages pages;
    private final Clock clock;

    FocusMarkController(ShootDesk desk, FocusMarks marks, FramePages pages, Clock clock) {
        this.desk = desk;
        this.marks = marks;
        this.pages = pages;
        this.clock = clock;
    }

    @PostMapping
    String add(
            @PathVariable long id,
            @PathVariable(required = false) Optional<Integer> rig,
            @RequestParam(defaultValue = "") String mark,
            @RequestParam(defaultValue = "") String celsius,
            @ModelAttribute("frame") Shell.Frame frame,
            Model model,
            HttpServletResponse response) {
        ShootDesk.Open open = desk.through(id, rig);
        FormErrors errors = new FormErrors(Map.of("mark", mark, "celsius", celsius));
        errors.check("mark", () -> {
            OptionalDouble cold = Codec.perhaps(FocusMark.CELSIUS).read(celsius);
            return marks.add(new FocusMark(
                    open.shoot().it().rig().lensId(), open.plan().rig().lensFocalMm(), cold, mark, clock.instant()));
        });
        if (!errors.any()) {
            return "redirect:" + open.address("frame") + "#marks";
        }
        response.setStatus(HttpStatus.BAD_REQUEST.value());
        ShootEditing.Result refused = new ShootEditing.Result(errors, Optional.empty());
        model.addAttribute("shoot", desk.page(open, "frame", frame.theme()));
        model.addAttribute("edit", refused);
        model.addAttribute("page", pages.page(open, refused, frame.theme()));
        return "frame/frame";
    }

    @PostMapping("/{mark}/remove")
    String remove(
            @PathVariable long id, @PathVariable(required = false) Optional<Integer> rig, @PathVariable long mark) {
        ShootDesk.Open open = desk.through(id, rig);
        there(marks.remove(mark));
        return "redirect:" + open.address("frame") + "?unmarked=" + mark + "#marks";
    }

    @PostMapping("/{mark}/restore")
    String restore(
            @PathVariable long id, @PathVariable(required = false) Optional<Integer> rig, @PathVariable long mark) {
        ShootDesk.Open open = desk.through(id, rig);
        there(marks.restore(mark));
        return "redirect:" + open.address("frame") + "#marks";
    }

    private static void there(boolean found) {
        if (!found) {
            throw new NotFound("There is no such focus mark any more.");
        }
    }
}
