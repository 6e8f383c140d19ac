package org.halfdusk.shoot.solareclipse;

import java.time.Duration;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.halfdusk.eclipse.FilterGuard;
import org.halfdusk.eclipse.SolarEclipse;
import org.halfdusk.ephemeris.Body;
import org.halfdusk.optics.Framing;
import org.halfdusk.optics.Rig;
import org.halfdusk.place.Place;
import org.halfdusk.shoot.Packing;
import org.halfdusk.shoot.Plan;
import org.halfdusk.shoot.ShootField;
import org.halfdusk.shoot.Site;
import org.halfdusk.shoot.Subject;
import org.halfdusk.shoot.SubjectPlanner;
import org.halfdusk.shoot.SubjectWish;
import org.halfdusk.shoot.Traits;
import org.halfdusk.shoot.WishField;
import org.halfdusk.shoot.Wishes;
import org.halfdusk.time.Interval;

/** The planner of solar eclipses. */
public record SolarEclipsePlanner() implements SubjectPlanner<SolarEclipseDay> {
    public static final WishField FILTER = WishField.choice(
            "SOLAR_FILTER",
            "solar filter",
            new WishField.Option("ND5", "density 5.0, for the lens (eyes: ISO 12312-2)"),
            new WishField.Option("ND4", "density 4.0, for the lens only, never for eyes"));
    public static final WishField MINUTES =
            WishField.number("SOLAR_MINUTES", "minutes between partial frames", "min", 0.5, 30, 5);

    /** How long the filter stays on beyond what the guard needs; only ever more. */
    public static final WishField MARGIN = WishField.number(
            "SOLAR_MARGIN",
            "filter on after second and before third contact",
            "s",
            FilterGuard.LEAST_MARGIN_SECONDS,
            FilterGuard.MOST_MARGIN_SECONDS,
            FilterGuard.LEAST_MARGIN_SECONDS);

    /** What can be wished of this subject. */
    public static final List<WishField> FIELDS = List.of(FILTER, MARGIN, MINUTES);

    /** Years searched at a time; a place sees about two eclipses in five years. */
    private static final int YEARS = 10;

    /** What all the rest asks of it. */
    public static final Traits TRAITS = new Traits(
            Traits.Dating.OF_THE_SKY,
            true,
            false,
            false,
            false,
            Body.SUN,
            Optional.empty(),
            Set.of(
                    Packing.Item.TRACKING_MOUNT,
                    Packing.Item.SOLAR_FILTER,
                    Packing.Item.EXACT_CLOCK,
                    Packing.Item.ECLIPSE_GLASSES,
                    Packing.Item.CHAIR));

    @Override
    public Subject subject() {
        return Subject.SOLAR_ECLIPSE;
    }

    @Override
    public Class<SolarEclipseDay> nightType() {
        return SolarEclipseDay.class;
    }

    @Override
    public SolarEclipseDay night(Site site, LocalDate date, SubjectWish wish) {
        return SolarEclipseDay.of(site, date, wish.number(MARGIN));
    }

    @Override
    public Plan plan(
            Site site, SolarEclipseDay day, Rig rig, Optional<Framing> framing, Wishes wishes, SubjectWish wish) {
        return SolarEclipsePlan.of(
                site.place(),
                day,
                rig,
                framing,
                wishes,
                SolarEclipsePlan.Filter.valueOf(wish.text(FILTER)),
                Duration.ofSeconds(Math.round(wish.number(MINUTES) * 60)));
    }

    /** The coming eclipses that this place sees. */
    @Override
    public List<LocalDate> dates(Site site, LocalDate from, int count) {
        List<LocalDate> dates = new ArrayList<>();
        for (LocalDate start = from;
                dates.size() < count && !start.isAfter(ShootField.LAST_NIGHT);
                start = start.plusYears(YEARS)) {
            Interval years = Interval.of(
                    start.atStartOfDay(site.place().zone()).toInstant(),
                    start.plusYears(YEARS).atStartOfDay(site.place().zone()).toInstant());
            for (SolarEclipse e : SolarEclipse.find(site.sky(), years)) {
                if (dates.size() < count && e.visible()) {
                    dates.add(LocalDate.ofInstant(e.maximum(), site.place().zone()));
                }
            }
        }
        return dates;
    }

    @Override
    public String title(Place place) {
        return "Solar eclipse from " + place.shortName();
    }
}
