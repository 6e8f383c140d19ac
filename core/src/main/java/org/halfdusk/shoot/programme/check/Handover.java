package org.halfdusk.shoot.programme.check;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import org.halfdusk.sequence.Block;
import org.halfdusk.shoot.programme.Programme;

/**
 * One camera passes from another aim of the night to this one: between their frames it is turned, its zoom set and its focus found
 * anew.
 *
 * @param since when the last frame of the other aim closes
 * @param at when the first of this one opens, not before
 */
public record Handover(Instant since, Instant at) {
    /** To turn a head, set a zoom, magnify a star and frame again†. */
    private static final Duration LEAST = Duration.ofMinutes(3);

    /** A pause for it begins so long before the frames†. */
    private static final Duration PAUSE = Duration.ofMinutes(5);

    /** In order of time; where frames of both overlap there is none, see {@link Programme#overlap}. */
    public static List<Handover> of(List<Block> own, List<Block> other) {
        List<Handover> all = new ArrayList<>();
        List<Block> here = framed(own);
        List<Block> there = framed(other);
        for (int i = 0; i < here.size(); i++) {
            Instant begins = here.get(i).start();
            Instant before = i == 0 ? Instant.MIN : here.get(i - 1).start();
            there.stream()
                    .filter(b -> b.start().isAfter(before) && b.start().isBefore(begins))
                    .map(Block::end)
                    .max(Comparator.naturalOrder())
                    .filter(e -> !e.isAfter(begins))
                    .ifPresent(e -> all.add(new Handover(e, begins)));
        }
        return all;
    }

    private static List<Block> framed(List<Block> blocks) {
        return blocks.stream()
                .filter(b -> !b.frames().isEmpty())
                .sorted(Comparator.comparing(Block::start))
                .toList();
    }

    /** Whether no person is done with it in that time. */
    public boolean hurried() {
        return Duration.between(since, at).compareTo(LEAST) < 0;
    }

    /** Where a pause for it begins. */
    public Instant pause() {
        Instant usual = at.minus(PAUSE);
        return usual.isBefore(since) ? since : usual;
    }
}
