package org.halfdusk.shoot.setting;

import java.util.List;

/**
 * A stretch of times, apertures or ISO values in which a picture comes out alike.
 *
 * @param until seconds, f-number or ISO at which it ends, counted from what takes in least light
 */
public record Zone(double until, Kind kind) {
    /** Of what moves: sharp for so many seconds, and not afterwards. */
    public static List<Zone> sharpUntil(double seconds) {
        return List.of(new Zone(seconds, Kind.SHARP), new Zone(Double.POSITIVE_INFINITY, Kind.BLURRED));
    }

    /** How good a stretch is. */
    public enum Tone {
        GOOD,
        FAIR,
        BAD,
        NONE
    }

    /** What becomes of the picture there. */
    public enum Kind {
        /** Stars are points. */
        PINPOINT(Tone.GOOD),
        /** Stars are round for how the picture is looked at. */
        ROUND(Tone.FAIR),
        TRAILS(Tone.BAD),
        BULB(Tone.NONE),
        /** So short that trails take many files. */
        MANY_FILES(Tone.FAIR),
        CLEAN_TRAILS(Tone.GOOD),
        /** The sky's own light drowns faint trails. */
        GLOW(Tone.BAD),
        /** The disc moves less than is seen. */
        SHARP(Tone.GOOD),
        BLURRED(Tone.BAD),
        /** Longer than hands are still. */
        HAND_SHAKES(Tone.FAIR),
        /** Longer than a long lens on a tripod is still. */
        LENS_SHAKES(Tone.FAIR),
        /** Sparks are short strokes. */
        STROKES(Tone.FAIR),
        WHOLE_BREAK(Tone.GOOD),
        SEVERAL_BREAKS(Tone.FAIR),
        /** Film takes in what a meter says. */
        AS_METERED(Tone.GOOD),
        /** Film slows down: more than a meter says. */
        RECIPROCITY(Tone.FAIR),
        PEOPLE_SHARP(Tone.GOOD),
        PEOPLE_BLURRED(Tone.FAIR),
        /** Who walks leaves no trace, and cars draw lines. */
        PEOPLE_GONE(Tone.GOOD),
        /** Lamps draw rays. */
        RAYS(Tone.GOOD),
        /** By diffraction. */
        SOFTENED(Tone.FAIR),
        SHARP_LENS(Tone.GOOD),
        SOFT_CORNERS(Tone.FAIR),
        /** What the lens or the camera has not. */
        OUT_OF_REACH(Tone.NONE),
        /** Noisy when it is lifted later. */
        LIFTED(Tone.FAIR),
        COLOURS_SAFE(Tone.GOOD),
        CORES_CLIP(Tone.FAIR),
        DARK(Tone.FAIR),
        RIGHT(Tone.GOOD),
        BRIGHT(Tone.FAIR),
        CLIPPED(Tone.BAD);

        private final Tone tone;

        Kind(Tone tone) {
            this.tone = tone;
        }

        /** How it is marked on a ruler. */
        public Tone tone() {
            return tone;
        }
    }
}
