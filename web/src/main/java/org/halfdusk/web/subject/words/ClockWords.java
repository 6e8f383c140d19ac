package org.halfdusk.web.subject.words;

import org.halfdusk.shoot.camera.ClockOffset;
import org.halfdusk.web.layout.words.Words;

/** How far a camera's clock is off, in words. */
public final class ClockWords {
    private ClockWords() {}

    /** "1.2 s ahead", "right". */
    public static String said(ClockOffset o) {
        double s = o.seconds();
        String by = Words.tenths(Math.abs(s)) + " s";
        return o.right() ? "right" : s > 0 ? by + " ahead" : by + " behind";
    }

    /** For who starts something by it. */
    public static String caution(ClockOffset o) {
        String when = o.seconds() > 0 ? "early" : "late";
        return "The camera's own clock is " + said(o) + ": what starts by it starts that much too " + when + ".";
    }
}
