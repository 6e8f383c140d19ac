package org.halfdusk.shoot.search;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.halfdusk.ephemeris.Body;
import org.halfdusk.light.LightWindows;
import org.halfdusk.place.ForegroundObject;
import org.halfdusk.place.Place;
import org.halfdusk.place.Skyline;
import org.halfdusk.shoot.Site;
import org.halfdusk.shoot.choices.ShootField;
import org.halfdusk.sky.HorizontalPosition;
import org.halfdusk.sky.events.Curve;
import org.halfdusk.sky.events.Night;
import org.halfdusk.sky.events.SkyEvents;
import org.halfdusk.sky.events.Windows;
import org.halfdusk.time.Interval;
import org.halfdusk.time.Moment;

/** Nights on which a body stands over something in the foreground, as seen from the tripod. */
public final class Alignments {
    /** Five minutes: a body moves a degree or so meanwhile, and a pass within the least tolerance takes longer. */
    private static final double STEP_DAYS = 1.0 / 288;

    /** Least tolerance that the step cannot miss, degrees. */
    public static final double LEAST_TOLERANCE = 0.5;

    private Alignments() {}

    /** Under which light it is wished. */
    public enum Light {
        /** Sun under −18°, or where it never gets there the least light; Moon down. */
        DARK,
        /** Sun down, but not under −12°: the land is still to be seen. */
        DUSK,
        ANY
    }

    /**
     * What is wished.
     *
     * @param sidewaysDegrees how far it may stand to either side of the object's middle, along the sky, 0.5 to 45
     * @param mostOverDegrees how high over the object's top it may stand, above 0 to 90; under the top it is behind it
     */
    public record Wish(
            Body body, ForegroundObject object, double sidewaysDegrees, double mostOverDegrees, Light light) {
        /** @throws IllegalArgumentException for tolerances out of range */
        public Wish {
            if (!(sidewaysDegrees >= LEAST_TOLERANCE && sidewaysDegrees <= 45)) {
                throw new IllegalArgumentException(
                        "tolerance to the side " + sidewaysDegrees + "° is outside " + LEAST_TOLERANCE + "° to 45°");
            }
            if (!(mostOverDegrees > 0 && mostOverDegrees <= 90)) {
                throw new IllegalArgumentException(
                        "height over the top " + mostOverDegrees + "° is outside above 0° to 90°");
            }
        }
    }

    /**
     * A span in which all of it holds.
     *
     * @param closest the moment of it at which the body stands nearest to straight over the object
     * @param overDegrees over the top then, lifted by refraction
     */
    public record Match(LocalDate night, Interval span, Night.Sighting closest, double overDegrees) {}

    /** All matches of some nights from a date on, in order. */
    public static List<Match> search(Site site, Wish wish, LocalDate from, int nights) {
        List<Match> found = new ArrayList<>();
        for (int i = 0; i < nights; i++) {
            LocalDate date = from.plusDays(i);
            if (!date.isBefore(ShootField.FIRST_NIGHT) && !date.isAfter(ShootField.LAST_NIGHT)) {
                found.addAll(night(site, wish, date));
            }
        }
        return found;
    }

    private static List<Match> night(Site site, Wish wish, LocalDate date) {
        Night night = Night.of(site.sky(), date, site.place().zone());
        List<Match> found = new ArrayList<>();
        for (Interval light : light(site, night, wish.light())) {
            Curve curve = Curve.of(
                    t -> margin(site, wish, t), Moment.utDays(light.start()), Moment.utDays(light.end()), STEP_DAYS);
            for (Interval span : Curve.intervals(curve.spans(0, true))) {
                Night.Sighting closest =
                        night.nearestTo(wish.body(), wish.object().azimuth(), span);
                double over = closest.position().apparent().altitude().degrees()
                        - wish.object().topDegrees();
                found.add(new Match(date, span, closest, over));
            }
        }
        return found;
    }

    private static List<Interval> light(Site site, Night night, Light light) {
        return switch (light) {
            case DARK -> night.moonless(LightWindows.darkest(site.light(), night));
            case DUSK ->
                Interval.intersect(
                        Windows.of(night.sky(), night.interval()).below(Body.SUN, SkyEvents.SUNRISE_ALTITUDE),
                        Windows.of(night.sky(), night.interval()).above(Body.SUN, SkyEvents.NAUTICAL_ALTITUDE));
            case ANY -> List.of(night.interval());
        };
    }

    /** By how much the wish holds, degrees; negative where it does not. */
    private static double margin(Site site, Wish wish, double utDays) {
        HorizontalPosition p =
                site.sky().at(wish.body(), Moment.instantOf(utDays)).apparent();
        double sideways = p.degreesAside(wish.object().azimuth());
        double over = p.altitude().degrees() - wish.object().topDegrees();
        return Math.min(wish.sidewaysDegrees() - sideways, Math.min(over, wish.mostOverDegrees() - over));
    }

    /** How far off a skyline's hills are taken to stand where nobody says; a skyline knows directions only, m. */
    public static final double HILLS_METRES = 5000;

    /** What a body can stand over or in at a place: its objects, then the gaps in its skyline, the deepest first. */
    public static List<ForegroundObject> targets(Place place) {
        return targets(place, HILLS_METRES);
    }

    /** The same, with the hills of the gaps so far off, 1 to 100,000 m. */
    public static List<ForegroundObject> targets(Place place, double hillsMetres) {
        List<ForegroundObject> all = new ArrayList<>(place.objects());
        place.skyline().gaps(Skyline.LEAST_GAP_DEGREES).stream()
                .limit(MOST_GAPS)
                .map(g -> ForegroundObject.in(g, "the gap at " + Math.round(g.azimuthDegrees()) + "°", hillsMetres))
                .forEach(all::add);
        return List.copyOf(all);
    }

    private static final int MOST_GAPS = 5;

    /** The wish that what is followed suggests: it over the first object; nothing without one. */
    public static Optional<Wish> usual(Body body, List<ForegroundObject> objects) {
        Light light = body.ofBand() ? Light.DARK : body == Body.MOON ? Light.DUSK : Light.ANY;
        double over = body.ofBand() ? 30 : 3;
        return objects.stream().findFirst().map(o -> new Wish(body, o, 2, over, light));
    }

    /** Half a disc aside is still straight over something. */
    private static final double STRAIGHT_DEGREES = 0.3;

    /** Whether a body that stands so far to the side, degrees, is straight over an object for the eye. */
    public static boolean straightOver(double turnDegrees) {
        return Math.abs(turnDegrees) < STRAIGHT_DEGREES;
    }
}
