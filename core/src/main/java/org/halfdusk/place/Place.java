package org.halfdusk.place;

import java.time.ZoneId;
import java.util.List;

/**
 * A place to photograph from.
 *
 * @param zone the civil time people keep there
 * @param skyBrightness of the dark sky at the zenith, mag/arcsec², 15 (city) to 22.2 (darkest)
 * @param objects what stands before the sky
 */
public record Place(
        String name,
        Observer observer,
        ZoneId zone,
        double skyBrightness,
        List<ForegroundObject> objects,
        String notes) {
    public Place {
        if (name.isBlank() || name.length() > 120) {
            throw new IllegalArgumentException("name of a place must have 1 to 120 characters");
        }
        if (!(skyBrightness >= 15 && skyBrightness <= 22.2)) {
            throw new IllegalArgumentException(
                    "sky brightness " + skyBrightness + " mag/arcsec² is outside 15 to 22.2 mag/arcsec²");
        }
        objects = List.copyOf(objects);
    }

    /** What a picture from here shows: "the windmill", or the place's own name up to a comma. */
    public String foreground() {
        if (objects.isEmpty()) {
            return shortName();
        }
        String object = objects.get(0).name();
        return "the " + Character.toLowerCase(object.charAt(0)) + object.substring(1);
    }

    /** The name up to a comma. */
    public String shortName() {
        return name.split(",", 2)[0];
    }
}
