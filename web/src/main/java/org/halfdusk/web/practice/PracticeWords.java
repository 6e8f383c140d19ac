package org.halfdusk.web.practice;

import java.util.List;
import org.halfdusk.show.practice.HandHabit;
import org.halfdusk.show.practice.PractisedFrame;
import org.halfdusk.show.practice.Reaction;
import org.halfdusk.show.shells.ShellKind;
import org.halfdusk.web.layout.words.Words;
import org.halfdusk.web.subject.page.Line;

/** What a tutor says of frames and of the hand that takes them. */
final class PracticeWords {
    private PracticeWords() {}

    static String sentence(PractisedFrame f) {
        String late = f.reaction()
                .map(r -> r.beforeBreak() < 0 ? Words.tenths(-r.beforeBreak()) + " s after the break" : "")
                .orElse("");
        return switch (f.verdict()) {
            case BLACK -> "Nothing glowed while it was open: wait for the climbing spark.";
            case BEFORE_THE_BREAK -> "Closed while the shell still climbed: hold until its stars fade.";
            case TOO_LATE ->
                "It opened " + (late.isEmpty() ? "when the break was under way" : late)
                        + ": open on the climbing spark.";
            case CUT_OFF ->
                "Closed while the stars still burnt"
                        + f.reaction()
                                .map(r -> ", " + Words.tenths(r.beforeDark()) + " s before the last was dark")
                                .orElse("")
                        + ".";
            case BLOWN -> "White without colour: a stop less.";
            case SMOKE -> "Smoke of earlier breaks dulls it: wait for it to clear, or go upwind.";
            case ON_TOP -> "Several breaks over each other: close sooner.";
            case WHOLE -> "All of a break.";
            case WHOLE_WITH_CLIMB -> "All of a break, with the end of its climb under it.";
        };
    }

    static String kind(ShellKind k) {
        return switch (k) {
            case PEONY -> "peony";
            case WILLOW -> "willow";
            case PALM -> "palm";
            case CROSSETTE -> "crossette";
            case SALUTE -> "salute";
            case COMET -> "comet";
            case GROUND -> "fountain";
        };
    }

    /** @param heading the answer; @param sentence what to do about it */
    record Said(String heading, String sentence) {}

    static Said habit(HandHabit h, double lagSeconds) {
        return switch (h.cause()) {
            case THUMP ->
                new Said(
                        "You open " + Words.tenths(h.afterThump().mean()) + " s after the thump",
                        "The light is " + Words.tenths(lagSeconds) + " s old by then: "
                                + Words.tenths(h.afterLaunch().mean())
                                + " s of the climb are gone. Open on the climbing spark, not on the sound.");
            case BREAK ->
                new Said(
                        "You open " + Words.tenths(-h.beforeBreak().mean()) + " s after the break",
                        "By then its first strokes are lost. Open while the spark still climbs.");
            case SPARK ->
                new Said(
                        "You open " + Words.tenths(Math.max(0, h.beforeBreak().mean())) + " s before the break",
                        "On the climbing spark, as it should be.");
            case UNSTEADY ->
                new Said(
                        "Your hand is not steady yet",
                        "It opens now on this, now on that: choose the climbing spark, and only that.");
        };
    }

    static List<Line> rows(HandHabit h, String planned) {
        return List.of(
                new Line(
                        "Opens",
                        h.beforeBreak().mean() >= 0
                                ? Words.tenths(h.beforeBreak().mean()) + " s before the break"
                                : Words.tenths(-h.beforeBreak().mean()) + " s after the break"),
                new Line("The same to", Words.tenths(h.beforeBreak().deviation()) + " s"),
                new Line("Holds", Words.tenths(h.held().mean()) + " s, planned " + planned),
                new Line(
                        "Lets go",
                        Words.tenths(Math.abs(h.beforeDark().mean())).equals("0.0")
                                ? "as the stars go dark"
                                : h.beforeDark().mean() >= 0
                                        ? Words.tenths(h.beforeDark().mean()) + " s before the stars are dark"
                                        : Words.tenths(-h.beforeDark().mean()) + " s after the stars are dark"));
    }

    /** How a frame was held. */
    static String held(PractisedFrame f) {
        return Words.tenths(f.shutter().seconds()) + " s";
    }

    /** When the shell of a frame was opened on, for its title. */
    static String when(PractisedFrame f) {
        return f.reaction().map(PracticeWords::when).orElse("no shell near");
    }

    private static String when(Reaction r) {
        return "opened " + Words.tenths(r.afterLaunch()) + " s after the launch";
    }
}
