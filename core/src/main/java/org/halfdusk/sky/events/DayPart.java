package org.halfdusk.sky.events;

/** Parts of day and night by the sun's airless altitude. */
public enum DayPart {
    DAY(SkyEvents.SUNRISE_ALTITUDE),
    CIVIL_TWILIGHT(SkyEvents.CIVIL_ALTITUDE),
    NAUTICAL_TWILIGHT(SkyEvents.NAUTICAL_ALTITUDE),
    ASTRONOMICAL_TWILIGHT(SkyEvents.ASTRONOMICAL_ALTITUDE),
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
