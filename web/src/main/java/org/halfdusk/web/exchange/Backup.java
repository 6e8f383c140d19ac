package org.halfdusk.web.exchange;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.halfdusk.optics.Accessory;
import org.halfdusk.optics.Camera;
import org.halfdusk.optics.Converter;
import org.halfdusk.optics.Lens;
import org.halfdusk.place.Place;
import org.halfdusk.place.Track;
import org.halfdusk.shoot.Kept;
import org.halfdusk.shoot.Shoot;
import org.halfdusk.shoot.StandingRig;

/**
 * Everything a person keeps. Numbers are those of the file it was taken from and only tie its parts together.
 *
 * @param furtherRigs of shoots, by their numbers
 * @param packing of shoots, by their numbers
 */
public record Backup(
        String format,
        int version,
        Instant takenAt,
        List<Kept<Place>> places,
        List<Kept<Camera>> cameras,
        List<Kept<Lens>> lenses,
        List<Kept<Converter>> converters,
        List<Kept<Accessory>> accessories,
        List<Kept<StandingRig>> rigs,
        List<Kept<Shoot>> shoots,
        List<Further> furtherRigs,
        List<Packed> packing,
        List<Kept<Track>> tracks,
        Map<String, String> settings) {
    public static final String FORMAT = "half-dusk backup";
    public static final int VERSION = 1;

    /** A rig of a shoot beside its first. */
    public record Further(long shootId, Shoot.ShootRig rig) {}

    /** @param own things that the person added, by their numbers */
    public record Packed(long shootId, Set<String> ticked, List<Kept<String>> own) {}
}
