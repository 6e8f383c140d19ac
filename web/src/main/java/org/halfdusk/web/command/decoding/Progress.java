package org.halfdusk.web.command.decoding;

import org.halfdusk.frame.stack.held.Picture;

/** What is told while a stack grows. */
public interface Progress {
    /** @param pixels of the frame that was just done; 0 where none was */
    void step(String what, int done, int of, long pixels);

    /** As it looks by now. */
    void grown(Picture sofar);
}
