package org.halfdusk.shoot.fireworks;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.stream.DoubleStream;
import java.util.stream.Stream;
import org.halfdusk.angle.Altitude;
import org.halfdusk.ephemeris.Body;
import org.halfdusk.light.SkyLight;
import org.halfdusk.light.sources.TownLamps;
import org.halfdusk.photometry.Magnitudes;
import org.halfdusk.place.Observer;
import org.halfdusk.place.geodesy.GreatCircle;
import org.halfdusk.show.Backdrop;
import org.halfdusk.show.Display;
import org.halfdusk.show.Take;
import org.halfdusk.show.Viewpoint;
import org.halfdusk.show.practice.Exercise;
import org.halfdusk.show.shells.Choreographer;
import org.halfdusk.show.shells.CueSheet;
import org.halfdusk.show.shells.Spark;
import org.halfdusk.show.smoke.Drift;
import org.halfdusk.sky.HorizontalPosition;

/** A made-up or written show in the place of the planned one: to practise on, and to see what its frames will be like. */
public final class Practice {
    /** Wind where none is forecast: light air from the left†, m/s. */
    private static final Spark.Point LIGHT_AIR = new Spark.Point(1.5, 0, 0.3);

    /** Altitudes at which the sky behind is asked for, degrees. */
    private static final double[] ALTITUDES = {0.5, 3, 8, 15, 30, 50, 70, 90};

    /** The full Moon's face above the air, and what the air leaves of it†, cd/m². */
    private static final double MOON_LUMINANCE = 4800;

    private static final double MOON_THROUGH_AIR = 0.6;
    private static final double MOON_RADIUS_DEGREES = 0.26;

    /** Lit windows that are made up behind a show where no town is known†. */
    private static final int WINDOWS = 140;

    /** A town is behind the launching ground where its houses end no farther from it, km†. */
    private static final double AT_TOWN_KM = 1;

    /** Towns whose lamps are drawn, the nearest, and how far to the side of the show, degrees. */
    private static final int TOWNS = 8;

    private static final double ASIDE_DEGREES = 70;

    /** Refraction makes the Earth's curve look this much flatter†. */
    private static final double FLATTER = 1 - 0.13;

    private Practice() {}

    /** As a plan has it: its distance, its finale, usual smoke. */
    public static Exercise exercise(FireworksPlan plan, long seed) {
        return new Exercise(
                seed, Optional.empty(), Exercise.Smoke.THIN, true, plan.show().distanceMetres());
    }

    /** What is fired of an exercise. */
    public static CueSheet sheet(FireworksPlan plan, Exercise exercise) {
        Choreographer planned =
                FireworksPlan.choreographer(plan.show(), plan.night().show().duration());
        Choreographer asked = new Choreographer(
                planned.smallest(),
                planned.largest(),
                planned.seconds(),
                exercise.finale() ? planned.finaleSeconds() : 0);
        return exercise.typed().orElseGet(() -> asked.made(exercise.seed()));
    }

    /** An exercise over the plan's place, in its night. */
    public static Display display(FireworksPlan plan, Exercise exercise) {
        Show show = plan.show();
        Spark.Point wind = plan.smoke()
                .map(s -> new Spark.Point(s.acrossMetresPerSecond(), 0, s.awayMetresPerSecond()))
                .orElse(LIGHT_AIR);
        return new Display(
                sheet(plan, exercise),
                new Viewpoint(show.azimuth(), exercise.metres(), show.aboveMetres()),
                new Drift(wind, exercise.smoke().thickness()),
                backdrop(plan));
    }

