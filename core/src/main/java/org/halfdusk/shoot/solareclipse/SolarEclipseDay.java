package org.halfdusk.shoot.solareclipse;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.halfdusk.eclipse.FilterGuard;
import org.halfdusk.eclipse.LocalDiscs;
import org.halfdusk.eclipse.SolarEclipse;
import org.halfdusk.ephemeris.Body;
import org.halfdusk.light.SkyLight;
import org.halfdusk.place.Skyline;
import org.halfdusk.shoot.NightScore;
import org.halfdusk.shoot.Site;
import org.halfdusk.shoot.SubjectNight;
import org.halfdusk.sky.HorizontalPosition;
import org.halfdusk.sky.Sky;
import org.halfdusk.sky.events.SkyEvents;
import org.halfdusk.sky.events.Windows;
import org.halfdusk.time.Interval;

/**
 * A civil day and the eclipse of the Sun in it as this place has it, if there is one.
 *
 * @param filter the one judge of when a lens may be bare
 * @param windows of the eclipse with the Sun up
 */
public record SolarEclipseDay(
        LocalDate date,
        ZoneId zone,
        Sky sky,
        SkyLight light,
        Skyline skyline,
        Optional<SolarEclipse> eclipse,
        FilterGuard filter,
        List<Interval> windows,
        NightScore score)
        implements SubjectNight {
    private static final double FULL_ALTITUDE_DEGREES = 30;
    private static final Duration AROUND = Duration.ofHours(1);

    /** The moments at which the discs touch, and the middle. */
    public enum Name {
        C1,
        C2,
        MAXIMUM,
        C3,
        C4
    }

    /**
     * A contact and where the Sun then stands from here.
     *
     * @param visible whether it is up and clear of the skyline
     */
    public record Contact(Name name, Instant at, HorizontalPosition sun, boolean visible) {}

    /** @param marginSeconds of the filter's guard, 3 to 15 */
    public static SolarEclipseDay of(Site site, LocalDate date, double marginSeconds) {
        ZoneId zone = site.place().zone();
        Interval day = civil(date, zone);
        Optional<SolarEclipse> eclipse =
                SolarEclipse.find(site.sky(), day).stream().findFirst();
        List<Interval> windows = eclipse.map(e -> Interval.intersect(
                        Windows.of(site.sky(), e.partial()).above(Body.SUN, SkyEvents.SUNRISE_ALTITUDE),
                        Windows.of(site.sky(), e.partial())
                                .over(Body.SUN, site.place().skyline())))
                .orElseGet(List::of);
        NightScore score = eclipse.map(e -> score(site.sky(), e, windows)).orElse(NightScore.NONE);
        return new SolarEclipseDay(
                date,
                zone,
                site.sky(),
                site.light(),
                site.place().skyline(),
                eclipse,
                eclipse.map(e -> FilterGuard.of(site.sky(), e, marginSeconds)).orElse(FilterGuard.NO_ECLIPSE),
                windows,
                score);
    }

    /**
     * Fifty for covering all of the disc with all of the course in sight, twenty-five for a Sun 30° up at maximum, fifteen
     * for totality, eight for a ring.
     */
    private static NightScore score(Sky sky, SolarEclipse e, List<Interval> windows) {
        double seen = Interval.hours(windows) / e.partial().hours();
        double altitude = sky.at(Body.SUN, e.maximum()).altitude().degrees();
        double kind = switch (e.type()) {
            case TOTAL -> 1;
            case ANNULAR -> 0.5;
            case PARTIAL -> 0;
        };
        return NightScore.ofShares(seen * e.obscuration(), altitude / FULL_ALTITUDE_DEGREES, kind);
    }

    /** From an hour before first to an hour after fourth contact; the civil day where there is no eclipse. */
    @Override
    public Interval axis() {
        return eclipse.map(e -> Interval.of(
                        e.partial().start().minus(AROUND), e.partial().end().plus(AROUND)))
                .orElseGet(this::whole);
    }

    @Override
    public Interval whole() {
        return civil(date, zone);
    }

    private static Interval civil(LocalDate date, ZoneId zone) {
        return Interval.of(
                date.atStartOfDay(zone).toInstant(),
                date.plusDays(1).atStartOfDay(zone).toInstant());
    }

    @Override
    public boolean byDay() {
        return true;
    }

    @Override
    public boolean swift() {
        return eclipse.isPresent();
    }

    /** In order of time; nothing without an eclipse. */
    public List<Contact> contacts() {
        List<Contact> contacts = new ArrayList<>();
        eclipse.ifPresent(e -> {
            contacts.add(contact(Name.C1, e.partial().start()));
            e.central().ifPresent(c -> contacts.add(contact(Name.C2, c.start())));
            contacts.add(contact(Name.MAXIMUM, e.maximum()));
            e.central().ifPresent(c -> contacts.add(contact(Name.C3, c.end())));
            contacts.add(contact(Name.C4, e.partial().end()));
        });
        return contacts;
    }

    private Contact contact(Name name, Instant at) {
        HorizontalPosition sun = sky.at(Body.SUN, at);
        return new Contact(name, at, sun, shows(sun));
    }

    /** Whether the Sun is up and clear of the land. */
    public boolean sunShows(Instant at) {
        return shows(sky.at(Body.SUN, at));
    }

    private boolean shows(HorizontalPosition sun) {
        return sun.altitude().degrees() > SkyEvents.SUNRISE_ALTITUDE
                && (skyline.flat() || sun.degreesOver(skyline) >= 0);
    }

    /** Share of the Sun's diameter that is covered at a moment. */
    public double covered(Instant at) {
        return eclipse.isEmpty() ? 0 : Math.min(1, LocalDiscs.at(sky, at).magnitude());
    }

    /** Maximum if it is seen; otherwise the moment in sight that is nearest to it. */
    @Override
    public Instant bestMoment() {
        return eclipse.map(e -> main().map(w -> w.nearest(e.maximum())).orElse(e.maximum()))
                .orElseGet(() -> date.atTime(12, 0).atZone(zone).toInstant());
    }

    @Override
    public Optional<Body> followed() {
        return Optional.of(Body.SUN);
    }

    @Override
    public SolarEclipseDay withScore(NightScore other) {
        return new SolarEclipseDay(date, zone, sky, light, skyline, eclipse, filter, windows, other);
    }
}
