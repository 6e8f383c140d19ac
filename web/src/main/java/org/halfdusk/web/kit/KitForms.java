package org.halfdusk.web.kit;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.function.Supplier;
import org.halfdusk.optics.Accessory;
import org.halfdusk.optics.BatteryPack;
import org.halfdusk.optics.Camera;
import org.halfdusk.optics.Card;
import org.halfdusk.optics.Converter;
import org.halfdusk.optics.Filter;
import org.halfdusk.optics.IntervalTimer;
import org.halfdusk.optics.Lens;
import org.halfdusk.optics.PeriodicError;
import org.halfdusk.optics.ReadNoise;
import org.halfdusk.optics.Sensor;
import org.halfdusk.optics.Support;
import org.halfdusk.optics.TypicalKit;
import org.halfdusk.shoot.kept.Kept;
import org.halfdusk.shoot.kept.StandingRig;
import org.halfdusk.typed.Codec;
import org.halfdusk.typed.PlainText;
import org.halfdusk.typed.TypedNumber;
import org.halfdusk.web.kit.KitForm.Choice;
import org.halfdusk.web.kit.KitForm.Field;
import org.halfdusk.web.layout.FormErrors;
import org.halfdusk.web.layout.Numbers;
import org.halfdusk.web.layout.Words;
import org.halfdusk.web.subject.ReasonWords;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Between kit and what is typed of it, both ways. */
@Component
class KitForms {
    private static final List<Field> CAMERA = List.of(
            Field.number("width", "Sensor width", "mm", ""),
            Field.number("height", "Sensor height", "mm", ""),
            Field.number("across", "Pixels across", "", ""),
            Field.number("down", "Pixels down", "", ""),
            Field.number("lowIso", "Lowest ISO", "", ""),
            Field.number("highIso", "Highest useful ISO", "", "The most whose noise you accept."),
            Field.number("shortest", "Shortest time, 1 over", "", "8000 for 1/8000 s."),
            Field.number("longest", "Longest timed exposure", "s", "Longer ones need bulb and a timer."),
            Field.check("bulb", "Bulb with a remote timer", ""),
            Field.number("raw", "Raw file", "MB", ""),
            Field.number("jpeg", "JPEG file", "MB", "0 where none is written."),
            Field.number("buffer", "Buffer", "frames", "Raw frames before it has to wait."),
            Field.number("write", "Write speed", "MB/s", ""),
            Field.number("frames", "Battery", "frames", "From one charge at 20 °C."),
            Field.number("minutes", "Battery", "min of exposing", "From one charge at 20 °C."),
            Field.number("cold", "Charge lost in the cold", "% per °C", "Under 20 °C; 1 is usual."),
            Field.number("heat", "Charge lost in the heat", "% per °C", "Over 40 °C; 1 is usual."),
            Field.number("stabiliser", "Stabiliser", "stops", "0 where there is none."),
            Field.check("mirror", "Has a mirror", "It is locked up for long lenses."),
            Field.choice(
                    "timerFrom",
                    "Interval timer counts",
                    "The camera's own, or the remote that goes with it.",
                    List.of(
                            new Choice(IntervalTimer.From.START_TO_START.name(), "from start to start"),
                            new Choice(IntervalTimer.From.GAP.name(), "the gap between frames"))),
            Field.choice(
                    "timerStep",
                    "Interval timer's step",
                    "The finest that can be typed.",
                    List.of(
                            new Choice(IntervalTimer.Step.SECONDS.name(), "whole seconds"),
                            new Choice(IntervalTimer.Step.TENTHS.name(), "tenths of a second"))),
            Field.number("timerLargest", "Interval timer up to", "frames", "399 is usual; more are stopped by hand."),
            Field.choice(
                    "readNoise",
                    "Noise of reading",
                    "Low ISO lifted, or high ISO, is answered by it.",
                    Arrays.stream(ReadNoise.values())
                            .map(r -> new Choice(r.name(), ReasonWords.sensor(r)))
                            .toList()),
            Field.number("film", "Film: reciprocity exponent", "", "Empty for a sensor; 1.2 to 1.4 by stock."));

