package org.halfdusk.typed;

/**
 * Text that every format can carry: without the control characters and noncharacters of Unicode, without halves of
 * surrogate pairs. XML 1.0 and PDF cannot hold those at all, and nobody types them on purpose, so they are dropped.
 */
public final class PlainText {
    private static final int NONCHARACTERS = 0xFDD0;
    private static final int NONCHARACTERS_END = 0xFDF0;

    private PlainText() {}

    /**
     * A name or title: one line, no space around it.
     *
     * @param what it is, for the message: "name of a place"
     * @param most characters allowed
     * @throws IllegalArgumentException where nothing is left of it, or more than allowed
     */
    public static String line(String what, String text, int most) {
        String plain = cleaned(text, false).strip();
        if (plain.isEmpty()) {
            throw new IllegalArgumentException(what + " is empty; 1 to " + most + " characters are allowed");
        }
        return within(what, plain, most);
    }

    /**
     * Notes: lines and tabs stay, line ends become LF, and nothing at all is allowed.
     *
     * @throws IllegalArgumentException where it is longer than allowed
     */
    public static String lines(String what, String text, int most) {
        return within(what, cleaned(text, true).strip(), most);
    }

    /** The start of a line that a file gave, as much as is allowed; another where nothing is left of it. */
    public static String shortened(String text, int most, String otherwise) {
        String start = start(cleaned(text, false).strip(), most).strip();
        return start.isEmpty() ? otherwise : start;
    }

    /** The start of notes that a file gave, as much as is allowed. */
    public static String shortenedLines(String text, int most) {
        return start(cleaned(text, true).strip(), most);
    }

    /** The first characters, never half of a surrogate pair. */
    static String start(String text, int most) {
        if (text.length() <= most) {
            return text;
        }
        return text.substring(0, most > 0 && Character.isHighSurrogate(text.charAt(most - 1)) ? most - 1 : most);
    }

    private static String within(String what, String text, int most) {
        if (text.length() > most) {
            throw new IllegalArgumentException(
                    what + " has " + text.length() + " characters; at most " + most + " are allowed");
        }
        return text;
    }

    private static String cleaned(String text, boolean lines) {
        if (text.chars().allMatch(c -> c >= ' ' && c < 0x7F)) {
            return text;
        }
        StringBuilder kept = new StringBuilder(text.length());
        text.replace("\r\n", "\n").replace('\r', '\n').codePoints().forEach(c -> {
            if (c == '\n' || c == '\t') {
                kept.append(lines ? (char) c : ' ');
            } else if (!Character.isISOControl(c) && !lone(c) && !noncharacter(c)) {
                kept.appendCodePoint(c);
            }
        });
        return kept.toString();
    }

    private static boolean lone(int c) {
        return c >= Character.MIN_SURROGATE && c <= Character.MAX_SURROGATE;
    }

    private static boolean noncharacter(int c) {
        return (c & 0xFFFE) == 0xFFFE || c >= NONCHARACTERS && c < NONCHARACTERS_END;
    }
}
