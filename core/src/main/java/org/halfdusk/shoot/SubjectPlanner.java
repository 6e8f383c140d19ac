package org.halfdusk.shoot;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.halfdusk.ephemeris.Ephemeris;
import org.halfdusk.optics.Lens;
import org.halfdusk.optics.Rig;
import org.halfdusk.optics.framing.Framing;
import org.halfdusk.place.Place;
import org.halfdusk.shoot.choices.Preferences;
import org.halfdusk.shoot.fireworks.FireworksPlanner;
import org.halfdusk.shoot.fireworks.FireworksWish;
import org.halfdusk.shoot.lunareclipse.LunarEclipsePlanner;
import org.halfdusk.shoot.lunareclipse.LunarEclipseWish;
import org.halfdusk.shoot.milkyway.MilkyWayPlanner;
import org.halfdusk.shoot.milkyway.MilkyWayWish;
import org.halfdusk.shoot.moon.MoonPlanner;
import org.halfdusk.shoot.moon.MoonWish;
import org.halfdusk.shoot.setting.wished.Wishes;
import org.halfdusk.shoot.solareclipse.SolarEclipsePlanner;
import org.halfdusk.shoot.solareclipse.SolarEclipseWish;
import org.halfdusk.shoot.town.TownPlanner;
import org.halfdusk.shoot.town.TownWish;
import org.halfdusk.shoot.trails.TrailsPlanner;
import org.halfdusk.shoot.trails.TrailsWish;

/**
 * How one subject is planned; all have one shape: wish → windows → exposure → frames, each with its reasons.
 *
 * @param <N> what a night offers to the subject
 * @param <W> what can be wished of it
 */
public sealed interface SubjectPlanner<N extends SubjectNight, W extends Wish>
        permits MilkyWayPlanner,
                TrailsPlanner,
                MoonPlanner,
                LunarEclipsePlanner,
                SolarEclipsePlanner,
                FireworksPlanner,
                TownPlanner {
    /** One for each subject. */
    static List<SubjectPlanner<?, ?>> all(Ephemeris ephemeris) {
        return List.of(
                new MilkyWayPlanner(),
                new TrailsPlanner(),
                new MoonPlanner(),
                new LunarEclipsePlanner(ephemeris),
                new SolarEclipsePlanner(),
                new FireworksPlanner(),
                new TownPlanner());
    }

    Subject subject();

    Class<N> nightType();

    /** What a person can wish of this subject, beside the exposure. */
    WishKind<W> wishes();

    /** The same by the subject's name, for who reads what was kept or brought in. */
    static WishKind<?> wishes(Subject subject) {
        return switch (subject) {
            case MILKY_WAY -> MilkyWayWish.KIND;
            case STAR_TRAILS -> TrailsWish.KIND;
            case MOON -> MoonWish.KIND;
            case LUNAR_ECLIPSE -> LunarEclipseWish.KIND;
            case SOLAR_ECLIPSE -> SolarEclipseWish.KIND;
            case FIREWORKS -> FireworksWish.KIND;
            case TOWN -> TownWish.KIND;
        };
    }

    /** What all the rest asks of it. */
    default Traits traits() {
        return traits(subject());
    }

    /** The same by the subject's name. */
    static Traits traits(Subject subject) {
        return switch (subject) {
            case MILKY_WAY -> MilkyWayPlanner.TRAITS;
            case STAR_TRAILS -> TrailsPlanner.TRAITS;
            case MOON -> MoonPlanner.TRAITS;
            case LUNAR_ECLIPSE -> LunarEclipsePlanner.TRAITS;
            case SOLAR_ECLIPSE -> SolarEclipsePlanner.TRAITS;
            case FIREWORKS -> FireworksPlanner.TRAITS;
            case TOWN -> TownPlanner.TRAITS;
        };
    }

    /** What the night of a date offers. */
    N night(Site site, LocalDate date, W wish);

    /** The same where nothing is wished. */
    default N usualNight(Site site, LocalDate date) {
        return night(site, date, wishes().usual());
    }

    Plan plan(Site site, N night, Rig rig, Optional<Framing> framing, Wishes wishes, W wish);

    /** Dates worth a look from one on, in order: every night, or those on which something happens. */
    default List<LocalDate> dates(Site site, LocalDate from, int count) {
        return Stream.iterate(from, d -> d.plusDays(1)).limit(count).toList();
    }

    /** How unfit a lens is; the least is suggested: the longest, unless the subject wants another. */
    default double unfitness(Lens lens) {
        return -lens.longestMm();
    }

    /** The focal length to begin with on a lens. */
    default double focalMm(Lens lens) {
        return lens.longestMm();
    }

    /** The wishes that a new shoot at a place begins with, by what the person has settled. */
    default W initialWish(Place place, Preferences preferences) {
        return wishes().usual();
    }

    /** What a new shoot is called. */
    String title(Place place);
}
