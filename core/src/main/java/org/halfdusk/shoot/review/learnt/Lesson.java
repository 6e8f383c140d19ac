package org.halfdusk.shoot.review.learnt;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.TreeMap;
import org.halfdusk.angle.Vector;
import org.halfdusk.ephemeris.Body;
import org.halfdusk.exposure.Setting;
import org.halfdusk.exposure.SkyExposure;
import org.halfdusk.frame.FrameFault.What;
import org.halfdusk.frame.FrameReading;
import org.halfdusk.frame.solved.Solution;
import org.halfdusk.light.MeasuredDark;
import org.halfdusk.light.SkyLight;
import org.halfdusk.optics.Rig;
import org.halfdusk.photometry.Measurement;
import org.halfdusk.photometry.SkyBrightness;
import org.halfdusk.shoot.Plan;
import org.halfdusk.shoot.review.Verdict;
import org.halfdusk.shoot.review.taken.FrameFile;
import org.halfdusk.shoot.review.taken.Shot;
import org.halfdusk.shoot.review.taken.StarsMeasured;
import org.halfdusk.shoot.review.taken.TakenFrame;
import org.halfdusk.time.SiderealTime;

/**
 * What the frames of a shoot show of its camera, lens, place and mount. A figure is the median of the frames that agree with it within
 * {@link Learnt#AGREE_STOPS}; it is shown only where at least {@link Learnt#LEAST_FRAMES} do, and most of all do.
 *
 * @param figure of what
 * @param detail which of several, as {@link Learnt#detail}
 */
public record Lesson(Learnt.Figure figure, String detail, Measurement value) {
    /**
     * A frame to learn from.
     *
     * @param plan of its shoot, reckoned without anything that was taken over
     * @param at the middle of its exposure
     */
    public record Evidence(Plan plan, Instant at, TakenFrame frame) {}

    /** Half of the span in which two thirds lie, from the median of distances: 1.4826 of a normal spread. */
    private static final double NORMAL = 1.4826;

    /** Below this the sun has no part in the sky's light, degrees. */
    private static final double NIGHT_DEGREES = -18;

    /** A moon that adds more than so much of the sky's light hides what the place is like. */
    private static final double MOONLESS = 0.05;

    private static final double HIGH_DEGREES = 60;

    /** Pixels of a picture may be so many times as large as the sensor's for the lens to show in it. */
    private static final double FINE = 1.5;

    /** Within a third of a stop of the widest mark. */
    private static final double WIDE_OPEN = Math.pow(2, 1.0 / 6);

    /** A direction that differs by less is as the model has it, magnitudes†. */
    private static final double SEEN = 0.1;

    /** All that they show; empty where nothing is sure. */
    public static List<Lesson> of(List<Evidence> evidence) {
        Map<Learnt.Figure, Map<String, List<Double>>> shown = new TreeMap<>();
        for (Evidence e : evidence) {
            FrameReading r = e.frame().reading();
            if (r.kind() != FrameReading.Kind.STARS
                    || r.likely(What.CLOUD).isPresent()
                    || r.likely(What.HEADLAMP).isPresent()) {
                continue;
            }
            shapes(e).forEach(f -> add(shown, f.figure(), f.detail(), f.value()));
            r.solved().ifPresent(s -> light(e, s).forEach(f -> add(shown, f.figure(), f.detail(), f.value())));
        }
        List<Lesson> all = new ArrayList<>();
        shown.forEach((figure, details) -> details.forEach((detail, values) -> agreed(figure, values)
                .filter(m -> figure != Learnt.Figure.PLACE_TOWARDS || Math.abs(m.value()) >= SEEN)
                .ifPresent(m -> all.add(new Lesson(figure, detail, m)))));
        return List.copyOf(all);
    }

