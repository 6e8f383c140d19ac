package org.halfdusk.shoot.kept.kit;

import java.util.List;
import java.util.Optional;
import org.halfdusk.optics.Camera;
import org.halfdusk.optics.Lens;
import org.halfdusk.shoot.kept.Kept;
import org.halfdusk.typed.PlainText;

/** A camera and a lens that a person takes from a list of typical ones. */
public final class NewRig {
    private NewRig() {}

    /**
     * Keeps both and the rig of them; what the kit has already is not doubled.
     *
     * @return the rig's number
     */
    public static long keep(Kits kits, Rigs rigs, Camera body, Lens glass) {
        long cameraId = kept(kits.cameras(), body).orElseGet(() -> kits.add(body));
        long lensId = kept(kits.lenses(), glass).orElseGet(() -> kits.add(glass));
        StandingRig rig = new StandingRig(
                PlainText.shortened(body.name() + ", " + glass.name(), StandingRig.LONGEST_NAME, "rig"),
                cameraId,
                lensId,
                Optional.empty(),
                glass.shortestMm(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty());
        return kept(rigs.rigs(), rig).orElseGet(() -> rigs.add(rig));
    }

    private static <T> Optional<Long> kept(List<Kept<T>> all, T wanted) {
        return all.stream().filter(k -> k.it().equals(wanted)).map(Kept::id).findFirst();
    }
}
