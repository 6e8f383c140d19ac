package org.halfdusk.shoot.milkyway;

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

/** The Milky Way's planner. */
public record MilkyWayPlanner() implements SubjectPlanner<MilkyWayNight, MilkyWayWish> {
    /** What all the rest asks of it. */
    public static final Traits TRAITS = new Traits(
            Traits.Dating.EVERY_NIGHT,
            false,
            true,
            true,
            true,
            Body.GALACTIC_CENTRE,
            Set.of(Packing.Item.LENS_CAP, Packing.Item.PAINTING_LAMP));

    @Override
    public Subject subject() {
        return Subject.MILKY_WAY;
    }

    @Override
    public WishKind<MilkyWayWish> wishes() {
        return MilkyWayWish.KIND;
    }

    @Override
    public Class<MilkyWayNight> nightType() {
        return MilkyWayNight.class;
    }

    @Override
    public MilkyWayNight night(Site site, LocalDate date, MilkyWayWish wish) {
        return MilkyWayNight.of(
                site.light(), date, site.place().zone(), wish, site.place().skyline());
    }

    @Override
    public Plan plan(
            Site site, MilkyWayNight night, Rig rig, Optional<Framing> framing, Wishes wishes, MilkyWayWish wish) {
        return MilkyWayPlan.of(site.place(), night, rig, framing, wishes);
    }

    /** Night skies want short and fast: focal length times f-number. */
    @Override
    public double unfitness(Lens lens) {
        return lens.shortestMm() * lens.widestAtShortest();
    }

    @Override
    public double focalMm(Lens lens) {
        return lens.shortestMm();
    }

    @Override
    public MilkyWayWish initialWish(Place place, Preferences preferences) {
        double lowest = preferences.lowestCoreDegrees();
        return MilkyWayWish.of(coreClimbs(place, lowest) ? Body.GALACTIC_CENTRE : Body.CYGNUS, lowest);
    }

    @Override
    public String title(Place place) {
        return (coreClimbs(place, MilkyWayNight.DEFAULT_LOWEST_CORE_DEGREES) ? "Core over " : "Milky Way over ")
                + place.foreground();
    }

    /** Declination of the galactic centre; precession moves it by a tenth of a degree in thirty years. */
    private static final double CORE_DECLINATION_DEGREES = -29.0;

    /** So much higher than wished it must culminate to stay there for an hour and more†, degrees. */
    private static final double CLEAR_DEGREES = 2;

    /** Whether the core ever stands a while above an altitude at a place: north of 49° it does not above 10°. */
    private static boolean coreClimbs(Place place, double lowestDegrees) {
        double culminates = 90 - Math.abs(place.observer().latitudeDegrees() - CORE_DECLINATION_DEGREES);
        return culminates >= lowestDegrees + CLEAR_DEGREES;
    }
}
