package org.halfdusk.shoot.kept.done;

import java.util.List;
import java.util.Optional;
import org.halfdusk.show.practice.PractisedFrame;

/** Where it is kept what hands did on practice shows. */
public interface PracticeLog {
    /** Of a shoot, the newest first. */
    List<PractisedFrame> frames(long shootId);

    /** One of a shoot by its number. */
    Optional<PractisedFrame> frame(long shootId, long number);

    /**
     * Adds one; beyond {@link PractisedFrame#MOST} the oldest goes.
     *
     * @return its number
     */
    long add(long shootId, PractisedFrame frame);

    /** Forgets all of a shoot. */
    void forget(long shootId);
}
