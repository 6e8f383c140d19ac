package org.halfdusk.shoot.town;

import java.util.List;
import java.util.stream.IntStream;
import org.halfdusk.shoot.Wish;
import org.halfdusk.shoot.WishKind;
import org.halfdusk.typed.Codec;
import org.halfdusk.typed.Field;
import org.halfdusk.typed.Range;

/**
 * What is wished of a town at night.
 *
 * @param lamps how they shall look, and with which iris
 * @param used frames of the roll in the camera, of no account on a sensor, 0 to 36
 */
public record TownWish(Picture picture, TownLight light, Metering metering, Lamps lamps, Diffusion diffusion, int used)
        implements Wish {
    /** Which light of the evening. */
    public enum Picture {
        /** Sky and lamps in one exposure. */
        BLUE_HOUR,
        /** Lamps alone under a sky that is lost. */
        NIGHT
    }

    /** What of the scene a meter is pointed at. */
    public enum Metering {
        /** Something of a middle tone: a lit street. */
        MID_TONE,
        /** Unlit walls, and two stops less. */
        SHADOWS
    }

    /** A filter that spreads light about lamps. */
    public enum Diffusion {
        NONE,
        WEAK,
        STRONG
    }

    /**
     * How lamps shall look.
     *
     * @param rays whether they draw rays, by a small aperture
     * @param blades of the lens's iris, 5 to 18
     */
    public record Lamps(boolean rays, int blades) {
        public static final Range BLADES = Range.of("blades of the iris", 5, 18);

        /** @throws IllegalArgumentException naming the blades and what is allowed */
        public Lamps {
            BLADES.check(blades);
        }

        /** Where they go, as unit vectors. */
        public List<double[]> directions() {
            int n = raysDrawn();
            return IntStream.range(0, n)
                    .mapToDouble(i -> 2 * Math.PI * (i + 0.5) / n)
                    .mapToObj(a -> new double[] {Math.sin(a), -Math.cos(a)})
                    .toList();
        }

        /** Each edge throws light to both sides: opposite ones of an even iris fall together. */
        public int raysDrawn() {
            return blades % 2 == 0 ? blades : 2 * blades;
        }
    }

    public static final Range USED = Range.of("frames of the roll used", 0, 36);

    /** @throws IllegalArgumentException naming the frames and what is allowed */
    public TownWish {
        USED.check(used);
    }

    private static final Field<TownWish, Picture> PICTURE = new Field<>(
            "TOWN_PICTURE",
            "picture of the town",
            Codec.choice(
                    "picture of the town",
                    new Codec.Chosen<>(Picture.BLUE_HOUR, "BLUE_HOUR", "blue hour, sky and lamps together"),
                    new Codec.Chosen<>(Picture.NIGHT, "NIGHT", "night, lamps alone")),
            TownWish::picture,
            (w, v) -> new TownWish(v, w.light, w.metering, w.lamps, w.diffusion, w.used));
    private static final Field<TownWish, TownLight> LIGHT = new Field<>(
            "TOWN_LIGHT",
            "how it is lit",
            Codec.choice(
                    "how it is lit",
                    new Codec.Chosen<>(TownLight.VILLAGE, "VILLAGE", "village, few lamps"),
                    new Codec.Chosen<>(TownLight.TOWN, "TOWN", "town, lit streets"),
                    new Codec.Chosen<>(TownLight.CENTRE, "CENTRE", "centre, floodlit fronts")),
            TownWish::light,
            (w, v) -> new TownWish(w.picture, v, w.metering, w.lamps, w.diffusion, w.used));
    private static final Field<TownWish, Metering> METERING = new Field<>(
            "TOWN_METERING",
            "metered",
            Codec.choice(
                    "metered",
                    new Codec.Chosen<>(Metering.MID_TONE, "MID_TONE", "a mid-tone: the lit street"),
                    new Codec.Chosen<>(Metering.SHADOWS, "SHADOWS", "the shadows, less two stops")),
            TownWish::metering,
            (w, v) -> new TownWish(w.picture, w.light, v, w.lamps, w.diffusion, w.used));
    private static final Field<TownWish, Boolean> RAYS = new Field<>(
                    "TOWN_RAYS",
                    "lamps as",
                    Codec.choice(
                            "lamps as",
                            new Codec.Chosen<>(true, "RAYS", "rays, small aperture"),
                            new Codec.Chosen<>(false, "POINTS", "points, sharpest aperture")),
                    Lamps::rays,
                    (l, v) -> new Lamps(v, l.blades()))
            .in(TownWish::lamps, TownWish::with);
    private static final Field<TownWish, Integer> BLADES = new Field<>(
                    "TOWN_BLADES",
                    "blades of the iris",
                    Codec.whole(Lamps.BLADES),
                    Lamps::blades,
                    (Lamps l, Integer v) -> new Lamps(l.rays(), v))
            .in(TownWish::lamps, TownWish::with);
    private static final Field<TownWish, Diffusion> DIFFUSION = new Field<>(
            "TOWN_DIFFUSION",
            "diffusion filter",
            Codec.choice(
                    "diffusion filter",
                    new Codec.Chosen<>(Diffusion.NONE, "NONE", "none"),
                    new Codec.Chosen<>(Diffusion.WEAK, "WEAK", "weak, a soft glow"),
                    new Codec.Chosen<>(Diffusion.STRONG, "STRONG", "strong, halos")),
            TownWish::diffusion,
            (w, v) -> new TownWish(w.picture, w.light, w.metering, w.lamps, v, w.used));
    /** Of no account on a sensor. */
    public static final Field<TownWish, Integer> FRAMES_USED = new Field<>(
            "TOWN_USED",
            "frames of the roll used",
            Codec.whole(USED),
            TownWish::used,
            (w, v) -> new TownWish(w.picture, w.light, w.metering, w.lamps, w.diffusion, v));

    public static final WishKind<TownWish> KIND = new WishKind<>(
            TownWish.class,
            new TownWish(Picture.BLUE_HOUR, TownLight.TOWN, Metering.MID_TONE, new Lamps(true, 8), Diffusion.NONE, 0),
            List.of(PICTURE, LIGHT, METERING, RAYS, BLADES, DIFFUSION, FRAMES_USED));

    private TownWish with(Lamps other) {
        return new TownWish(picture, light, metering, other, diffusion, used);
    }
}
