package org.halfdusk.shoot.noctilucent;

import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.halfdusk.ephemeris.Body;
import org.halfdusk.light.SkyLight;
import org.halfdusk.shoot.AfterDark;
import org.halfdusk.shoot.NightScore;
import org.halfdusk.shoot.Site;
import org.halfdusk.sky.events.Night;
import org.halfdusk.sky.events.Windows;
import org.halfdusk.time.Interval;

/** The hours with the sun 6° to 16° down, in which high clouds are lit and the sky is not. */
public record NoctilucentNight(Night night, SkyLight light, List<Interval> windows, NightScore score)
        implements AfterDark {
    static NoctilucentNight of(Site site, LocalDate date) {
        Night night = Night.of(site.sky(), date, site.place().zone());
        Windows sun = Windows.of(site.sky(), night.interval());
        List<Interval> lit = Interval.intersect(sun.below(Body.SUN, -6), sun.above(Body.SUN, -16));
        return new NoctilucentNight(night, site.light(), lit, NightScore.ofShares(Interval.hours(lit) / 4, 1, 1));
    }

    @Override
    public Instant bestMoment() {
        return main().map(Interval::middle).orElse(night.axis().middle());
    }

    @Override
    public Optional<Body> followed() {
        return Optional.empty();
    }

    @Override
    public NoctilucentNight withScore(NightScore other) {
        return new NoctilucentNight(night, light, windows, other);
    }
}
