package org.halfdusk.shoot.town;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.halfdusk.angle.Altitude;
import org.halfdusk.angle.Azimuth;
import org.halfdusk.angle.Vector;
import org.halfdusk.ephemeris.Body;
import org.halfdusk.exposure.MeterReading;
import org.halfdusk.light.SkyLight;
import org.halfdusk.optics.framing.Framing;
import org.halfdusk.photometry.SkyBrightness;
import org.halfdusk.photometry.Stops;
import org.halfdusk.shoot.AfterDark;
import org.halfdusk.shoot.NightScore;
import org.halfdusk.shoot.Site;
import org.halfdusk.sky.events.Curve;
import org.halfdusk.sky.events.Night;
import org.halfdusk.sky.events.Windows;
import org.halfdusk.time.Interval;
import org.halfdusk.time.Moment;

/**
 * What one night offers to a photographer of a town: when the sky over it is as bright as its lit fronts, and how long one exposure holds
 * both; or when the lamps have it for themselves.
 *
 * @param towards where the sky behind the town is looked at, degrees from north by east
 * @param balances moments at which sky and fronts are alike, in order of time
 * @param windows usable spans in order
 * @param best the moment to plan from
 */
public record TownNight(
        Night night,
        SkyLight light,
        TownWish wish,
        double towards,
        List<Instant> balances,
        List<Interval> windows,
        Instant best,
        NightScore score)
        implements AfterDark {
    /** A sky so many stops over the lit fronts makes lamps look pale†. */
    public static final double PALE_STOPS = 1.5;

    /** A sky so many stops under the lit fronts comes out black beside them†. */
    public static final double LOST_STOPS = 3.5;

    /** Roofs and masts reach up to about here: the sky that is seen between them, degrees†. */
    private static final double OVER_ROOFS_DEGREES = 15;

    /** Sun altitudes between which a sky passes from pale to lost over any town, degrees. */
    private static final double HIGHEST_SUN = 0;

    private static final double LOWEST_SUN = -14;

    /** Five minutes: the sky loses a stop in three and is smooth. */
    private static final double STEP_DAYS = 1.0 / 288;

    /** Rooms are lit until about then†. */
    private static final LocalTime LIGHTS_OUT = LocalTime.of(23, 30);

    /** Two hours of lamps are as many as one walks with a tripod†. */
    private static final double ENOUGH_HOURS = 2;

    /** A blue hour of so many minutes is a long one†. */
    private static final double LONG_MINUTES = 45;

    static TownNight of(Site site, LocalDate date, TownWish wish) {
        Night night = Night.of(site.sky(), date, site.place().zone());
        double towards = site.place().objects().stream()
                .findFirst()
                .map(o -> o.azimuth().degrees())
                .orElseGet(() -> awayFromTheSun(night));
        Vector direction = direction(towards);
        Windows spans = Windows.of(site.sky(), night.interval());
        List<Interval> twilight =
                Interval.intersect(spans.below(Body.SUN, HIGHEST_SUN), spans.above(Body.SUN, LOWEST_SUN));
        List<Interval> blue = new ArrayList<>();
        List<Interval> lost = new ArrayList<>();
        List<Instant> balances = new ArrayList<>();
        for (Interval t : twilight) {
            Curve over = Curve.of(
                    at -> overFronts(
                            site.light()
                                    .at(Moment.instantOf(at))
                                    .towards(direction)
                                    .total(),
                            wish.light()),
                    Moment.utDays(t.start()),
                    Moment.utDays(t.end()),
                    STEP_DAYS);
            over.crossings(0).forEach(c -> balances.add(Moment.instantOf(c.at())));
            blue.addAll(Interval.intersect(
                    Curve.intervals(over.spans(PALE_STOPS, false)), Curve.intervals(over.spans(-LOST_STOPS, true))));
            lost.addAll(Curve.intervals(over.spans(-LOST_STOPS, false)));
        }
        lost.addAll(spans.below(Body.SUN, LOWEST_SUN));
        List<Interval> windows =
                wish.picture() == TownWish.Picture.BLUE_HOUR ? Interval.union(blue) : Interval.union(lost);
        Instant best = best(night, wish, balances, windows);
        return new TownNight(
                night, site.light(), wish, towards, balances, windows, best, score(night, wish, windows, best));
    }

    /** Opposite to where the Sun goes down, or is lowest: there the blue is deepest and even. */
    private static double awayFromTheSun(Night night) {
        Interval dark = night.sunsetToSunrise();
        double sun = night.sky().at(Body.SUN, dark.start()).azimuth().degrees();
        return (sun + 180) % 360;
    }

    private static Vector direction(double azimuth) {
        return new Framing(Azimuth.ofDegrees(azimuth), Altitude.ofDegrees(OVER_ROOFS_DEGREES), 0).direction();
    }

    /** Stops by which a sky is brighter than fronts in lamplight alone. */
    static double overFronts(SkyBrightness sky, TownLight lit) {
        return Stops.between(sky.luminance(), lit.fronts());
    }

    /** The same of the sky behind the town at a moment. */
    public double skyOverFronts(Instant at) {
        return overFronts(sky(at), wish.light());
    }

    private static Instant best(Night night, TownWish wish, List<Instant> balances, List<Interval> windows) {
        if (windows.isEmpty()) {
            return night.sunsetToSunrise().middle();
        }
        return wish.picture() == TownWish.Picture.BLUE_HOUR
                ? balances.stream()
                        .filter(b -> windows.stream().anyMatch(w -> w.contains(b)))
                        .findFirst()
                        .orElseGet(() -> windows.get(0).middle())
                : windows.get(0).start();
    }

    /** Fifty for minutes of blue or hours of lamps, twenty-five for lit windows, fifteen for a moon that models the land. */
    private static NightScore score(Night night, TownWish wish, List<Interval> windows, Instant best) {
        Optional<Interval> first = windows.stream().findFirst();
        double window = first.map(w -> wish.picture() == TownWish.Picture.BLUE_HOUR
                        ? w.duration().toSeconds() / 60.0 / LONG_MINUTES
                        : w.hours() / ENOUGH_HOURS)
                .orElse(0.0);
        return NightScore.ofShares(window, roomsLit(night, best) ? 1 : 0.4, moonUp(night, best) ? 1 : 0.5);
    }

    private static boolean moonUp(Night night, Instant at) {
        return night.sky().at(Body.MOON, at).altitude().degrees() > 0;
    }

    /** Whether people are up and their rooms lit. */
    private static boolean roomsLit(Night night, Instant at) {
        LocalTime clock = at.atZone(night.zone()).toLocalTime();
        return clock.isAfter(LocalTime.NOON) && clock.isBefore(LIGHTS_OUT);
    }

    /** Whether the moon is up at its best moment and models the land. */
    public boolean moonUp() {
        return moonUp(night, best);
    }

    /** Whether rooms are lit at its best moment. */
    public boolean roomsLit() {
        return roomsLit(night, best);
    }

    /** The sky behind the town at a moment. */
    public SkyBrightness sky(Instant at) {
        return light.at(at).towards(direction(towards)).total();
    }

    /** The same as an exposure value at ISO 100. */
    public double skyEv(Instant at) {
        return MeterReading.ev(sky(at).luminance());
    }

    /** Moments of the main window, at most seven, on whole five minutes. */
    public List<Instant> course() {
        List<Instant> all = new ArrayList<>();
        main().ifPresent(w -> {
            long step =
                    Math.max(1, Math.round(w.duration().toSeconds() / PARTS_OF_COURSE / FIVE_MINUTES)) * FIVE_MINUTES;
            long first = Math.floorDiv(w.start().getEpochSecond(), FIVE_MINUTES) * FIVE_MINUTES;
            for (long t = first; t <= w.end().getEpochSecond() + step; t += step) {
                all.add(Instant.ofEpochSecond(t));
            }
        });
        return List.copyOf(all);
    }

    private static final long FIVE_MINUTES = 300;
    private static final double PARTS_OF_COURSE = 6;

    /** How long the sky takes to lose a stop about a moment; nothing where it does not. */
    public Optional<Duration> stopLost(Instant at) {
        double minutes = 4;
        double lost = Stops.between(
                sky(at.minusSeconds((long) (30 * minutes))).luminance(),
                sky(at.plusSeconds((long) (30 * minutes))).luminance());
        return Math.abs(lost) < 0.02
                ? Optional.empty()
                : Optional.of(Duration.ofSeconds(Math.round(60 * minutes / Math.abs(lost))));
    }

    /** What is left of a picture of dark houses†. */
    private static final double DARK_ROOMS = 0.6;

    /** Nearer to the balance is better, and while rooms are lit. */
    @Override
    public double strength(Instant at) {
        return balances.stream()
                .map(b -> Duration.between(b, at).abs())
                .min(Comparator.naturalOrder())
                .map(d -> Math.max(0.3, 1 - d.toSeconds() / 3600.0) * (roomsLit(night, at) ? 1 : DARK_ROOMS))
                .orElse(1.0);
    }

    @Override
    public Instant bestMoment() {
        return best;
    }

    /** The evening's before the morning's, however long. */
    @Override
    public Optional<Interval> main() {
        return windows.stream().findFirst();
    }

    @Override
    public Optional<Body> followed() {
        return Optional.empty();
    }

    @Override
    public TownNight withScore(NightScore other) {
        return new TownNight(night, light, wish, towards, balances, windows, best, other);
    }
}
