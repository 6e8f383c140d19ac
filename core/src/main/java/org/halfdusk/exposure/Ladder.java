package org.halfdusk.exposure;

import java.util.ArrayList;
import java.util.List;
import org.halfdusk.photometry.Stops;
import org.halfdusk.typed.Range;

/**
 * A bracket: times about a middle one, in thirds of a stop.
 *
 * @param count 2 to 15
 * @param thirds between neighbours, 1 to 9
 */
public record Ladder(int count, int thirds) {
    public static final Range COUNT = Range.of("frames of a bracket", 2, 15);
    public static final Range THIRDS = new Range("step of a bracket", 1, 9, "thirds");

    /** Five frames a stop apart: what is laid where nothing is chosen. */
    public static final Ladder USUAL = new Ladder(5, 3);

    public Ladder {
        COUNT.check(count);
        THIRDS.check(thirds);
    }

    /** From short to long; marks that the camera has not are left out, so that there may be fewer. */
    public List<ShutterTime> times(ShutterTime middle, List<ShutterTime> available) {
        List<ShutterTime> times = new ArrayList<>();
        for (int i = 0; i < count; i++) {
            double stops = (i - (count - 1) / 2.0) * thirds / 3.0;
            double wished = middle.realSeconds() * Math.pow(2, stops);
            ShutterTime nearest = ShutterTime.nearest(wished, available);
            boolean there = Math.abs(Stops.between(nearest.realSeconds(), wished)) < 0.4;
            if (there && !times.contains(nearest)) {
                times.add(nearest);
            }
        }
        return times;
    }
}
