package org.halfdusk.shoot.setting;

import java.util.Optional;
import org.halfdusk.exposure.Setting;
import org.halfdusk.exposure.SkyExposure;
import org.halfdusk.optics.Rig;
import org.halfdusk.photometry.SkyBrightness;

/**
 * What a plan's setting meets at its moment.
 *
 * @param sky towards the frame, or behind what is photographed; nothing where the subject asks no sky
 * @param stopsUnderClipping of the brightest part that is wanted; negative where it clips
 * @param visible whether what is photographed shows at all: up, clear of the land, brighter than the sky before which it stands
 */
public record Exposed(Optional<SkyBrightness> sky, double stopsUnderClipping, boolean visible) {
    /** By the brightest part that is wanted, as it is seen. */
    public static Exposed of(SkyBrightness sky, SkyBrightness brightest, Setting setting, Rig rig, boolean visible) {
        return new Exposed(Optional.of(sky), stopsUnderClipping(brightest, setting, rig), visible);
    }

    /** Without a sky. */
    public static Exposed of(SkyBrightness brightest, Setting setting, Rig rig, boolean visible) {
        return new Exposed(Optional.empty(), stopsUnderClipping(brightest, setting, rig), visible);
    }

    private static double stopsUnderClipping(SkyBrightness brightest, Setting s, Rig rig) {
        return SkyExposure.of(brightest, s, rig).stopsUnderClipping();
    }
}
