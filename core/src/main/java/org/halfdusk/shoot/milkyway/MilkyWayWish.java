package org.halfdusk.shoot.milkyway;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.halfdusk.angle.Azimuth;
import org.halfdusk.ephemeris.Body;
import org.halfdusk.shoot.Wish;
import org.halfdusk.shoot.WishKind;
import org.halfdusk.typed.Codec;
import org.halfdusk.typed.Field;
import org.halfdusk.typed.Range;

/**
 * What is wished of the Milky Way.
 *
 * @param part of the band; its top stands for the whole arch
 * @param lowestDegrees altitude under which that part is not wanted, 0 to 60
 * @param towards over which direction
 * @param red whether the camera is modified for the red of hydrogen
 */
public record MilkyWayWish(Body part, double lowestDegrees, Towards towards, boolean red) implements Wish {
    public static final Range LOWEST_CORE_RANGE = new Range("lowest core altitude", 0, 60, "°");
    private static final Range LOWEST_RANGE = new Range("lowest altitude", 0, 60, "°");

    public static final Field<MilkyWayWish, Body> PART = new Field<>(
            "BAND_PART",
            "part of the band",
            Codec.choice(
                    "part of the band",
                    new Codec.Chosen<>(Body.GALACTIC_CENTRE, "CORE", "the core"),
                    new Codec.Chosen<>(Body.BAND_TOP, "ARCH", "the whole arch"),
                    new Codec.Chosen<>(Body.CYGNUS, "CYGNUS", "Cygnus"),
                    new Codec.Chosen<>(Body.CASSIOPEIA, "CASSIOPEIA", "Cassiopeia"),
                    new Codec.Chosen<>(Body.ORION, "ORION", "the band beside Orion"),
                    new Codec.Chosen<>(Body.CARINA, "CARINA", "Carina")),
            MilkyWayWish::part,
            (w, v) -> new MilkyWayWish(v, w.lowestDegrees, w.towards, w.red));

    public static final Field<MilkyWayWish, Double> LOWEST = Field.number(
            "CORE_LOWEST",
            LOWEST_RANGE,
            MilkyWayWish::lowestDegrees,
            (w, v) -> new MilkyWayWish(w.part, v, w.towards, w.red));

    /** Nothing for any direction. */
    public static final Field<MilkyWayWish, OptionalDouble> TOWARDS = new Field<>(
            "BAND_TOWARDS",
            Towards.AZIMUTH.what(),
            Codec.perhaps(Towards.AZIMUTH),
            w -> w.towards.azimuth().map(a -> OptionalDouble.of(a.degrees())).orElse(OptionalDouble.empty()),
            (w, v) -> w.over(new Towards(
                    v.isPresent() ? Optional.of(Azimuth.ofDegrees(v.getAsDouble() % 360)) : Optional.empty(),
                    w.towards.withinDegrees())));

    private static final Field<MilkyWayWish, Double> WITHIN = Field.number(
            "BAND_WITHIN",
            Towards.WITHIN,
            w -> w.towards.withinDegrees(),
            (w, v) -> w.over(new Towards(w.towards.azimuth(), v)));

    private static final Field<MilkyWayWish, Boolean> RED = new Field<>(
            "BAND_RED",
            "camera",
            Codec.choice(
                    "camera",
                    new Codec.Chosen<>(false, "AS_BUILT", "as built"),
                    new Codec.Chosen<>(true, "MODIFIED", "modified for red nebulae")),
            MilkyWayWish::red,
            (w, v) -> new MilkyWayWish(w.part, w.lowestDegrees, w.towards, v));

    public static final WishKind<MilkyWayWish> KIND = new WishKind<>(
            MilkyWayWish.class,
            core(MilkyWayNight.DEFAULT_LOWEST_CORE_DEGREES),
            List.of(PART, LOWEST, TOWARDS, WITHIN, RED));

    /** Of the core. */
    public static MilkyWayWish core(double lowestDegrees) {
        return of(Body.GALACTIC_CENTRE, lowestDegrees);
    }

    /** Of a part of the band, wherever it stands. */
    public static MilkyWayWish of(Body part, double lowestDegrees) {
        return new MilkyWayWish(part, lowestDegrees, Towards.ANYWHERE, false);
    }

    private MilkyWayWish over(Towards other) {
        return new MilkyWayWish(part, lowestDegrees, other, red);
    }

    /** Whether the whole arch is wished. */
    public boolean arch() {
        return part == Body.BAND_TOP;
    }
}
