package org.halfdusk.sky;

/** Parts of day and night by the sun's airless altitude: its upper limb at the horizon with 34′ of refraction, then each 6°. */
public enum DayPart {
    DAY(-(34.0 / 60 + 16.0 / 60)),
    CIVIL_TWILIGHT(-6),
    NAUTICAL_TWILIGHT(-12),
    ASTRONOMICAL_TWILIGHT(-18),
    NIGHT(-90);

    private final double fromDegrees;

    DayPart(double fromDegrees) {
        this.fromDegrees = fromDegrees;
    }

    /** The part that an airless altitude of the sun belongs to, −90° to 90°. */
    public static DayPart of(double sunAltitudeDegrees) {
        for (DayPart p : values()) {
            if (sunAltitudeDegrees > p.fromDegrees) {
                return p;
            }
        }
        return NIGHT;
    }

    /** Whether this is darker than another. */
    public boolean darkerThan(DayPart other) {
        return compareTo(other) > 0;
    }
}
