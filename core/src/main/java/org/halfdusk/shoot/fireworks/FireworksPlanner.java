package org.halfdusk.shoot.fireworks;

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
import org.halfdusk.shoot.choices.Preferences;
import org.halfdusk.shoot.packing.Packing;
import org.halfdusk.shoot.setting.wished.Wishes;

/** The planner of fireworks. */
public record FireworksPlanner() implements SubjectPlanner<FireworksNight, FireworksWish> {
    /** What all the rest asks of it. */
    public static final Traits TRAITS = new Traits(
            Traits.Dating.OF_PEOPLE,
            false,
            true,
            false,
            false,
            Body.MOON,
            Set.of(Packing.Item.EAR_PROTECTION, Packing.Item.CHAIR));

    @Override
    public Subject subject() {
        return Subject.FIREWORKS;
    }

    @Override
    public WishKind<FireworksWish> wishes() {
        return FireworksWish.KIND;
    }

    @Override
    public Class<FireworksNight> nightType() {
        return FireworksNight.class;
    }

    @Override
    public FireworksNight night(Site site, LocalDate date, FireworksWish wish) {
        return FireworksNight.of(site, date, wish.start(), wish.length());
    }

    @Override
    public Plan plan(
            Site site, FireworksNight night, Rig rig, Optional<Framing> framing, Wishes wishes, FireworksWish wish) {
        Optional<Smoke> smoke = site.forecast()
                .flatMap(f -> f.during(night.show()))
                .flatMap(s -> Smoke.of(wish.show().azimuth().degrees(), s));
        return FireworksPlan.of(site.place(), night, rig, framing, wishes, wish.show(), smoke);
    }

    /** A zoom about 35 mm: shells rise higher than one thinks. */
    @Override
    public double unfitness(Lens lens) {
        double reach = Math.abs(Math.log(focalMm(lens) / 35));
        return reach - (lens.zoom() ? 0.2 : 0);
    }

    @Override
    public double focalMm(Lens lens) {
        return Math.max(lens.shortestMm(), Math.min(lens.longestMm(), 35));
    }

    /** Where a place names a site among its objects, the show is there. */
    @Override
    public FireworksWish initialWish(Place place, Preferences preferences) {
        FireworksWish usual = FireworksWish.KIND.usual();
        return place.objects().stream().findFirst().map(usual::over).orElse(usual);
    }

    @Override
    public String title(Place place) {
        return "Fireworks from " + place.shortName();
    }
}