    private static final List<Field> LENS = List.of(
            Field.number("shortest", "Shortest focal length", "mm", ""),
            Field.number("longest", "Longest focal length", "mm", "The same for a fixed focal length."),
            Field.number("widest", "Widest aperture, f/", "", ""),
            Field.number("widestLong", "Widest at the long end, f/", "", "The same where it stays."),
            Field.number("smallest", "Smallest aperture, f/", "", ""),
            Field.number("sharpest", "Sharpest aperture, f/", "", "Where the corners are at their best."),
            Field.check("electronic", "Aperture set by the camera", "Otherwise by a ring, by hand."),
            Field.check("fisheye", "Fisheye", "Equisolid; otherwise straight lines stay straight."),
            Field.text("coma", "Stars in the corners", "What you see wide open: round, wings, commas."));

    private static final List<Choice> USES = List.of(
            new Choice("NEUTRAL", "neutral density"),
            new Choice("SOLAR", "for the sun, approved"),
            new Choice("DIFFUSION", "diffusion"),
            new Choice("OTHER", "other"));

    private final Shelf shelf;

    KitForms(Shelf shelf) {
        this.shelf = shelf;
    }

    List<Field> fields(KitKind kind) {
        return switch (kind) {
            case RIGS ->
                List.of(
                        Field.choice("camera", "Camera", "", choices(KitKind.CAMERAS, false)),
                        Field.choice("lens", "Lens", "", choices(KitKind.LENSES, false)),
                        Field.number("focal", "Focal length set", "mm", ""),
                        Field.choice("converter", "Converter", "", choices(KitKind.CONVERTERS, true)),
                        Field.choice("filter", "Filter", "", choices(KitKind.FILTERS, true)),
                        Field.choice("support", "Tripod or mount", "", choices(KitKind.SUPPORTS, true)),
                        Field.choice("card", "Card", "", choices(KitKind.CARDS, true)),
                        Field.choice("battery", "Battery", "", choices(KitKind.BATTERIES, true)));
            case CAMERAS -> CAMERA;
            case LENSES -> LENS;
            case CONVERTERS -> List.of(Field.number("factor", "Factor", "×", "1.4 costs one stop, 2 costs two."));
            case FILTERS ->
                List.of(
                        Field.choice("use", "Use", "", USES),
                        Field.number("density", "Density", "", "0.9 takes 3 stops, 3.0 ten, 5.0 is for the sun."));
            case SUPPORTS ->
                List.of(
                        Field.check("sidereal", "Turns with the stars", ""),
                        Field.check("lunar", "Turns with the moon", ""),
                        Field.check("solar", "Turns with the sun", ""),
                        Field.check("half", "Turns at half the stars' rate", "Sky and ground then blur alike."),
                        Field.number(
                                "alignment", "Axis off the pole", "arcmin", "As you usually set it; 0 for a tripod."),
                        Field.number(
                                "periodic",
                                "Periodic error",
                                "arcsec",
                                "How far its worm sways from end to end; 0 where it is even, or for a tripod."),
                        Field.number("period", "Turn of the worm", "s", "Eight to ten minutes are usual."));
            case CARDS ->
                List.of(
                        Field.number("gigabytes", "Size of one", "GB", ""),
                        Field.number("write", "Write speed", "MB/s", ""),
                        Field.number("count", "How many", "", ""));
            case BATTERIES ->
                List.of(
                        Field.number("frames", "Frames from one charge", "", "At 20 °C."),
                        Field.number("minutes", "Exposing from one charge", "min", "At 20 °C."),
                        Field.number("count", "How many", "", ""));
        };
    }

