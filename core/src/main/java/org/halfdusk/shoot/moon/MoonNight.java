package org.halfdusk.shoot.moon;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.halfdusk.ephemeris.Body;
import org.halfdusk.light.Extinction;
import org.halfdusk.light.SkyLight;
import org.halfdusk.place.ForegroundObject;
import org.halfdusk.shoot.AfterDark;
import org.halfdusk.shoot.NightScore;
import org.halfdusk.shoot.Site;
import org.halfdusk.sky.EventType;
import org.halfdusk.sky.HorizontalPosition;
import org.halfdusk.sky.Night;
import org.halfdusk.sky.Rising;
import org.halfdusk.sky.SkyEvent;
import org.halfdusk.sky.SkyEvents;
import org.halfdusk.sky.Windows;
import org.halfdusk.time.Interval;

/**
 * What one night offers to a photographer of the Moon: its rise, set and transit, and when land and Moon ask for one
 * exposure.
 *
 * @param events rise, transit and set in order of time
 * @param equalLight by each rise and set: when the land's light equals a low Moon's, and how far apart they are
 * @param windows Moon up and low enough, one exposure for it and the land
 * @param best the moment to plan from
 */
public record MoonNight(
        Night night,
        SkyLight light,
        List<SkyEvent> events,
        List<Meeting> equalLight,
        List<Interval> windows,
        Night.Sighting best,
        Optional<Alignment> alignment,
        NightScore score)
        implements AfterDark {
    /** Land and Moon are lit alike for about so long. */
    public static final Duration ALIKE = Duration.ofMinutes(20);

    /**
     * Altitudes between which the Moon is wished, degrees.
     *
     * @param lowest at least 0
     * @param highest above the lowest
     */
    public record Band(double lowest, double highest) {
        /** From the horizon to where the Moon has no foreground any more†. */
        public static final Band USUAL = new Band(0, 12);

        public Band {
            if (!(lowest >= 0 && highest > lowest && highest <= 90)) {
                throw new IllegalArgumentException("moon from " + lowest + "° to " + highest
                        + "° is no band; from 0° on and to more than that, at most 90°, is allowed");
            }
        }

        /** Of two altitudes in either order, at least a degree apart. */
        public static Band between(double a, double b) {
            return new Band(Math.min(a, b), Math.max(Math.max(a, b), Math.min(a, b) + 1));
        }
    }

    /** Air over a coast in the evening: a low Moon is dimmed more than the clear night's 0.2 says. */
    static final Extinction AIR = Extinction.CLEAR;

    /** A rise or set, the moment of equal light nearest to it, and how long after it that is (negative: before). */
    public record Meeting(SkyEvent moon, Instant equalLight) {
        public Duration apart() {
            return Duration.between(moon.at(), equalLight);
        }

        public boolean suits() {
            return apart().abs().compareTo(ALIKE) <= 0;
        }
    }

    /** The Moon passes straight behind an object of the foreground, seen from the tripod. */
    public record Alignment(ForegroundObject object, Night.Sighting moon) {
        /** How far the Moon's centre, lifted by refraction, stands over the object's top, degrees; negative: behind it. */
        public double overTopDegrees() {
            return moon.position().apparent().altitude().degrees() - object.topDegrees();
        }
    }

    public static MoonNight of(Site site, LocalDate date) {
        return of(site, date, Band.USUAL);
    }

    public static MoonNight of(Site site, LocalDate date, Band band) {
        Night night = Night.of(site.sky(), date, site.place().zone());
        double phase = night.moonPhase().phaseAngleDegrees();
        List<SkyEvent> events = SkyEvents.find(
                site.sky(), night.interval(), Set.of(EventType.MOONRISE, EventType.MOON_TRANSIT, EventType.MOONSET));
        List<Meeting> meetings = events.stream()
                .filter(e -> e.type() != EventType.MOON_TRANSIT)
                .flatMap(e -> LandAndMoon.equalLight(site.sky(), night.interval(), phase, AIR, e.at()).stream()
                        .map(t -> new Meeting(e, t)))
                .toList();
        List<Interval> windows = Interval.intersect(
                windows(night, phase, band),
                Windows.of(site.sky(), night.interval())
                        .over(Body.MOON, site.place().skyline()));
        Optional<Interval> main = main(windows, meetings);
        Optional<Alignment> alignment =
                main.flatMap(w -> alignment(night, site.place().objects(), w));
        Night.Sighting best = alignment
                .map(Alignment::moon)
                .or(() ->
                        main.map(w -> new Night.Sighting(w.middle(), site.sky().at(Body.MOON, w.middle()))))
                .orElseGet(() -> night.highest(Body.MOON, night.sunsetToSunrise()));
        return new MoonNight(
                night, site.light(), events, meetings, windows, best, alignment, score(night, windows, meetings));
    }

    private static List<Interval> windows(Night night, double phaseAngleDegrees, Band band) {
        List<Interval> up = band.lowest() > 0 ? night.above(Body.MOON, band.lowest()) : night.moonUp();
        List<Interval> low = up.stream()
                .flatMap(u -> u.without(night.above(Body.MOON, band.highest())).stream())
                .toList();
        return low.stream()
                .flatMap(l -> LandAndMoon.together(night.sky(), l, phaseAngleDegrees, AIR).stream())
                .filter(i -> i.duration().toSeconds() >= 30)
                .toList();
    }

    /** The object that the Moon crosses in the window, where there is one: the azimuths are then equal. */
    private static Optional<Alignment> alignment(Night night, List<ForegroundObject> objects, Interval window) {
        // The Moon is worth a wait: an alignment shortly before or after the window of equal light counts too.
        Interval around = Interval.of(window.start().minus(ALIKE), window.end().plus(ALIKE));
        return objects.stream()
                .map(o -> new Alignment(o, night.nearestTo(Body.MOON, o.azimuth(), around)))
                .filter(a -> a.moon().position().altitude().degrees() > -0.3)
                .filter(a ->
                        Math.abs(a.moon().position().azimuth().turnTo(a.object().azimuth())) < 0.5)
                .findFirst();
    }

    /**
     * Fifty for twenty minutes of one exposure, twenty-five for a full disc, fifteen for a rise or set at equal light.
     */
    private static NightScore score(Night night, List<Interval> windows, List<Meeting> meetings) {
        double share = Interval.hours(windows) * 60 / ALIKE.toMinutes();
        double nearest = meetings.stream()
                .mapToDouble(m -> m.apart().abs().toSeconds())
                .min()
                .orElse(Double.MAX_VALUE);
        return NightScore.ofShares(
                share, night.moonPhase().illuminatedFraction(), 1 - nearest / (2.0 * ALIKE.toSeconds()));
    }

    @Override
    public Instant bestMoment() {
        return best.at();
    }

    @Override
    public Optional<Body> followed() {
        return Optional.of(Body.MOON);
    }

    /** The window by the rise or set at equal light where there is one; otherwise the longest. */
    @Override
    public Optional<Interval> main() {
        return main(windows, equalLight);
    }

    private static Optional<Interval> main(List<Interval> windows, List<Meeting> meetings) {
        return suitable(meetings)
                .flatMap(m -> windows.stream()
                        .min(Comparator.comparing(
                                w -> Duration.between(w.middle(), m.moon().at()).abs())))
                .or(() -> windows.stream().max(Comparator.comparing(Interval::duration)));
    }

    private static Optional<Meeting> suitable(List<Meeting> meetings) {
        return meetings.stream()
                .filter(Meeting::suits)
                .min(Comparator.comparing(m -> m.apart().abs()));
    }

    /** What land and Moon want at a moment. */
    public LandAndMoon.Pair landAndMoon(Instant at) {
        return LandAndMoon.at(sky(), at, night.moonPhase().phaseAngleDegrees(), AIR);
    }

    /** A rise or set within twenty minutes of equal light. */
    public Optional<Meeting> suitable() {
        return suitable(equalLight);
    }

    public Optional<SkyEvent> event(EventType type) {
        return events.stream().filter(e -> e.type() == type).findFirst();
    }

    /** Why no exposure holds land and Moon together; nothing where one does. */
    public Optional<Obstacle> obstacle() {
        if (!windows.isEmpty()) {
            return Optional.empty();
        }
        if (night.moon() instanceof Rising.AlwaysDown) {
            return Optional.of(Obstacle.DOWN);
        }
        return Optional.of(
                Stream.of(EventType.MOONRISE, EventType.MOONSET)
                                .flatMap(t -> event(t).stream())
                                .findAny()
                                .isEmpty()
                        ? Obstacle.NEITHER_RISES_NOR_SETS
                        : Obstacle.OTHER_LIGHT);
    }

    /** What leaves a night without a window. */
    public enum Obstacle {
        DOWN,
        NEITHER_RISES_NOR_SETS,
        OTHER_LIGHT
    }

    @Override
    public MoonNight withScore(NightScore other) {
        return new MoonNight(night, light, events, equalLight, windows, best, alignment, other);
    }

    /** Round the window, by which its way is told; without one half an hour to both sides of its best moment. */
    public Interval wayShown() {
        return main().map(w -> Interval.of(w.start().minusSeconds(300), w.end().plusSeconds(600)))
                .orElseGet(() -> Interval.of(
                        bestMoment().minusSeconds(1800), bestMoment().plusSeconds(1800)));
    }

    /** Whether the whole disc is under the horizon: its middle by more than a mean radius, 16′. */
    public boolean down(HorizontalPosition moon) {
        return moon.altitude().degrees() < -RADIUS_DEGREES;
    }

    private static final double RADIUS_DEGREES = 16.0 / 60;
}
