package org.halfdusk.web.expose;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.halfdusk.exposure.FNumber;
import org.halfdusk.exposure.Iso;
import org.halfdusk.exposure.IsoSchool;
import org.halfdusk.exposure.School;
import org.halfdusk.exposure.SharpTime;
import org.halfdusk.exposure.ShutterTime;
import org.halfdusk.optics.Lens;
import org.halfdusk.optics.Rig;
import org.halfdusk.shoot.ExposurePlan;
import org.halfdusk.shoot.Kits;
import org.halfdusk.shoot.Shoot;
import org.halfdusk.shoot.ShootField;
import org.halfdusk.web.layout.FormErrors;
import org.halfdusk.web.layout.Theme;
import org.halfdusk.web.layout.Words;
import org.halfdusk.web.shoot.ShootDesk;
import org.halfdusk.web.shoot.ShootEditing;
import org.halfdusk.web.shoot.ShootEditing.Choice;

/** The Expose step, worded. */
record ExposePage(
        List<Star> stars,
        Histogram histogram,
        Meter meter,
        Because time,
        Because aperture,
        Because iso,
        String whiteBalance,
        List<SchoolLine> schools,
        List<Choice> cameras,
        List<Choice> lenses,
        List<Choice> converters,
        List<Choice> shutters,
        List<Choice> apertures,
        List<Choice> isos,
        List<Choice> isoSchools,
        String focal,
        boolean prime,
        String focalRange,
        String budget,
        Map<String, String> errors) {

    /** An answer and its reason. */
    record Because(String heading, String answer, String reason) {}

    record SchoolLine(String rule, String gives, String dial, String middle, String corner, boolean chosen) {}

    /** One star at 100 % after a time, in the middle and in the worst corner. */
    record Star(String time, String note, boolean chosen, StarPicture middle, StarPicture corner, String words) {}

    /** Where the sky's peak stands. */
    record Histogram(String path, String peakX, String labelX, String words) {}

    /** How far the sky comes out from where it is wanted. */
    record Meter(String x, String words, List<String> equivalents, String testFrame) {}

    static ExposePage of(ShootDesk.Open open, Kits kits, FormErrors errors, Theme theme) {
        Shoot.ShootRig kept = open.shoot().it().rig();
        ExposurePlan e = open.plan().exposure();
        Rig rig = e.rig();
        Lens lens = rig.lens();
        String none = "none";
        List<Choice> converters = new ArrayList<>();
        converters.add(new Choice("", none, kept.converterId().isEmpty()));
        converters.addAll(ShootEditing.choices(
                kits.converters(),
                kept.converterId().flatMap(kits::converter),
                c -> c.name(),
                kept.converterId().map(String::valueOf).orElse("")));
        return new ExposePage(
                stars(e, theme),
                histogram(e),
                meter(e),
                ExposeWords.time(e),
                ExposeWords.aperture(e),
                ExposeWords.iso(e),
                ExposurePlan.WHITE_BALANCE_KELVIN
                        + " K with a touch of magenta keeps cold and copper tones apart; raw files can change it later.",
                e.sharp().stream().map(s -> schoolLine(s, e)).toList(),
                ShootEditing.choices(
                        kits.cameras(), kits.camera(kept.cameraId()), c -> c.name(), Long.toString(kept.cameraId())),
                ShootEditing.choices(
                        kits.lenses(), kits.lens(kept.lensId()), l -> l.name(), Long.toString(kept.lensId())),
                converters,
                shutters(e),
                apertures(e),
                isos(e),
                List.of(
                        new Choice(
                                "PROTECT_COLOURS",
                                "protect colours, 0.14",
                                e.wishes().isoSchool() == IsoSchool.PROTECT_COLOURS),
                        new Choice(
                                "LIFT_AT_CAMERA",
                                "lift at the camera, 0.25",
                                e.wishes().isoSchool() == IsoSchool.LIFT_AT_CAMERA)),
                errors.of("FOCAL").isEmpty() ? Words.plain(rig.lensFocalMm()) : errors.text("FOCAL"),
                !lens.zoom(),
                lens.zoom() ? Words.plain(lens.shortestMm()) + "–" + Words.plain(lens.longestMm()) + " mm" : "fixed",
                errors.of("BUDGET").isEmpty() ? Words.plain(e.wishes().budgetPx()) : errors.text("BUDGET"),
                Stream.of(ShootField.values()).collect(Collectors.toMap(Enum::name, f -> errors.of(f.name()))));
    }

    private static List<Choice> shutters(ExposurePlan e) {
        double pinned = e.wishes().pinnedSeconds().orElse(0);
        List<Choice> choices = new ArrayList<>();
        choices.add(new Choice("", "as computed", pinned == 0));
        ShutterTime chosen = e.shutter();
        for (ShutterTime t : ExposurePlan.times(e.rig())) {
            if (t.nominalSeconds() <= 600) {
                choices.add(new Choice(
                        plain(t.nominalSeconds()),
                        t.label(),
                        pinned > 0 && t.nominalSeconds() == chosen.nominalSeconds()));
            }
        }
        return choices;
    }

    private static List<Choice> apertures(ExposurePlan e) {
        boolean pinned = e.wishes().pinnedAperture().isPresent();
        List<Choice> choices = new ArrayList<>();
        choices.add(new Choice("", "widest", !pinned));
        for (double n : ExposurePlan.apertures(e.rig())) {
            choices.add(new Choice(plain(n), FNumber.label(n), pinned && Math.abs(n - e.aperture()) < 0.01));
        }
        return choices;
    }

    private static List<Choice> isos(ExposurePlan e) {
        boolean pinned = e.wishes().pinnedIso().isPresent();
        List<Choice> choices = new ArrayList<>();
        choices.add(new Choice("", "as computed", !pinned));
        for (int iso :
                Iso.available(e.rig().camera().lowestIso(), e.rig().camera().highestIso())) {
            choices.add(new Choice(Integer.toString(iso), Integer.toString(iso), pinned && iso == e.iso()));
        }
        return choices;
    }

    /** As {@link ShootField} writes a number, so that what is sent back equals what was kept. */
    private static String plain(double value) {
        return value == Math.rint(value) ? Long.toString((long) value) : Double.toString(value);
    }

    private static SchoolLine schoolLine(SharpTime s, ExposurePlan e) {
        return new SchoolLine(
                ExposeWords.rule(s.school(), e),
                Words.seconds(s.seconds()),
                s.dial().label(),
                Words.tenths(s.middlePx()) + " px",
                Words.tenths(s.cornerPx()) + " px",
                s.school() == School.PIXEL_BUDGET && e.wishes().pinnedSeconds().isEmpty());
    }

    /** Three times side by side: the longest school, the chosen one, the strictest. */
    private static List<Star> stars(ExposurePlan e, Theme theme) {
        SharpTime divide = school(e, School.DIVIDE_500_EQUIVALENT);
        SharpTime pinpoint = school(e, School.NPF_1);
        List<Star> stars = new ArrayList<>();
        stars.add(star(e, divide.dial(), "500 ÷ focal length", false, theme));
        String note = e.wishes().pinnedSeconds().isPresent() ? "pinned by you" : "trail budget";
        stars.add(star(e, e.shutter(), note, true, theme));
        stars.add(star(e, pinpoint.dial(), "aperture and pixel, k 1", false, theme));
        return stars;
    }

    private static SharpTime school(ExposurePlan e, School school) {
        return e.sharp().stream().filter(s -> s.school() == school).findFirst().orElseThrow();
    }

    private static Star star(ExposurePlan e, ShutterTime time, String note, boolean chosen, Theme theme) {
        double corner = Math.toRadians(e.rig().cornerDegrees());
        double middlePx = e.trailing().middlePx(time.realSeconds());
        double cornerPx = e.trailing().worstPx(corner, time.realSeconds());
        return new Star(
                time.label(),
                note,
                chosen,
                StarPicture.of(e.trailing().path(0, 0, time.realSeconds()), theme),
                StarPicture.of(e.trailing().worstPath(corner, time.realSeconds()), theme),
                "After " + time.label() + " a star trails " + Words.tenths(middlePx) + " px in the middle and "
                        + Words.tenths(cornerPx) + " px in the worst corner.");
    }

    private static Histogram histogram(ExposurePlan e) {
        double peak = e.sky().histogramPosition();
        StringBuilder path = new StringBuilder("M0 90");
        for (int x = 0; x <= 392; x += 2) {
            double d = x / 392.0 - peak;
            double width = d < 0 ? 0.035 : 0.055;
            double y = 90 - 78 * Math.exp(-d * d / (2 * width * width));
            path.append(String.format(Locale.ROOT, "L%d %.1f", x, y));
        }
        path.append("L392 90Z");
        double stops = e.sky().stopsUnderClipping();
        String words = stops > 0
                ? "The sky's peak stands " + Words.percent(peak) + " across, " + Words.stops(stops) + " under clipping."
                : "The sky clips by " + Words.stops(stops) + ": nothing is left of it.";
        double at = peak * 392;
        return new Histogram(path.toString(), Words.plain(at), Words.plain(Math.min(360, at + 12)), words);
    }

    private static Meter meter(ExposurePlan e) {
        double over = e.stopsOverTarget();
        double shown = Math.max(-3.2, Math.min(3.2, over));
        String words = Math.abs(over) < 1.0 / 3
                ? "On target."
                : Words.stops(over) + (over > 0 ? " brighter" : " darker") + " than wished.";
        ExposurePlan.Equivalent test = e.testFrame();
        return new Meter(
                Words.plain(196 + shown * 56),
                words,
                e.equivalents().stream()
                        .map(q -> q.shutter().label() + " ISO " + q.iso())
                        .toList(),
                test.shutter().label() + " ISO " + test.iso());
    }
}
