package org.halfdusk.optics;

import java.time.Instant;
import java.util.OptionalDouble;
import org.halfdusk.typed.PlainText;
import org.halfdusk.typed.Range;

/**
 * Where a lens was in focus on the stars, in a person's words: "tape edge on the 4 of 24".
 *
 * @param lensId which lens of the kit
 * @param focalMm set on it, mm
 * @param celsius of the air then; nothing where it was not read
 * @param mark up to 200 characters
 */
public record FocusMark(long lensId, double focalMm, OptionalDouble celsius, String mark, Instant noted) {
    public static final Range CELSIUS = new Range("temperature at the mark", -50, 50, "°C");
    public static final int LONGEST = 200;

    /** Kept of one lens at the most. */
    public static final int MOST = 50;

    /** @throws IllegalArgumentException naming the value and what is allowed */
    public FocusMark {
        mark = PlainText.line("focus mark", mark, LONGEST);
        if (mark.isBlank()) {
            throw new IllegalArgumentException(
                    "focus mark is empty; some words are wanted, as: tape edge on the 4 of 24");
        }
        celsius.ifPresent(CELSIUS::check);
    }

    /** The same of a lens under another number. */
    public FocusMark of(long other) {
        return new FocusMark(other, focalMm, celsius, mark, noted);
    }

    /** How far it is from a focal length and a temperature: the nearest serves best. One without a temperature comes last. */
    public double apart(double otherFocalMm, double otherCelsius) {
        double zoom = Math.abs(Math.log(focalMm / otherFocalMm)) / Math.log(2);
        return ZOOM_COUNTS * zoom
                + (celsius.isPresent() ? Math.abs(celsius.getAsDouble() - otherCelsius) : NO_TEMPERATURE);
    }

    /** Twice the focal length is as far off as so many degrees†. */
    private static final double ZOOM_COUNTS = 30;

    private static final double NO_TEMPERATURE = 15;

    /** Metal and glass have moved after so many degrees: focus anew†. */
    public static final double REFOCUS_CELSIUS = 4;
}
