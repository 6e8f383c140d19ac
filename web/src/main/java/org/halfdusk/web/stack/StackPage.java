package org.halfdusk.web.stack;

import java.util.List;
import java.util.Optional;
import org.halfdusk.web.subject.page.Line;

/**
 * The stacking bench.
 *
 * @param action where its forms go
 * @param headline how many frames are made one
 * @param modes to choose among
 * @param strip a cell a frame, in order of time
 * @param left frames that are left out, each with why
 * @param put frames that a person put back, whatever is in them
 * @param cost what leaving them out costs
 * @param ready whether it can begin: else {@code why} not
 * @param name of the picture, as it is proposed or was typed
 * @param darks and ground: what there is of them, in words; empty for none
 * @param one of the frames that are made one, to be looked at until there is a picture
 */
record StackPage(
        String action,
        String headline,
        List<Mode> modes,
        List<Cell> strip,
        List<Left> left,
        List<Left> put,
        String cost,
        boolean ready,
        String why,
        String name,
        String wrong,
        String darks,
        String ground,
        Optional<One> one,
        Optional<Job> job) {
    /** @param words what it is, and what it gains */
    record Mode(String value, String name, String words, boolean chosen, boolean fills) {}

    /** @param tone "used", "left" or "missing" @param title for who points at it */
    record Cell(String tone, String title) {}

    record Left(long id, String label, String why) {}

    /** @param id of the frame @param label its time and file */
    record One(long id, String label) {}

    /**
     * A stack that runs, was stopped, or is over.
     *
     * @param headline the answer: how far, or what it is
     * @param note pace and memory
     * @param preview address of its small picture; empty for none
     * @param picture address of the whole one; empty while there is none
     * @param figures what it came to
     * @param said what went wrong or was left out
     */
    record Job(
            boolean running,
            boolean stopped,
            boolean failed,
            String headline,
            String note,
            int done,
            int of,
            String preview,
            String picture,
            String file,
            List<Line> figures,
            List<String> said) {}
}
