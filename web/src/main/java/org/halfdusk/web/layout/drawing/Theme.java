package org.halfdusk.web.layout.drawing;

import java.util.Locale;

/** Desk is dark; Field is red light only. */
public enum Theme {
    DESK,
    FIELD;

    /** As the page's attribute has it. */
    public String attribute() {
        return name().toLowerCase(Locale.ROOT);
    }

    /** A drawn colour in this theme: in Field its brightness goes into the red channel alone, dimmed. */
    public String colour(String hex) {
        if (this == DESK) {
            return hex;
        }
        int rgb = Integer.parseInt(hex.substring(1), 16);
        double bright = 0.3 * (rgb >> 16 & 255) + 0.59 * (rgb >> 8 & 255) + 0.11 * (rgb & 255);
        return String.format(Locale.ROOT, "#%02x0000", (int) Math.round(0.55 * bright));
    }

    /** The same for a colour as 0xrrggbb. */
    public int rgb(int colour) {
        if (this == DESK) {
            return colour;
        }
        double bright = 0.3 * (colour >> 16 & 255) + 0.59 * (colour >> 8 & 255) + 0.11 * (colour & 255);
        return (int) Math.round(0.55 * bright) << 16;
    }

    /** That of a cookie; the usual one where it names none. */
    public static Theme of(String cookie) {
        return "field".equals(cookie) ? FIELD : DESK;
    }
}
