package org.halfdusk.web.places;

import java.time.DateTimeException;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.ToDoubleFunction;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.halfdusk.angle.Azimuth;
import org.halfdusk.light.Bortle;
import org.halfdusk.light.DarkSite;
import org.halfdusk.photometry.SkyBrightness;
import org.halfdusk.place.ForegroundObject;
import org.halfdusk.place.Observer;
import org.halfdusk.place.Place;
import org.halfdusk.place.PlaceNotes;
import org.halfdusk.place.Skyline;
import org.halfdusk.place.geodesy.Coordinates;
import org.halfdusk.place.towns.Gazetteer;
import org.halfdusk.place.towns.Town;
import org.halfdusk.typed.TypedNumber;
import org.halfdusk.web.layout.FormErrors;
import org.halfdusk.web.layout.Meanwhile;
import org.halfdusk.web.layout.words.Numbers;
import org.halfdusk.web.layout.words.Words;
import org.jspecify.annotations.Nullable;

/**
 * A place as it is typed: what stands in each field, and what is wrong with it.
 *
 * <p>Objects are rows {@code object.0.name}, {@code object.0.height} …; an empty name leaves a row out.
 */
record PlaceForm(Meanwhile meanwhile, FormErrors errors) {
    /** Rows for objects that a form shows at least beyond those in use. */
    private static final int SPARE = 1;

    private static final int MOST_OBJECTS = Place.MOST_OBJECTS;

    /** An empty form, or one with what is known already: a position from the map or the gazetteer. */
    static PlaceForm fresh(Map<String, String> known) {
        Map<String, String> typed = new LinkedHashMap<>();
        typed.put("elevation", "0");
        typed.put("compass", "0");
        typed.putAll(known);
        return new PlaceForm(Meanwhile.none(typed), new FormErrors(typed));
    }

    static PlaceForm of(Place p) {
        Map<String, String> typed = new LinkedHashMap<>();
        typed.put("name", p.name());
        typed.put("latitude", Numbers.degrees(p.observer().latitudeDegrees()));
        typed.put("longitude", Numbers.degrees(p.observer().longitudeDegrees()));
        typed.put("elevation", Numbers.typed(p.observer().elevationMetres()));
        typed.put("zone", p.zone().getId());
        typed.put("sky", Numbers.typed(p.skyBrightness().magnitude()));
        typed.put("compass", Numbers.typed(p.compassDegrees()));
        typed.put("access", p.notes().access());
        typed.put("hazards", p.notes().hazards());
        typed.put("tide", p.notes().tide());
        typed.put("permission", p.notes().permission());
        typed.put("parking", p.notes().parking());
        typed.put("skyline", SkylineText.of(p.skyline()));
        for (int i = 0; i < p.objects().size(); i++) {
            ForegroundObject o = p.objects().get(i);
            String row = "object." + i + ".";
            typed.put(row + "name", o.name());
            typed.put(row + "height", Numbers.typed(o.heightMetres()));
            typed.put(row + "width", Numbers.typed(o.widthMetres()));
            typed.put(row + "azimuth", Numbers.typed(tenths(o.azimuth().degrees())));
            typed.put(row + "distance", Numbers.typed(tenths(o.distanceMetres())));
            typed.put(row + "base", Numbers.typed(tenths(o.baseMetres())));
            typed.put(row + "at", o.position().map(PlaceForm::position).orElse(""));
        }
        return new PlaceForm(Meanwhile.none(typed), new FormErrors(typed));
    }

    Map<String, String> typed() {
        return meanwhile.typed();
    }

    private static double tenths(double v) {
        return Math.rint(v * 10) / 10;
    }

    private static String position(Observer o) {
        return Numbers.degrees(o.latitudeDegrees()) + ", " + Numbers.degrees(o.longitudeDegrees()) + ", "
                + Numbers.typed(o.elevationMetres());
    }

