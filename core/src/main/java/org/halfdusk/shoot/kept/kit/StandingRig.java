package org.halfdusk.shoot.kept.kit;

import java.util.Optional;
import org.halfdusk.shoot.choices.Shoot;
import org.halfdusk.typed.PlainText;

/**
 * Kit that a person uses together, by the numbers under which it is kept.
 *
 * @param focalMm set on the lens
 */
public record StandingRig(
        String name,
        long cameraId,
        long lensId,
        Optional<Long> converterId,
        double focalMm,
        Optional<Long> filterId,
        Optional<Long> supportId,
        Optional<Long> cardId,
        Optional<Long> batteryId) {
    public static final int LONGEST_NAME = 80;

    /** @throws IllegalArgumentException naming what is outside of what is allowed */
    public StandingRig {
        name = PlainText.line("name of a rig", name, LONGEST_NAME);
        Shoot.ShootRig.FOCAL.check(focalMm);
    }
}
