package org.halfdusk.shoot;

import java.time.Instant;
import java.time.LocalDate;
import java.util.Objects;
import java.util.Optional;
import org.halfdusk.optics.Framing;
import org.halfdusk.typed.PlainText;

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
        SubjectWish wish,
        String notes,
        Instant savedAt) {
    public static final int LONGEST_TITLE = 120;
    public static final int LONGEST_NOTES = 10_000;

    /** @throws IllegalArgumentException naming what is outside of what is allowed */
    public Shoot {
        Objects.requireNonNull(rig, "rig is missing");
        Objects.requireNonNull(savedAt, "time of saving is missing");
        ShootField.checked(night);
        wish = wish.checked(subject);
        title = PlainText.line("title", title, LONGEST_TITLE);
        notes = PlainText.lines("notes", notes, LONGEST_NOTES);
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
        public ShootRig {
            Objects.requireNonNull(wishes, "wishes of a rig are missing");
            choices = Objects.requireNonNullElse(choices, RigChoices.NONE);
            if (!(focalMm >= 1 && focalMm <= 5000)) {
                throw new IllegalArgumentException("focal length " + focalMm + " mm is outside 1 to 5000 mm");
            }
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
