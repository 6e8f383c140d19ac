package org.halfdusk.shoot.moon;

import java.time.LocalDate;
import java.util.Optional;
import java.util.Set;
import org.halfdusk.ephemeris.Body;
import org.halfdusk.optics.Rig;
import org.halfdusk.optics.framing.Framing;
import org.halfdusk.place.Place;
import org.halfdusk.shoot.Plan;
import org.halfdusk.shoot.Site;
import org.halfdusk.shoot.Subject;
import org.halfdusk.shoot.SubjectPlanner;
import org.halfdusk.shoot.Traits;
import org.halfdusk.shoot.WishKind;
import org.halfdusk.shoot.setting.wished.Wishes;

/** The Moon's planner. */
public record MoonPlanner() implements SubjectPlanner<MoonNight, MoonWish> {
    /** What all the rest asks of it. */
    public static final Traits TRAITS =
            new Traits(Traits.Dating.EVERY_NIGHT, false, false, false, false, Body.MOON, Set.of());

    @Override
    public Subject subject() {
        return Subject.MOON;
    }

    @Override
    public WishKind<MoonWish> wishes() {
        return MoonWish.KIND;
    }

    @Override
    public Class<MoonNight> nightType() {
        return MoonNight.class;
    }

    @Override
    public MoonNight night(Site site, LocalDate date, MoonWish wish) {
        return MoonNight.of(
                site, date, MoonNight.Band.between(wish.lowestDegrees(), wish.highestDegrees()), wish.picture());
    }

    @Override
    public Plan plan(Site site, MoonNight night, Rig rig, Optional<Framing> framing, Wishes wishes, MoonWish wish) {
        return MoonPlan.of(site.place(), night, rig, framing, wishes, wish.support(), wish.between());
    }

    @Override
    public String title(Place place) {
        return place.objects().isEmpty() ? "Moon from " + place.foreground() : "Moon behind " + place.foreground();
    }
}
