package org.halfdusk.web.fireworks;

import org.halfdusk.show.practice.Verdict;

/** Verdicts on frames of fireworks, in two words and a tone. */
public final class VerdictWords {
    private VerdictWords() {}

    public static String name(Verdict v) {
        return switch (v) {
            case BLACK -> "Black";
            case BEFORE_THE_BREAK -> "Before the break";
            case TOO_LATE -> "Opened too late";
            case CUT_OFF -> "Cut off";
            case BLOWN -> "Blown right out";
            case SMOKE -> "Smoke in front";
            case ON_TOP -> "On top of each other";
            case WHOLE -> "A whole break";
            case WHOLE_WITH_CLIMB -> "Whole with climb";
        };
    }

    /** Tone of a verdict: as the pages' colours are called. */
    public static String tone(Verdict v) {
        return switch (v) {
            case WHOLE, WHOLE_WITH_CLIMB -> "good";
            case ON_TOP, SMOKE, CUT_OFF -> "caution";
            default -> "stop";
        };
    }
}
