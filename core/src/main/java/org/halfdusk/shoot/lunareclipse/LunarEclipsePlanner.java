package org.halfdusk.shoot.lunareclipse;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.halfdusk.eclipse.LunarEclipse;
import org.halfdusk.ephemeris.Body;
import org.halfdusk.ephemeris.Ephemeris;
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
import org.halfdusk.sky.events.Night;
import org.halfdusk.time.DeltaT;
import org.halfdusk.time.Interval;

/** The planner of lunar eclipses. */
public record LunarEclipsePlanner(Ephemeris ephemeris) implements SubjectPlanner<LunarEclipseNight, LunarEclipseWish> {
    /** Years searched at a time; each has two or three eclipses. */
    private static final int YEARS = 5;

    /** What all the rest asks of it. */
    public static final Traits TRAITS = new Traits(
            Traits.Dating.OF_THE_SKY,
            false,
            false,
            false,
            false,
            Body.MOON,
            Set.of(Packing.Item.TRACKING_MOUNT, Packing.Item.EXACT_CLOCK, Packing.Item.CHAIR));

    @Override
    public Subject subject() {
        return Subject.LUNAR_ECLIPSE;
    }

    @Override
    public WishKind<LunarEclipseWish> wishes() {
        return LunarEclipseWish.KIND;
    }

    @Override
    public Class<LunarEclipseNight> nightType() {
        return LunarEclipseNight.class;
    }

    @Override
    public LunarEclipseNight night(Site site, LocalDate date, LunarEclipseWish wish) {
        return LunarEclipseNight.of(site, date, ephemeris);
    }

    @Override
    public Plan plan(
            Site site,
            LunarEclipseNight night,
            Rig rig,
            Optional<Framing> framing,
            Wishes wishes,
            LunarEclipseWish wish) {
        return LunarEclipsePlan.of(
                site.place(),
                night,
                rig,
                framing,
                wishes,
                wish.danjon(),
                wish.between(),
                wish.changeOverPercent() / 100);
    }

    /** The coming eclipses, those below the horizon left out. */
    @Override
    public List<LocalDate> dates(Site site, LocalDate from, int count) {
        List<LocalDate> dates = new ArrayList<>();
        for (LocalDate start = from;
                dates.size() < count && !start.isAfter(ShootField.LAST_NIGHT);
                start = start.plusYears(YEARS)) {
            Instant a = start.atStartOfDay(ZoneOffset.UTC).toInstant();
            Instant b = start.plusYears(YEARS).atStartOfDay(ZoneOffset.UTC).toInstant();
            for (LunarEclipse e : LunarEclipse.find(ephemeris, DeltaT.model(), Interval.of(a, b))) {
                LocalDate date =
                        Night.dateAt(site.sky(), e.greatest(), site.place().zone());
                if (dates.size() < count
                        && !date.isBefore(from)
                        && !LunarEclipseNight.of(site, date, ephemeris).seen().isEmpty()) {
                    dates.add(date);
                }
            }
        }
        return dates.stream().distinct().toList();
    }

    @Override
    public String title(Place place) {
        return "Lunar eclipse from " + place.shortName();
    }
}
