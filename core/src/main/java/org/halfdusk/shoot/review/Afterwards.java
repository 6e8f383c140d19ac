package org.halfdusk.shoot.review;

import org.halfdusk.typed.PlainText;

/**
 * What a person noted of a shoot when it was over.
 *
 * @param note what worked, what to change
 * @param weather as it was met
 * @param focusMark where on its ring the lens was sharp
 */
public record Afterwards(String note, String weather, String focusMark) {
    public static final Afterwards NOTHING = new Afterwards("", "", "");
    public static final int LONGEST_NOTE = 4000;
    public static final int LONGEST_LINE = 300;

    public Afterwards {
        note = note.isBlank() ? "" : PlainText.lines("note", note.strip(), LONGEST_NOTE);
        weather = weather.isBlank() ? "" : PlainText.line("weather as met", weather, LONGEST_LINE);
        focusMark = focusMark.isBlank() ? "" : PlainText.line("focus mark", focusMark, LONGEST_LINE);
    }

    /** Whether nothing was noted. */
    public boolean empty() {
        return note.isEmpty() && weather.isEmpty() && focusMark.isEmpty();
    }

    /** With a line more in its note. */
    public Afterwards plus(String line) {
        return new Afterwards((note + "\n" + line).strip(), weather, focusMark);
    }
}
