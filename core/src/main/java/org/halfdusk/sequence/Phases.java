package org.halfdusk.sequence;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * What a person has chosen for the phases of a computed script.
 *
 * @param jpeg whether a JPEG is written beside the raw file where a phase does not say
 * @param choices at most one for each phase, in the order of the kinds
 */
public record Phases(boolean jpeg, List<PhaseChoice> choices) {
    public static final Phases NONE = new Phases(false, List.of());

    /** @throws IllegalArgumentException where a phase is chosen for twice */
    public Phases {
        choices = choices.stream()
                .filter(c -> !c.empty())
                .sorted(Comparator.comparing(PhaseChoice::kind))
                .toList();
        for (int i = 1; i < choices.size(); i++) {
            if (choices.get(i).kind() == choices.get(i - 1).kind()) {
                throw new IllegalArgumentException(
                        "phase “" + choices.get(i).kind() + "” is chosen for twice; once is allowed");
            }
        }
    }

    /** What is chosen for a phase; all as computed where nothing is. */
    public PhaseChoice of(Block.Kind phase) {
        return chosen(phase).orElseGet(() -> PhaseChoice.none(phase));
    }

    private Optional<PhaseChoice> chosen(Block.Kind kind) {
        return choices.stream().filter(c -> c.kind() == kind).findFirst();
    }

    /** Whether a block of a kind writes a JPEG beside the raw file. */
    public boolean jpeg(Block.Kind kind) {
        return chosen(kind).flatMap(PhaseChoice::jpeg).orElse(jpeg);
    }

    /** The same with another choice for its phase. */
    public Phases with(PhaseChoice choice) {
        List<PhaseChoice> next = new ArrayList<>(
                choices.stream().filter(c -> c.kind() != choice.kind()).toList());
        next.add(choice);
        return new Phases(jpeg, next);
    }
}
