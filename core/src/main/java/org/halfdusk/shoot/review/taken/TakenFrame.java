package org.halfdusk.shoot.review.taken;

import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import org.halfdusk.frame.FrameFault;
import org.halfdusk.frame.FrameReading;
import org.halfdusk.shoot.kept.Kept;
import org.halfdusk.typed.PlainText;

/**
 * A frame that was brought in: figures alone, never its picture.
 *
 * @param shootId nothing where it was read without a shoot
 * @param rig of the shoot, from 0
 * @param at when it was brought in
 */
public record TakenFrame(
        Optional<Long> shootId, int rig, FrameFile file, FrameReading reading, Instant at, Judgement judgement) {
    /** What a person thinks of a frame. */
    public enum Choice {
        OPEN,
        KEEP,
        REJECT
    }

    /**
     * A person's own judgement.
     *
     * @param stars 0 to 5
     * @param note up to {@link #LONGEST_NOTE} characters
     */
    public record Judgement(Choice choice, int stars, String note) {
        public static final Judgement NONE = new Judgement(Choice.OPEN, 0, "");
        public static final int LONGEST_NOTE = 1000;
        public static final int MOST_STARS = 5;

        /** @throws IllegalArgumentException for figures out of range */
        public Judgement {
            if (stars < 0 || stars > MOST_STARS) {
                throw new IllegalArgumentException("stars " + stars + " are not 0 to " + MOST_STARS);
            }
            note = note.isBlank() ? "" : PlainText.lines("note", note, LONGEST_NOTE);
        }
    }

    /** What a list of many nights says of a frame: of its reading the faults alone. */
    public record Brief(long shootId, Judgement judgement, List<FrameFault> faults) {}

    /** The one that stands for several: the kept one with the most stars; else one from their middle, none that was rejected. */
    public static <T> Optional<Kept<T>> best(List<Kept<T>> frames, Function<T, Judgement> judged) {
        List<Kept<T>> some = frames.stream()
                .filter(f -> judged.apply(f.it()).choice() != Choice.REJECT)
                .toList();
        return some.stream()
                .filter(f ->
                        judged.apply(f.it()).stars() > 0 || judged.apply(f.it()).choice() == Choice.KEEP)
                .max(Comparator.comparingInt(f -> judged.apply(f.it()).stars()))
                .or(() -> some.isEmpty() ? Optional.empty() : Optional.of(some.get(some.size() / 2)));
    }

    /** The same of another shoot, or of none. */
    public TakenFrame of(Optional<Long> shoot) {
        return new TakenFrame(shoot, rig, file, reading, at, judgement);
    }

    /** The same with another judgement. */
    public TakenFrame with(Judgement other) {
        return new TakenFrame(shootId, rig, file, reading, at, other);
    }
}
