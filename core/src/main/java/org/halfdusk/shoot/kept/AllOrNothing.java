package org.halfdusk.shoot.kept;

import java.util.function.Supplier;

/** Several changes as one: all of them are kept, or none. */
public interface AllOrNothing {
    /**
     * Makes changes through the ports of this room.
     *
     * @return what they answer
     * @throws RuntimeException what they threw; then nothing of them is kept
     */
    <T> T of(Supplier<T> changes);
}
