package org.halfdusk.shoot;

import java.util.Set;
import org.halfdusk.ephemeris.Body;
import org.halfdusk.shoot.packing.Packing;

/**
 * What all the rest asks of a subject; each answers for itself, in its planner.
 *
 * @param dating which nights can be its own
 * @param byDay whether it is photographed in daylight
 * @param wide whether it fills the frame with sky; the others want the longest lens
 * @param stars whether stars are exposed for: then ground, trails and light of the sky are shown
 * @param replaceable whether a person's blocks take the place of the computed ones; where these follow from the sky's own times
 *     they stay, and a person's come beside them
 * @param body that stands over an object when it stands well
 * @param needs what is packed for it beside the kit
 */
public record Traits(
        Dating dating,
        boolean byDay,
        boolean wide,
        boolean stars,
        boolean replaceable,
        Body body,
        Set<Packing.Item> needs) {
    /** Which nights can be a subject's own. */
    public enum Dating {
        EVERY_NIGHT,
        /** Only those on which the sky has it. */
        OF_THE_SKY,
        /** Only those that a person knows of. */
        OF_PEOPLE
    }

    public Traits {
        needs = Set.copyOf(needs);
    }

    /** By the subject's name, for who has no planner at hand. */
    public static Traits of(Subject subject) {
        return SubjectPlanner.traits(subject);
    }
}
