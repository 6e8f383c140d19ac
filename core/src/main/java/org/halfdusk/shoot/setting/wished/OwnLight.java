package org.halfdusk.shoot.setting.wished;

import java.util.Optional;
import java.util.OptionalDouble;
import org.halfdusk.exposure.lamps.LampPower;
import org.halfdusk.exposure.lamps.PaintedLight;
import org.halfdusk.typed.Range;

/**
 * Light that a photographer brings: what is lit or drawn while the shutter is open.
 *
 * @param thing that a lamp is on
 * @param letters of a word that is drawn, 1 to 40
 */
public record OwnLight(Kind kind, Beam beam, PaintedLight.Thing thing, Use use, int letters) {
    public static final Range METRES = new Range("from lamp to thing", 0.2, 500, "m");
    public static final Range DEGREES = new Range("beam to the thing's face", 0, 85, "°");
    public static final Range PASSES = Range.of("passes of the lamp", 1, 50);
    public static final Range SECONDS = new Range("a pass takes", 0.1, 3600, "s");
    public static final Range LETTERS = Range.of("letters of the word", 1, 40);

    public static final OwnLight NONE = new OwnLight(
            Kind.NONE,
            new Beam(Optional.empty(), 3, 45),
            PaintedLight.Thing.PALE_STONE,
            new Use(1, OptionalDouble.empty()),
            4);

    /** What is done with it. */
    public enum Kind {
        NONE,
        /** A lamp on a thing, or a face. */
        PAINTED,
        /** Written into the air with a spark in the hand. */
        WORD,
        /** Somebody dark before the sky: no light at all on them. */
        SILHOUETTE
    }

    /**
     * A lamp as it is held.
     *
     * @param power nothing where it is not said
     * @param metres to the thing, 0.2 to 500
     * @param degrees to the thing's face, 0 straight on, to 85
     */
    public record Beam(Optional<LampPower> power, double metres, double degrees) {
        /** @throws IllegalArgumentException naming the value and what is allowed */
        public Beam {
            METRES.check(metres);
            DEGREES.check(degrees);
        }
    }

    /**
     * How it is moved.
     *
     * @param passes over the thing, 1 to 50
     * @param seconds that each is on one spot of it; nothing for as long as it needs
     */
    public record Use(int passes, OptionalDouble seconds) {
        /** @throws IllegalArgumentException naming the value and what is allowed */
        public Use {
            PASSES.check(passes);
            seconds.ifPresent(SECONDS::check);
        }
    }

    /** @throws IllegalArgumentException naming the letters and what is allowed */
    public OwnLight {
        LETTERS.check(letters);
    }

    /** The lamp on the thing, where it is known. */
    public Optional<PaintedLight> painted() {
        return kind == Kind.PAINTED
                ? beam.power().map(l -> new PaintedLight(l, beam.metres(), beam.degrees(), thing))
                : Optional.empty();
    }

    /** The same for another of its parts. */
    public OwnLight with(Kind other) {
        return new OwnLight(other, beam, thing, use, letters);
    }

    /** With another lamp. */
    public OwnLight with(Beam other) {
        return new OwnLight(kind, other, thing, use, letters);
    }

    /** With another thing that is lit. */
    public OwnLight with(PaintedLight.Thing other) {
        return new OwnLight(kind, beam, other, use, letters);
    }

    /** With another use of the lamp. */
    public OwnLight with(Use other) {
        return new OwnLight(kind, beam, thing, other, letters);
    }

    /** With so many letters to write, 1 and more. */
    public OwnLight withLetters(int other) {
        return new OwnLight(kind, beam, thing, use, other);
    }
}
