package org.halfdusk.shoot.moon;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.halfdusk.ephemeris.Body;
import org.halfdusk.light.SkyLight;
import org.halfdusk.light.sources.Extinction;
import org.halfdusk.place.ForegroundObject;
import org.halfdusk.shoot.AfterDark;
import org.halfdusk.shoot.NightScore;
import org.halfdusk.shoot.Site;
import org.halfdusk.sky.HorizontalPosition;
import org.halfdusk.sky.events.Curve;
import org.halfdusk.sky.events.EventType;
import org.halfdusk.sky.events.Night;
import org.halfdusk.sky.events.Rising;
import org.halfdusk.sky.events.SkyEvent;
import org.halfdusk.sky.events.SkyEvents;
import org.halfdusk.sky.events.Windows;
import org.halfdusk.time.Interval;
import org.halfdusk.time.Moment;

/**
 * What one night offers to a photographer of the Moon: its rises, sets and transits, and when the wished picture of it can be
 * taken.
 *
 * @param picture what is wished
 * @param events rise, transit and set in order of time
 * @param equalLight by each rise and set: when the land's light equals a low Moon's, and how far apart they are
 * @param windows with the land: Moon up and low enough, one exposure for both; else where the wished picture can be taken
 * @param best the moment to plan from
 */
public record MoonNight(
        Night night,
        SkyLight light,
        MoonPicture picture,
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

        /** @throws IllegalArgumentException for a band that is none: 0° or more to more than that, at most 90° */
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
        /** How much later the light is equal; below 0 where it was before. */
        public Duration apart() {
            return Duration.between(moon.at(), equalLight);
        }

        /** Whether both come within twenty minutes of each other. */
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

    /**
     * With the land, the Moon as high as is usual for that.
     *
     * @param date of the evening
     */
    public static MoonNight of(Site site, LocalDate date) {
        return of(site, date, Band.USUAL);
    }

    /** With the land. */
    public static MoonNight of(Site site, LocalDate date, Band band) {
        return of(site, date, band, MoonPicture.WITH_LAND);
    }

    /**
     * @param date of the evening
     * @param band altitudes between which the Moon is wished
     */
    public static MoonNight of(Site site, LocalDate date, Band band, MoonPicture picture) {
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
                windows(site, night, phase, band, picture),
                Windows.of(site.sky(), night.interval())
                        .over(Body.MOON, site.place().skyline()));
        boolean land = picture == MoonPicture.WITH_LAND;
        Optional<Interval> main = land ? main(windows, meetings) : Interval.longest(windows);
        Optional<Alignment> alignment = land || picture == MoonPicture.BEHIND
                ? main.flatMap(w -> alignment(night, site.place().objects(), w))
                : Optional.empty();
        Night.Sighting best = alignment
                .map(Alignment::moon)
                .or(() -> main.map(w -> picture.alone()
                        ? night.highest(Body.MOON, w)
                        : new Night.Sighting(w.middle(), site.sky().at(Body.MOON, w.middle()))))
                .orElseGet(() -> night.highest(Body.MOON, night.sunsetToSunrise()));
        return new MoonNight(
                night,
                site.light(),
                picture,
                events,
                meetings,
                windows,
                best,
                alignment,
                land ? score(night, windows, meetings) : score(night, picture, windows, best));
    }

    private static List<Interval> windows(
            Site site, Night night, double phaseAngleDegrees, Band band, MoonPicture picture) {
        if (picture == MoonPicture.WITH_LAND) {
            return withLand(night, phaseAngleDegrees, band);
        }
        if (!picture.suits(night.moonPhase().illuminatedFraction())) {
            return List.of();
        }
        List<Interval> up = band.lowest() > 0 ? night.above(Body.MOON, band.lowest()) : night.moonUp();
        Windows of = Windows.of(site.sky(), night.interval());
        List<Interval> dusk = of.below(Body.SUN, SkyEvents.SUNRISE_ALTITUDE);
        return switch (picture) {
            case CRESCENT ->
                Interval.intersect(
                        up,
                        Interval.intersect(
                                of.below(Body.SUN, CRESCENT_SUN_DEGREES),
                                of.above(Body.SUN, SkyEvents.NAUTICAL_ALTITUDE)));
            case BEHIND -> Interval.intersect(behind(site, night), Interval.intersect(up, dusk));
            default -> Interval.intersect(up, dusk);
        };
    }

    /** From here on a thin crescent shows in the evening's sky, the Sun's altitude in degrees†; at −12° that has lost its colour. */
    private static final double CRESCENT_SUN_DEGREES = -4;

    /** A moon over the top by no more than this still counts as behind an object, degrees†. */
    private static final double OVER_TOP_DEGREES = 2;

    /** Two minutes: the Moon moves half a degree, its own breadth; a disc and an object's breadth are crossed in more. */
    private static final double BEHIND_STEP_DAYS = 1.0 / 720;

    /** Spans in which any of the disc stands behind or shortly over an object. */
    private static List<Interval> behind(Site site, Night night) {
        List<Interval> spans = new ArrayList<>();
        for (ForegroundObject o : site.place().objects()) {
            Curve margin = Curve.of(
                    t -> {
                        HorizontalPosition p =
                                site.sky().at(Body.MOON, Moment.instantOf(t)).apparent();
                        double aside = p.degreesAside(o.azimuth());
                        return Math.min(
                                o.widthDegrees() / 2 + RADIUS_DEGREES - aside,
                                o.topDegrees() + OVER_TOP_DEGREES - p.altitude().degrees());
                    },
                    Moment.utDays(night.interval().start()),
                    Moment.utDays(night.interval().end()),
                    BEHIND_STEP_DAYS);
            spans.addAll(Curve.intervals(margin.spans(0, true)));
        }
        return Interval.union(spans);
    }

    private static List<Interval> withLand(Night night, double phaseAngleDegrees, Band band) {
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

    /**
     * Of a picture without the land: fifty for the hours (of a crescent half an hour, behind an object five minutes), twenty-five for
     * what it is about: altitude, thinness, nearness to a half, a full disc; fifteen for the disc's size on the sky.
     */
    private static NightScore score(Night night, MoonPicture picture, List<Interval> windows, Night.Sighting best) {
        double lit = night.moonPhase().illuminatedFraction();
        double hours = Interval.hours(windows);
        double altitude = best.position().altitude().degrees();
        double size = (night.sky().diameterDegrees(Body.MOON, best.at()) - SMALLEST_DEGREES)
                / (LARGEST_DEGREES - SMALLEST_DEGREES);
        return switch (picture) {
            case CRESCENT -> NightScore.ofShares(2 * hours, 1 - lit / picture.mostLit(), altitude / 10);
            case HALF -> NightScore.ofShares(hours / 4, 1 - Math.abs(lit - 0.5) / 0.2, NightScore.ofAltitude(altitude));
            case BEHIND -> NightScore.ofShares(12 * hours, lit, size);
            default -> NightScore.ofShares(hours / 4, NightScore.ofAltitude(altitude), size);
        };
    }

    /** The Moon's diameter on the sky runs from 29.4′ to 34.1′ over the years. */
    private static final double SMALLEST_DEGREES = 29.4 / 60;

    private static final double LARGEST_DEGREES = 34.1 / 60;

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
        return picture == MoonPicture.WITH_LAND ? main(windows, equalLight) : Interval.longest(windows);
    }

    private static Optional<Interval> main(List<Interval> windows, List<Meeting> meetings) {
        return suitable(meetings)
                .flatMap(m -> windows.stream()
                        .min(Comparator.comparing(
                                w -> Duration.between(w.middle(), m.moon().at()).abs())))
                .or(() -> Interval.longest(windows));
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

    /** All of a kind, in order of time: near the poles it may rise or set twice in a night. */
    public List<SkyEvent> events(EventType type) {
        return events.stream().filter(e -> e.type() == type).toList();
    }

    /** Why the wished picture cannot be taken; nothing where it can. */
    public Optional<Obstacle> obstacle() {
        if (!windows.isEmpty()) {
            return Optional.empty();
        }
        if (night.moon() instanceof Rising.AlwaysDown) {
            return Optional.of(Obstacle.DOWN);
        }
        if (!picture.suits(night.moonPhase().illuminatedFraction())) {
            return Optional.of(Obstacle.OTHER_PHASE);
        }
        if (picture != MoonPicture.WITH_LAND) {
            return Optional.of(picture == MoonPicture.BEHIND ? Obstacle.NOT_BEHIND : Obstacle.NOT_HIGH_ENOUGH);
        }
        return Optional.of(
                Stream.of(EventType.MOONRISE, EventType.MOONSET)
                                .flatMap(t -> events(t).stream())
                                .findAny()
                                .isEmpty()
                        ? Obstacle.NEITHER_RISES_NOR_SETS
                        : Obstacle.OTHER_LIGHT);
    }

    /** What leaves a night without a window. */
    public enum Obstacle {
        DOWN,
        NEITHER_RISES_NOR_SETS,
        OTHER_LIGHT,
        /** Another share of the disc is lit than is wished. */
        OTHER_PHASE,
        /** In the right light it stays under the wished altitude, or behind the skyline. */
        NOT_HIGH_ENOUGH,
        /** By night it passes behind none of the place's objects. */
        NOT_BEHIND
    }

    @Override
    public MoonNight withScore(NightScore other) {
        return new MoonNight(night, light, picture, events, equalLight, windows, best, alignment, other);
    }

    /** The year's full moons; the year is that of the night's evening. */
    public FullMoons fullMoons() {
        return FullMoons.of(sky(), date().getYear());
    }

    /** Less lit than this at its middle no night has its full moon. */
    private static final double NEARLY_FULL = 0.97;

    /** Whether it can have a full moon: then its year's are worth asking for. */
    public boolean nearlyFull() {
        return night.moonPhase().illuminatedFraction() >= NEARLY_FULL;
    }

    /** How long apart its way is told: five, ten minutes, over a long window half an hour. */
    public Duration wayStep() {
        double hours = wayShown().hours();
        return Duration.ofMinutes(hours > 4 ? 30 : hours > 0.5 ? 10 : 5);
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
