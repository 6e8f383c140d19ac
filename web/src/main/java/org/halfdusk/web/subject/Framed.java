package org.halfdusk.web.subject;

import org.halfdusk.ephemeris.Body;

/** What of a subject's frame is told first: where something stands. */
public sealed interface Framed {
    /** A body. */
    record OfBody(Body body) implements Framed {}

    /**
     * The celestial pole.
     *
     * @param draws what the stars draw in the frame, in a sentence
     */
    record OfPole(String draws) implements Framed {}

    /** The frame's own middle. */
    record OfCentre() implements Framed {}
}
