package org.halfdusk.shoot.trails;

import java.time.Duration;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.halfdusk.ephemeris.Body;
import org.halfdusk.optics.Framing;
import org.halfdusk.optics.Lens;
import org.halfdusk.optics.Rig;
import org.halfdusk.place.Place;
import org.halfdusk.shoot.Packing;
import org.halfdusk.shoot.Plan;
import org.halfdusk.shoot.Site;
import org.halfdusk.shoot.Subject;
import org.halfdusk.shoot.SubjectPlanner;
import org.halfdusk.shoot.SubjectWish;
import org.halfdusk.shoot.Traits;
import org.halfdusk.shoot.WishField;
import org.halfdusk.shoot.Wishes;

/** The planner of star trails. */
public record TrailsPlanner() implements SubjectPlanner<TrailsNight> {
    public static final WishField MINUTES =
            WishField.number("TRAILS_MINUTES", "length of the trails", "min", 1, 960, 120);
    public static final WishField GAP = WishField.number("TRAILS_GAP", "gap between frames", "s", 0, 60, 1);
    public static final WishField MOONLIGHT = WishField.number("TRAILS_MOONLIGHT", "moonlight allowed", "mag", 0, 6, 1);
    public static final WishField CELSIUS =
            WishField.number("TRAILS_CELSIUS", "temperature expected", "°C", -50, 50, 10);

    /** What can be wished of this subject. */
    public static final List<WishField> FIELDS = List.of(MINUTES, GAP, MOONLIGHT, CELSIUS);

    /** What all the rest asks of it. */
    public static final Traits TRAITS = new Traits(
            Traits.Dating.EVERY_NIGHT,
            false,
            true,
            true,
            true,
            Body.GALACTIC_CENTRE,
            Optional.of(CELSIUS),
            Set.of(Packing.Item.LENS_CAP, Packing.Item.PAINTING_LAMP, Packing.Item.CHAIR));

    @Override
    public Subject subject() {
        return Subject.STAR_TRAILS;
    }

    @Override
    public Class<TrailsNight> nightType() {
        return TrailsNight.class;
    }

    @Override
    public TrailsNight night(Site site, LocalDate date, SubjectWish wish) {
        Duration length = Duration.ofSeconds(Math.round(wish.number(MINUTES) * 60));
        return TrailsNight.of(site, date, wish.number(MOONLIGHT), length);
    }

    @Override
    public Plan plan(
            Site site, TrailsNight night, Rig rig, Optional<Framing> framing, Wishes wishes, SubjectWish wish) {
        return TrailsPlan.of(site.place(), night, rig, framing, wishes, wish.number(GAP));
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
