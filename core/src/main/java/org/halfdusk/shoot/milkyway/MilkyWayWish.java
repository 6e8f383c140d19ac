package org.halfdusk.shoot.milkyway;

import java.util.List;
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
 */
public record MilkyWayWish(Body part, double lowestDegrees) implements Wish {
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
            (w, v) -> new MilkyWayWish(v, w.lowestDegrees));

    public static final Field<MilkyWayWish, Double> LOWEST = Field.number(
            "CORE_LOWEST", LOWEST_RANGE, MilkyWayWish::lowestDegrees, (w, v) -> new MilkyWayWish(w.part, v));

    public static final WishKind<MilkyWayWish> KIND =
            new WishKind<>(MilkyWayWish.class, core(MilkyWayNight.DEFAULT_LOWEST_CORE_DEGREES), List.of(PART, LOWEST));

    /** Of the core. */
    public static MilkyWayWish core(double lowestDegrees) {
        return new MilkyWayWish(Body.GALACTIC_CENTRE, lowestDegrees);
    }

    /** Whether the whole arch is wished. */
    public boolean arch() {
        return part == Body.BAND_TOP;
    }
}
