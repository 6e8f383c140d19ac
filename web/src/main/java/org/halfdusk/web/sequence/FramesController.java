package org.halfdusk.web.sequence;

import java.util.Optional;
import org.halfdusk.sequence.BlockSpec;
import org.halfdusk.shoot.programme.Programme;
import org.halfdusk.typed.Range;
import org.halfdusk.typed.TypedNumber;
import org.halfdusk.web.door.refusal.NotFound;
import org.halfdusk.web.sequence.block.FrameRows;
import org.halfdusk.web.shoot.ShootDesk;
import org.halfdusk.web.subject.words.BlockWords;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;

/** All frames of one block, page by page. */
@Controller
class FramesController {
    private static final Range FROM = Range.of("first frame", 1, BlockSpec.MOST_FRAMES);

    private final ShootDesk desk;

    FramesController(ShootDesk desk) {
        this.desk = desk;
    }

    @GetMapping({"/shoots/{id}/sequence/frames", "/shoots/{id}/rig{rig:\\d{1,3}}/sequence/frames"})
    String frames(
            @PathVariable long id,
            @PathVariable(required = false) Optional<Integer> rig,
            @RequestParam(defaultValue = "") String block,
            @RequestParam(defaultValue = "1") String from,
            Model model) {
        ShootDesk.Open open = desk.through(id, rig);
        Programme.Planned planned = open.programme().planned().stream()
                .filter(p -> p.id().equals(block) && !p.block().frames().isEmpty())
                .findFirst()
                .orElseThrow(() -> new NotFound("block “" + TypedNumber.shown(block)
                        + "” with frames is not there any more; allowed are those that the Sequence step lists"));
        model.addAttribute("title", open.shoot().it().title());
        model.addAttribute("name", BlockWords.name(planned.block().kind()));
        model.addAttribute("settings", BlockWords.settings(planned.block().frames()));
        model.addAttribute("block", block);
        model.addAttribute(
                "rows",
                FrameRows.of(
                        planned.block(),
                        open,
                        open.simulated().droppedAt(),
                        i -> Programme.overLimit(
                                planned.block(), planned.block().frames().get(i), open.plan()),
                        FROM.whole(from)));
        model.addAttribute("ring", !open.plan().rig().lens().electronicAperture());
        model.addAttribute("back", open.address("sequence"));
        return "sequence/frames";
    }
}
