package org.halfdusk.web.kit;

import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import org.halfdusk.optics.Camera;
import org.halfdusk.optics.IntervalTimer;
import org.halfdusk.optics.ReadNoise;
import org.halfdusk.optics.Sensor;
import org.halfdusk.typed.Codec;
import org.halfdusk.web.kit.KitForm.Choice;
import org.halfdusk.web.kit.KitForm.Field;
import org.halfdusk.web.layout.FormErrors;
import org.halfdusk.web.subject.words.ReasonWords;
import org.jspecify.annotations.Nullable;

/** Between a camera and what is typed of it, part by part: what is wrong with one does not hide what is wrong with the next. */
final class CameraForm {
    static final List<Field> FIELDS = List.of(
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

    private final KitForm form;
    private final FormErrors e;

    CameraForm(KitForm form) {
        this.form = form;
        this.e = form.errors();
    }

    static void typed(Camera c, Map<String, String> t) {
        KitForms.put(t, "width", c.sensor().widthMm());
        KitForms.put(t, "height", c.sensor().heightMm());
        KitForms.put(t, "across", c.sensor().widthPx());
        KitForms.put(t, "down", c.sensor().heightPx());
        KitForms.put(t, "lowIso", c.sensitivity().lowestIso());
        KitForms.put(t, "highIso", c.sensitivity().highestIso());
        KitForms.put(t, "shortest", Math.round(1 / c.shutter().shortestSeconds()));
        KitForms.put(t, "longest", c.shutter().longestTimedSeconds());
        KitForms.put(t, "raw", c.files().rawMegabytes());
        KitForms.put(t, "jpeg", c.files().jpegMegabytes());
        KitForms.put(t, "buffer", c.files().bufferFrames());
        KitForms.put(t, "write", c.files().writeMegabytesPerSecond());
        KitForms.put(t, "frames", c.power().batteryFrames());
        KitForms.put(t, "minutes", c.power().batteryMinutes());
        KitForms.put(t, "cold", Math.rint(c.power().coldLoss() * 10_000) / 100);
        KitForms.put(t, "heat", Math.rint(c.power().heatLoss() * 10_000) / 100);
        KitForms.put(t, "stabiliser", c.shutter().stabiliserStops());
        t.put("timerFrom", c.shutter().timer().from().name());
        t.put("timerStep", c.shutter().timer().step().name());
        KitForms.put(t, "timerLargest", c.shutter().timer().largest());
        t.put("readNoise", c.sensitivity().readNoise().name());
        c.sensitivity().filmExponent().ifPresent(p -> KitForms.put(t, "film", p));
        KitForms.tick(t, "bulb", c.shutter().bulb());
        KitForms.tick(t, "mirror", c.shutter().mirror());
    }

    /** Nothing where anything is wrong: all of it is then noted. */
    @Nullable
    Camera camera(String name) {
        Sensor sensor = sensor();
        Camera.Sensitivity sensitivity = sensitivity();
        Camera.Shutter shutter = shutter();
        Camera.Files files = files();
        Camera.Power power = power();
        return e.any() || sensor == null || sensitivity == null || shutter == null || files == null || power == null
                ? null
                : e.check("name", () -> new Camera(name, sensor, sensitivity, shutter, files, power));
    }

    private @Nullable Sensor sensor() {
        double width = e.number("width", "sensor width", 1, 200, "mm");
        double height = e.number("height", "sensor height", 1, 200, "mm");
        int across = e.whole("across", "pixels across", 100, 60_000, "");
        int down = e.whole("down", "pixels down", 100, 60_000, "");
        return e.right("width", "height", "across", "down")
                ? e.check("width", () -> new Sensor(width, height, across, down))
                : null;
    }

    private Camera.@Nullable Sensitivity sensitivity() {
        int lowest = e.whole("lowIso", "lowest ISO", 6, 3_276_800, "");
        int highest = e.whole("highIso", "highest ISO", 6, 3_276_800, "");
        OptionalDouble film = e.text("film").isEmpty()
                ? OptionalDouble.empty()
                : OptionalDouble.of(e.number("film", "reciprocity exponent", 1, 2, ""));
        ReadNoise noise = constant("readNoise", "noise of reading", ReadNoise.class, ReadNoise.STEADY);
        return noise != null && e.right("lowIso", "highIso", "film")
                ? e.check("highIso", () -> new Camera.Sensitivity(lowest, highest, film, noise))
                : null;
    }

    private Camera.@Nullable Shutter shutter() {
        double shortest = e.number("shortest", "shortest time, 1 over", 1, 64_000, "");
        double longest = e.number("longest", "longest timed exposure", 1, 3600, "s");
        double stabiliser = optional("stabiliser", "stabiliser", 0, 10);
        IntervalTimer timer = timer();
        return timer != null && e.right("shortest", "longest", "stabiliser")
                ? e.check(
                        "shortest",
                        () -> new Camera.Shutter(
                                1 / shortest, longest, form.ticked("bulb"), form.ticked("mirror"), stabiliser, timer))
                : null;
    }

    /** What is left out is usual. */
    private @Nullable IntervalTimer timer() {
        IntervalTimer usual = IntervalTimer.USUAL;
        IntervalTimer.From from = constant("timerFrom", "interval timer", IntervalTimer.From.class, usual.from());
        IntervalTimer.Step step = constant("timerStep", "step of the timer", IntervalTimer.Step.class, usual.step());
        int largest = e.text("timerLargest").isEmpty()
                ? usual.largest()
                : e.whole("timerLargest", "largest number of frames", 2, 100_000, "");
        return from == null || step == null || !e.right("timerLargest") ? null : new IntervalTimer(step, from, largest);
    }

    private Camera.@Nullable Files files() {
        double raw = e.number("raw", "raw file", 0, 2000, "MB");
        double jpeg = e.number("jpeg", "JPEG file", 0, 2000, "MB");
        int buffer = e.whole("buffer", "buffer", 1, 100_000, "frames");
        double write = e.number("write", "write speed", 0.1, 20_000, "MB/s");
        return e.right("raw", "jpeg", "buffer", "write")
                ? e.check("raw", () -> new Camera.Files(raw, jpeg, buffer, write))
                : null;
    }

    private Camera.@Nullable Power power() {
        int frames = e.whole("frames", "battery", 1, 100_000, "frames");
        int minutes = e.whole("minutes", "battery", 1, 10_000, "min");
        double cold = optional("cold", "charge lost in the cold", 1, 5);
        double heat = optional("heat", "charge lost in the heat", 1, 5);
        return e.right("frames", "minutes", "cold", "heat")
                ? e.check("frames", () -> new Camera.Power(frames, minutes, cold / 100, heat / 100))
                : null;
    }

    private <E extends Enum<E>> @Nullable E constant(String field, String name, Class<E> of, E usual) {
        return e.text(field).isEmpty()
                ? usual
                : e.check(field, () -> Codec.constant(name, of).read(e.text(field)));
    }

    private double optional(String field, String name, double usual, double most) {
        return e.text(field).isEmpty() ? usual : e.number(field, name, 0, most, "");
    }
}
