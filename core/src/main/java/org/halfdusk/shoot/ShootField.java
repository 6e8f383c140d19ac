package org.halfdusk.shoot;

import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.function.UnaryOperator;
import org.halfdusk.exposure.IsoSchool;
import org.halfdusk.exposure.Mount;
import org.halfdusk.sequence.BlockSpec;

/** What of a shoot a person can change by itself; each knows what may stand in it. An empty text unpins. */
public enum ShootField implements Field {
    TITLE(ShootField::title),
    NOTES(text -> atMost(text, Shoot.LONGEST_NOTES, "notes")),
    PLACE(text -> Long.toString(number("place", text))),
    NIGHT(ShootField::night),
    CAMERA(text -> Long.toString(number("camera", text))),
    LENS(text -> Long.toString(number("lens", text))),
    CONVERTER(text -> text.isBlank() ? "" : Long.toString(number("converter", text))),
    FOCAL(text -> FieldText.decimal("focal length", text, 1, 5000, "mm")),
    /** Azimuth, altitude and roll; empty where the subject aims. */
    AIM(ShootField::aim),
    BUDGET(text -> FieldText.decimal("trail budget", text, 0.3, 50, "px")),
    ISO_SCHOOL(ShootField::school),
    SHUTTER(text -> text.isBlank() ? "" : FieldText.decimal("shutter time", text, 1.0 / 64_000, 3600, "s")),
    APERTURE(text -> text.isBlank() ? "" : FieldText.decimal("aperture f/", text, 0.5, 128, "")),
    ISO(text -> text.isBlank() ? "" : Long.toString(iso(text))),
    /** Distance that the lens is focused at, m; empty for the stars. */
    FOCUS(text -> text.isBlank() ? "" : FieldText.decimal("focus distance", text, 0.05, 100_000, "m")),
    /** How the picture is looked at: FULL, SCREEN, or PRINT with width and distance in cm; empty for a budget in px. */
    TOLERANCE(RigWishes::toleranceText),
    /** A {@link Mount}; empty for a tripod. */
    MOUNT(text -> text.isBlank() ? "" : mount(text)),
    /** How far the mount's axis is off the pole, arcmin. */
    POLAR(text -> text.isBlank() ? "" : FieldText.decimal("axis off the pole", text, 0, 600, "arcmin")),
    /** STANDS where a person stands in the frame. */
    PERSON(text -> text.isBlank() ? "" : "STANDS"),
    /** Density of a filter before the lens; empty for none. */
    FILTER(text -> text.isBlank() ? "" : FieldText.decimal("filter density", text, 0, 6, "")),
    /** Frames of a bracket and thirds of a stop between them; empty for none. */
    BRACKET(RigWishes::bracketText),
    /** Blocks that a person has laid, as {@link BlockSpec} writes them; empty for the computed ones. */
    BLOCKS(text -> BlockSpec.text(BlockSpec.parse(text))),
    /** RAW_JPEG where a JPEG is written beside the raw file. */
    FILES(text -> text.isBlank() ? "" : "RAW_JPEG"),
    /** ON where the camera takes a dark frame after each. */
    NOISE_REDUCTION(text -> text.isBlank() ? "" : "ON"),
    /** Temperature of the air that batteries are reckoned with, °C; empty for 10. */
    CELSIUS(text -> text.isBlank() ? "" : FieldText.decimal("temperature", text, -40, 50, "°C")),
    /** A panorama as {@link PanoramaWish} writes it; empty for one frame. */
    PANORAMA(text -> text.isBlank() ? "" : PanoramaWish.parse(text).text());

    /** First and last evening that can be planned. */
    public static final LocalDate FIRST_NIGHT = LocalDate.of(1950, 1, 1);

    public static final LocalDate LAST_NIGHT = LocalDate.of(2100, 12, 30);

    private final UnaryOperator<String> normal;

    ShootField(UnaryOperator<String> normal) {
        this.normal = normal;
    }

    @Override
    public String normal(String text) {
        return normal.apply(text.trim());
    }

    private static String mount(String text) {
        for (Mount m : Mount.values()) {
            if (m.name().equals(text)) {
                return m == Mount.TRIPOD ? "" : text;
            }
        }
        throw new IllegalArgumentException("mount “" + text + "” is not known");
    }

    private static String title(String text) {
        if (text.isBlank()) {
            throw new IllegalArgumentException(
                    "title is empty; 1 to " + Shoot.LONGEST_TITLE + " characters are allowed");
        }
        return atMost(text, Shoot.LONGEST_TITLE, "title");
    }

    private static String atMost(String text, int most, String what) {
        if (text.length() > most) {
            throw new IllegalArgumentException(
                    what + " has " + text.length() + " characters; at most " + most + " are allowed");
        }
        return text;
    }

    private static String night(String text) {
        try {
            LocalDate date = LocalDate.parse(text);
            if (date.isBefore(FIRST_NIGHT) || date.isAfter(LAST_NIGHT)) {
                throw new IllegalArgumentException(
                        "night " + text + " is outside " + FIRST_NIGHT + " to " + LAST_NIGHT);
            }
            return date.toString();
        } catch (DateTimeParseException e) {
            throw new IllegalArgumentException(
                    "night \u201c" + text + "\u201d is not a date; write it as 2027-06-04", e);
        }
    }

    private static String aim(String text) {
        if (text.isBlank()) {
            return "";
        }
        String[] parts = text.trim().split("\\s+");
        if (parts.length != 3) {
            throw new IllegalArgumentException("aim “" + text + "” is not azimuth, altitude and roll");
        }
        return FieldText.decimal("azimuth", parts[0], 0, 360, "°") + " "
                + FieldText.decimal("altitude", parts[1], -30, 90, "°") + " "
                + FieldText.decimal("roll", parts[2], -180, 180, "°");
    }

    private static String school(String text) {
        for (IsoSchool s : IsoSchool.values()) {
            if (s.name().equals(text)) {
                return text;
            }
        }
        throw new IllegalArgumentException("sky placement \u201c" + text + "\u201d is not known");
    }

    private static long number(String what, String text) {
        try {
            return Long.parseLong(text);
        } catch (NumberFormatException e) {
            throw new IllegalArgumentException(what + " \u201c" + text + "\u201d is not known", e);
        }
    }

    private static long iso(String text) {
        String allowed = "; a whole number from 6 to 3276800 is allowed";
        try {
            long iso = Long.parseLong(text);
            if (iso < 6 || iso > 3_276_800) {
                throw new IllegalArgumentException("ISO " + text + " is outside 6 to 3276800");
            }
            return iso;
        } catch (NumberFormatException e) {
            throw new IllegalArgumentException("ISO \u201c" + text + "\u201d is not a number" + allowed, e);
        }
    }
}