    /** What stands in a field. */
    public String text(String field) {
        return typed().getOrDefault(field, "");
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
        double latitude = coordinate("latitude", Coordinates::latitude);
        double longitude = coordinate("longitude", Coordinates::longitude);
        double elevation = errors.number("elevation", "elevation", -430, 9000, "m");
        double compass =
                errors.text("compass").isEmpty() ? 0 : errors.number("compass", "compass declination", -180, 180, "°");
        SkyBrightness sky = Double.isNaN(latitude + longitude) ? DarkSite.NATURAL : sky(latitude, longitude, elevation);
        Skyline skyline = errors.check("skyline", () -> SkylineText.parse(errors.text("skyline")));
        if (errors.text("name").isEmpty()) {
            errors.add("name", "name is empty; 1 to 120 characters are allowed");
        }
        ZoneId zone = zone(latitude, longitude);
        List<ForegroundObject> objects = objects(
                Double.isNaN(latitude + longitude + elevation)
                        ? Observer.of(0, 0, 0)
                        : Observer.of(latitude, longitude, elevation));
        if (errors.any() || zone == null || skyline == null) {
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
                        skyline,
                        compass,
                        new PlaceNotes(
                                errors.text("access"),
                                errors.text("hazards"),
                                errors.text("tide"),
                                errors.text("permission"),
                                errors.text("parking"))));
    }

    private double coordinate(String field, ToDoubleFunction<String> parse) {
        if (errors.text(field).isEmpty()) {
            errors.add(field, field + " is empty; degrees, or degrees, minutes and seconds are allowed");
            return Double.NaN;
        }
        Double value = errors.check(field, () -> parse.applyAsDouble(errors.text(field)));
        return value == null ? Double.NaN : value;
    }

    /** Typed as mag/arcsec² or as a Bortle class; left empty, what the towns around leave. */
    private SkyBrightness sky(double latitude, double longitude, double elevation) {
        String text = errors.text("sky");
        if (text.isEmpty()) {
            return DarkSite.estimate(Observer.of(latitude, longitude, Double.isNaN(elevation) ? 0 : elevation));
        }
        Matcher bortle = BORTLE.matcher(text);
        if (bortle.matches()) {
            return Bortle.brightnessOf(Integer.parseInt(bortle.group(1)));
        }
        double typed = errors.number(
                "sky", "sky brightness", Place.BRIGHTEST, Place.DARKEST, "mag/arcsec², or Bortle 1 to 9,");
        return Double.isNaN(typed) ? DarkSite.NATURAL : SkyBrightness.of(typed);
    }

    private static final Pattern BORTLE = Pattern.compile("(?i)(?:b(?:ortle)?\\s*)?([1-9])");

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

    private List<ForegroundObject> objects(Observer from) {
        List<ForegroundObject> objects = new ArrayList<>();
        for (int i = 0; i < MOST_OBJECTS; i++) {
            String row = "object." + i + ".";
            if (!errors.text(row + "name").isEmpty()) {
                object(row, from).ifPresent(objects::add);
            } else if (rowHasFigures(row)) {
                errors.add(row + "name", "this object has figures but no name; name it or clear its figures");
            }
        }
        return objects;
    }

    private Optional<ForegroundObject> object(String row, Observer from) {
        String name = errors.text(row + "name");
        double height = errors.number(row + "height", "height", 0, 5000, "m");
        double width = errors.number(row + "width", "width", 0, 5000, "m");
        String at = errors.text(row + "at");
        if (!at.isEmpty()) {
            Observer position = errors.check(row + "at", () -> position(at));
            return position == null || Double.isNaN(height + width)
                    ? Optional.empty()
                    : Optional.ofNullable(
                            errors.check(row + "at", () -> ForegroundObject.at(name, height, width, position, from)));
        }
        double azimuth = errors.number(row + "azimuth", "azimuth", 0, 360, "°");
        double distance = errors.number(row + "distance", "distance", 1, 100_000, "m");
        double base = errors.text(row + "base").isEmpty()
                ? 0
                : errors.number(row + "base", "foot above the tripod", -5000, 5000, "m");
        return Double.isNaN(height + width + azimuth + distance + base)
                ? Optional.empty()
                : Optional.ofNullable(errors.check(
                        row + "name",
                        () -> new ForegroundObject(
                                name, height, width, Azimuth.ofDegrees(azimuth % 360), distance, base)));
    }

    /** Latitude, longitude and perhaps elevation, with commas between. */
    private static Observer position(String text) {
        String[] parts = text.split(",\\s+|;");
        if (parts.length != 2 && parts.length != 3) {
            throw new IllegalArgumentException("position “" + TypedNumber.shown(text)
                    + "” is not understood; write latitude, longitude and elevation like 35.978, −3.041, 28");
        }
        double elevation = parts.length == 3 ? TypedNumber.decimal("elevation", parts[2], -430, 9000, "m") : 0;
        return Observer.of(Coordinates.latitude(parts[0]), Coordinates.longitude(parts[1]), elevation);
    }

    private boolean rowHasFigures(String row) {
        return !errors.text(row + "height").isEmpty()
                || !errors.text(row + "distance").isEmpty()
                || !errors.text(row + "azimuth").isEmpty();
    }

    /** Whose zone an empty zone field would take, or nothing before a position is typed. */
    public String zoneHint() {
        try {
            double lat = Coordinates.latitude(text("latitude"));
            double lon = Coordinates.longitude(text("longitude"));
            Town town = Gazetteer.instance().nearest(lat, lon);
            return "Nearest town: " + town.name() + ", " + Words.plain(Math.round(town.distanceKm(lat, lon)))
                    + " km away, keeps " + town.zone().getId() + ".";
        } catch (IllegalArgumentException e) {
            return "Left empty, the zone of the nearest town is taken.";
        }
    }
}
