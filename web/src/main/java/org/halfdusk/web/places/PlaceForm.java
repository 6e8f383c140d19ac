package org.halfdusk.web.places;

import java.time.DateTimeException;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.halfdusk.angle.Azimuth;
import org.halfdusk.place.ForegroundObject;
import org.halfdusk.place.Gazetteer;
import org.halfdusk.place.Observer;
import org.halfdusk.place.Place;
import org.halfdusk.place.Town;
import org.halfdusk.web.layout.FormErrors;
import org.halfdusk.web.layout.Words;
import org.jspecify.annotations.Nullable;

/**
 * A place as it is typed: what stands in each field, and what is wrong with it.
 *
 * <p>Objects are rows {@code object.0.name}, {@code object.0.height} …; an empty name leaves a row out.
 */
record PlaceForm(Map<String, String> typed, FormErrors errors) {
    /** Rows for objects that a form shows at least beyond those in use. */
    private static final int SPARE = 2;

    private static final int MOST_OBJECTS = 20;

    static PlaceForm fresh() {
        Map<String, String> typed = new LinkedHashMap<>();
        typed.put("elevation", "0");
        typed.put("sky", "21.3");
        return new PlaceForm(typed, new FormErrors(typed));
    }

    static PlaceForm of(Place p) {
        Map<String, String> typed = new LinkedHashMap<>();
        typed.put("name", p.name());
        typed.put("latitude", number(p.observer().latitudeDegrees()));
        typed.put("longitude", number(p.observer().longitudeDegrees()));
        typed.put("elevation", number(p.observer().elevationMetres()));
        typed.put("zone", p.zone().getId());
        typed.put("sky", number(p.skyBrightness()));
        typed.put("notes", p.notes());
        for (int i = 0; i < p.objects().size(); i++) {
            ForegroundObject o = p.objects().get(i);
            String row = "object." + i + ".";
            typed.put(row + "name", o.name());
            typed.put(row + "height", number(o.heightMetres()));
            typed.put(row + "width", number(o.widthMetres()));
            typed.put(row + "azimuth", number(o.azimuth().degrees()));
            typed.put(row + "distance", number(o.distanceMetres()));
            typed.put(row + "base", number(o.baseMetres()));
        }
        return new PlaceForm(typed, new FormErrors(typed));
    }

    private static String number(double v) {
        return v == Math.rint(v) ? Long.toString((long) v) : Double.toString(v);
    }

    /** What stands in a field. */
    public String text(String field) {
        return typed.getOrDefault(field, "");
    }

    /** Numbers of the object rows to show: those typed and some spare ones. */
    public List<Integer> rows() {
        int used = 0;
        for (int i = 0; i < MOST_OBJECTS; i++) {
            if (!text("object." + i + ".name").isBlank()) {
                used = i + 1;
            }
        }
        List<Integer> rows = new ArrayList<>();
        for (int i = 0; i < Math.min(MOST_OBJECTS, used + SPARE); i++) {
            rows.add(i);
        }
        return rows;
    }

    /** The place, or nothing where something is wrong; then the errors say what. */
    @Nullable
    Place read() {
        double latitude = errors.number("latitude", "latitude", -90, 90, "°");
        double longitude = errors.number("longitude", "longitude", -180, 180, "°");
        double elevation = errors.number("elevation", "elevation", -430, 9000, "m");
        double sky = errors.number("sky", "sky brightness", 15, 22.2, "mag/arcsec²");
        if (errors.text("name").isEmpty()) {
            errors.add("name", "name is empty; 1 to 120 characters are allowed");
        }
        ZoneId zone = zone(latitude, longitude);
        List<ForegroundObject> objects = objects();
        if (errors.any() || zone == null) {
            return null;
        }
        return errors.check(
                "name",
                () -> new Place(
                        errors.text("name"),
                        Observer.of(latitude, longitude, elevation),
                        zone,
                        sky,
                        objects,
                        errors.text("notes")));
    }

    /** The typed zone; left empty, that of the nearest town. */
    private @Nullable ZoneId zone(double latitude, double longitude) {
        String typedZone = errors.text("zone");
        if (typedZone.isEmpty()) {
            return Double.isNaN(latitude) || Double.isNaN(longitude)
                    ? null
                    : Gazetteer.instance().nearest(latitude, longitude).zone();
        }
        try {
            return ZoneId.of(typedZone);
        } catch (DateTimeException e) {
            errors.add(
                    "zone",
                    "time zone “" + typedZone
                            + "” is not known; write it like Europe/Madrid, or leave it empty for the nearest town's");
            return null;
        }
    }

    private List<ForegroundObject> objects() {
        List<ForegroundObject> objects = new ArrayList<>();
        for (int i = 0; i < MOST_OBJECTS; i++) {
            String row = "object." + i + ".";
            if (!errors.text(row + "name").isEmpty()) {
                double height = errors.number(row + "height", "height", 0, 5000, "m");
                double width = errors.number(row + "width", "width", 0, 5000, "m");
                double azimuth = errors.number(row + "azimuth", "azimuth", 0, 360, "°");
                double distance = errors.number(row + "distance", "distance", 1, 100_000, "m");
                double base = errors.text(row + "base").isEmpty()
                        ? 0
                        : errors.number(row + "base", "foot above the tripod", -5000, 5000, "m");
                String name = errors.text(row + "name");
                if (!Double.isNaN(height + width + azimuth + distance + base)) {
                    ForegroundObject o = errors.check(
                            row + "name",
                            () -> new ForegroundObject(
                                    name, height, width, Azimuth.ofDegrees(azimuth), distance, base));
                    if (o != null) {
                        objects.add(o);
                    }
                }
            } else if (rowHasFigures(row)) {
                errors.add(row + "name", "this object has figures but no name; name it or clear its figures");
            }
        }
        return objects;
    }

    private boolean rowHasFigures(String row) {
        return !errors.text(row + "height").isEmpty()
                || !errors.text(row + "distance").isEmpty()
                || !errors.text(row + "azimuth").isEmpty();
    }

    /** Whose zone an empty zone field would take, or nothing before a position is typed. */
    public String zoneHint() {
        try {
            double lat = Double.parseDouble(text("latitude"));
            double lon = Double.parseDouble(text("longitude"));
            Observer.of(lat, lon, 0);
            Town town = Gazetteer.instance().nearest(lat, lon);
            return "Nearest town: " + town.name() + ", " + Words.plain(Math.round(town.distanceKm(lat, lon)))
                    + " km away, keeps " + town.zone().getId() + ".";
        } catch (IllegalArgumentException e) {
            return "Left empty, the zone of the nearest town is taken.";
        }
    }
}
