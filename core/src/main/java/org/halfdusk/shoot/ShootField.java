package org.halfdusk.shoot;

import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.Arrays;
import java.util.function.UnaryOperator;
import org.halfdusk.exposure.IsoSchool;
import org.halfdusk.exposure.Mount;
import org.halfdusk.sequence.BlockSpec;
import org.halfdusk.typed.PlainText;
import org.halfdusk.typed.TypedNumber;

/** What of a shoot a person can change by itself; each knows what may stand in it. An empty text unpins. */
public enum ShootField implements Field {
    TITLE(text -> PlainText.line("title", text, Shoot.LONGEST_TITLE)),
    NOTES(text -> PlainText.lines("notes", text, Shoot.LONGEST_NOTES)),
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
    MOUNT(ShootField::mount),
    /** How far the mount's axis is off the pole, arcmin. */
    POLAR(text -> text.isBlank() ? "" : FieldText.decimal("axis off the pole", text, 0, 600, "arcmin")),
    /** STANDS where a person stands in the frame. */
    PERSON(text -> FieldText.oneOf("person in the frame", text, "STANDS")),
    /** Density of a filter before the lens; empty for none. */
    FILTER(text -> text.isBlank() ? "" : FieldText.decimal("filter density", text, 0, 6, "")),
    /** Frames of a bracket and thirds of a stop between them; empty for none. */
    BRACKET(RigWishes::bracketText),
    /** Blocks that a person has laid, as {@link BlockSpec} writes them; empty for the computed ones. */
    BLOCKS(text -> BlockSpec.text(BlockSpec.parse(text))),
    /** RAW_JPEG where a JPEG is written beside the raw file. */
    FILES(text -> FieldText.oneOf("files", text, "RAW_JPEG")),
    /** ON where the camera takes a dark frame after each. */
    NOISE_REDUCTION(text -> FieldText.oneOf("noise reduction", text, "ON")),
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
        String known = FieldText.oneOf("mount", text, names(Mount.values()));
        return known.equals(Mount.TRIPOD.name()) ? "" : known;
    }

    private static String night(String text) {
        try {
            return checked(LocalDate.parse(text)).toString();
        } catch (DateTimeParseException e) {
            throw new IllegalArgumentException(
                    "night \u201c" + TypedNumber.shown(text) + "\u201d is not a date; write it as 2027-06-04", e);
        }
    }

    /**
     * An evening that can be planned.
     *
     * @throws IllegalArgumentException outside {@link #FIRST_NIGHT} to {@link #LAST_NIGHT}
     */
    static LocalDate checked(LocalDate night) {
        if (night.isBefore(FIRST_NIGHT) || night.isAfter(LAST_NIGHT)) {
            throw new IllegalArgumentException("night " + night + " is outside " + FIRST_NIGHT + " to " + LAST_NIGHT);
        }
        return night;
    }

    private static String aim(String text) {
        if (text.isBlank()) {
            return "";
        }
        String[] parts = text.trim().split("\\s+");
        if (parts.length != 3) {
            throw new IllegalArgumentException("aim “" + TypedNumber.shown(text)
                    + "” is not azimuth, altitude and roll; three numbers are allowed");
        }
        return FieldText.decimal("azimuth", parts[0], 0, 360, "°") + " "
                + FieldText.decimal("altitude", parts[1], -30, 90, "°") + " "
                + FieldText.decimal("roll", parts[2], -180, 180, "°");
    }

    private static String school(String text) {
        if (text.isEmpty()) {
            throw new IllegalArgumentException(
                    "sky placement is not chosen; allowed are " + String.join(", ", names(IsoSchool.values())));
        }
        return FieldText.oneOf("sky placement", text, names(IsoSchool.values()));
    }

    private static String[] names(Enum<?>[] values) {
        return Arrays.stream(values).map(Enum::name).toArray(String[]::new);
    }

    private static long number(String what, String text) {
        try {
            return TypedNumber.whole(what, text, 1, Long.MAX_VALUE, "");
        } catch (IllegalArgumentException e) {
            throw new IllegalArgumentException(
                    what + " number \u201c" + TypedNumber.shown(text) + "\u201d is not known; choose one of the list",
                    e);
        }
    }

    private static long iso(String text) {
        return TypedNumber.whole("ISO", text, 6, 3_276_800, "");
    }
}
