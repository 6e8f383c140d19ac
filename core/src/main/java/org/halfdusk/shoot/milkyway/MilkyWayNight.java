package org.halfdusk.shoot.milkyway;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Optional;
import org.halfdusk.angle.Azimuth;
import org.halfdusk.ephemeris.Body;
import org.halfdusk.light.DarkSite;
import org.halfdusk.light.LightWindows;
import org.halfdusk.light.SkyLight;
import org.halfdusk.light.sources.MilkyWay;
import org.halfdusk.photometry.Magnitudes;
import org.halfdusk.photometry.SkyBrightness;
import org.halfdusk.place.Skyline;
import org.halfdusk.shoot.AfterDark;
import org.halfdusk.shoot.NightScore;
import org.halfdusk.sky.HorizontalPosition;
import org.halfdusk.sky.Sky;
import org.halfdusk.sky.events.Curve;
import org.halfdusk.sky.events.Darkness;
import org.halfdusk.sky.events.Night;
import org.halfdusk.sky.events.Windows;
import org.halfdusk.time.Interval;
import org.halfdusk.time.Moment;

/**
 * What one night offers to a photographer of the Milky Way: dark, moonless, the wished part of the band above a wished
 * altitude. Where it is never dark the least light counts, as long as that part shows in it.
 *
 * @param light the sky's own brightness over this place
 * @param up spans in which the part stands high enough, an arch not too high, and the skyline hides nothing of it
 * @param dark the darkest spans; none where the part would not show in them
 * @param windows usable spans in order
 * @param best the part at its highest in the main window, an arch at 35° or nearest to it, in a night that is never dark nearest to the
 *     least light; without a window, the best that the night has
 */
