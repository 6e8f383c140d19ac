package org.halfdusk.shoot.fireworks;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.List;
import java.util.Optional;
import org.halfdusk.ephemeris.Body;
import org.halfdusk.light.SkyLight;
import org.halfdusk.shoot.AfterDark;
import org.halfdusk.shoot.NightScore;
import org.halfdusk.shoot.Site;
import org.halfdusk.sky.events.Night;
import org.halfdusk.sky.events.SkyEvents;
import org.halfdusk.sky.events.Windows;
import org.halfdusk.time.Interval;

/**
 * A night with a show at a time of day; a start before noon belongs to the hours after midnight.
 *
 * @param show from the first shell to the last
 * @param dark the part of it with the Sun under −6°
 */
public record FireworksNight(Night night, SkyLight light, Interval show, List<Interval> dark, NightScore score)
        implements AfterDark {
    private static final double DEEP_DEGREES = 12;

    /**
     * @param date of the evening
     * @param start of the show by the place's own clock; before noon it belongs to the day after
     * @param length of the show
     */
    public static FireworksNight of(Site site, LocalDate date, LocalTime start, Duration length) {
        Night night = Night.of(site.sky(), date, site.place().zone());
        LocalDate day = start.isBefore(LocalTime.NOON) ? date.plusDays(1) : date;
        Instant begins = day.atTime(start).atZone(site.place().zone()).toInstant();
        Interval show = Interval.of(begins, begins.plus(length));
        List<Interval> dark = Windows.of(site.sky(), show).below(Body.SUN, SkyEvents.CIVIL_ALTITUDE);
        double depth = -site.sky().at(Body.SUN, begins).altitude().degrees();
        boolean moonUp = site.sky().at(Body.MOON, show.middle()).altitude().degrees() > 0;
        double moon = moonUp ? night.moonPhase().illuminatedFraction() : 0;
        NightScore score = NightScore.ofShares(Interval.hours(dark) / show.hours(), depth / DEEP_DEGREES, 1 - moon);
        return new FireworksNight(night, site.light(), show, dark, score);
    }

    /** The show, however bright the sky is. */
    @Override
    public List<Interval> windows() {
        return List.of(show);
    }

    @Override
    public Instant bestMoment() {
        return show.start();
    }

    @Override
    public Optional<Body> followed() {
        return Optional.empty();
    }

    @Override
    public FireworksNight withScore(NightScore other) {
        return new FireworksNight(night, light, show, dark, other);
    }
}
