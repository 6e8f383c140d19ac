package org.halfdusk.shoot.review;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.halfdusk.exposure.Setting;
import org.halfdusk.frame.FrameFault.What;
import org.halfdusk.frame.FrameReading;
import org.halfdusk.shoot.Plan;
import org.halfdusk.shoot.Symptom;
import org.halfdusk.shoot.review.taken.FrameFile;
import org.halfdusk.shoot.review.taken.StarsMeasured;
import org.halfdusk.shoot.review.taken.TakenSetting;

/**
 * What is said of a frame: how it stands, and the one thing to change next, since only one changed thing shows what it did. First what
 * spoils every star (shake, focus, trail), then what spoils some (tilt, dew, coma), then the light.
 *
 * @param stars nothing where it shows too few
 * @param plannedTrailPx in pixels of the picture; nothing without a plan or where the plan lets stars trail
 * @param change the one thing; nothing where nothing is to be changed
 * @param remedy what to set for it, where a setting helps and the plan is known
 * @param spoilt what stands in this frame alone: left out of a stack, nothing to change
 */
public record Verdict(
        FrameReading.Kind kind,
        Optional<StarsMeasured> stars,
        OptionalDouble plannedTrailPx,
        Optional<What> change,
        Optional<Symptom.Remedy> remedy,
        List<What> spoilt) {
    /** What to change for, the first first. */
    private static final List<What> ORDER = List.of(
            What.SHAKE,
            What.DEFOCUS,
            What.TRAILED,
            What.TILT,
            What.DEW,
            What.COMA,
            What.CLIPPED,
            What.DARK,
            What.HOT_PIXELS);

    private static final List<What> PASSING = List.of(What.AIRCRAFT, What.SATELLITE, What.HEADLAMP, What.CLOUD);

    /** A trail is longer than planned from so much on, as a share of it and px†: what a reading itself is off by. */
    private static final double LONGER = 1.2;

    private static final double LONGER_PX = 0.4;

    /** @param plan for the frame's own moment; nothing for a picture without one */
    public static Verdict of(FrameFile file, FrameReading r, Optional<Plan> plan) {
        Optional<StarsMeasured> stars = StarsMeasured.of(r, file.width(), file.height());
        OptionalDouble planned = plan.map(p -> planned(file, p)).orElse(OptionalDouble.empty());
        Optional<What> change = ORDER.stream()
                .filter(w -> r.likely(w).isPresent() && !meant(w, stars, planned, plan))
                .findFirst()
                .or(() -> longer(stars, planned) ? Optional.of(What.TRAILED) : Optional.empty());
        return new Verdict(
                r.kind(),
                stars,
                planned,
                change,
                change.flatMap(Verdict::symptom).flatMap(s -> plan.map(p -> remedy(s, file, p))),
                PASSING.stream().filter(w -> r.likely(w).isPresent()).toList());
    }

    /** Whether nothing of it is to be changed and nothing stands in it. */
    public boolean good() {
        return change.isEmpty() && spoilt.isEmpty();
    }

    /** A trail that the plan means is no fault. */
    private static boolean meant(What w, Optional<StarsMeasured> stars, OptionalDouble planned, Optional<Plan> plan) {
        if (w == What.TRAILED && plan.isPresent()) {
            return planned.isEmpty() || !longer(stars, planned);
        }
        return false;
    }

    private static boolean longer(Optional<StarsMeasured> stars, OptionalDouble planned) {
        return planned.isPresent()
                && stars.filter(s -> s.trailPx() > LONGER * planned.getAsDouble() + LONGER_PX)
                        .isPresent();
    }

    private static OptionalDouble planned(FrameFile file, Plan plan) {
        return plan.pointStars().isEmpty()
                ? OptionalDouble.empty()
                : OptionalDouble.of(trailPx(plan, file, seconds(file, plan)));
    }

    /** Of the plan's frame in the middle, in pixels of the picture, which may be smaller than the sensor's. */
    static double trailPx(Plan plan, FrameFile file, double seconds) {
        double own = plan.rig().camera().sensor().pixelPitchMicrometres();
        return plan.trails().middlePx(seconds)
                * own
                / file.shot().pitchMicrons().orElse(ownPitch(plan, file));
    }

    /** Where the file does not say: the sensor's long side over the picture's. */
    public static double ownPitch(Plan plan, FrameFile file) {
        return plan.rig().camera().sensor().widthMm() * 1000 / Math.max(file.width(), file.height());
    }

    private static double seconds(FrameFile file, Plan plan) {
        return file.shot().seconds().orElse(plan.setting().shutter().realSeconds());
    }

    private static Optional<Symptom> symptom(What w) {
        return switch (w) {
            case TRAILED -> Optional.of(Symptom.DASHES);
            case COMA -> Optional.of(Symptom.WINGS);
            case CLIPPED -> Optional.of(Symptom.CLIPPED);
            case DARK -> Optional.of(Symptom.LEFT_EDGE);
            default -> Optional.empty();
        };
    }

    private static Symptom.Remedy remedy(Symptom s, FrameFile file, Plan plan) {
        return s.remedy(plan.rig(), setting(file, plan), plan.trails());
    }

    /** As the file says that it was taken; what it does not say as the plan has it. */
    public static Setting setting(FrameFile file, Plan plan) {
        return TakenSetting.of(file.shot(), plan.setting());
    }
}
