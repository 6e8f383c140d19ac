package org.halfdusk.web.subject.words;

import org.halfdusk.frame.FrameFault.What;

/** What spoils a frame, in words. */
public final class FaultWords {
    private FaultWords() {}

    /** A fault in a word or two. */
    public static String what(What w) {
        return switch (w) {
            case TRAILED -> "trail";
            case DEFOCUS -> "out of focus";
            case SHAKE -> "shaken";
            case COMA -> "coma";
            case TILT -> "one side soft";
            case DEW -> "dew";
            case CLOUD -> "cloud";
            case CLIPPED -> "burnt out";
            case DARK -> "too dark";
            case AIRCRAFT -> "aircraft";
            case SATELLITE -> "satellite";
            case HEADLAMP -> "lamp";
            case HOT_PIXELS -> "hot pixels";
        };
    }
}
