package org.halfdusk.place;

import java.time.Instant;
import java.time.ZoneId;
import java.util.List;
import java.util.Objects;
import org.halfdusk.photometry.SkyBrightness;
import org.halfdusk.typed.PlainText;

/**
 * A place to photograph from.
 *
 * @param zone the civil time people keep there
 * @param skyBrightness of the dark sky at the zenith, mag/arcsec², 15 (city) to 22.2 (darkest)
 * @param objects what stands before the sky; those with a position of their own as they are seen from here
 * @param skyline how high the land stands about it
 * @param compassDegrees local declination of the compass as a person has measured it, east positive, −180 to 180; 0 takes the
 *     magnetic model's. True azimuth less it is what a compass shows
 */
public record Place(
        String name,
        Observer observer,
        ZoneId zone,
        SkyBrightness skyBrightness,
        List<ForegroundObject> objects,
        Skyline skyline,
        double compassDegrees,
        PlaceNotes notes) {
    /** Zeniths that a place may be told to have: a city's and the darkest on earth, mag/arcsec². */
    public static final double BRIGHTEST = 15;

    public static final double DARKEST = 22.2;
    public static final int MOST_OBJECTS = 20;
    public static final int LONGEST_NAME = 120;

    /** @throws IllegalArgumentException for a sky brightness, declination of the compass, name or number of objects out of range */
    public Place {
        Objects.requireNonNull(observer, "position is missing");
        Objects.requireNonNull(skyBrightness, "sky brightness is missing");
        Objects.requireNonNull(zone, "zone is missing");
        Objects.requireNonNull(skyline, "skyline is missing");
        Objects.requireNonNull(notes, "notes are missing");
        name = PlainText.line("name of a place", name, LONGEST_NAME);
        if (!(skyBrightness.magnitude() >= BRIGHTEST && skyBrightness.magnitude() <= DARKEST)) {
            throw new IllegalArgumentException(
                    "sky brightness " + skyBrightness.magnitude() + " mag/arcsec² is outside 15 to 22.2 mag/arcsec²");
        }
        if (!(compassDegrees >= -180 && compassDegrees <= 180)) {
            throw new IllegalArgumentException("compass declination " + compassDegrees + "° is outside −180° to 180°");
        }
        if (objects.size() > MOST_OBJECTS) {
            throw new IllegalArgumentException(objects.size() + " objects; at most " + MOST_OBJECTS + " are allowed");
        }
        objects = objects.stream().map(o -> o.seenFrom(observer)).toList();
    }

    /** With a flat skyline, a true compass, and only one kind of notes. */
    public Place(
            String name,
            Observer observer,
            ZoneId zone,
            SkyBrightness skyBrightness,
            List<ForegroundObject> objects,
            String access) {
        this(name, observer, zone, skyBrightness, objects, Skyline.FLAT, 0, new PlaceNotes(access, "", "", "", ""));
    }

    /** The same place behind another skyline. */
    public Place with(Skyline other) {
        return new Place(name, observer, zone, skyBrightness, objects, other, compassDegrees, notes);
    }

    /** The same place on other ground. */
    public Place with(Observer other) {
        return new Place(name, other, zone, skyBrightness, objects, skyline, compassDegrees, notes);
    }

    /** The same place with other notes. */
    public Place with(PlaceNotes other) {
        return new Place(name, observer, zone, skyBrightness, objects, skyline, compassDegrees, other);
    }

    /** How far a compass points east of true north here: as typed, or by the magnetic model where that is 0. */
    public double declinationDegrees(Instant at) {
        return compassDegrees != 0
                ? compassDegrees
                : MagneticField.at(observer, at).declinationDegrees();
    }

    /** What a compass shows for a true azimuth at a time, 0 to below 360. */
    public double compass(double azimuthDegrees, Instant at) {
        return (((azimuthDegrees - declinationDegrees(at)) % 360) + 360) % 360;
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
