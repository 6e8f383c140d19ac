package org.halfdusk.shoot.ruler;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.halfdusk.exposure.Setting;
import org.halfdusk.shoot.Plan;
import org.halfdusk.shoot.setting.wished.Wishes;

/** Two of time, aperture and ISO are held, the third follows the light. */
public final class Follow {
    private Follow() {}

    /**
     * Which of them follows: in the order in which a subject spends them the first that is free; of stars only one that the others leave.
     * Nothing where all are held, or where none follows.
     */
    public static Optional<Part> of(Plan plan) {
        Wishes w = plan.fixedNow();
        List<Part> free = Arrays.stream(Part.values()).filter(p -> !p.held(w)).toList();
        return switch (plan.following()) {
            case NONE -> Optional.empty();
            case ISO_FIRST -> free.contains(Part.ISO) || free.size() != 1 ? iso(free) : Optional.of(free.get(0));
            case TIME_FIRST -> free.contains(Part.TIME) ? Optional.of(Part.TIME) : iso(free);
        };
    }

    private static Optional<Part> iso(List<Part> free) {
        return free.contains(Part.ISO) ? Optional.of(Part.ISO) : Optional.empty();
    }

    /**
     * What is fixed when a person sets one of them: it is held, and one of the others follows. Was the third held too, ISO is let go,
     * or time where ISO was set; where nothing else was held beside ISO, the aperture stays as it is, so that the time can follow.
     *
     * @param value seconds, f-number or ISO
     */
    public static Wishes holding(Plan plan, Part part, double value) {
        Setting now = plan.setting();
        Wishes next = part.holding(plan.fixedNow(), OptionalDouble.of(value));
        boolean all = Arrays.stream(Part.values()).allMatch(p -> p.held(next));
        if (all) {
            return (part == Part.ISO ? Part.TIME : Part.ISO).holding(next, OptionalDouble.empty());
        }
        boolean alone = part == Part.ISO && !Part.TIME.held(next) && !Part.APERTURE.held(next);
        return alone && plan.following() == Plan.Following.ISO_FIRST
                ? Part.APERTURE.holding(next, OptionalDouble.of(Part.APERTURE.nominal(now)))
                : next;
    }

    /** Held as it is now, whatever else is: a third one then lets the light fall over or under. */
    public static Wishes heldAsIs(Plan plan, Part part) {
        return part.holding(plan.fixedNow(), OptionalDouble.of(part.nominal(plan.setting())));
    }

    /** Let go: it is computed, or follows. */
    public static Wishes freed(Plan plan, Part part) {
        return part.holding(plan.fixedNow(), OptionalDouble.empty());
    }
}
