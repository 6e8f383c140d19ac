package org.halfdusk.web.sequence;

import java.time.Duration;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import org.halfdusk.shoot.Plan;
import org.halfdusk.shoot.choices.Shoot;
import org.halfdusk.shoot.programme.Programme;
import org.halfdusk.shoot.programme.check.Handover;
import org.halfdusk.shoot.programme.check.Refocus;
import org.halfdusk.web.layout.words.Times;
import org.halfdusk.web.layout.words.Words;
import org.halfdusk.web.shoot.ShootDesk;

/**
 * That a lens has to be focused anew: it has cooled, or the camera comes from another aim of the night.
 *
 * @param at where a pause for it is laid
 */
public record FocusAnew(String words, String at) {
    /** Over the whole of a rig's programme. @param rigs all of the shoot, this one among them */
    public static List<FocusAnew> of(ShootDesk.Open open, List<ShootDesk.Open> rigs) {
        List<FocusAnew> all = new ArrayList<>(cooled(open));
        ZoneId zone = open.plan().place().zone();
        for (ShootDesk.Open other : sameKit(open, rigs)) {
            if (Programme.overlap(open.blocks(), other.blocks()).isEmpty()) {
                Handover.of(open.blocks(), other.blocks())
                        .forEach(h -> all.add(new FocusAnew(
                                words(h, open.plan(), other, zone), h.pause().toString())));
            }
        }
        return all;
    }

    /** One camera cannot look two ways at once: where the same kit is planned twice at a time. */
    static List<String> clashes(ShootDesk.Open open, List<ShootDesk.Open> rigs) {
        ZoneId zone = open.plan().place().zone();
        return sameKit(open, rigs).stream()
                .flatMap(r -> Programme.overlap(open.blocks(), r.blocks()).stream()
                        .map(i -> "The same camera and lens are planned as rig " + (r.rig() + 1) + " from "
                                + Times.span(i, zone) + ": move one of the two."))
                .toList();
    }

    private static List<FocusAnew> cooled(ShootDesk.Open open) {
        ZoneId zone = open.plan().place().zone();
        return open.forecast().map(f -> Refocus.of(open.blocks(), f)).orElseGet(List::of).stream()
                .map(r -> new FocusAnew(
                        "By " + Times.clock(r.at(), zone) + " the air has "
                                + (r.by() < 0 ? "cooled" : "warmed") + " by "
                                + Words.degreesWarmer(Math.abs(r.by())) + ", to " + Words.celsius(r.celsius())
                                + ": glass has moved, focus anew.",
                        r.at().toString()))
                .toList();
    }

    /** The other aims of the same camera and lens. */
    private static List<ShootDesk.Open> sameKit(ShootDesk.Open open, List<ShootDesk.Open> rigs) {
        Shoot.ShootRig own = open.shoot().it().rig();
        return rigs.stream()
                .filter(r -> r.rig() != open.rig())
                .filter(r -> same(own, r.shoot().it().rig()))
                .toList();
    }

    private static boolean same(Shoot.ShootRig a, Shoot.ShootRig b) {
        return a.cameraId() == b.cameraId()
                && a.lensId() == b.lensId()
                && a.converterId().equals(b.converterId());
    }

    private static String words(Handover h, Plan plan, ShootDesk.Open other, ZoneId zone) {
        double was = other.plan().rig().lensFocalMm();
        double is = plan.rig().lensFocalMm();
        String zoom = was == is ? "" : ", zoom from " + Words.plain(was) + " to " + Words.plain(is) + " mm";
        return "Before " + Times.clock(h.at(), zone) + " this camera comes from rig " + (other.rig() + 1)
                + ": turn it to "
                + Words.azimuth(plan.framing().azimuth().degrees()) + ", "
                + Words.degrees(plan.framing().altitude().degrees()) + " up" + zoom
                + (zoom.isEmpty() ? "; see that its focus stayed" : ", and focus anew") + ". "
                + Times.minutes(Duration.between(h.since(), h.at())) + " are left for it"
                + (h.hurried() ? ": too few, start this block later." : ".");
    }
}
