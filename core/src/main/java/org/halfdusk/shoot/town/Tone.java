package org.halfdusk.shoot.town;

/** Tones of a picture, by how far they lie under what the medium still holds. */
public enum Tone {
    CLIPS,
    BRIGHT,
    MIDDLE,
    DARK,
    BLOCKED;

    /**
     * What a medium holds.
     *
     * @param over stops that it still holds over a sensor's clipping
     * @param blocked stops under clipping from which it shows nothing
     */
    public record Latitude(double over, double blocked) {
        /** A raw file. */
        public static final Latitude SENSOR = new Latitude(0, 9);

        /** Colour negative: highlights hold two stops more, shadows a stop and a half less†. */
        public static final Latitude FILM = new Latitude(2, 7.5);
    }

    private static final double BRIGHT_STOPS = 2;
    private static final double MIDDLE_STOPS = 5;

    /** @param under clipping of a sensor, stops; negative over it */
    static Tone of(double under, Latitude latitude) {
        if (under < -latitude.over()) {
            return CLIPS;
        }
        if (under < BRIGHT_STOPS) {
            return BRIGHT;
        }
        return under < MIDDLE_STOPS ? MIDDLE : under < latitude.blocked() ? DARK : BLOCKED;
    }
}