    private List<Choice> choices(KitKind kind, boolean none) {
        List<Choice> choices = new ArrayList<>();
        if (none) {
            choices.add(new Choice("", "none"));
        }
        shelf.list(kind).forEach(k -> choices.add(new Choice(Long.toString(k.id()), name(k.it()))));
        return choices;
    }

    static String name(Object it) {
        if (it instanceof StandingRig rig) {
            return rig.name();
        }
        if (it instanceof Camera camera) {
            return camera.name();
        }
        if (it instanceof Lens lens) {
            return lens.name();
        }
        return it instanceof Converter converter ? converter.name() : ((Accessory) it).name();
    }

    KitForm fresh(KitKind kind) {
        Map<String, String> t = new LinkedHashMap<>();
        switch (kind) {
            case CAMERAS -> typed(TypicalKit.CAMERAS.get(0), t);
            case LENSES -> t.put("electronic", "on");
            case SUPPORTS -> {
                t.put("alignment", "0");
                t.put("periodic", "0");
                t.put("period", Words.plain(PeriodicError.USUAL_PERIOD_SECONDS));
            }
            case CARDS, BATTERIES -> t.put("count", "1");
            default -> {}
        }
        t.remove("name");
        return KitForm.of(kind, fields(kind), t);
    }

    KitForm of(KitKind kind, Object it) {
        Map<String, String> t = new LinkedHashMap<>();
        typed(it, t);
        return KitForm.of(kind, fields(kind), t);
    }

    private static void typed(Object it, Map<String, String> t) {
        t.put("name", name(it));
        if (it instanceof Camera c) {
            camera(c, t);
        } else if (it instanceof Lens l) {
            put(t, "shortest", l.shortestMm());
            put(t, "longest", l.longestMm());
            put(t, "widest", l.widestAtShortest());
            put(t, "widestLong", l.widestAtLongest());
            put(t, "smallest", l.smallestAperture());
            put(t, "sharpest", l.sharpestAperture());
            tick(t, "electronic", l.electronicAperture());
            tick(t, "fisheye", l.fisheye());
            t.put("coma", l.coma());
        } else if (it instanceof Converter c) {
            put(t, "factor", c.factor());
        } else if (it instanceof Filter f) {
            t.put("use", f.use().name());
            put(t, "density", f.density());
        } else if (it instanceof Support s) {
            s.rates().forEach(r -> t.put(r.name().toLowerCase(Locale.ROOT), "on"));
            put(t, "alignment", s.alignmentArcmin());
            put(t, "periodic", s.periodic().arcsec());
            put(t, "period", s.periodic().periodSeconds());
        } else if (it instanceof Card c) {
            put(t, "gigabytes", c.gigabytes());
            put(t, "write", c.writeMegabytesPerSecond());
            put(t, "count", c.count());
        } else if (it instanceof BatteryPack b) {
            put(t, "frames", b.frames());
            put(t, "minutes", b.minutes());
            put(t, "count", b.count());
        } else if (it instanceof StandingRig r) {
            rig(r, t);
        }
    }

    private static void rig(StandingRig r, Map<String, String> t) {
        put(t, "camera", r.cameraId());
        put(t, "lens", r.lensId());
        put(t, "focal", r.focalMm());
        r.converterId().ifPresent(v -> put(t, "converter", v));
        r.filterId().ifPresent(v -> put(t, "filter", v));
        r.supportId().ifPresent(v -> put(t, "support", v));
        r.cardId().ifPresent(v -> put(t, "card", v));
        r.batteryId().ifPresent(v -> put(t, "battery", v));
    }

