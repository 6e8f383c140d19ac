package org.halfdusk.show.shells;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import org.halfdusk.typed.Codec;
import org.halfdusk.typed.TypedNumber;

/**
 * A show as people write it down, a shell a line: time, kind, calibre, colour and, if one likes, metres to the right of the middle.
 *
 * <pre>
 * 0:04 peony 125 red
 * 0:09.5 willow 150 gold -20
 * </pre>
 */
public final class CueTexts {
    /** Lines of a show that is written down. */
    public static final int MOST = 100;

    private static final Codec<ShellKind> KIND = Codec.constant("kind of shell", ShellKind.class);
    private static final Codec<Tint> TINT = Codec.constant("colour", Tint.class);
    private static final int LEAST_WORDS = 4;
    private static final int MOST_WORDS = 5;
    private static final int SECONDS_A_MINUTE = 60;

    private CueTexts() {}

    /**
     * @param text lines as above; empty ones are skipped
     * @throws IllegalArgumentException naming the line, what is wrong with it and what is allowed
     */
    public static CueSheet read(String text) {
        List<Cue> cues = new ArrayList<>();
        List<String> lines =
                text.lines().map(String::strip).filter(l -> !l.isEmpty()).toList();
        if (lines.size() > MOST) {
            throw new IllegalArgumentException(
                    "a show of " + lines.size() + " lines; at most " + MOST + " are allowed");
        }
        for (int i = 0; i < lines.size(); i++) {
            cues.add(cue(i + 1, lines.get(i)));
        }
        double last = cues.stream().mapToDouble(Cue::seconds).max().orElse(0);
        return new CueSheet(cues, Double.POSITIVE_INFINITY, last);
    }

    private static Cue cue(int number, String line) {
        String[] words = line.split("\\s+");
        if (words.length < LEAST_WORDS || words.length > MOST_WORDS) {
            throw new IllegalArgumentException("line " + number + ", “" + TypedNumber.shown(line)
                    + "”, has " + words.length + " words; time, kind, calibre, colour and perhaps metres to the right"
                    + " are needed, as in “0:04 peony 125 red”");
        }
        try {
            return new Cue(
                    seconds(words[0]),
                    KIND.read(words[1].toUpperCase(Locale.ROOT)),
                    new Calibre(Calibre.RANGE.read(words[2])),
                    TINT.read(words[3].toUpperCase(Locale.ROOT)),
                    words.length == MOST_WORDS ? Cue.RIGHT.read(words[4]) : 0,
                    turn(number));
        } catch (IllegalArgumentException e) {
            throw new IllegalArgumentException("line " + number + ": " + e.getMessage(), e);
        }
    }

    /** Breaks of a written show are turned by the golden ratio from one to the next, that none looks like the one before. */
    private static double turn(int number) {
        double golden = number * (Math.sqrt(5) - 1) / 2;
        return golden - Math.floor(golden);
    }

    /** Minutes and seconds, or seconds alone. */
    private static double seconds(String text) {
        String[] parts = text.split(":", 2);
        if (parts.length == 1) {
            return Cue.SECONDS.read(text);
        }
        double minutes = Cue.SECONDS.read(parts[0]);
        double seconds = Cue.SECONDS.read(parts[1]);
        return Cue.SECONDS.check(minutes * SECONDS_A_MINUTE + seconds);
    }

    /** The same as text that {@link #read} reads. */
    public static String written(CueSheet sheet) {
        return sheet.cues().stream().map(CueTexts::written).collect(Collectors.joining("\n"));
    }

    private static String small(Enum<?> e) {
        return e.name().toLowerCase(Locale.ROOT);
    }

    private static String written(Cue c) {
        String line = TypedNumber.plain(c.seconds()) + " " + small(c.kind()) + " "
                + TypedNumber.plain(c.calibre().mm()) + " " + small(c.tint());
        return c.right() == 0 ? line : line + " " + TypedNumber.plain(c.right());
    }
}
