package org.halfdusk.shoot.setting;

import org.halfdusk.photometry.FNumber;
import org.halfdusk.photometry.Iso;
import org.halfdusk.photometry.Measurement;

/** What decided the aperture. */
public sealed interface ApertureReason {
    /**
     * Wide open, since light is scarce; what stopping down to the lens's sharpest would cost.
     *
     * @param sharpest f-number at which the lens is best, on the sensor
     * @param stops light lost there
     * @param isoThere ISO that would make up for it, as far as the camera goes
     * @param missing stops that even the camera's highest ISO would leave missing there
     */
    record Widest(FNumber sharpest, double stops, Iso isoThere, double missing) implements ApertureReason {}

    /**
     * A stop down, since frames have shown that corners smear wide open by more than a trail that is seen.
     *
     * @param micrometres by which stars there are wider along the radius, and by how many frames
     * @param px the same in pixels of this sensor
     * @param stops light given up
     */
    record CornersSmear(FNumber widest, Measurement micrometres, double px, double stops) implements ApertureReason {}

    /** The subject's usual one; stops of light given up against wide open. */
    record Usual(FNumber widest, double stops) implements ApertureReason {}

    /** Time and ISO are fixed: it follows from the light; stops by which the nearest that the lens has misses it. */
    record FromLight(FNumber exact, double stopsOff) implements ApertureReason {}

    /** Fixed by the person; stops of light given up against wide open. */
    record Pinned(FNumber widest, double stops) implements ApertureReason {}

    /** Usual or fixed, but outside what the lens can do; the nearest was taken. */
    record OutOfReach(FNumber wished, FNumber widest, FNumber smallest) implements ApertureReason {}
}
