package org.halfdusk.shoot.review;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import org.halfdusk.frame.FrameFault.What;
import org.halfdusk.frame.FrameReading;
import org.halfdusk.shoot.review.taken.FrameFile;

/**
 * Why a frame looks soft: the six causes in the order in which practitioners look for them, answered from the file and the shapes of its
 * stars; what a picture cannot tell is asked. The last, a lens out of calibration, is the rarest: it errs one way in every frame.
 */
public final class Softness {
    private Softness() {}

    /** In the order in which they are looked for. */
    public enum Cause {
        APERTURE_TOO_WIDE,
        SHUTTER_TOO_SLOW,
        NOISE_OR_LIFTED,
        WRONG_FOCUS_MODE,
        CAMERA_CHOSE_THE_POINT,
        LENS_OUT_OF_CALIBRATION
    }

    /** What is found of one. */
    public enum Found {
        NO,
        CORNERS_ONLY,
        YES,
        /** A picture cannot tell: a person is asked. */
        ASK,
        /** It cannot be told, and asking would not help. */
        UNKNOWN
    }

    /**
     * One cause.
     *
     * @param figure that it was judged by: aperture, trail px, place across the histogram, frames that err one way; nothing where none
     * @param beside what it was held against: a planned trail, the number of frames in all; nothing where none
     */
    public record Answer(Cause cause, Found found, OptionalDouble figure, OptionalDouble beside) {}

    /** A sky further left is lifted afterwards, and its noise with it†: a share of the width of the histogram. */
    static final double LIFTED = 0.06;

    /**
     * All six.
     *
     * @param answered what a person said of what was asked: true where it was so
     * @param series of the lens; nothing where it was not looked at
     */
    public static List<Answer> of(
            FrameFile file, FrameReading r, Verdict verdict, Map<Cause, Boolean> answered, Optional<OneWay> series) {
        List<Answer> all = new ArrayList<>();
        OptionalDouble aperture = file.shot().aperture();
        boolean coma = r.likely(What.COMA).isPresent();
        all.add(new Answer(
                Cause.APERTURE_TOO_WIDE,
                verdict.stars().isEmpty() ? Found.UNKNOWN : coma ? Found.CORNERS_ONLY : Found.NO,
                aperture,
                OptionalDouble.empty()));
        OptionalDouble trail = verdict.stars().isPresent()
                ? OptionalDouble.of(verdict.stars().get().trailPx())
                : OptionalDouble.empty();
        boolean moved = verdict.change()
                .filter(w -> w == What.TRAILED || w == What.SHAKE)
                .isPresent();
        all.add(new Answer(
                Cause.SHUTTER_TOO_SLOW,
                trail.isEmpty() ? Found.UNKNOWN : moved ? Found.YES : Found.NO,
                trail,
                verdict.plannedTrailPx()));
        boolean lifted = r.tones().peak() < LIFTED || r.likely(What.DARK).isPresent();
        all.add(new Answer(
                Cause.NOISE_OR_LIFTED,
                lifted ? Found.YES : Found.NO,
                OptionalDouble.of(r.tones().peak()),
                OptionalDouble.empty()));
        boolean sharp = verdict.stars().isPresent() && r.likely(What.DEFOCUS).isEmpty();
        all.add(asked(Cause.WRONG_FOCUS_MODE, answered, sharp));
        all.add(asked(Cause.CAMERA_CHOSE_THE_POINT, answered, sharp));
        all.add(calibration(series, r));
        return List.copyOf(all);
    }

    /** Where the middle is sharp the focus was right, however it was found. */
    private static Answer asked(Cause cause, Map<Cause, Boolean> answered, boolean sharp) {
        Found found = answered.containsKey(cause)
                ? Boolean.TRUE.equals(answered.get(cause)) ? Found.YES : Found.NO
                : sharp ? Found.NO : Found.ASK;
        return new Answer(cause, found, OptionalDouble.empty(), OptionalDouble.empty());
    }

    private static Answer calibration(Optional<OneWay> series, FrameReading r) {
        boolean tilted = r.likely(What.TILT).isPresent();
        Found found = series.filter(OneWay::always).isPresent() ? Found.YES : tilted ? Found.ASK : Found.NO;
        return new Answer(
                Cause.LENS_OUT_OF_CALIBRATION,
                found,
                series.map(s -> OptionalDouble.of(s.frames())).orElse(OptionalDouble.empty()),
                series.map(s -> OptionalDouble.of(s.of())).orElse(OptionalDouble.empty()));
    }
}
