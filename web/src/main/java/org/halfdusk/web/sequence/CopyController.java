package org.halfdusk.web.sequence;

import java.util.List;
import java.util.Optional;
import org.halfdusk.shoot.Plan;
import org.halfdusk.shoot.choices.RigChoices;
import org.halfdusk.shoot.choices.Shoot;
import org.halfdusk.shoot.choices.ShootField;
import org.halfdusk.shoot.kept.Shoots;
import org.halfdusk.shoot.programme.Laying;
import org.halfdusk.shoot.programme.Programme;
import org.halfdusk.typed.Range;
import org.halfdusk.web.shoot.ShootDesk;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Lays a rig's blocks on another rig of the same shoot: the same times, set as that rig's plan gives. */
@Controller
class CopyController {
    /** Of a rig as addresses count it. */
    private static final int LAST_NUMBER = 999;

    private final ShootDesk desk;
    private final Shoots shoots;

    CopyController(ShootDesk desk, Shoots shoots) {
        this.desk = desk;
        this.shoots = shoots;
    }

    @PostMapping({"/shoots/{id}/sequence/copy", "/shoots/{id}/rig{rig:\\d{1,3}}/sequence/copy"})
    String copy(
            @PathVariable long id,
            @PathVariable(required = false) Optional<Integer> rig,
            @RequestParam(defaultValue = "") String to) {
        int other = ShootDesk.rigNumber(
                Optional.of(Range.of("rig to copy to", 1, LAST_NUMBER).whole(to)));
        ShootDesk.Open from = desk.through(id, rig);
        ShootDesk.Open onto = desk.open(id, other, Optional.empty());
        RigChoices choices = from.shoot().it().rig().choices();
        Shoots.Outcome outcome = shoots.change(id, other, edits(from.plan(), choices, onto));
        if (!(outcome instanceof Shoots.Outcome.Saved)) {
            throw new IllegalArgumentException("the blocks of rig " + to
                    + " were changed at the same moment, so nothing was copied; allowed is to press it again");
        }
        return "redirect:" + onto.address("sequence");
    }

    /** Laid blocks go over set for the other rig; what is fixed of a script goes as it is. */
    private static List<Shoots.Edit<?>> edits(Plan plan, RigChoices choices, ShootDesk.Open onto) {
        Shoot theirs = onto.shoot().it();
        Laying copied = Programme.copied(plan, choices, onto.plan());
        return List.of(
                Shoots.Edit.of(theirs, ShootField.BLOCKS, copied.blocks()),
                Shoots.Edit.of(theirs, ShootField.PHASES, choices.script().phases()),
                Shoots.Edit.of(theirs, ShootField.ROWS, choices.script().rows()));
    }
}