    private static Backdrop backdrop(FireworksPlan plan) {
        Instant middle = plan.night().show().middle();
        SkyLight.At light = plan.night().light().at(middle);
        List<Backdrop.Glow> sky = DoubleStream.of(ALTITUDES)
                .mapToObj(a -> new Backdrop.Glow(
                        a,
                        light.towards(new HorizontalPosition(
                                                Altitude.ofDegrees(a),
                                                plan.show().azimuth(),
                                                1)
                                        .direction())
                                .total()
                                .luminance()))
                .toList();
        HorizontalPosition moon = plan.night().sky().at(Body.MOON, middle);
        double lit = plan.night().night().moonPhase().illuminatedFraction();
        return new Backdrop(
                sky,
                moon.altitude().degrees() < 0
                        ? Optional.empty()
                        : Optional.of(
                                new Backdrop.Moon(moon, MOON_RADIUS_DEGREES, MOON_LUMINANCE * MOON_THROUGH_AIR * lit)),
                plan.place().skyline(),
                plan.show().water(),
                lamps(plan));
    }

    /** Settlements whose lamps stand behind the show, nearest first; none where none lies that way. */
    public static List<TownLamps> towns(FireworksPlan plan) {
        Observer o = plan.place().observer();
        return TownLamps.about(o.latitudeDegrees(), o.longitudeDegrees()).stream()
                .filter(t -> t.lamps().stream().anyMatch(l -> ahead(plan.show(), l)))
                .limit(TOWNS)
                .toList();
    }

    /** Whether the show's own houses are made up: no settlement that is known reaches its launching ground. */
    public static boolean windowsMadeUp(FireworksPlan plan) {
        Observer o = plan.place().observer();
        double[] ground = GreatCircle.destination(
                o.latitudeDegrees(),
                o.longitudeDegrees(),
                plan.show().azimuth().degrees(),
                plan.show().distanceMetres() / 1000);
        return TownLamps.about(ground[0], ground[1]).stream()
                .limit(1)
                .noneMatch(t -> t.km() <= t.radiusKm() + AT_TOWN_KM);
    }

    private static List<Backdrop.Lamp> lamps(FireworksPlan plan) {
        Show show = plan.show();
        Stream<Backdrop.Lamp> real = towns(plan).stream()
                .flatMap(t -> t.lamps().stream())
                .filter(l -> ahead(show, l))
                .map(l -> new Backdrop.Lamp(place(show, l), l.candela(), l.warm()));
        return Stream.concat(
                        real,
                        windowsMadeUp(plan)
                                ? Backdrop.madeUpWindows(WINDOWS, show.distanceMetres()).stream()
                                : Stream.empty())
                .toList();
    }

    private static boolean ahead(Show show, TownLamps.Lamp l) {
        return Math.abs(Math.IEEEremainder(l.bearingDegrees() - show.azimuth().degrees(), 360)) < ASIDE_DEGREES;
    }

    /** In the show's own place: a lamp stands as high as the launching ground, less what the Earth curves away. */
    private static Spark.Point place(Show show, TownLamps.Lamp l) {
        double metres = 1000 * l.km();
        double turn = Math.toRadians(l.bearingDegrees() - show.azimuth().degrees());
        double below = FLATTER * metres * metres / (2000 * GreatCircle.EARTH_RADIUS_KM);
        return new Spark.Point(
                metres * Math.sin(turn), l.metres() - below, metres * Math.cos(turn) - show.distanceMetres());
    }

    /** The same turned otherwise, as {@link FireworksPlan#turned} has it. */
    public static Take take(FireworksPlan plan, CueSheet.Part part, boolean upright) {
        Take own = take(plan, part);
        FireworksPlan.Turned turned = plan.turned(upright);
        return new Take(turned.rig(), turned.framing(), own.fNumber(), own.iso(), own.filterStops());
    }

    /** How the plan's rig takes a frame in a part of the show. */
    public static Take take(FireworksPlan plan, CueSheet.Part part) {
        return new Take(
                plan.rig(),
                plan.framing(),
                plan.fNumber(part == CueSheet.Part.FINALE ? FireworksPlan.Scene.FINALE : FireworksPlan.Scene.BREAK),
                plan.iso(),
                plan.wishes().limits().filterMagnitudes() / Magnitudes.PER_STOP);
    }
}
