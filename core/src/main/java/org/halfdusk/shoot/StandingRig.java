package org.halfdusk.shoot;

import java.util.Optional;

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
    public StandingRig {
        if (name.isBlank() || name.length() > 80) {
            throw new IllegalArgumentException("name of a rig must have 1 to 80 characters");
        }
        if (!(focalMm >= 1 && focalMm <= 5000)) {
            throw new IllegalArgumentException("focal length " + focalMm + " mm is outside 1 to 5000 mm");
        }
    }
}
