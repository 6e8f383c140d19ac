package org.halfdusk.show.practice;

import java.util.List;
import java.util.Optional;
import java.util.function.ToDoubleFunction;

/**
 * What a hand does over a session.
 *
 * @param frames that it took of shells
 */
public record HandHabit(
        int frames,
        Spread afterLaunch,
        Spread afterThump,
        Spread beforeBreak,
        Spread held,
        Spread beforeDark,
        Cause cause) {
    /** Mean and standard deviation of a sample, s; of one frame no deviation. */
    public record Spread(double mean, double deviation) {
        static Spread of(List<Reaction> all, ToDoubleFunction<Reaction> by) {
            double mean = all.stream().mapToDouble(by).average().orElse(0);
            double squares = all.stream()
                    .mapToDouble(r -> (by.applyAsDouble(r) - mean) * (by.applyAsDouble(r) - mean))
                    .sum();
            return new Spread(mean, all.size() < 2 ? 0 : Math.sqrt(squares / (all.size() - 1)));
        }
    }

    /** What the hand seems to wait for. */
    public enum Cause {
        /** The climbing spark: it opens before the break and is not led by the thump. */
        SPARK,
        /** The thump: it opens within a second after it is heard. */
        THUMP,
        /** The break itself. */
        BREAK,
        /** Nothing that one can tell. */
        UNSTEADY
    }

    /** Hands answer what they hear or see within so long†, s. */
    private static final double ANSWER_SECONDS = 0.9;

    /** A hand is steady within this†, s. */
    private static final double STEADY_SECONDS = 0.6;

    /** A lag shorter than this cannot be told from light†, s. */
    private static final double LEAST_LAG_SECONDS = 0.5;

    /** @return nothing of no frames */
    public static Optional<HandHabit> of(List<Reaction> all) {
        if (all.isEmpty()) {
            return Optional.empty();
        }
        Spread launch = Spread.of(all, Reaction::afterLaunch);
        Spread thump = Spread.of(all, Reaction::afterThump);
        Spread breaks = Spread.of(all, Reaction::beforeBreak);
        return Optional.of(new HandHabit(
                all.size(),
                launch,
                thump,
                breaks,
                Spread.of(all, Reaction::held),
                Spread.of(all, Reaction::beforeDark),
                cause(launch, thump, breaks)));
    }

    private static Cause cause(Spread launch, Spread thump, Spread breaks) {
        if (breaks.mean < 0 && breaks.mean > -ANSWER_SECONDS) {
            return Cause.BREAK;
        }
        boolean lagTells = launch.mean - thump.mean >= LEAST_LAG_SECONDS;
        if (lagTells && thump.mean >= 0 && thump.mean <= ANSWER_SECONDS && thump.deviation <= STEADY_SECONDS) {
            return Cause.THUMP;
        }
        return breaks.deviation <= STEADY_SECONDS || launch.deviation <= STEADY_SECONDS ? Cause.SPARK : Cause.UNSTEADY;
    }
}
