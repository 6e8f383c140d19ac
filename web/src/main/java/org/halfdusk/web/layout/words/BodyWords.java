package org.halfdusk.web.layout.words;

import org.halfdusk.ephemeris.Body;
import org.halfdusk.shoot.milkyway.MilkyWayWish;
import org.halfdusk.typed.Codec;

/** What is followed over the night, by name. */
public final class BodyWords {
    private BodyWords() {}

    /** "the moon", "Cygnus", as in the middle of a sentence. */
    public static String name(Body body) {
        return switch (body) {
            case SUN -> "the sun";
            case MOON -> "the moon";
            case GALACTIC_NORTH_POLE -> "the band's pole";
            case BAND_TOP -> "the band's top";
            case CELESTIAL_POLE -> "the celestial pole";
            default -> MilkyWayWish.PART.codec().wording().apply(body);
        };
    }

    /** "Moon", "Band's top": at the head of a line. */
    public static String head(Body body) {
        return Words.capital(bare(body));
    }

    /** "core", "band's top": after a word of its own. */
    public static String bare(Body body) {
        return name(body).replaceFirst("^the ", "");
    }

    /** What can be sought over an object, as forms name it. */
    public static final Codec<Body> SOUGHT = Codec.choice(
            "what is sought",
            chosen(Body.GALACTIC_CENTRE),
            chosen(Body.MOON),
            chosen(Body.SUN),
            chosen(Body.BAND_TOP),
            chosen(Body.CELESTIAL_POLE),
            chosen(Body.CYGNUS),
            chosen(Body.CASSIOPEIA),
            chosen(Body.ORION),
            chosen(Body.CARINA));

    private static Codec.Chosen<Body> chosen(Body body) {
        return new Codec.Chosen<>(body, body.name(), name(body));
    }
}
