package org.halfdusk.exposure;

import java.util.ArrayList;
import java.util.List;
import org.halfdusk.photometry.Stops;

/**
 * A bracket: times about a middle one, in thirds of a stop.
 *
 * @param count 2 to 15
 * @param thirds between neighbours, 1 to 9
 */
public record Ladder(int count, int thirds) {
    public Ladder {
        if (count < 2 || count > 15) {
            throw new IllegalArgumentException("frames of a bracket " + count + " is outside 2 to 15");
        }
        if (thirds < 1 || thirds > 9) {
            throw new IllegalArgumentException("step of a bracket " + thirds + " thirds is outside 1 to 9 thirds");
        }
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
