package org.halfdusk.shoot.noctilucent;

import java.time.LocalDate;
import java.util.Optional;
import java.util.Set;
import org.halfdusk.ephemeris.Body;
import org.halfdusk.optics.framing.Framing;
import org.halfdusk.optics.Rig;
import org.halfdusk.place.Place;
import org.halfdusk.shoot.Plan;
import org.halfdusk.shoot.Site;
import org.halfdusk.shoot.Subject;
import org.halfdusk.shoot.SubjectPlanner;
import org.halfdusk.shoot.Traits;
import org.halfdusk.shoot.WishKind;
import org.halfdusk.shoot.setting.wished.Wishes;

/** The planner of noctilucent clouds. */
public record NoctilucentPlanner() implements SubjectPlanner<NoctilucentNight, NoctilucentWish> {
    public static final Traits TRAITS =
            new Traits(Traits.Dating.EVERY_NIGHT, false, true, false, true, Body.SUN, Set.of());

    @Override
    public Subject subject() {
        return Subject.NOCTILUCENT;
    }

    @Override
    public WishKind<NoctilucentWish> wishes() {
        return NoctilucentWish.KIND;
    }

    @Override
    public Class<NoctilucentNight> nightType() {
        return NoctilucentNight.class;
    }

    @Override
    public NoctilucentNight night(Site site, LocalDate date, NoctilucentWish wish) {
        return NoctilucentNight.of(site, date);
    }

    @Override
    public Plan plan(
            Site site, NoctilucentNight night, Rig rig, Optional<Framing> framing, Wishes wishes, NoctilucentWish wish) {
        return NoctilucentPlan.of(site.place(), night, rig, framing, wishes, wish.seconds());
    }

    @Override
    public String title(Place place) {
        return "Clouds of the high summer from " + place.shortName();
    }
}
