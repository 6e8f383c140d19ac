package org.halfdusk.shoot.fireworks;

import java.time.Duration;
import java.time.LocalTime;
import java.util.List;
import java.util.OptionalDouble;
import org.halfdusk.angle.Azimuth;
import org.halfdusk.place.ForegroundObject;
import org.halfdusk.shoot.Wish;
import org.halfdusk.shoot.WishKind;
import org.halfdusk.shoot.packing.Air;
import org.halfdusk.show.practice.Exercise;
import org.halfdusk.show.shells.Calibre;
import org.halfdusk.typed.Codec;
import org.halfdusk.typed.Field;
import org.halfdusk.typed.Range;

/**
 * What is known of a show, as a person says it.
 *
 * @param minutes length of the show, 1 to 240
 * @param finaleMinutes at its end, 0 to 60
 * @param site where it is launched
 * @param calibreMm the largest, 20 to 610; counts where the shells are their own
 * @param celsius expected
 * @param water whether water lies between, which doubles the breaks
 */
public record FireworksWish(
        LocalTime start,
        double minutes,
        double finaleMinutes,
        Site site,
        Shells shells,
        double calibreMm,
        OptionalDouble celsius,
        boolean water)
        implements Wish {
    /**
     * Where a show is launched, as seen from the camera.
     *
     * @param metres away, 1 to 50,000
     * @param azimuthDegrees 0 to 360
     * @param aboveMetres over the camera, −2,000 to 2,000
     * @param lineMetres how far from it the organiser keeps everybody, 0 to 5,000; 0 where that was not told
     */
    public record Site(double metres, double azimuthDegrees, double aboveMetres, double lineMetres) {}

    /** What is launched, by its usual calibres†. */
    public enum Shells {
        TOWN(75, 150),
        VILLAGE(50, 75),
        GREAT(75, 300),
        /** The largest as the person says. */
        OWN(75, Double.NaN);

        private final double smallestMm;
        private final double largestMm;

        Shells(double smallestMm, double largestMm) {
            this.smallestMm = smallestMm;
            this.largestMm = largestMm;
        }
    }

    public static final Range DISTANCE_RANGE = Exercise.DISTANCE;

    public static final Field<FireworksWish, LocalTime> START = new Field<>(
            "FIREWORKS_START",
            "show begins at",
            Codec.time("show begins at"),
            FireworksWish::start,
            (w, v) -> new FireworksWish(
                    v, w.minutes, w.finaleMinutes, w.site, w.shells, w.calibreMm, w.celsius, w.water));
    public static final Field<FireworksWish, Double> MINUTES = Field.number(
            "FIREWORKS_MINUTES",
            new Range("length of the show", 1, 240, "min"),
            FireworksWish::minutes,
            (w, v) ->
                    new FireworksWish(w.start, v, w.finaleMinutes, w.site, w.shells, w.calibreMm, w.celsius, w.water));
    public static final Field<FireworksWish, Double> FINALE = Field.number(
            "FIREWORKS_FINALE",
            new Range("finale at its end", 0, 60, "min"),
            FireworksWish::finaleMinutes,
            (w, v) -> new FireworksWish(w.start, w.minutes, v, w.site, w.shells, w.calibreMm, w.celsius, w.water));
    public static final Field<FireworksWish, Double> DISTANCE = Field.number(
                    "FIREWORKS_DISTANCE",
                    DISTANCE_RANGE,
                    Site::metres,
                    (s, v) -> new Site(v, s.azimuthDegrees, s.aboveMetres, s.lineMetres))
            .in(FireworksWish::site, FireworksWish::at);
    public static final Field<FireworksWish, Double> AZIMUTH = Field.number(
                    "FIREWORKS_AZIMUTH",
                    new Range("direction of the site", 0, 360, "°"),
                    Site::azimuthDegrees,
                    (s, v) -> new Site(s.metres, v, s.aboveMetres, s.lineMetres))
            .in(FireworksWish::site, FireworksWish::at);
    public static final Field<FireworksWish, Double> ABOVE = Field.number(
                    "FIREWORKS_ABOVE",
                    new Range("site above the camera", -2000, 2000, "m"),
                    Site::aboveMetres,
                    (s, v) -> new Site(s.metres, s.azimuthDegrees, v, s.lineMetres))
            .in(FireworksWish::site, FireworksWish::at);
    public static final Field<FireworksWish, Double> LINE = Field.number(
                    "FIREWORKS_LINE",
                    new Range("organiser's line from the site, 0 where not told", 0, 5000, "m"),
                    Site::lineMetres,
                    (s, v) -> new Site(s.metres, s.azimuthDegrees, s.aboveMetres, v))
            .in(FireworksWish::site, FireworksWish::at);
    public static final Field<FireworksWish, Shells> SHELLS = new Field<>(
            "FIREWORKS_SHELLS",
            "shells",
            Codec.choice(
                    "shells",
                    new Codec.Chosen<>(Shells.TOWN, "TOWN", "town: 75 to 150 mm"),
                    new Codec.Chosen<>(Shells.VILLAGE, "VILLAGE", "village: 50 to 75 mm"),
                    new Codec.Chosen<>(Shells.GREAT, "GREAT", "great show: 75 to 300 mm"),
                    new Codec.Chosen<>(Shells.OWN, "OWN", "largest as given beside")),
            FireworksWish::shells,
            (w, v) ->
                    new FireworksWish(w.start, w.minutes, w.finaleMinutes, w.site, v, w.calibreMm, w.celsius, w.water));
    public static final Field<FireworksWish, Double> CALIBRE = Field.number(
            "FIREWORKS_CALIBRE",
            Calibre.RANGE,
            FireworksWish::calibreMm,
            (w, v) -> new FireworksWish(w.start, w.minutes, w.finaleMinutes, w.site, w.shells, v, w.celsius, w.water));
    public static final Field<FireworksWish, OptionalDouble> CELSIUS = Air.expected(
            "FIREWORKS_CELSIUS",
            FireworksWish::celsius,
            (w, v) ->
                    new FireworksWish(w.start, w.minutes, w.finaleMinutes, w.site, w.shells, w.calibreMm, v, w.water));

    public static final Field<FireworksWish, Boolean> WATER = new Field<>(
            "FIREWORKS_WATER",
            "water before the show",
            Codec.choice(
                    "water before the show",
                    new Codec.Chosen<>(false, "NO", "no water between"),
                    new Codec.Chosen<>(true, "YES", "over water")),
            FireworksWish::water,
            (w, v) -> new FireworksWish(
                    w.start, w.minutes, w.finaleMinutes, w.site, w.shells, w.calibreMm, w.celsius, v));

    public static final WishKind<FireworksWish> KIND = new WishKind<>(
            FireworksWish.class,
            new FireworksWish(
                    LocalTime.of(22, 30),
                    20,
                    2,
                    new Site(420, 180, 0, 0),
                    Shells.TOWN,
                    150,
                    OptionalDouble.empty(),
                    false),
            List.of(START, MINUTES, FINALE, DISTANCE, AZIMUTH, ABOVE, LINE, SHELLS, CALIBRE, CELSIUS, WATER));

    /** The same show launched elsewhere. */
    FireworksWish at(Site other) {
        return new FireworksWish(start, minutes, finaleMinutes, other, shells, calibreMm, celsius, water);
    }

    /** The same over an object of a place. */
    FireworksWish over(ForegroundObject object) {
        return at(new Site(
                DISTANCE_RANGE.clamped(object.distanceMetres()),
                object.azimuth().degrees(),
                site.aboveMetres,
                site.lineMetres));
    }

    Duration length() {
        return Wish.minutes(minutes);
    }

    Show show() {
        double largest = shells == Shells.OWN ? calibreMm : shells.largestMm;
        return new Show(
                Azimuth.ofDegrees(site.azimuthDegrees % 360),
                site.metres,
                site.aboveMetres,
                new Calibre(Math.min(shells.smallestMm, largest)),
                new Calibre(largest),
                Wish.minutes(finaleMinutes),
                celsius.orElse(Air.ASSUMED_CELSIUS),
                water,
                site.lineMetres > 0 ? OptionalDouble.of(site.lineMetres) : OptionalDouble.empty());
    }
}
