package org.halfdusk.shoot.choices;

import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import org.halfdusk.optics.Sensor;
import org.halfdusk.optics.framing.Framing;
import org.halfdusk.optics.kit.Support;
import org.halfdusk.sequence.Phases;
import org.halfdusk.shoot.Subject;
import org.halfdusk.shoot.SubjectPlanner;
import org.halfdusk.shoot.Wish;
import org.halfdusk.shoot.setting.wished.Wishes;
import org.halfdusk.typed.PlainText;
import org.halfdusk.typed.Range;

/**
 * What a person has decided about one shoot; all that can be computed from it is not in it.
 *
 * @param night the evening's date
 * @param wish what is wished of the subject itself
 * @param title as shown; named by the app until a person renames it
 */
public record Shoot(
        Subject subject,
        long placeId,
        LocalDate night,
        String title,
        ShootRig rig,
        Wish wish,
        String notes,
        Instant savedAt) {
    public static final int LONGEST_TITLE = 120;
    public static final int LONGEST_NOTES = 10_000;

    /** @throws IllegalArgumentException naming what is outside of what is allowed */
    public Shoot {
        Objects.requireNonNull(rig, "rig is missing");
        Objects.requireNonNull(savedAt, "time of saving is missing");
        ShootField.checked(night);
        wish = SubjectPlanner.wishes(subject).checked(wish);
        title = PlainText.line("title", title, LONGEST_TITLE);
        notes = PlainText.lines("notes", notes, LONGEST_NOTES);
    }

    /** The same with another rig to be seen through. */
    public Shoot with(ShootRig other) {
        return new Shoot(subject, placeId, night, title, other, wish, notes, savedAt);
    }

    /** The same with another wish of its subject. */
    public Shoot with(Wish other) {
        return new Shoot(subject, placeId, night, title, rig, other, notes, savedAt);
    }

    /**
     * The kit of a shoot.
     *
     * @param focalMm set on the lens
     * @param framing where the person has aimed, otherwise computed
     * @param choices what else was chosen; a file of an older version has none
     */
    public record ShootRig(
            long cameraId,
            long lensId,
            Optional<Long> converterId,
            double focalMm,
            Optional<Framing> framing,
            Wishes wishes,
            RigChoices choices) {
        public static final Range FOCAL = new Range("focal length", 1, 5000, "mm");

        public ShootRig {
            Objects.requireNonNull(wishes, "wishes of a rig are missing");
            choices = Objects.requireNonNullElse(choices, RigChoices.NONE);
            FOCAL.check(focalMm);
        }

        ShootRig with(Wishes other) {
            return new ShootRig(cameraId, lensId, converterId, focalMm, framing, other, choices);
        }

        /** The same with other choices. */
        public ShootRig with(RigChoices other) {
            return new ShootRig(cameraId, lensId, converterId, focalMm, framing, wishes, other);
        }

        /**
         * Its wishes of exposure with what the choices say: the trail allowed for how the picture is looked at, and the limits.
         *
         * @param supports of the kit, that which stands with this rig first
         */
        public Wishes wishes(Sensor sensor, List<Support> supports) {
            Wishes limited = wishes.with(choices.limits().with(supports))
                    .with(new Phases(
                            choices.recording().jpeg(), choices.script().phases()))
                    .with(choices.scene().metered());
            return choices.tolerance()
                    .map(t -> limited.withBudget(Wishes.BUDGET.clamped(Math.rint(10 * t.budgetPx(sensor)) / 10)))
                    .orElse(limited);
        }

        /** With nothing else chosen. */
        public ShootRig(
                long cameraId,
                long lensId,
                Optional<Long> converterId,
                double focalMm,
                Optional<Framing> framing,
                Wishes wishes) {
            this(cameraId, lensId, converterId, focalMm, framing, wishes, RigChoices.NONE);
        }
    }
}
