package org.halfdusk.web.kit;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.halfdusk.optics.Camera;
import org.halfdusk.optics.Converter;
import org.halfdusk.optics.Lens;
import org.halfdusk.optics.Sensor;
import org.halfdusk.shoot.Kits;
import org.halfdusk.web.layout.FormErrors;

/** A piece of kit as it is typed. */
record KitForm(Kits.Kind kind, Map<String, String> typed, FormErrors errors) {
    /** A field of the form: its name, label, unit and what it means. */
    record Field(String name, String label, String unit, String hint) {}

    private static final List<Field> CAMERA_FIELDS = List.of(
            new Field("width", "Sensor width", "mm", ""),
            new Field("height", "Sensor height", "mm", ""),
            new Field("across", "Pixels across", "", ""),
            new Field("down", "Pixels down", "", ""),
            new Field("lowIso", "Lowest ISO", "", ""),
            new Field("highIso", "Highest useful ISO", "", "The most whose noise you accept."),
            new Field("shortest", "Shortest time, 1 over", "", "8000 for 1/8000 s."),
            new Field("longest", "Longest timed exposure", "s", "Longer ones need bulb and a timer."),
            new Field("raw", "Raw file", "MB", ""),
            new Field("jpeg", "JPEG file", "MB", "0 where none is written."),
            new Field("buffer", "Buffer", "frames", "Raw frames before it has to wait."),
            new Field("write", "Write speed", "MB/s", ""),
            new Field("frames", "Battery", "frames", "From one charge at 20 °C."),
            new Field("minutes", "Battery", "min of exposing", "From one charge at 20 °C."));

    private static final List<Field> LENS_FIELDS = List.of(
            new Field("shortest", "Shortest focal length", "mm", ""),
            new Field("longest", "Longest focal length", "mm", "The same for a fixed focal length."),
            new Field("widest", "Widest aperture, f/", "", ""),
            new Field("widestLong", "Widest at the long end, f/", "", "The same where it stays."),
            new Field("smallest", "Smallest aperture, f/", "", ""),
            new Field("sharpest", "Sharpest aperture, f/", "", "Where the corners are at their best."));

    private static final List<Field> CONVERTER_FIELDS =
            List.of(new Field("factor", "Factor", "×", "1.4 costs one stop, 2 costs two."));

    static KitForm fresh(Kits.Kind kind) {
        Map<String, String> typed = new LinkedHashMap<>();
        if (kind == Kits.Kind.CAMERA) {
            typed.putAll(Map.of(
                    "lowIso",
                    "100",
                    "highIso",
                    "12800",
                    "shortest",
                    "8000",
                    "longest",
                    "30",
                    "bulb",
                    "on",
                    "raw",
                    "30",
                    "jpeg",
                    "10",
                    "buffer",
                    "30",
                    "write",
                    "100"));
            typed.putAll(Map.of("frames", "400", "minutes", "150"));
        }
        return new KitForm(kind, typed, new FormErrors(typed));
    }

    static KitForm of(Camera c) {
        Map<String, String> t = new LinkedHashMap<>();
        t.put("name", c.name());
        t.put("width", number(c.sensor().widthMm()));
        t.put("height", number(c.sensor().heightMm()));
        t.put("across", number(c.sensor().widthPx()));
        t.put("down", number(c.sensor().heightPx()));
        t.put("lowIso", number(c.lowestIso()));
        t.put("highIso", number(c.highestIso()));
        t.put("shortest", number(Math.round(1 / c.shortestSeconds())));
        t.put("longest", number(c.longestTimedSeconds()));
        t.put("raw", number(c.rawMegabytes()));
        t.put("jpeg", number(c.jpegMegabytes()));
        t.put("buffer", number(c.bufferFrames()));
        t.put("write", number(c.writeMegabytesPerSecond()));
        t.put("frames", number(c.batteryFrames()));
        t.put("minutes", number(c.batteryMinutes()));
        if (c.bulb()) {
            t.put("bulb", "on");
        }
        return new KitForm(Kits.Kind.CAMERA, t, new FormErrors(t));
    }

    static KitForm of(Lens l) {
        Map<String, String> t = new LinkedHashMap<>();
        t.put("name", l.name());
        t.put("shortest", number(l.shortestMm()));
        t.put("longest", number(l.longestMm()));
        t.put("widest", number(l.widestAtShortest()));
        t.put("widestLong", number(l.widestAtLongest()));
        t.put("smallest", number(l.smallestAperture()));
        t.put("sharpest", number(l.sharpestAperture()));
        return new KitForm(Kits.Kind.LENS, t, new FormErrors(t));
    }

