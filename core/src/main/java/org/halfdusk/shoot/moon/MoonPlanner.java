package org.halfdusk.shoot.moon;

import java.time.Duration;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.halfdusk.ephemeris.Body;
import org.halfdusk.optics.Framing;
import org.halfdusk.optics.Rig;
import org.halfdusk.place.Place;
import org.halfdusk.shoot.Plan;
import org.halfdusk.shoot.Site;
import org.halfdusk.shoot.Subject;
import org.halfdusk.shoot.SubjectPlanner;
import org.halfdusk.shoot.SubjectWish;
import org.halfdusk.shoot.Traits;
import org.halfdusk.shoot.WishField;
import org.halfdusk.shoot.Wishes;

/** The Moon's planner. */
public record MoonPlanner() implements SubjectPlanner<MoonNight> {
    public static final WishField SUPPORT = WishField.choice(
            "MOON_SUPPORT",
            "camera held by",
            new WishField.Option("TRIPOD", "tripod"),
            new WishField.Option("HAND", "hand"));
    public static final WishField LOWEST = WishField.number("MOON_LOWEST", "moon not under", "°", 0, 60, 0);
    public static final WishField HIGHEST = WishField.number("MOON_HIGHEST", "moon not over", "°", 1, 89, 12);
    public static final WishField MINUTES =
            WishField.number("MOON_MINUTES", "minutes between brackets", "min", 0.2, 60, 2);

    /** What can be wished of this subject. */
    public static final List<WishField> FIELDS = List.of(LOWEST, HIGHEST, SUPPORT, MINUTES);

    /** What all the rest asks of it. */
    public static final Traits TRAITS =
            new Traits(Traits.Dating.EVERY_NIGHT, false, false, false, false, Body.MOON, Optional.empty(), Set.of());

    @Override
    public Subject subject() {
        return Subject.MOON;
    }

    @Override
    public Class<MoonNight> nightType() {
        return MoonNight.class;
    }

    @Override
    public MoonNight night(Site site, LocalDate date, SubjectWish wish) {
        return MoonNight.of(site, date, MoonNight.Band.between(wish.number(LOWEST), wish.number(HIGHEST)));
    }

    @Override
    public Plan plan(Site site, MoonNight night, Rig rig, Optional<Framing> framing, Wishes wishes, SubjectWish wish) {
        return MoonPlan.of(
                site.place(),
                night,
                rig,
                framing,
                wishes,
                Support.valueOf(wish.text(SUPPORT)),
                Duration.ofSeconds(Math.round(wish.number(MINUTES) * 60)));
    }

    @Override
    public String title(Place place) {
        return place.objects().isEmpty() ? "Moon from " + place.foreground() : "Moon behind " + place.foreground();
    }
}
