package org.halfdusk.web.expose;

import java.util.Optional;
import org.halfdusk.shoot.Plan;
import org.halfdusk.shoot.Shoots;
import org.halfdusk.shoot.Symptom;
import org.halfdusk.web.door.NotFound;
import org.halfdusk.web.layout.Words;
import org.halfdusk.web.shoot.ShootDesk;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;

/** The dialogue about a test frame: one thing seen, one thing to change. */
@Controller
class TestFrameController {
    private final ShootDesk desk;
    private final Shoots shoots;

    TestFrameController(ShootDesk desk, Shoots shoots) {
        this.desk = desk;
        this.shoots = shoots;
    }

    /**
     * What to do about what was seen.
     *
     * @param field and value: what a button sets; empty where no setting helps
     */
    record Advice(String heading, String reason, String field, String value, String was, String label, String action) {}

    @GetMapping({"/shoots/{id}/expose/seen/{symptom}", "/shoots/{id}/rig{rig:\\d{1,3}}/expose/seen/{symptom}"})
    String advice(
            @PathVariable long id,
            @PathVariable(required = false) Optional<Integer> rig,
            @PathVariable String symptom,
            Model model) {
        int number = ShootDesk.rigNumber(rig);
        ShootDesk.Open open = desk.open(id, number, Optional.empty());
        model.addAttribute("advice", advice(open, symptom(symptom), number));
        return "expose/parts :: advice(a=${advice})";
    }

    private static Symptom symptom(String name) {
        for (Symptom s : Symptom.values()) {
            if (s.name().equals(name)) {
                return s;
            }
        }
        throw new NotFound("There is no advice about “" + name + "”.");
    }

    private Advice advice(ShootDesk.Open open, Symptom seen, int rig) {
        Plan plan = open.plan();
        Symptom.Remedy r = seen.remedy(plan.rig(), plan.setting(), plan.trails());
        Optional<Symptom.Change<?>> c = r.change();
        return new Advice(
                heading(seen, r),
                reason(seen, r),
                c.map(f -> f.field().name()).orElse(""),
                c.map(Symptom.Change::text).orElse(""),
                c.map(f -> f.field().text(open.shoot().it())).orElse(""),
                label(r),
                open.address("expose"));
    }

    private static String label(Symptom.Remedy r) {
        return r.change().map(Symptom.Change::label).orElse("");
    }

    private static String heading(Symptom seen, Symptom.Remedy r) {
        if (seen == Symptom.SOFT) {
            return "Go through the causes in this order";
        }
        return r.change().isEmpty() ? "No setting is left for that" : "Set " + label(r);
    }

    private static String reason(Symptom seen, Symptom.Remedy r) {
        boolean nothing = r.change().isEmpty();
        return switch (seen) {
            case LEFT_EDGE ->
                nothing
                        ? "The camera's highest ISO is in use. Give more time and accept longer trails, or take a wider lens."
                        : "Dark tones that touch the left edge drown in read noise and cannot be lifted later. A stop of ISO moves "
                                + "them off it and costs neither time nor sharpness. Nothing else changes.";
            case CLIPPED ->
                nothing
                        ? "The camera's lowest ISO is in use. Shorten the time, or stop down."
                        : "What clips has lost its colour for good. A stop less ISO brings it back; the sky is lifted later from raw.";
            case DASHES ->
                "That is the aperture and pixel rule's pinpoint, or a third less than now: stars then trail "
                        + Words.tenths(r.trailPx()) + " px in the middle. It costs " + Words.stops(r.stops())
                        + " of light: raise ISO afterwards, not at the same time.";
            case WINGS ->
                nothing
                        ? "The lens is at its sharpest already. Keep what matters out of the corners, or crop them."
                        : "Wings in the corners are the lens wide open. At this aperture it is at its best; it costs "
                                + Words.stops(r.stops()) + " of light.";
            case SOFT ->
                "1 Too wide an aperture: only a sliver is sharp; stop down. 2 Too slow a shutter: stars trail, or the tripod "
                        + "shakes; shorten, use the remote, hang the bag on it. 3 Noise, or a dark frame lifted, which looks like "
                        + "softness; expose more. 4 Focus mode was not manual. 5 The camera chose another focus point; magnify a "
                        + "star and turn the ring. 6 Last and least, a lens out of calibration: it errs one way always.";
        };
    }
}
