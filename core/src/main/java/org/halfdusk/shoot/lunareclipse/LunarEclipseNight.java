package org.halfdusk.shoot.lunareclipse;

import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.halfdusk.eclipse.EarthShadow;
import org.halfdusk.eclipse.LunarEclipse;
import org.halfdusk.ephemeris.Body;
import org.halfdusk.ephemeris.Ephemeris;
import org.halfdusk.light.SkyLight;
import org.halfdusk.shoot.AfterDark;
import org.halfdusk.shoot.NightScore;
import org.halfdusk.shoot.Site;
import org.halfdusk.sky.HorizontalPosition;
import org.halfdusk.sky.events.Night;
import org.halfdusk.sky.events.Windows;
import org.halfdusk.time.DeltaT;
import org.halfdusk.time.Interval;

/**
 * A night and the eclipse of the Moon in it, if there is one.
 *
 * @param windows of the eclipse's main part with the Moon up: the umbra's, or of a penumbral one the penumbra's
 */
public record LunarEclipseNight(
        Night night,
        SkyLight light,
        EarthShadow shadow,
        Optional<LunarEclipse> eclipse,
        List<Interval> up,
        List<Interval> windows,
        NightScore score)
        implements AfterDark {
    private static final double FULL_ALTITUDE_DEGREES = 30;

    /** A Moon in the penumbra alone hardly differs from a full one†. */
    private static final double PENUMBRA_WORTH = 0.1;

    /** Lower than this the air leaves little of an eclipsed Moon, degrees†. */
    private static final double CLEAR_DEGREES = 3;

    /** The moments at which the Moon touches the shadow, and the middle. */
    public enum Name {
        P1,
        U1,
        U2,
        GREATEST,
        U3,
        U4,
        P4
    }

    /**
     * A contact and where the Moon then stands from here.
     *
     * @param visible whether the Moon's centre, lifted by refraction, is up and clear of the skyline
     */
    public record Contact(Name name, Instant at, HorizontalPosition moon, boolean visible) {}

    /** @param date of the evening; an eclipse belongs to the night from noon to noon that its middle lies in */
    public static LunarEclipseNight of(Site site, LocalDate date, Ephemeris ephemeris) {
        Night night = Night.of(site.sky(), date, site.place().zone());
        EarthShadow shadow = new EarthShadow(ephemeris, DeltaT.model());
        // An eclipse whose middle lies before or after the noon to noon may still reach into it: its own night has it.
        Optional<LunarEclipse> eclipse = LunarEclipse.find(ephemeris, DeltaT.model(), night.interval()).stream()
                .findFirst();
        List<Interval> up = Interval.intersect(
                night.moonUp(),
                Windows.of(site.sky(), night.interval())
                        .over(Body.MOON, site.place().skyline()));
        List<Interval> windows = eclipse.map(
                        e -> Interval.intersect(List.of(e.umbra().orElse(e.penumbra())), up))
                .orElseGet(List::of);
        NightScore score = eclipse.map(e -> score(site, e, windows)).orElse(NightScore.NONE);
        return new LunarEclipseNight(night, site.light(), shadow, eclipse, up, windows, score);
    }

    /**
     * Fifty for seeing all of a total one, less for a shallower, twenty-five for standing 30° up at greatest, fifteen for its
     * depth.
     */
    private static NightScore score(Site site, LunarEclipse e, List<Interval> windows) {
        double whole = e.umbra().orElse(e.penumbra()).hours();
        double altitude = site.sky().at(Body.MOON, e.greatest()).altitude().degrees();
        double depth = e.type() == LunarEclipse.Type.PENUMBRAL ? 0 : Math.min(1, e.umbralMagnitude());
        return NightScore.ofShares(
                Interval.hours(windows) / whole * Math.max(PENUMBRA_WORTH, depth),
                altitude / FULL_ALTITUDE_DEGREES,
                depth);
    }

    /** In order of time; nothing without an eclipse. */
    public List<Contact> contacts() {
        List<Contact> contacts = new ArrayList<>();
        eclipse.ifPresent(e -> {
            contacts.add(contact(Name.P1, e.penumbra().start()));
            e.umbra().ifPresent(u -> contacts.add(contact(Name.U1, u.start())));
            e.totality().ifPresent(u -> contacts.add(contact(Name.U2, u.start())));
            contacts.add(contact(Name.GREATEST, e.greatest()));
            e.totality().ifPresent(u -> contacts.add(contact(Name.U3, u.end())));
            e.umbra().ifPresent(u -> contacts.add(contact(Name.U4, u.end())));
            contacts.add(contact(Name.P4, e.penumbra().end()));
        });
        return contacts;
    }

    private Contact contact(Name name, Instant at) {
        HorizontalPosition moon = sky().at(Body.MOON, at);
        // A contact may lie before this noon or after the next, where the spans of the night do not reach.
        boolean clear = !night.interval().contains(at) || up.stream().anyMatch(u -> u.contains(at));
        return new Contact(name, at, moon, moon.altitude().degrees() > -0.5 && clear);
    }

    /** The eclipse while the Moon is up and clear of the skyline. */
    public List<Interval> seen() {
        return eclipse.map(e -> Interval.intersect(List.of(e.penumbra()), up)).orElseGet(List::of);
    }

    /** Whether it is seen from first to last contact. */
    public boolean seenWhole() {
        return eclipse.isPresent() && contacts().stream().allMatch(Contact::visible);
    }

    /** Greatest eclipse if it is seen; otherwise the moment nearest to it with the Moon clear of the horizon. */
    @Override
    public Instant bestMoment() {
        return eclipse.map(e -> Stream.of(clear(windows), windows, clear(seen()), seen())
                        .filter(spans -> !spans.isEmpty())
                        .findFirst()
                        .map(spans -> spans.get(0).nearest(e.greatest()))
                        .orElse(e.greatest()))
                .orElseGet(
                        () -> night.highest(Body.MOON, night.sunsetToSunrise()).at());
    }

    private List<Interval> clear(List<Interval> spans) {
        return Interval.intersect(spans, night.above(Body.MOON, CLEAR_DEGREES));
    }

    @Override
    public Optional<Body> followed() {
        return Optional.of(Body.MOON);
    }

    @Override
    public LunarEclipseNight withScore(NightScore other) {
        return new LunarEclipseNight(night, light, shadow, eclipse, up, windows, other);
    }
}