public record MilkyWayNight(
        Night night,
        SkyLight light,
        Skyline skyline,
        MilkyWayWish wish,
        List<Interval> up,
        List<Interval> dark,
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

    /** Of the core. */
    public static MilkyWayNight of(
            Sky sky, DarkSite site, LocalDate date, ZoneId zone, double lowestCoreDegrees, Skyline skyline) {
        return of(new SkyLight(sky, site), date, zone, MilkyWayWish.core(lowestCoreDegrees), skyline);
    }

    /**
     * @param date of the evening
     * @param zone of the place's clock
     * @param wish which part, how high and where to
     * @param skyline that it rises over
     */
    public static MilkyWayNight of(SkyLight light, LocalDate date, ZoneId zone, MilkyWayWish wish, Skyline skyline) {
        Night night = Night.of(light.sky(), date, zone);
        Body part = wish.part();
        List<Interval> up = Interval.intersect(
                Interval.intersect(high(night, wish), towards(night, wish)),
                Windows.of(night.sky(), night.interval()).over(part, skyline));
        List<Interval> dark =
                night.darkness() instanceof Darkness.NeverDark never && !broughtOut(part, light, never.at())
                        ? List.of()
                        : LightWindows.darkest(light, night);
        List<Interval> moonless = night.moonless(dark);
        List<Interval> windows = Interval.intersect(moonless, up);
        Interval within = Interval.longest(windows).orElseGet(() -> leastBad(night, dark));
        Night.Sighting best = best(night, wish, within);
        double darkHours = Interval.hours(dark);
        double altitude = best.position().altitude().degrees();
        double contrast = contrast(night, light, best.at());
        NightScore score = NightScore.ofHours(
                Interval.hours(windows) * contrast,
                wish.arch()
                        ? contrast * (1 - Math.abs(altitude - ARCH_DEGREES) / ARCH_REACH_DEGREES)
                        : contrast * NightScore.ofAltitude(altitude),
                darkHours > 0 ? contrast * Interval.hours(moonless) / darkHours : 0);
        return new MilkyWayNight(night, light, skyline, wish, up, dark, windows, best, score);
    }

    /** In a night that is never dark the least light decides, else the part's own altitude. */
    private static Night.Sighting best(Night night, MilkyWayWish wish, Interval within) {
        if (night.darkness() instanceof Darkness.NeverDark never) {
            Instant at = within.nearest(never.at());
            return new Night.Sighting(at, night.sky().at(wish.part(), at));
        }
        Optional<Azimuth> towards = wish.towards().azimuth();
        if (towards.isPresent()) {
            return night.nearestTo(wish.part(), towards.get(), within);
        }
        return wish.arch()
                ? night.nearestAltitude(wish.part(), ARCH_DEGREES, within)
                : night.highest(wish.part(), within);
    }

    /** An arch is no picture's any more once it goes overhead, degrees†. */
    public static final double HIGHEST_ARCH_DEGREES = 65;

    /** At this height of its top an arch stands clear of haze and glow and still fits one row of a panorama†, degrees. */
    public static final double ARCH_DEGREES = 35;

    /** So far off that height nothing is left of that†, degrees. */
    private static final double ARCH_REACH_DEGREES = 30;

    private static List<Interval> high(Night night, MilkyWayWish wish) {
        List<Interval> high = night.above(wish.part(), wish.lowestDegrees());
        return wish.arch()
                ? high.stream()
                        .flatMap(i -> i.without(night.above(Body.BAND_TOP, HIGHEST_ARCH_DEGREES)).stream())
                        .toList()
                : high;
    }

    /** Spans in which the part stands over the wished direction; all of the night where none is wished. */
    private static List<Interval> towards(Night night, MilkyWayWish wish) {
        if (wish.towards().azimuth().isEmpty()) {
            return List.of(night.interval());
        }
        Curve margin = Curve.of(
                t -> wish.towards().margin(night.sky().at(wish.part(), Moment.instantOf(t))),
                Moment.utDays(night.interval().start()),
                Moment.utDays(night.interval().end()),
                TOWARDS_STEP_DAYS);
        return Curve.intervals(margin.spans(0, true));
    }

    /** Five minutes: it moves a degree or so meanwhile, and at least a degree to each side is wished. */
    private static final double TOWARDS_STEP_DAYS = 1.0 / 288;

    /** What is left of the band's contrast where it never gets dark: the dark sky's light over that of the least light. */
    private static double contrast(Night night, SkyLight light, Instant best) {
        if (night.darkness() instanceof Darkness.Dark) {
            return 1;
        }
        SkyLight.Brightness zenith = light.at(best).zenith().withoutMoon();
        return Magnitudes.flux(zenith.dark().over(zenith.total()));
    }

    /** Where no window exists: the dark, or an hour about the least light. */
    private static Interval leastBad(Night night, List<Interval> dark) {
        if (night.darkness() instanceof Darkness.NeverDark never) {
            return dark.isEmpty()
                    ? Interval.of(never.at().minusSeconds(1800), never.at().plusSeconds(1800))
                    : dark.get(0);
        }
        return ((Darkness.Dark) night.darkness()).interval();
    }

    /** The part of the band that is wished. */
    public Body part() {
        return wish.part();
    }

    /** Under which it is not wanted, degrees. */
    public double lowestDegrees() {
        return wish.lowestDegrees();
    }

    /** Whether this night's darkest is only its least light. */
    public boolean neverDark() {
        return night.darkness() instanceof Darkness.NeverDark;
    }

    /** Spans of the night in which the zenith is within so many magnitudes of the place's darkest. */
    public List<Interval> nearlyDarkest(double magnitudes) {
        SkyBrightness darkest = light.at(best.at()).zenith().dark();
        return LightWindows.zenithDarkerThan(light, darkest.darkerBy(-magnitudes), night.interval());
    }

    /**
     * In a night that is never dark one takes what there is: a band of a twenty-fifth of the sky's light is brought out by a stack†,
     * magnitudes.
     */
    private static final double FAINTEST_OF_LEAST_LIGHT = 2.5 * Math.log10(25);

    /**
     * Whether the part stands over the land and its own light shows in the sky about it, however low it is; within the least light
     * of a night that is never dark, whether a stack brings it out.
     */
    public boolean shows(Instant at) {
        HorizontalPosition p = sky().at(part(), at);
        if (p.altitude().degrees() <= 0 || p.degreesOver(skyline) < 0) {
            return false;
        }
        double fainter = fainterThan(sky(), part(), light.at(at).towards(p.direction()), at);
        boolean least = neverDark() && dark.stream().anyMatch(d -> d.contains(at));
        return MilkyWay.opacity(fainter) > 0 || least && fainter < FAINTEST_OF_LEAST_LIGHT;
    }

    /** Whether the least light brings it out with the Moon away; a part that is down is held against the zenith. */
    private static boolean broughtOut(Body part, SkyLight light, Instant leastLight) {
        HorizontalPosition p = light.sky().at(part, leastLight);
        SkyLight.At then = light.at(leastLight);
        SkyLight.Brightness behind = p.altitude().degrees() > 0 ? then.towards(p.direction()) : then.zenith();
        return fainterThan(light.sky(), part, behind.withoutMoon(), leastLight) < FAINTEST_OF_LEAST_LIGHT;
    }

    /** Magnitudes by which the band's own light is fainter than the sky before it. */
    private static double fainterThan(Sky sky, Body part, SkyLight.Brightness behind, Instant at) {
        double own = MilkyWay.instance()
                .brightest(sky.galacticLongitudeDegrees(part, at))
                .magnitude();
        return own - behind.magnitude();
    }

    /** How bright the sky is towards the part at its best moment. */
    public SkyLight.Brightness skyAtBest() {
        return light.at(best.at()).towards(best.position().direction());
    }

    /** What has just come up is dimmed by the air; from 25° or so little is gained. An arch is as good all along. */
    @Override
    public double strength(Instant at) {
        if (wish.arch()) {
            return 1;
        }
        double above = sky().altitudeDegrees(part(), Moment.utDays(at)) - lowestDegrees();
        return Math.max(0.3, Math.min(1, 0.3 + 0.7 * above / 15));
    }

    @Override
    public Optional<Body> followed() {
        return Optional.of(part());
    }

    /** The part at its best. */
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
        if (dark.stream().anyMatch(d -> edge.equals(start ? d.start() : d.end()))) {
            return neverDark() ? WindowLimit.Cause.LEAST_LIGHT : WindowLimit.Cause.DARK;
        }
        if (up.stream().noneMatch(c -> edge.equals(start ? c.start() : c.end()))) {
            return WindowLimit.Cause.MOON;
        }
        HorizontalPosition at = sky().at(part(), edge);
        if (wish.towards().azimuth().isPresent() && Math.abs(wish.towards().margin(at)) < AT_WISHED_DEGREES) {
            return WindowLimit.Cause.DIRECTION;
        }
        double altitude = at.altitude().degrees();
        if (wish.arch() && Math.abs(altitude - HIGHEST_ARCH_DEGREES) < AT_WISHED_DEGREES) {
            return WindowLimit.Cause.OVERHEAD;
        }
        return Math.abs(altitude - lowestDegrees()) < AT_WISHED_DEGREES
                ? WindowLimit.Cause.CORE
                : WindowLimit.Cause.SKYLINE;
    }

    /** Why there is no window; nothing where there is one. */
    public Optional<NoWindow> noWindow() {
        if (main().isPresent()) {
            return Optional.empty();
        }
        if (night.darkness() instanceof Darkness.NeverDark never && dark.isEmpty()) {
            return Optional.of(new NoWindow.NeverDark(never.sunLowestDegrees(), never.at()));
        }
        if (Interval.intersect(dark, up).isEmpty()) {
            double altitude = best.position().altitude().degrees();
            if (!Interval.intersect(dark, high(night, wish)).isEmpty()) {
                return Optional.of(wish.towards()
                        .azimuth()
                        .<NoWindow>map(a ->
                                new NoWindow.Elsewhere(best.position().azimuth().degrees(), a.degrees()))
                        .orElseGet(() -> new NoWindow.CoreHidden(altitude)));
            }
            return Optional.of(
                    wish.arch() && altitude > HIGHEST_ARCH_DEGREES
                            ? new NoWindow.ArchOverhead(altitude)
                            : new NoWindow.CoreLow(altitude));
        }
        if (night.moonless(dark).isEmpty()) {
            return Optional.of(new NoWindow.MoonUp(night.moonPhase().illuminatedFraction()));
        }
        return Optional.of(new NoWindow.NeverTogether());
    }

    @Override
    public MilkyWayNight withScore(NightScore other) {
        return new MilkyWayNight(night, light, skyline, wish, up, dark, windows, best, other);
    }
}
