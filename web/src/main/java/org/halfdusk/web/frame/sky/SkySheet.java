package org.halfdusk.web.frame.sky;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.halfdusk.angle.Rotation;
import org.halfdusk.angle.Vector;
import org.halfdusk.eclipse.EarthShadow;
import org.halfdusk.ephemeris.Body;
import org.halfdusk.ephemeris.Galaxy;
import org.halfdusk.ephemeris.stars.Figures;
import org.halfdusk.ephemeris.stars.Star;
import org.halfdusk.ephemeris.stars.StarCatalogue;
import org.halfdusk.exposure.discs.Corona;
import org.halfdusk.place.ForegroundObject;
import org.halfdusk.place.Place;
import org.halfdusk.shoot.Plan;
import org.halfdusk.shoot.SubjectNight;
import org.halfdusk.sky.MoonAspect;
import org.halfdusk.sky.Sky;
import org.halfdusk.sky.shapes.MoonMaria;
import org.halfdusk.time.Interval;
import org.halfdusk.web.layout.words.Times;
import org.halfdusk.web.layout.words.Words;

/**
 * All that the drawing of a night over a place needs, computed once: the script only turns, interpolates and projects it.
 * Directions are millionths, times milliseconds since 1970, brightness hundredths of mag/arcsec².
 *
 * @param turns matrices from the equator of date to north, east, up, row by row, one each five minutes
 * @param stars directions in the equator of date
 * @param magnitudes of stars, hundredths
 * @param colours of stars by B − V, hundredths
 * @param band the Milky Way's own light in bytes, (mag/arcsec² − 20)·50, rows from −40° to 40° of latitude, 360 a row
 * @param galactic matrix from the equator of date to the galaxy's axes
 * @param opacity how strongly the band shows, hundredths, for each tenth of a magnitude that it is fainter than the sky, from −5
 * @param air by the apparent height's sine, from −0.05 by 0.0025: what the airless sine becomes, millionths; extinction, hundredths of a magnitude
 * @param faintest stars that show, hundredths, for each quarter magnitude of the sky's brightness from 2
 */
