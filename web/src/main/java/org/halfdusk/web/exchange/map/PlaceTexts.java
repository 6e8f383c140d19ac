package org.halfdusk.web.exchange.map;

import java.time.DateTimeException;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Collectors;
import org.halfdusk.angle.Azimuth;
import org.halfdusk.light.DarkSite;
import org.halfdusk.photometry.SkyBrightness;
import org.halfdusk.place.ForegroundObject;
import org.halfdusk.place.Observer;
import org.halfdusk.place.Place;
import org.halfdusk.place.PlaceNotes;
import org.halfdusk.place.Skyline;
import org.halfdusk.place.towns.Gazetteer;

/**
 * A place as texts by keys, for formats that know points with names and notes only: darkness (mag/arcsec²), skyline (azimuth and
 * altitude in turn, degrees), objects, zone, compass, and the notes that have a heading of their own. What cannot be read of them is
 * left out; a point stays a point.
 */
public final class PlaceTexts {
    /** Keys in the order in which they are written. */
    public static final List<String> KEYS = List.of(
            "darkness", "skyline", "objects", "zone", "compass", "access", "hazards", "tide", "permission", "parking");

    private static final double LOWEST = -430;
    private static final double HIGHEST = 9000;

    private PlaceTexts() {}

    /** As others read it: all notes in one text; and by keys what comes back. */
    public static MapFile.Waypoint of(Place p) {
        Map<String, String> more = new LinkedHashMap<>();
        more.put("darkness", Double.toString(p.skyBrightness().magnitude()));
        put(more, "skyline", skyline(p.skyline()));
        put(more, "objects", p.objects().stream().map(PlaceTexts::object).collect(Collectors.joining("\n")));
        more.put("zone", p.zone().getId());
        if (p.compassDegrees() != 0) {
            more.put("compass", Double.toString(p.compassDegrees()));
        }
        PlaceNotes n = p.notes();
        Map<String, String> headed = new LinkedHashMap<>();
        put(headed, "hazards", n.hazards());
        put(headed, "tide", n.tide());
        put(headed, "permission", n.permission());
        put(headed, "parking", n.parking());
        String notes = n.access();
        if (!headed.isEmpty()) {
            more.put("access", n.access());
            more.putAll(headed);
            String rest = headed.entrySet().stream()
                    .map(e -> Character.toUpperCase(e.getKey().charAt(0))
                            + e.getKey().substring(1) + ": " + e.getValue())
                    .collect(Collectors.joining("\n"));
            notes = (n.access().isEmpty() ? "" : n.access() + "\n") + rest;
        }
        return new MapFile.Waypoint(
                p.name(),
                p.observer().latitudeDegrees(),
                p.observer().longitudeDegrees(),
                OptionalDouble.of(p.observer().elevationMetres()),
                notes,
                more);
    }

    private static void put(Map<String, String> to, String key, String value) {
        if (!value.isEmpty()) {
            to.put(key, value);
        }
    }

    static String skyline(Skyline skyline) {
        return skyline.points().stream()
                .map(p -> p.azimuthDegrees() + " " + p.altitudeDegrees())
                .collect(Collectors.joining(" "));
    }

    private static String object(ForegroundObject o) {
        String at = o.position()
                .map(p -> "|" + p.latitudeDegrees() + "|" + p.longitudeDegrees() + "|" + p.elevationMetres())
                .orElse("");
        return o.name().replace("|", "/") + "|" + o.heightMetres() + "|" + o.widthMetres() + "|"
                + o.azimuth().degrees() + "|" + o.distanceMetres() + "|" + o.baseMetres() + at;
    }

    /**
     * The place that a point becomes.
     *
     * @param elevation where the file has none
     */
    public static Place place(MapFile.Waypoint w, double elevation) {
        double height = w.elevationMetres().orElse(elevation);
        Observer o =
                Observer.of(w.latitudeDegrees(), w.longitudeDegrees(), Math.max(LOWEST, Math.min(HIGHEST, height)));
        Map<String, String> more = w.more();
        PlaceNotes notes = new PlaceNotes(
                more.getOrDefault("access", w.notes()),
                more.getOrDefault("hazards", ""),
                more.getOrDefault("tide", ""),
                more.getOrDefault("permission", ""),
                more.getOrDefault("parking", ""));
        return new Place(
                w.name(), o, zone(more, o), darkness(more, o), objects(more), skyline(more), compass(more), notes);
    }

    private static ZoneId zone(Map<String, String> more, Observer o) {
        try {
            if (more.containsKey("zone")) {
                return ZoneId.of(more.getOrDefault("zone", ""));
            }
        } catch (DateTimeException e) {
            // As if it were not there.
        }
        return Gazetteer.instance()
                .nearest(o.latitudeDegrees(), o.longitudeDegrees())
                .zone();
    }

    private static SkyBrightness darkness(Map<String, String> more, Observer o) {
        double typed = number(more.getOrDefault("darkness", ""));
        return typed >= Place.BRIGHTEST && typed <= Place.DARKEST ? SkyBrightness.of(typed) : DarkSite.estimate(o);
    }

    private static double compass(Map<String, String> more) {
        double typed = number(more.getOrDefault("compass", ""));
        return typed >= -180 && typed <= 180 ? typed : 0;
    }

    private static Skyline skyline(Map<String, String> more) {
        String[] numbers = more.getOrDefault("skyline", "").strip().split("\\s+");
        List<Skyline.Point> points = new ArrayList<>();
        try {
            for (int i = 0; i + 1 < numbers.length; i += 2) {
                points.add(new Skyline.Point(number(numbers[i]), number(numbers[i + 1])));
            }
            return new Skyline(points);
        } catch (IllegalArgumentException e) {
            return Skyline.FLAT;
        }
    }

    private static List<ForegroundObject> objects(Map<String, String> more) {
        List<ForegroundObject> objects = new ArrayList<>();
        for (String line : more.getOrDefault("objects", "").lines().toList()) {
            String[] c = line.split("\\|");
            try {
                if (c.length >= 9 && objects.size() < Place.MOST_OBJECTS) {
                    objects.add(new ForegroundObject(
                            c[0],
                            number(c[1]),
                            number(c[2]),
                            Azimuth.ofDegrees(number(c[3])),
                            number(c[4]),
                            number(c[5]),
                            Optional.of(Observer.of(number(c[6]), number(c[7]), number(c[8])))));
                } else if (c.length >= 6 && objects.size() < Place.MOST_OBJECTS) {
                    objects.add(new ForegroundObject(
                            c[0],
                            number(c[1]),
                            number(c[2]),
                            Azimuth.ofDegrees(number(c[3])),
                            number(c[4]),
                            number(c[5])));
                }
            } catch (IllegalArgumentException e) {
                // Another program has changed it: the object is left out.
            }
        }
        return objects;
    }

    private static double number(String text) {
        try {
            return Double.parseDouble(text);
        } catch (NumberFormatException e) {
            return Double.NaN;
        }
    }
}
