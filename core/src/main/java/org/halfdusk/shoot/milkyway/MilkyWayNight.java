package org.halfdusk.shoot.milkyway;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.halfdusk.ephemeris.Body;
import org.halfdusk.light.DarkSite;
import org.halfdusk.light.LightWindows;
import org.halfdusk.light.MilkyWay;
import org.halfdusk.light.SkyLight;
import org.halfdusk.photometry.SkyBrightness;
import org.halfdusk.place.Skyline;
import org.halfdusk.shoot.AfterDark;
import org.halfdusk.shoot.NightScore;
import org.halfdusk.sky.Darkness;
import org.halfdusk.sky.HorizontalPosition;
import org.halfdusk.sky.Night;
import org.halfdusk.sky.Sky;
import org.halfdusk.sky.Windows;
import org.halfdusk.time.Interval;
import org.halfdusk.time.Moment;

/**
 * What one night offers to a photographer of the Milky Way: dark, moonless, core above a wished altitude.
 *
 * @param light the sky's own brightness over this place
 * @param windows usable spans in order
 * @param best the core at its highest in the main window; without one, the best that the night has
 */
public record MilkyWayNight(
        Night night,
        SkyLight light,
        Skyline skyline,
        double lowestCoreDegrees,
        List<Interval> coreUp,
        List<Interval> windows,
        Night.Sighting best,
        NightScore score)
        implements AfterDark {
    /** A fifth of a magnitude is hardly seen and a fifth of a stop. */
    public static final double NEARLY_DARKEST_MAGNITUDES = 0.2;

    /** Under this the air dims and reddens the core too much for most pictures. */
    public static final double DEFAULT_LOWEST_CORE_DEGREES = 10;

    /** The core moves a quarter of a degree in a minute at the most: an edge nearer than this is the wish's own. */
    private static final double AT_WISHED_DEGREES = 0.05;

    /** Over a flat horizon. */
    public static MilkyWayNight of(Sky sky, DarkSite site, LocalDate date, ZoneId zone, double lowestCoreDegrees) {
        return of(sky, site, date, zone, lowestCoreDegrees, Skyline.FLAT);
    }

    public static MilkyWayNight of(
            Sky sky, DarkSite site, LocalDate date, ZoneId zone, double lowestCoreDegrees, Skyline skyline) {
        Night night = Night.of(sky, date, zone);
        List<Interval> coreUp = Interval.intersect(
                night.above(Body.GALACTIC_CENTRE, lowestCoreDegrees),
                Windows.of(sky, night.interval()).over(Body.GALACTIC_CENTRE, skyline));
        List<Interval> moonless = night.moonlessDark();
        List<Interval> windows = Interval.intersect(moonless, coreUp);
        Optional<Interval> main = windows.stream().max(Comparator.comparing(Interval::duration));
        Night.Sighting best = night.highest(Body.GALACTIC_CENTRE, main.orElseGet(() -> leastBad(night)));
        double darkHours = Interval.hours(night.dark());
        NightScore score = NightScore.of(
                Interval.hours(windows),
                best.position().altitude().degrees(),
                darkHours > 0 ? Interval.hours(moonless) / darkHours : 0);
        return new MilkyWayNight(
                night, new SkyLight(sky, site), skyline, lowestCoreDegrees, coreUp, windows, best, score);
    }

    /** Where no window exists: the dark, or an hour about the least light. */
    private static Interval leastBad(Night night) {
        if (night.darkness() instanceof Darkness.NeverDark never) {
            return Interval.of(never.at().minusSeconds(1800), never.at().plusSeconds(1800));
        }
        return ((Darkness.Dark) night.darkness()).interval();
    }

    /** Spans of the night in which the zenith is within so many magnitudes of the place's darkest. */
    public List<Interval> nearlyDarkest(double magnitudes) {
        SkyBrightness darkest = light.at(best.at()).zenith().dark();
        return LightWindows.zenithDarkerThan(light, darkest.darkerBy(-magnitudes), night.interval());
    }

    /** Whether the core stands over the land and its own light shows in the sky about it, however low it is. */
    public boolean coreShows(Instant at) {
        HorizontalPosition core = sky().at(Body.GALACTIC_CENTRE, at);
        if (core.altitude().degrees() <= 0 || core.degreesOver(skyline) < 0) {
            return false;
        }
        double sky = light.at(at).towards(core.direction()).magnitude();
        double own = MilkyWay.instance().brightness(0, 0).magnitude();
        return MilkyWay.opacity(own - sky) > 0;
    }

    /** How bright the sky is towards the core at its best moment. */
    public SkyLight.Brightness skyAtBest() {
        return light.at(best.at()).towards(best.position().direction());
    }

    /** A core that has just come up is dimmed by the air; from 25° or so little is gained. */
    @Override
    public double strength(Instant at) {
        double above = sky().altitudeDegrees(Body.GALACTIC_CENTRE, Moment.utDays(at)) - lowestCoreDegrees;
        return Math.max(0.3, Math.min(1, 0.3 + 0.7 * above / 15));
    }

    @Override
    public Optional<Body> followed() {
        return Optional.of(Body.GALACTIC_CENTRE);
    }

    /** The core at its best. */
    @Override
    public Instant bestMoment() {
        return best.at();
    }

    /** What the main window had to wait for. */
    public Optional<WindowLimit> beginsWith() {
        return main().map(w -> new WindowLimit(cause(w.start(), true), w.start()));
    }

    /** What ends the main window. */
    public Optional<WindowLimit> endsWith() {
        return main().map(w -> new WindowLimit(cause(w.end(), false), w.end()));
    }

    private WindowLimit.Cause cause(Instant edge, boolean start) {
        if (night.dark().stream().anyMatch(d -> edge.equals(start ? d.start() : d.end()))) {
            return WindowLimit.Cause.DARK;
        }
        if (coreUp.stream().noneMatch(c -> edge.equals(start ? c.start() : c.end()))) {
            return WindowLimit.Cause.MOON;
        }
        double altitude = sky().altitudeDegrees(Body.GALACTIC_CENTRE, Moment.utDays(edge));
        return Math.abs(altitude - lowestCoreDegrees) < AT_WISHED_DEGREES
                ? WindowLimit.Cause.CORE
                : WindowLimit.Cause.SKYLINE;
    }

    /** Why there is no window; nothing where there is one. */
    public Optional<NoWindow> noWindow() {
        if (main().isPresent()) {
            return Optional.empty();
        }
        if (night.darkness() instanceof Darkness.NeverDark never) {
            return Optional.of(new NoWindow.NeverDark(never.sunLowestDegrees(), never.at()));
        }
        if (Interval.intersect(night.dark(), coreUp).isEmpty()) {
            boolean hidden = !Interval.intersect(night.dark(), night.above(Body.GALACTIC_CENTRE, lowestCoreDegrees))
                    .isEmpty();
            double highest = best.position().altitude().degrees();
            return Optional.of(hidden ? new NoWindow.CoreHidden(highest) : new NoWindow.CoreLow(highest));
        }
        if (night.moonlessDark().isEmpty()) {
            return Optional.of(new NoWindow.MoonUp(night.moonPhase().illuminatedFraction()));
        }
        return Optional.of(new NoWindow.NeverTogether());
    }

    @Override
    public MilkyWayNight withScore(NightScore other) {
        return new MilkyWayNight(night, light, skyline, lowestCoreDegrees, coreUp, windows, best, other);
    }
}