    /**
     * The same for a camera that other lenses have shown already: what is left is this lens's.
     *
     * @param camera its stops by frames through other lenses
     */
    public static List<Lesson> beside(Measurement camera, List<Lesson> lessons) {
        return lessons.stream()
                .map(l -> l.figure() == Learnt.Figure.CAMERA_STOPS ? l.less(camera) : l)
                .toList();
    }

    private Lesson less(Measurement camera) {
        return new Lesson(
                Learnt.Figure.LENS_STOPS,
                "",
                new Measurement(
                        value.value() - camera.value(), Math.hypot(value.spread(), camera.spread()), value.frames()));
    }

    private record Shown(Learnt.Figure figure, String detail, double value) {}

    private static void add(
            Map<Learnt.Figure, Map<String, List<Double>>> shown, Learnt.Figure figure, String detail, double value) {
        if (Double.isFinite(value)) {
            shown.computeIfAbsent(figure, k -> new TreeMap<>())
                    .computeIfAbsent(detail, k -> new ArrayList<>())
                    .add(value);
        }
    }

    /** The median of those that agree, with their spread; nothing where too few do. */
    static Optional<Measurement> agreed(Learnt.Figure figure, List<Double> values) {
        if (values.size() < Learnt.LEAST_FRAMES) {
            return Optional.empty();
        }
        double middle = median(values);
        double allowed = figure.relative() ? figure.agreeing() * Math.abs(middle) : figure.agreeing();
        List<Double> near =
                values.stream().filter(v -> Math.abs(v - middle) <= allowed).toList();
        if (near.size() < Learnt.LEAST_FRAMES || 2 * near.size() <= values.size()) {
            return Optional.empty();
        }
        double value = median(near);
        double spread =
                NORMAL * median(near.stream().map(v -> Math.abs(v - value)).toList());
        return Optional.of(new Measurement(value, spread, near.size()));
    }

    private static double median(List<Double> values) {
        List<Double> sorted = values.stream().sorted(Comparator.naturalOrder()).toList();
        int n = sorted.size();
        return n % 2 == 1 ? sorted.get(n / 2) : (sorted.get(n / 2 - 1) + sorted.get(n / 2)) / 2;
    }

    private static List<Shown> shapes(Evidence e) {
        FrameFile file = e.frame().file();
        FrameReading r = e.frame().reading();
        Optional<StarsMeasured> stars = StarsMeasured.of(r, file.width(), file.height());
        boolean spoilt = r.likely(What.DEFOCUS).isPresent()
                || r.likely(What.SHAKE).isPresent()
                || r.likely(What.TILT).isPresent()
                || r.likely(What.DEW).isPresent();
        if (stars.isEmpty() || spoilt) {
            return List.of();
        }
        double pitch = file.shot().pitchMicrons().orElse(Verdict.ownPitch(e.plan(), file));
        List<Shown> all = new ArrayList<>();
        // Of a smaller picture the pixel is what is measured, not the lens.
        boolean fine = pitch <= FINE * e.plan().rig().camera().sensor().pixelPitchMicrometres();
        // Stopped down a lens is another one.
        boolean open = file.shot().aperture().stream()
                .anyMatch(n -> n <= e.plan().rig().widestAperture().value() * WIDE_OPEN);
        if (fine) {
            all.add(new Shown(Learnt.Figure.LENS_STAR, "", stars.get().widthPx() * pitch));
        }
        stars.get()
                .corner()
                .filter(c -> fine && open)
                .ifPresent(c -> all.add(new Shown(Learnt.Figure.LENS_CORNER, "", Math.max(0, c.widerPx()) * pitch)));
        axis(e, stars.get(), pitch).ifPresent(v -> all.add(new Shown(Learnt.Figure.MOUNT_AXIS, "", v)));
        return all;
    }