    static KitForm of(Converter c) {
        Map<String, String> t = new LinkedHashMap<>();
        t.put("name", c.name());
        t.put("factor", number(c.factor()));
        return new KitForm(Kits.Kind.CONVERTER, t, new FormErrors(t));
    }

    private static String number(double v) {
        return v == Math.rint(v) ? Long.toString((long) v) : Double.toString(v);
    }

    /** The fields of this kind in their order. */
    public List<Field> fields() {
        return switch (kind) {
            case CAMERA -> CAMERA_FIELDS;
            case LENS -> LENS_FIELDS;
            case CONVERTER -> CONVERTER_FIELDS;
        };
    }

    /** "camera", for headings. */
    public String what() {
        return switch (kind) {
            case CAMERA -> "camera";
            case LENS -> "lens";
            case CONVERTER -> "converter";
        };
    }

    /** "cameras", as in the address. */
    public String path() {
        return kind == Kits.Kind.LENS ? "lenses" : what() + "s";
    }

    public boolean bulb() {
        return typed.containsKey("bulb");
    }

    public String text(String field) {
        return typed.getOrDefault(field, "");
    }

    private String name() {
        String name = errors.text("name");
        if (name.isEmpty() || name.length() > 80) {
            errors.add("name", "name has " + name.length() + " characters; 1 to 80 are allowed");
        }
        return name;
    }

    Optional<Camera> readCamera() {
        String name = name();
        double width = errors.number("width", "sensor width", 1, 200, "mm");
        double height = errors.number("height", "sensor height", 1, 200, "mm");
        int across = errors.whole("across", "pixels across", 100, 60_000, "");
        int down = errors.whole("down", "pixels down", 100, 60_000, "");
        int lowIso = errors.whole("lowIso", "lowest ISO", 6, 3_276_800, "");
        int highIso = errors.whole("highIso", "highest ISO", 6, 3_276_800, "");
        double shortest = errors.number("shortest", "shortest time, 1 over", 1, 64_000, "");
        double longest = errors.number("longest", "longest timed exposure", 1, 3600, "s");
        double raw = errors.number("raw", "raw file", 0, 2000, "MB");
        double jpeg = errors.number("jpeg", "JPEG file", 0, 2000, "MB");
        int buffer = errors.whole("buffer", "buffer", 1, 100_000, "frames");
        double write = errors.number("write", "write speed", 0.1, 20_000, "MB/s");
        int frames = errors.whole("frames", "battery", 1, 100_000, "frames");
        int minutes = errors.whole("minutes", "battery", 1, 10_000, "min");
        if (errors.any()) {
            return Optional.empty();
        }
        Sensor sensor = errors.check("width", () -> new Sensor(width, height, across, down));
        if (sensor == null) {
            return Optional.empty();
        }
        return Optional.ofNullable(errors.check(
                "highIso",
                () -> new Camera(
                        name,
                        sensor,
                        lowIso,
                        highIso,
                        1 / shortest,
                        longest,
                        bulb(),
                        raw,
                        jpeg,
                        buffer,
                        write,
                        frames,
                        minutes)));
    }

    Optional<Lens> readLens() {
        String name = name();
        double shortest = errors.number("shortest", "shortest focal length", 1, 5000, "mm");
        double longest = errors.number("longest", "longest focal length", 1, 5000, "mm");
        double widest = errors.number("widest", "widest aperture f/", 0.5, 64, "");
        double widestLong = errors.number("widestLong", "widest aperture at the long end f/", 0.5, 64, "");
        double smallest = errors.number("smallest", "smallest aperture f/", 0.5, 128, "");
        double sharpest = errors.number("sharpest", "sharpest aperture f/", 0.5, 128, "");
        if (longest < shortest) {
            errors.add(
                    "longest",
                    "longest focal length " + errors.text("longest") + " mm is shorter than the shortest, "
                            + errors.text("shortest") + " mm");
        }
        if (widestLong < widest) {
            errors.add(
                    "widestLong",
                    "aperture at the long end f/" + errors.text("widestLong") + " is wider than at the short end, f/"
                            + errors.text("widest"));
        }
        if (errors.any()) {
            return Optional.empty();
        }
        return Optional.ofNullable(errors.check(
                sharpest < widest || sharpest > smallest ? "sharpest" : "smallest",
                () -> new Lens(name, shortest, longest, widest, widestLong, smallest, sharpest)));
    }

    Optional<Converter> readConverter() {
        String name = name();
        double factor = errors.number("factor", "factor", 1.01, 4, "×");
        return errors.any() ? Optional.empty() : Optional.of(new Converter(name, factor));
    }
}
