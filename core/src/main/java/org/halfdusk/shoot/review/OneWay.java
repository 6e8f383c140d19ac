package org.halfdusk.shoot.review;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.halfdusk.frame.FrameReading;
import org.halfdusk.frame.points.FieldCell;

/**
 * Whether a lens errs one way in frame after frame: the side of the picture on which its stars are widest. Focus that was missed errs now
 * this way and now that; a lens whose elements sit askew errs one way always.
 *
 * @param side that is softest most often
 * @param frames in which it is
 * @param of frames with stars to judge by, evenly sharp ones among them
 */
public record OneWay(Side side, int frames, int of) {
    /** Of the picture as it lies on the sensor. */
    public enum Side {
        LEFT,
        RIGHT,
        TOP,
        BOTTOM
    }

    private static final int LEAST_FRAMES = 3;
    private static final double ALWAYS = 0.8;

    /** Wider on one side than on the other by so much of their mean counts†. */
    private static final double ASKEW = 0.15;

    private static final int SIDE = 3;

    /** Nothing where too few frames have stars. */
    public static Optional<OneWay> of(List<FrameReading> frames) {
        Map<Side, Integer> softest = new EnumMap<>(Side.class);
        int judged = 0;
        for (FrameReading r : frames) {
            if (r.kind() == FrameReading.Kind.STARS
                    && r.cells().stream().filter(FieldCell::known).count() >= 2L * SIDE) {
                judged++;
                side(r).ifPresent(s -> softest.merge(s, 1, Integer::sum));
            }
        }
        int of = judged;
        return of < LEAST_FRAMES
                ? Optional.empty()
                : softest.entrySet().stream()
                        .max(Map.Entry.comparingByValue())
                        .map(e -> new OneWay(e.getKey(), e.getValue(), of))
                        .or(() -> Optional.of(new OneWay(Side.LEFT, 0, of)));
    }

    /** Whether it errs so nearly always. */
    public boolean always() {
        return frames >= LEAST_FRAMES && frames >= ALWAYS * of;
    }

    private static Optional<Side> side(FrameReading r) {
        FrameReading.Askew a = r.askew();
        if (Math.max(Math.abs(a.right()), Math.abs(a.down())) < ASKEW) {
            return Optional.empty();
        }
        return Optional.of(
                Math.abs(a.right()) >= Math.abs(a.down())
                        ? a.right() > 0 ? Side.RIGHT : Side.LEFT
                        : a.down() > 0 ? Side.BOTTOM : Side.TOP);
    }
}