    /** An axis so far off drifts at most by its sine times the sky's turning (worst at right angles to it). */
    private static OptionalDouble axis(Evidence e, StarsMeasured stars, double pitch) {
        OptionalDouble seconds = e.frame().file().shot().seconds();
        if (!e.plan().wishes().limits().mount().turns() || seconds.isEmpty()) {
            return OptionalDouble.empty();
        }
        double arcsec = stars.trailPx()
                * pitch
                * Rig.ARCSEC_PER_MICROMETRE_PER_MM
                / e.plan().rig().focalMm();
        double rad = Math.toRadians(arcsec / 3600) / seconds.getAsDouble() / SiderealTime.EARTH_RATE_RAD_PER_SECOND;
        return OptionalDouble.of(Math.toDegrees(Math.asin(Math.min(1, rad))) * 60);
    }

    private static List<Shown> light(Evidence e, Solution s) {
        List<Shown> all = new ArrayList<>();
        double magnitude = 2.5 * Math.log10(2);
        stops(e, s).ifPresent(v -> all.add(new Shown(Learnt.Figure.CAMERA_STOPS, "", v)));
        all.add(new Shown(Learnt.Figure.LENS_FALL, "", s.fall() / magnitude));
        all.addAll(dark(e, s));
        return all;
    }

    /**
     * By which a star comes out lighter than the model has it. A sky of so many magnitudes on a square arcsecond gives the same
     * illuminance as a star of that magnitude, so the model of the sky is that of the stars as well: the zero point against it.
     */
    private static OptionalDouble stops(Evidence e, Solution s) {
        Shot shot = e.frame().file().shot();
        if (!Double.isFinite(s.zLinear())
                || shot.iso().isEmpty()
                || shot.aperture().isEmpty()
                || shot.seconds().isEmpty()) {
            return OptionalDouble.empty();
        }
        Setting setting = Verdict.setting(e.frame().file(), e.plan());
        double pitch =
                shot.pitchMicrons().orElse(Verdict.ownPitch(e.plan(), e.frame().file()));
        double arcsec = Rig.ARCSEC_PER_MICROMETRE_PER_MM * pitch / s.focalMm();
        SkyBrightness any = SkyBrightness.of(REFERENCE);
        double linear =
                new SkyExposure(any, setting.fNumber(), setting.shutter().realSeconds(), setting.iso()).pictureLinear();
        double model = REFERENCE + 2.5 * Math.log10(linear / (arcsec * arcsec));
        return OptionalDouble.of((s.zLinear() - model) / (2.5 * Math.log10(2)));
    }

    private static final double REFERENCE = 21;

    /** The dark sky of the place: where neither sun nor moon has a part, what is measured against what the model has there. */
    private static List<Shown> dark(Evidence e, Solution s) {
        SkyLight light = e.plan().night().light();
        if (light.sky().at(Body.SUN, e.at()).altitude().degrees() > NIGHT_DEGREES) {
            return List.of();
        }
        SkyLight.At at = light.at(e.at());
        List<Double> off = new ArrayList<>();
        Map<Integer, List<Double>> octants = new TreeMap<>();
        for (Solution.Part part : s.parts()) {
            Vector v = part.towards();
            SkyLight.Brightness b = at.framed(v);
            if (b.moonLift() > MOONLESS || v.z() <= 0) {
                continue;
            }
            double darker = part.magnitude() - b.magnitude();
            off.add(darker);
            if (Math.toDegrees(v.latitudeRad()) < HIGH_DEGREES) {
                octants.computeIfAbsent(MeasuredDark.octant(v), k -> new ArrayList<>())
                        .add(darker);
            }
        }
        if (off.size() < Learnt.LEAST_FRAMES) {
            return List.of();
        }
        double all = median(off);
        List<Shown> shown = new ArrayList<>();
        shown.add(new Shown(
                Learnt.Figure.PLACE_ZENITH, "", e.plan().place().skyBrightness().magnitude() + all));
        octants.forEach((o, d) -> {
            if (d.size() >= Learnt.LEAST_FRAMES) {
                shown.add(new Shown(Learnt.Figure.PLACE_TOWARDS, Integer.toString(o), median(d) - all));
            }
        });
        return shown;
    }
}
