package org.halfdusk.web.shoot;

import java.util.List;
import java.util.Optional;
import org.halfdusk.place.Place;
import org.halfdusk.shoot.Kept;
import org.halfdusk.shoot.Places;
import org.halfdusk.shoot.Planner;
import org.halfdusk.shoot.Shoots;
import org.halfdusk.shoot.Subject;
import org.springframework.stereotype.Component;

/** Where somebody is asked to begin who has not said where: lists of nights and new shoots begin at the same place. */
@Component
public record UsualPlace(Planner planner, Shoots shoots, Places places) {
    /** Where they settled to go, or last planned the subject, or the first of the list before any shoot of it; none without places. */
    public Optional<Kept<Place>> of(Subject subject) {
        List<Kept<Place>> all = places.list();
        return planner.usualPlace()
                .or(() -> shoots.lastPlace(subject)
                        .flatMap(id -> all.stream().filter(p -> p.id() == id).findFirst()))
                .or(() -> all.stream().findFirst());
    }
}
