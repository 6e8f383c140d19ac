package org.halfdusk.shoot.trails;

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

/** The planner of star trails. */
public record TrailsPlanner() implements SubjectPlanner<TrailsNight, TrailsWish> {
    /** What all the rest asks of it. */
    public static final Traits TRAITS = new Traits(
            Traits.Dating.EVERY_NIGHT,
            false,
            true,
            true,
            true,
            Body.GALACTIC_CENTRE,
            Set.of(Packing.Item.LENS_CAP, Packing.Item.PAINTING_LAMP, Packing.Item.CHAIR));

    @Override
    public Subject subject() {
        return Subject.STAR_TRAILS;
    }

    @Override
    public WishKind<TrailsWish> wishes() {
        return TrailsWish.KIND;
    }

    @Override
    public Class<TrailsNight> nightType() {
        return TrailsNight.class;
    }

    @Override
    public TrailsNight night(Site site, LocalDate date, TrailsWish wish) {
        return TrailsNight.of(site, date, wish.moonlightMagnitudes(), wish.length());
    }

    @Override
    public Plan plan(Site site, TrailsNight night, Rig rig, Optional<Framing> framing, Wishes wishes, TrailsWish wish) {
        return TrailsPlan.of(site.place(), night, rig, framing, wishes, wish.gapSeconds());
    }

    /** As wide as can be: the pole and the ground together. */
    @Override
    public double unfitness(Lens lens) {
        return lens.shortestMm();
    }

    @Override
    public double focalMm(Lens lens) {
        return Math.max(lens.shortestMm(), Math.min(lens.longestMm(), 15));
    }

    @Override
    public String title(Place place) {
        return "Wheel over " + place.foreground();
    }
}
