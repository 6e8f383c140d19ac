package org.halfdusk.show.practice;

import java.util.Optional;
import org.halfdusk.show.shells.CueSheet;
import org.halfdusk.typed.Range;

/**
 * What somebody practises on.
 *
 * @param seed of the show that is made up, 0 to 1,000,000
 * @param typed a show that was written down, in place of a made-up one
 * @param smoke how much of it hangs about
 * @param finale whether a made-up show ends in one
 * @param metres from the tripod, 1 to 50,000
 */
public record Exercise(long seed, Optional<CueSheet> typed, Smoke smoke, boolean finale, double metres) {
    public static final Range SEED = Range.of("show", 0, 1_000_000);
    public static final Range DISTANCE = new Range("distance to the launching site", 1, 50_000, "m");

    public Exercise {
        SEED.check(seed);
        DISTANCE.check(metres);
    }

    /** The same from another distance. */
    public Exercise from(double otherMetres) {
        return new Exercise(seed, typed, smoke, finale, otherMetres);
    }

    /** The same in other smoke. */
    public Exercise in(Smoke other) {
        return new Exercise(seed, typed, other, finale, metres);
    }

    /** The same with or without a finale. */
    public Exercise withFinale(boolean ends) {
        return new Exercise(seed, typed, smoke, ends, metres);
    }

    /** How much smoke hangs about. */
    public enum Smoke {
        NONE(0),
        THIN(1),
        THICK(3);

        private final double thickness;

        Smoke(double thickness) {
            this.thickness = thickness;
        }

        /** As a {@link org.halfdusk.show.smoke.Drift} has it. */
        public double thickness() {
            return thickness;
        }
    }
}
