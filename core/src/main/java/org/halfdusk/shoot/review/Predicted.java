package org.halfdusk.shoot.review;

import java.time.Instant;
import java.util.Optional;
import org.halfdusk.exposure.Setting;
import org.halfdusk.exposure.SkyExposure;
import org.halfdusk.light.SkyLight;
import org.halfdusk.optics.framing.Framing;
import org.halfdusk.shoot.Plan;

/**
 * What the plan says that a frame comes out like, at its moment and with the setting that it was really taken with.
 *
 * @param sky towards the frame, mag/arcsec²
 * @param across place of the sky's peak across the camera's own picture, 0 black to 1 white
 * @param trailPx of the fastest star in the middle third, in pixels of the plan's own camera
 */
public record Predicted(double sky, double across, double trailPx) {
    /** @param framing where it really looked, where that is known; else as planned */
    public static Predicted of(Plan plan, Optional<Framing> framing, Instant at, Setting s) {
        Framing aimed = framing.orElse(plan.framing());
        SkyLight.Brightness b = plan.night().light().at(at).framed(aimed.direction());
        SkyExposure e = SkyExposure.of(b.total(), s, plan.rig());
        return new Predicted(
                b.magnitude(),
                e.picturePosition(),
                plan.trails().middlePx(s.shutter().realSeconds()));
    }
}
