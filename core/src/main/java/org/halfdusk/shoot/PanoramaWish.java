package org.halfdusk.shoot;

import org.halfdusk.sequence.Panorama;
import org.halfdusk.typed.TypedNumber;

/** A panorama as it is kept: start, span, overlap in percent, rows, spare tiles at each end. */
public record PanoramaWish(Panorama.Wish it) {
    private static final int PARTS = 5;

    /** @throws IllegalArgumentException naming the value and what is allowed */
    public static PanoramaWish parse(String text) {
        String[] parts = text.trim().split("\\s+");
        if (parts.length != PARTS) {
            throw new IllegalArgumentException("panorama “" + TypedNumber.shown(text)
                    + "” is not start, span, overlap, rows and spare tiles; five numbers are allowed");
        }
        try {
            return parsed(parts);
        } catch (IllegalArgumentException e) {
            throw new IllegalArgumentException("panorama “" + TypedNumber.shown(text) + "”: " + e.getMessage(), e);
        }
    }

    private static PanoramaWish parsed(String[] parts) {
        return new PanoramaWish(new Panorama.Wish(
                number("start of the panorama", parts[0], 0, 360, "°"),
                number("span of the panorama", parts[1], 1, 360, "°"),
                number("overlap", parts[2], 10, 70, "%") / 100,
                (int) TypedNumber.whole("rows", parts[3], 1, 5, ""),
                (int) TypedNumber.whole("spare tiles", parts[4], 0, 3, "")));
    }

    private static double number(String what, String text, double least, double most, String unit) {
        return Double.parseDouble(FieldText.decimal(what, text, least, most, unit));
    }

    /** The one written form. */
    public String text() {
        return FieldText.plain(it.fromAzimuth()) + " " + FieldText.plain(it.spanDegrees()) + " "
                + FieldText.plain(Math.rint(it.overlap() * 1000) / 10) + " " + it.rows() + " " + it.spares();
    }
}
