package org.halfdusk.web.shoot.begin;

import java.util.List;
import org.halfdusk.place.Place;
import org.halfdusk.shoot.Subject;
import org.halfdusk.shoot.kept.Kept;
import org.halfdusk.shoot.kept.Shoots;
import org.halfdusk.shoot.planning.Planner;
import org.springframework.stereotype.Component;

/** Where somebody is asked to begin who has not said where: lists of nights and new shoots begin at the same place. */
@Component
public record UsualPlace(Planner planner, Shoots shoots) {
    /**
     * Where they settled to go, or last planned the subject, or the first of the list before any shoot of it.
     *
     * @param all places, one and more
     */
    public Kept<Place> of(Subject subject, List<Kept<Place>> all) {
        return planner.usualPlace()
                .or(() -> shoots.lastPlace(subject)
                        .flatMap(id -> all.stream().filter(p -> p.id() == id).findFirst()))
                .orElse(all.get(0));
    }
}
