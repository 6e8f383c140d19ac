package org.halfdusk.typed;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Supplier;

/** What is wrong of several values that belong together, so that all of it is said at once. */
public final class Faults {
    private final List<String> messages = new ArrayList<>();

    /** What is made, or something else in its place where that is refused, with the refusal noted. */
    public <T> T or(T otherwise, Supplier<T> made) {
        try {
            return made.get();
        } catch (IllegalArgumentException e) {
            messages.add(String.valueOf(e.getMessage()));
            return otherwise;
        }
    }

    /** Notes one. */
    public void add(String message) {
        messages.add(message);
    }

    /** @throws IllegalArgumentException with all that was noted, where anything was */
    public void refuse() {
        if (!messages.isEmpty()) {
            throw new IllegalArgumentException(String.join("; ", messages));
        }
    }
}
