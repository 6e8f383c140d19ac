package org.halfdusk.shoot.town;

import java.time.LocalDate;
import java.util.Optional;
import java.util.Set;
import org.halfdusk.ephemeris.Body;
import org.halfdusk.optics.Lens;
import org.halfdusk.optics.Rig;
import org.halfdusk.optics.framing.Framing;
import org.halfdusk.place.Place;
import org.halfdusk.shoot.Plan;
import org.halfdusk.shoot.Site;
import org.halfdusk.shoot.Subject;
import org.halfdusk.shoot.SubjectPlanner;
import org.halfdusk.shoot.Traits;
import org.halfdusk.shoot.WishKind;
import org.halfdusk.shoot.packing.Packing;
import org.halfdusk.shoot.setting.wished.Wishes;

/** The planner of towns at night. */
public record TownPlanner() implements SubjectPlanner<TownNight, TownWish> {
    /** What all the rest asks of it. */
    public static final Traits TRAITS =
            new Traits(Traits.Dating.EVERY_NIGHT, false, true, false, false, Body.MOON, Set.of(Packing.Item.LENS_HOOD));

    /** What the eye takes in from across a harbour†, mm. */
    private static final double USUAL_MM = 35;

    @Override
    public Subject subject() {
        return Subject.TOWN;
    }

    @Override
    public WishKind<TownWish> wishes() {
        return TownWish.KIND;
    }

    @Override
    public Class<TownNight> nightType() {
        return TownNight.class;
    }

    @Override
    public TownNight night(Site site, LocalDate date, TownWish wish) {
        return TownNight.of(site, date, wish);
    }

    @Override
    public Plan plan(Site site, TownNight night, Rig rig, Optional<Framing> framing, Wishes wishes, TownWish wish) {
        return TownPlan.of(site.place(), night, rig, framing, wishes, wish);
    }

    @Override
    public double unfitness(Lens lens) {
        return Math.abs(Math.log(focalMm(lens) / USUAL_MM));
    }

    @Override
    public double focalMm(Lens lens) {
        return Math.max(lens.shortestMm(), Math.min(lens.longestMm(), USUAL_MM));
    }

    @Override
    public String title(Place place) {
        return place.shortName() + " at night";
    }
}
