package org.halfdusk.web.subject.words;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.halfdusk.photometry.Measurement;
import org.halfdusk.shoot.Plan;
import org.halfdusk.shoot.review.learnt.Learnt;
import org.halfdusk.shoot.review.learnt.Lesson;
import org.halfdusk.web.layout.words.Words;
import org.halfdusk.web.subject.page.Line;

/** What frames have taught, in words. */
public final class LearntWords {

    private LearntWords() {}

    public static Line offer(Lesson l) {
        return new Line(said(l.figure(), l.detail(), l.value()), from(l.figure(), l.value()));
    }

    /** "Camera 0.27 stops lighter than reckoned". */
    public static String said(Learnt.Figure figure, String detail, Measurement m) {
        double v = m.value();
        return switch (figure) {
            case CAMERA_STOPS -> "Camera " + stops(v) + " than reckoned";
            case LENS_STOPS -> "Lens " + stops(v) + " than the camera's others";
            case LENS_STAR -> "Stars of this lens " + Words.tenths(v) + " µm wide in the middle";
            case LENS_CORNER -> "Corners " + Words.tenths(v) + " µm wider along the radius";
            case LENS_FALL ->
                "Corners " + two(Math.abs(v)) + " stops " + (v >= 0 ? "darker" : "lighter")
                        + " than the geometry has them";
            case PLACE_ZENITH -> "Sky here " + Words.tenths(v) + " mag/arcsec² overhead";
            case PLACE_TOWARDS ->
                "Towards " + Words.eighthWord(Integer.parseInt(detail)) + " " + two(Math.abs(v)) + " mag "
                        + (v >= 0 ? "darker" : "lighter") + " than reckoned";
            case MOUNT_AXIS -> "Axis of the mount " + Words.tenths(v) + " arcmin off the pole";
        };
    }

    private static String stops(double v) {
        return two(Math.abs(v)) + " stops " + (v >= 0 ? "lighter" : "darker");
    }

    private static String two(double v) {
        return String.format(Locale.ROOT, "%.2f", v);
    }

    /** "12 frames, ± 0.05". */
    public static String from(Learnt.Figure figure, Measurement m) {
        return Words.count(m.frames(), "frame") + ", ± " + two(m.spread()) + unit(figure);
    }

    private static String unit(Learnt.Figure figure) {
        return switch (figure) {
            case CAMERA_STOPS, LENS_STOPS, LENS_FALL -> " stops";
            case LENS_STAR, LENS_CORNER -> " µm";
            case PLACE_ZENITH, PLACE_TOWARDS -> " mag";
            case MOUNT_AXIS -> " arcmin";
        };
    }

    /** What of it a plan goes by. */
    public static List<Line> goneBy(Plan plan) {
        List<Line> all = new ArrayList<>();
        plan.rig().measured().camera().ifPresent(m -> add(all, Learnt.Figure.CAMERA_STOPS, "", m));
        plan.rig().measured().glass().ifPresent(m -> add(all, Learnt.Figure.LENS_STOPS, "", m));
        plan.rig().measured().starMicrons().ifPresent(m -> add(all, Learnt.Figure.LENS_STAR, "", m));
        plan.rig().measured().cornerMicrons().ifPresent(m -> add(all, Learnt.Figure.LENS_CORNER, "", m));
        plan.rig().measured().fall().ifPresent(m -> add(all, Learnt.Figure.LENS_FALL, "", m));
        plan.night().light().site().measured().zenith().ifPresent(m -> add(all, Learnt.Figure.PLACE_ZENITH, "", m));
        List<Optional<Measurement>> octants =
                plan.night().light().site().measured().octants();
        for (int i = 0; i < octants.size(); i++) {
            int octant = i;
            octants.get(i).ifPresent(m -> add(all, Learnt.Figure.PLACE_TOWARDS, Integer.toString(octant), m));
        }
        return List.copyOf(all);
    }

    /** For who asks why: what frames have shown goes before the models. Empty where nothing was taken over. */
    public static String because(Plan plan) {
        double stops = plan.rig().measured().stops();
        int of = plan.rig().measured().camera().map(Measurement::frames).orElse(0)
                + plan.rig().measured().glass().map(Measurement::frames).orElse(0);
        String camera = of == 0
                ? ""
                : " " + Words.count(of, "frame") + " of yours came out " + stops(stops)
                        + " than the model has it: reckoned with.";
        String place = plan.night()
                .light()
                .site()
                .measured()
                .zenith()
                .map(m -> " The sky is taken as " + Words.count(m.frames(), "frame") + " of yours showed it here, "
                        + Words.tenths(m.value()) + " mag/arcsec² overhead.")
                .orElse("");
        return camera + place;
    }

    private static void add(List<Line> all, Learnt.Figure figure, String detail, Measurement m) {
        all.add(new Line(said(figure, detail, m), from(figure, m)));
    }
}
