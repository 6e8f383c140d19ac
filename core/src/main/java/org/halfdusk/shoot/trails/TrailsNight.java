package org.halfdusk.shoot.trails;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.halfdusk.ephemeris.Body;
import org.halfdusk.light.LightWindows;
import org.halfdusk.light.SkyLight;
import org.halfdusk.shoot.AfterDark;
import org.halfdusk.shoot.NightScore;
import org.halfdusk.shoot.Site;
import org.halfdusk.sky.HorizontalPosition;
import org.halfdusk.sky.events.Darkness;
import org.halfdusk.sky.events.Night;
import org.halfdusk.time.Interval;
import org.halfdusk.time.SiderealTime;

/**
 * What one night offers to star trails: dark, and the Moon not lifting the sky by more than is allowed.
 *
 * @param allowedMoonlight magnitudes by which the Moon may brighten the zenith
 * @param length that the trails are to run, if the window is long enough
 */
public record TrailsNight(
        Night night, SkyLight light, double allowedMoonlight, Duration length, List<Interval> windows, NightScore score)
        implements AfterDark {

    /** Of a site's evening. @param allowedMoonlight magnitudes by which the Moon may brighten the zenith, 0 and more */
    public static TrailsNight of(Site site, LocalDate date, double allowedMoonlight, Duration length) {
        Night night = Night.of(site.sky(), date, site.place().zone());
        SkyLight light = site.light();
        List<Interval> windows = night.dark().stream()
                .flatMap(d -> LightWindows.moonLiftAtMost(light, allowedMoonlight, d).stream())
                .toList();
        double dark = Interval.hours(night.dark());
        double usable = Interval.hours(windows);
        NightScore score = NightScore.of(
                usable, Math.abs(site.place().observer().latitudeDegrees()), dark > 0 ? usable / dark : 0);
        return new TrailsNight(night, light, allowedMoonlight, length, windows, score);
    }

    /** The celestial pole above the horizon: the southern one from the southern hemisphere. Airless. */
    public HorizontalPosition pole() {
        return sky().pole();
    }

    /**
     * When the shutter is to work: for the wished length, or for what there is of it, from where the window has no moon; as much
     * earlier as it must begin to fit in.
     */
    public Optional<Interval> span() {
        return main().map(w -> {
            Instant latest = w.end().minus(length);
            Instant moonless = Interval.longest(w.without(night.moonUp()))
                    .map(Interval::start)
                    .orElse(w.start());
            Instant start = w.nearest(moonless.isAfter(latest) ? latest : moonless);
            return Interval.of(start, start.plus(length)).intersect(w).orElse(w);
        });
    }

    /** Degrees that the sky turns in the longest window; 0 without one. */
    public double turningDegrees() {
        return main().map(Interval::hours).orElse(0.0) * SiderealTime.DEGREES_PER_HOUR;
    }

    @Override
    public Instant bestMoment() {
        return span().map(Interval::middle).orElseGet(() -> leastBad(night));
    }

    /** Where no window exists: the middle of the dark, or the least light. */
    private static Instant leastBad(Night night) {
        return night.darkness() instanceof Darkness.NeverDark never
                ? never.at()
                : Interval.longest(night.dark()).orElse(night.interval()).middle();
    }

    @Override
    public Optional<Body> followed() {
        return Optional.empty();
    }

    /** Why there is no window; nothing where there is one. */
    public Optional<Obstacle> obstacle() {
        if (main().isPresent()) {
            return Optional.empty();
        }
        return Optional.of(night.dark().isEmpty() ? Obstacle.NEVER_DARK : Obstacle.MOON);
    }

    /** What leaves a night without a window. */
    public enum Obstacle {
        NEVER_DARK,
        MOON
    }

    @Override
    public TrailsNight withScore(NightScore other) {
        return new TrailsNight(night, light, allowedMoonlight, length, windows, other);
    }
}
