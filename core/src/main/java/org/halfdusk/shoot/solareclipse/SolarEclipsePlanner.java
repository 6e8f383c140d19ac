package org.halfdusk.shoot.solareclipse;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.halfdusk.eclipse.SolarEclipse;
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
import org.halfdusk.shoot.choices.ShootField;
import org.halfdusk.shoot.packing.Packing;
import org.halfdusk.shoot.setting.wished.Wishes;
import org.halfdusk.time.Interval;

/** The planner of solar eclipses. */
public record SolarEclipsePlanner() implements SubjectPlanner<SolarEclipseDay, SolarEclipseWish> {
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
    public WishKind<SolarEclipseWish> wishes() {
        return SolarEclipseWish.KIND;
    }

    @Override
    public Class<SolarEclipseDay> nightType() {
        return SolarEclipseDay.class;
    }

    @Override
    public SolarEclipseDay night(Site site, LocalDate date, SolarEclipseWish wish) {
        return SolarEclipseDay.of(site, date, wish.marginSeconds());
    }

    @Override
    public Plan plan(
            Site site, SolarEclipseDay day, Rig rig, Optional<Framing> framing, Wishes wishes, SolarEclipseWish wish) {
        return SolarEclipsePlan.of(site.place(), day, rig, framing, wishes, wish.filter(), wish.between());
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
