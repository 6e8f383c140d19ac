package org.halfdusk.web.kit;

import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Supplier;
import org.halfdusk.optics.Camera;
import org.halfdusk.optics.Lens;
import org.halfdusk.optics.TypicalKit;
import org.halfdusk.optics.kit.Accessory;
import org.halfdusk.optics.kit.BatteryPack;
import org.halfdusk.optics.kit.Card;
import org.halfdusk.optics.kit.Converter;
import org.halfdusk.optics.kit.Filter;
import org.halfdusk.optics.kit.PeriodicError;
import org.halfdusk.optics.kit.Support;
import org.halfdusk.shoot.kept.kit.StandingRig;
import org.halfdusk.typed.PlainText;
import org.halfdusk.typed.TypedNumber;
import org.halfdusk.web.kit.KitForm.Choice;
import org.halfdusk.web.kit.KitForm.Field;
import org.halfdusk.web.layout.FormErrors;
import org.halfdusk.web.layout.words.Numbers;
import org.halfdusk.web.layout.words.Words;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Between kit and what is typed of it, both ways. */
@Component
class KitForms {
    private static final List<Choice> USES = List.of(
            new Choice("NEUTRAL", "neutral density"),
            new Choice("SOLAR", "for the sun, approved"),
            new Choice("DIFFUSION", "diffusion"),
            new Choice("OTHER", "other"));

    private final RigForm rigs;

    KitForms(Shelf shelf) {
        rigs = new RigForm(shelf);
    }

    List<Field> fields(KitKind kind) {
        return switch (kind) {
            case RIGS -> rigs.fields();
            case CAMERAS -> CameraForm.FIELDS;
            case LENSES -> LensForm.FIELDS;
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
            CameraForm.typed(c, t);
        } else if (it instanceof Lens l) {
            LensForm.typed(l, t);
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
            RigForm.typed(r, t);
        }
    }

    static void put(Map<String, String> t, String field, double v) {
        t.put(field, Numbers.typed(v));
    }

    static void tick(Map<String, String> t, String field, boolean on) {
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
            case RIGS -> Optional.ofNullable(rigs.rig(name, e));
            case CAMERAS -> Optional.ofNullable(new CameraForm(form).camera(name));
            case LENSES -> Optional.ofNullable(LensForm.lens(name, form));
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
}