    private static void camera(Camera c, Map<String, String> t) {
        put(t, "width", c.sensor().widthMm());
        put(t, "height", c.sensor().heightMm());
        put(t, "across", c.sensor().widthPx());
        put(t, "down", c.sensor().heightPx());
        put(t, "lowIso", c.lowestIso());
        put(t, "highIso", c.highestIso());
        put(t, "shortest", Math.round(1 / c.shortestSeconds()));
        put(t, "longest", c.longestTimedSeconds());
        put(t, "raw", c.rawMegabytes());
        put(t, "jpeg", c.jpegMegabytes());
        put(t, "buffer", c.bufferFrames());
        put(t, "write", c.writeMegabytesPerSecond());
        put(t, "frames", c.batteryFrames());
        put(t, "minutes", c.batteryMinutes());
        put(t, "cold", Math.rint(c.coldLoss() * 10_000) / 100);
        put(t, "heat", Math.rint(c.heatLoss() * 10_000) / 100);
        put(t, "stabiliser", c.stabiliserStops());
        t.put("timerFrom", c.timer().from().name());
        t.put("timerStep", c.timer().step().name());
        put(t, "timerLargest", c.timer().largest());
        t.put("readNoise", c.readNoise().name());
        c.filmExponent().ifPresent(p -> put(t, "film", p));
        tick(t, "bulb", c.bulb());
        tick(t, "mirror", c.mirror());
    }

    private static void put(Map<String, String> t, String field, double v) {
        t.put(field, Numbers.typed(v));
    }

    private static void tick(Map<String, String> t, String field, boolean on) {
        if (on) {
            t.put(field, "on");
        }
    }

    /** What was typed, or nothing where something is wrong; then the form's errors say what. */
    Optional<Object> read(KitForm form) {
        FormErrors e = form.errors();
        String name = e.text("name");
        e.check("name", () -> PlainText.line("name", name, StandingRig.LONGEST_NAME));
        for (Field f : form.fields()) {
            if (f.type().equals("check") && !form.text(f.name()).isEmpty() && !form.ticked(f.name())) {
                e.add(
                        f.name(),
                        f.label() + " “" + TypedNumber.shown(form.text(f.name()))
                                + "” is not known; “on” or nothing is allowed");
            }
        }
        Optional<Object> read = switch (form.kind()) {
            case RIGS -> Optional.ofNullable(rig(name, e));
            case CAMERAS -> Optional.ofNullable(camera(name, form));
            case LENSES -> Optional.ofNullable(lens(name, form));
            case CONVERTERS -> {
                double factor = e.number("factor", "factor", 1.01, 4, "×");
                yield checked(e, "factor", () -> new Converter(name, factor));
            }
            case FILTERS -> filter(name, e);
            case SUPPORTS -> support(name, form);
            case CARDS -> card(name, e);
            case BATTERIES -> battery(name, e);
        };
        return e.any() ? Optional.empty() : read;
    }

    private static Optional<Object> filter(String name, FormErrors e) {
        double density = e.number("density", "density", 0, 8, "");
        Filter.@Nullable Use use = e.check("use", () -> use(e));
        return use == null ? Optional.empty() : checked(e, "density", () -> new Filter(name, use, density));
    }

    private static Optional<Object> support(String name, KitForm form) {
        FormErrors e = form.errors();
        double alignment =
                e.text("alignment").isEmpty() ? 0 : e.number("alignment", "alignment of the axis", 0, 600, "arcmin");
        double periodic = e.text("periodic").isEmpty() ? 0 : e.number("periodic", "periodic error", 0, 600, "arcsec");
        double period = e.text("period").isEmpty()
                ? PeriodicError.USUAL_PERIOD_SECONDS
                : e.number("period", "period of the worm", 30, 3600, "s");
        return checked(
                e, "alignment", () -> new Support(name, rates(form), alignment, new PeriodicError(periodic, period)));
    }

    private static Optional<Object> card(String name, FormErrors e) {
        double gigabytes = e.number("gigabytes", "card size", 1, 20_000, "GB");
        double write = e.number("write", "write speed", 1, 20_000, "MB/s");
        int count = e.whole("count", "number of cards", 1, 100, "");
        return checked(e, "gigabytes", () -> new Card(name, gigabytes, write, count));
    }

