package org.halfdusk.web.stack;

import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import org.halfdusk.photometry.Stops;
import org.halfdusk.shoot.review.taken.PlannedAndTaken;
import org.halfdusk.shoot.review.taken.Stackable;
import org.halfdusk.web.layout.words.Times;
import org.halfdusk.web.layout.words.Words;
import org.halfdusk.web.subject.page.Line;
import org.halfdusk.web.subject.words.FaultWords;
import tools.jackson.databind.JsonNode;

/** Words of the stacking bench. */
final class StackWords {
    private StackWords() {}

    static String gain(int frames) {
        return frames < 2 ? "" : Words.count(frames, "frame") + " gain " + Words.stops(Stops.ofAveraging(frames)) + ".";
    }

    /** What leaving frames out costs the others' mean, in stops of signal-to-noise; empty where none is. */
    static String cost(int used, int left) {
        return left == 0 || used == 0
                ? ""
                : "Without " + (left == 1 ? "it" : "them") + " the mean of the others gains "
                        + Words.stops(Stops.ofAveraging(used + left) - Stops.ofAveraging(used))
                        + " less; in trails the gap is filled like any other.";
    }

    /** Name of a frame with when it was taken. */
    static String label(PlannedAndTaken.Taken t, ZoneId zone) {
        return t.frame().it().file().name()
                + t.opened().map(o -> ", " + Times.clockSeconds(o, zone)).orElse("");
    }

    static String why(Stackable.Left l) {
        return switch (l.why()) {
            case REJECTED -> "rejected by you";
            case SPOILT ->
                l.fault()
                        .map(f -> FaultWords.what(f.what()) + (f.where().isEmpty() ? "" : ", " + f.where()))
                        .orElse("spoilt");
            case OTHER_EXPOSURE -> "exposed otherwise than the others";
            case SHOWS_NOTHING -> "neither stars nor bursts in it";
            case NOT_CHOSEN -> "not kept, and others are";
        };
    }

    /** "61 of 77 frames, 19 s left". */
    static String progress(JsonNode line) {
        double left = line.get("secondsLeft").asDouble();
        return Words.capital(line.get("what").asString()) + ", "
                + line.get("done").asInt() + " of "
                + line.get("of").asInt()
                + (left > 0 ? ", " + (int) Math.ceil(left) + " s left" : "");
    }

    static String pace(JsonNode line) {
        double rate = line.get("megapixelsPerSecond").asDouble();
        return (rate > 0 ? Words.count(Math.round(rate), "megapixel") + " a second, " : "")
                + line.get("memoryMegabytes").asInt() + " MB of memory in use";
    }

    /** What a stack came to. */
    static List<Line> figures(JsonNode f) {
        List<Line> all = new ArrayList<>();
        all.add(new Line(
                "Frames",
                f.get("used").asInt() + ", "
                        + Words.seconds(f.get("exposedSeconds").asDouble()) + " of light"));
        all.add(new Line(
                "Size", f.get("width").asInt() + " × " + f.get("height").asInt() + " px"));
        all.add(new Line(
                "Made in",
                Words.seconds(Math.rint(f.get("seconds").asDouble() * 10) / 10) + ", "
                        + Words.count(Math.round(f.get("megapixelsPerSecond").asDouble()), "megapixel") + " a second"));
        JsonNode aligned = f.get("aligned");
        if (!aligned.isNull()) {
            all.add(new Line(
                    "Aligned to",
                    aligned.get("reference").asString() + ", within "
                            + two(aligned.get("worstPx").asDouble()) + " px; the sky moved up to "
                            + Words.tenths(aligned.get("movedPx").asDouble()) + " px"));
        }
        JsonNode noise = f.get("noise");
        if (!noise.isNull()) {
            all.add(new Line(
                    "Noise",
                    two(noise.get("gain").asDouble()) + " times less than in one frame; the root of their number is "
                            + two(noise.get("expected").asDouble())));
        }
        if (!f.get("hotPixels").isNull()) {
            all.add(new Line(
                    "Hot pixels taken off", Integer.toString(f.get("hotPixels").asInt())));
        }
        f.get("gaps").forEach(g -> all.add(gap(g)));
        return all;
    }

    private static Line gap(JsonNode g) {
        String deep = g.get("before").isNull() || g.get("filled").isNull()
                ? ""
                : ": " + Words.percent(g.get("before").asDouble()) + " deep, filled to "
                        + Words.percent(g.get("filled").asDouble());
        return new Line(
                "Gap after " + g.get("after").asString(),
                Words.seconds(Math.rint(g.get("seconds").asDouble())) + ", up to "
                        + Words.tenths(g.get("px").asDouble()) + " px" + deep);
    }

    private static String two(double v) {
        return Words.plain(Math.rint(v * 100) / 100);
    }
}