public record SkySheet(
        long from,
        int stepMinutes,
        List<String> clocks,
        int[] turns,
        int[] stars,
        int[] magnitudes,
        int[] colours,
        List<Figure> figures,
        String band,
        int[] galactic,
        int[] opacity,
        Air air,
        int[] faintest,
        Light light,
        List<SkyBodies.Wanderer> bodies,
        int[] core,
        int[] pole,
        double[] skyline,
        List<Thing> things,
        List<Dome> domes) {
    /** @param lines directions in the equator of date, each line a flat list */
    record Figure(String name, List<int[]> lines) {}

    record Air(int[] lift, int[] extinction) {}

    /**
     * The sky's brightness at each quarter of an hour over azimuths by ten degrees and some altitudes: one after another.
     *
     * @param parts of the light: towns, twilight, moon, each a byte of 255, in one text
     * @param sun the altitude in whose light it lies, hundredths of a degree, one a slice: in totality that of a dusk
     */
    record Light(double stepMinutes, int azimuthStep, int[] altitudes, int[] brightness, String parts, int[] sun) {}

    /**
     * @param lit fraction, thousandths, one each five minutes
     * @param limb of the bright limb's middle, counter-clockwise from straight up, tenths of a degree
     * @param axis of its north pole likewise
     * @param shadow of the Earth in a lunar eclipse: its middle right and up of the Moon's, the umbra's and penumbra's radius,
     *     hundredths of the Moon's radius, one each five minutes; empty otherwise
     * @param corona of the Sun: radius in its own and opacity, hundredths, from the limb outwards; empty otherwise
     * @param maria dark ellipses: middle right and up, half-axes along and across, thousandths of the radius
     */
    record Disc(double diameter, int[] lit, int[] limb, int[] axis, int[] maria, int[] shadow, int[] corona) {
        static Disc plain(double diameter) {
            int[] none = {};
            return new Disc(diameter, none, none, none, none, none, none);
        }

        /** The Sun's, with its corona for totality: distances and opacities, hundredths. */
        static Disc sun(double diameter, int[] corona) {
            int[] none = {};
            return new Disc(diameter, none, none, none, none, none, corona);
        }
    }

    /** @param outline azimuth and altitude as seen, degrees */
    record Thing(String name, double[] outline, double azimuth, double top) {}

    record Dome(String name, double azimuth, double height) {}

    private static final double MILLION = 1e6;
    static final Duration STEP = Duration.ofMinutes(5);

    static SkySheet of(Plan plan) {
        SubjectNight night = plan.night();
        Sky sky = night.sky();
        List<Instant> times = times(night.axis(), STEP);
        Instant middle = times.get(times.size() / 2);
        List<Star> stars = StarCatalogue.instance().stars();
        Place place = plan.place();
        return new SkySheet(
                times.get(0).toEpochMilli(),
                (int) STEP.toMinutes(),
                times.stream().map(t -> Times.clock(t, night.zone())).toList(),
                times.stream()
                        .flatMapToInt(t -> rows(sky.turning(t)).flatMapToInt(SkySheet::millionths))
                        .toArray(),
                millionths(sky.apparent(stars, middle)),
                stars.stream().mapToInt(s -> hundredths(s.magnitude())).toArray(),
                stars.stream().mapToInt(s -> hundredths(s.colour())).toArray(),
                figuresOf(sky, middle),
                SkyTables.bandBytes(),
                galacticAxes(sky, middle),
                SkyTables.opacities(),
                SkyTables.airTable(),
                SkyTables.faintestStars(),
                SkyTables.lightOf(night),
                SkyBodies.bodiesOf(night, times),
                millionths(Stream.of(toCore(sky, middle))).toArray(),
                millionths(Stream.of(sky.pole().direction())).toArray(),
                skylineOf(place),
                thingsOf(place),
                night.light().site().domes().stream()
                        .map(d -> new Dome(d.name(), tenth(d.azimuthDegrees()), tenth(d.heightDegrees())))
                        .filter(d -> d.height() > 2)
                        .limit(6)
                        .toList());
    }

    static List<Instant> times(Interval axis, Duration step) {
        return Stream.iterate(axis.start(), t -> t.plus(step))
                .limit(axis.duration().dividedBy(step) + 2)
                .toList();
    }

    private static Stream<Vector> rows(Rotation r) {
        return Stream.of(
                new Vector(r.xx(), r.xy(), r.xz()),
                new Vector(r.yx(), r.yy(), r.yz()),
                new Vector(r.zx(), r.zy(), r.zz()));
    }

    static IntStream millionths(Vector v) {
        return IntStream.of(million(v.x()), million(v.y()), million(v.z()));
    }

    static IntStream millionths(Stream<Vector> vectors) {
        return vectors.flatMapToInt(SkySheet::millionths);
    }

    static int[] millionths(List<Vector> vectors) {
        return millionths(vectors.stream()).toArray();
    }

    static int million(double part) {
        return (int) Math.round(part * MILLION);
    }

    static int hundredths(double value) {
        return (int) Math.round(value * 100);
    }

    static double tenth(double value) {
        return Math.rint(value * 10) / 10;
    }

    private static Vector toCore(Sky sky, Instant at) {
        return sky.apparent(List.of(Star.fixed(Galaxy.CENTRE_J2000)), at).get(0);
    }

    private static List<Figure> figuresOf(Sky sky, Instant at) {
        return Figures.all().stream()
                .map(f -> new Figure(
                        f.abbreviation(),
                        f.lines().stream()
                                .map(l -> millionths(
                                        sky.apparent(l.stream().map(Star::fixed).toList(), at)))
                                .toList()))
                .toList();
    }

    /** The axes of the galaxy seen among the apparent stars. */
    private static int[] galacticAxes(Sky sky, Instant at) {
        Rotation back = Galaxy.fromEquatorJ2000().inverse();
        List<Star> axes = Stream.of(new Vector(1, 0, 0), new Vector(0, 1, 0), new Vector(0, 0, 1))
                .map(v -> Star.fixed(back.apply(v)))
                .toList();
        return millionths(sky.apparent(axes, at));
    }

    /** Drawn only where the disc is wholly covered, so it is sent with every day of an eclipse. */
    static int[] corona(SubjectNight night) {
        return night.swift()
                ? Corona.profile().stream()
                        .flatMapToInt(c -> IntStream.of(hundredths(c.radii()), hundredths(c.opacity())))
                        .toArray()
                : new int[0];
    }

    static Disc moon(SubjectNight night, List<Instant> times) {
        Sky sky = night.sky();
        Instant middle = times.get(times.size() / 2);
        MoonAspect aspect = sky.moonAspect(middle);
        return new Disc(
                sky.diameterDegrees(Body.MOON, middle),
                times.stream()
                        .mapToInt(t -> (int) Math.round(1000 * sky.moonPhase(t).illuminatedFraction()))
                        .toArray(),
                times.stream()
                        .mapToInt(t ->
                                turn(sky.moonAspect(t).brightLimbDegrees() - sky.parallacticAngleDegrees(Body.MOON, t)))
                        .toArray(),
                times.stream()
                        .mapToInt(
                                t -> turn(sky.moonAspect(t).axisDegrees() - sky.parallacticAngleDegrees(Body.MOON, t)))
                        .toArray(),
                MoonMaria.seen(aspect.librationLongitudeDegrees(), aspect.librationLatitudeDegrees()).stream()
                        .flatMapToInt(p -> IntStream.of(
                                thousandth(p.x()), thousandth(p.y()), thousandth(p.along()), thousandth(p.across())))
                        .toArray(),
                shadow(night, times),
                new int[0]);
    }

    /** The Earth's shadow beside the Moon, where the night sees an eclipse of it; nothing otherwise. */
    private static int[] shadow(SubjectNight night, List<Instant> times) {
        EarthShadow shadow = EarthShadow.of(night.sky());
        if (times.stream().noneMatch(t -> shadow.at(t).touches())) {
            return new int[0];
        }
        return times.stream()
                .map(t -> shadow.seenFrom(night.sky(), t))
                .flatMapToInt(s -> IntStream.of(
                        hundredths(s.right()), hundredths(s.up()), hundredths(s.umbra()), hundredths(s.penumbra())))
                .toArray();
    }

    private static int turn(double degrees) {
        return (int) Math.round(10 * Math.IEEEremainder(degrees, 360));
    }

    private static int thousandth(double value) {
        return (int) Math.round(1000 * value);
    }

    /** Altitudes at each degree of azimuth, finer where the skyline has more points. */
    private static double[] skylineOf(Place place) {
        int each = place.skyline().flat() ? 1 : place.skyline().points().size() > 400 ? 4 : 2;
        double[] altitudes = new double[360 * each];
        for (int i = 0; i < altitudes.length; i++) {
            altitudes[i] = Math.rint(100 * place.skyline().at(i / (double) each)) / 100;
        }
        return altitudes;
    }

    /** A box from under the horizon to its top; a tower tapers a little. */
    private static List<Thing> thingsOf(Place place) {
        List<Thing> things = new ArrayList<>();
        for (ForegroundObject o : place.objects()) {
            double half = o.widthDegrees() / 2;
            double az = o.azimuth().degrees();
            double top = o.topDegrees();
            double foot = Math.min(top, place.skyline().at(az)) - 1;
            things.add(new Thing(
                    o.name(),
                    new double[] {az - half, foot, az - half * 0.85, top, az + half * 0.85, top, az + half, foot},
                    az,
                    top));
        }
        return things;
    }

    /** Differs when anything that the sheet is made of does. */
    public static String version(Plan plan) {
        return Integer.toHexString(Objects.hash(
                plan.place(),
                plan.night().axis(),
                plan.night().followed(),
                Words.units().twelveHours()));
    }
}