    private static Optional<Object> battery(String name, FormErrors e) {
        int frames = e.whole("frames", "battery", 1, 100_000, "frames");
        int minutes = e.whole("minutes", "battery", 1, 10_000, "min");
        int count = e.whole("count", "number of batteries", 1, 100, "");
        return checked(e, "frames", () -> new BatteryPack(name, frames, minutes, count));
    }

    private static Optional<Object> checked(FormErrors e, String field, Supplier<Object> make) {
        return e.any() ? Optional.empty() : Optional.ofNullable(e.check(field, make));
    }

    private static Filter.Use use(FormErrors e) {
        return Arrays.stream(Filter.Use.values())
                .filter(u -> u.name().equals(e.text("use")))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException(
                        "use “" + TypedNumber.shown(e.text("use")) + "” is not known; choose one of the list"));
    }

    private static Set<Support.Rate> rates(KitForm form) {
        Set<Support.Rate> rates = new LinkedHashSet<>();
        for (Support.Rate r : Support.Rate.values()) {
            if (form.ticked(r.name().toLowerCase(Locale.ROOT))) {
                rates.add(r);
            }
        }
        return rates;
    }

    private @Nullable Object camera(String name, KitForm form) {
        FormErrors e = form.errors();
        double width = e.number("width", "sensor width", 1, 200, "mm");
        double height = e.number("height", "sensor height", 1, 200, "mm");
        int across = e.whole("across", "pixels across", 100, 60_000, "");
        int down = e.whole("down", "pixels down", 100, 60_000, "");
        int lowIso = e.whole("lowIso", "lowest ISO", 6, 3_276_800, "");
        int highIso = e.whole("highIso", "highest ISO", 6, 3_276_800, "");
        double shortest = e.number("shortest", "shortest time, 1 over", 1, 64_000, "");
        double longest = e.number("longest", "longest timed exposure", 1, 3600, "s");
        double raw = e.number("raw", "raw file", 0, 2000, "MB");
        double jpeg = e.number("jpeg", "JPEG file", 0, 2000, "MB");
        int buffer = e.whole("buffer", "buffer", 1, 100_000, "frames");
        double write = e.number("write", "write speed", 0.1, 20_000, "MB/s");
        int frames = e.whole("frames", "battery", 1, 100_000, "frames");
        int minutes = e.whole("minutes", "battery", 1, 10_000, "min");
        double cold = optional(e, "cold", "charge lost in the cold", 1, 5);
        double heat = optional(e, "heat", "charge lost in the heat", 1, 5);
        double stabiliser = optional(e, "stabiliser", "stabiliser", 0, 10);
        IntervalTimer timer = timer(e);
        OptionalDouble film = film(e);
        ReadNoise noise = constant(e, "readNoise", "noise of reading", ReadNoise.class, ReadNoise.STEADY);
        if (e.any() || timer == null || noise == null) {
            return null;
        }
        Sensor sensor = e.check("width", () -> new Sensor(width, height, across, down));
        return sensor == null
                ? null
                : e.check(
                        "highIso",
                        () -> new Camera(
                                name,
                                sensor,
                                lowIso,
                                highIso,
                                1 / shortest,
                                longest,
                                form.ticked("bulb"),
                                raw,
                                jpeg,
                                buffer,
                                write,
                                frames,
                                minutes,
                                form.ticked("mirror"),
                                stabiliser,
                                film,
                                cold / 100,
                                heat / 100,
                                timer,
                                noise));
    }

    private static OptionalDouble film(FormErrors e) {
        return e.text("film").isEmpty()
                ? OptionalDouble.empty()
                : OptionalDouble.of(e.number("film", "reciprocity exponent", 1, 2, ""));
    }

    /** What is left out is usual. */
    private static @Nullable IntervalTimer timer(FormErrors e) {
        IntervalTimer usual = IntervalTimer.USUAL;
        IntervalTimer.From from = constant(e, "timerFrom", "interval timer", IntervalTimer.From.class, usual.from());
        IntervalTimer.Step step = constant(e, "timerStep", "step of the timer", IntervalTimer.Step.class, usual.step());
        int largest = e.text("timerLargest").isEmpty()
                ? usual.largest()
                : e.whole("timerLargest", "largest number of frames", 2, 100_000, "");
        return from == null || step == null || e.any() ? null : new IntervalTimer(step, from, largest);
    }

    private static <E extends Enum<E>> @Nullable E constant(
            FormErrors e, String field, String name, Class<E> of, E usual) {
        return e.text(field).isEmpty()
                ? usual
                : e.check(field, () -> Codec.constant(name, of).read(e.text(field)));
    }

    private static double optional(FormErrors e, String field, String name, double usual, double most) {
        return e.text(field).isEmpty() ? usual : e.number(field, name, 0, most, "");
    }

    private static @Nullable Object lens(String name, KitForm form) {
        FormErrors e = form.errors();
        double shortest = e.number("shortest", "shortest focal length", 1, 5000, "mm");
        double longest = e.number("longest", "longest focal length", 1, 5000, "mm");
        double widest = e.number("widest", "widest aperture f/", 0.5, 64, "");
        double widestLong = e.number("widestLong", "widest aperture at the long end f/", 0.5, 64, "");
        double smallest = e.number("smallest", "smallest aperture f/", 0.5, 128, "");
        double sharpest = e.number("sharpest", "sharpest aperture f/", 0.5, 128, "");
        if (longest < shortest) {
            e.add(
                    "longest",
                    "longest focal length " + e.text("longest") + " mm is shorter than the shortest, "
                            + e.text("shortest") + " mm");
        }
        return e.any()
                ? null
                : e.check(
                        "sharpest",
                        () -> new Lens(
                                name,
                                shortest,
                                longest,
                                widest,
                                widestLong,
                                smallest,
                                sharpest,
                                form.ticked("electronic"),
                                e.text("coma"),
                                form.ticked("fisheye")));
    }

    private @Nullable Object rig(String name, FormErrors e) {
        Optional<Long> camera = chosen(e, "camera", KitKind.CAMERAS, true);
        Optional<Long> lens = chosen(e, "lens", KitKind.LENSES, true);
        Optional<Long> converter = chosen(e, "converter", KitKind.CONVERTERS, false);
        Optional<Long> filter = chosen(e, "filter", KitKind.FILTERS, false);
        Optional<Long> support = chosen(e, "support", KitKind.SUPPORTS, false);
        Optional<Long> card = chosen(e, "card", KitKind.CARDS, false);
        Optional<Long> battery = chosen(e, "battery", KitKind.BATTERIES, false);
        double focal = e.number("focal", "focal length", 1, 5000, "mm");
        if (e.any() || camera.isEmpty() || lens.isEmpty()) {
            return null;
        }
        Lens glass = (Lens) shelf.find(KitKind.LENSES, lens.get()).orElseThrow();
        if (!(focal >= glass.shortestMm() && focal <= glass.longestMm())) {
            e.add(
                    "focal",
                    "focal length " + e.text("focal") + " mm is outside this lens's " + Words.plain(glass.shortestMm())
                            + " to " + Words.plain(glass.longestMm()) + " mm");
            return null;
        }
        return e.check(
                "name",
                () -> new StandingRig(
                        name, camera.get(), lens.get(), converter, focal, filter, support, card, battery));
    }

    private Optional<Long> chosen(FormErrors e, String field, KitKind kind, boolean needed) {
        String text = e.text(field);
        if (text.isEmpty()) {
            if (needed) {
                e.add(field, field + " is not chosen; one of the kit is needed");
            }
            return Optional.empty();
        }
        Optional<Long> id = shelf.list(kind).stream()
                .map(Kept::id)
                .filter(i -> Long.toString(i).equals(text))
                .findFirst();
        if (id.isEmpty()) {
            e.add(field, field + " number “" + TypedNumber.shown(text) + "” is not in the kit; choose one of the list");
        }
        return id;
    }
}
