package org.halfdusk.shoot.programme.check;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import org.halfdusk.optics.FocusMark;
import org.halfdusk.sequence.Block;
import org.halfdusk.time.Interval;
import org.halfdusk.weather.Forecast;

/**
 * When a lens that was focused at a programme's start has cooled, or warmed, so far that its focus has moved.
 *
 * @param celsius of the air then
 * @param by how much that differs from when it was focused last, °C; negative colder
 */
public record Refocus(Instant at, double celsius, double by) {
    /** In order of time; none where no forecast reaches. */
    public static List<Refocus> of(List<Block> blocks, Forecast forecast) {
        List<Refocus> all = new ArrayList<>();
        List<Block> frames = blocks.stream().filter(b -> !b.frames().isEmpty()).toList();
        if (frames.isEmpty()) {
            return all;
        }
        Interval whole =
                Interval.of(frames.get(0).start(), frames.get(frames.size() - 1).end());
        double focused = Double.NaN;
        for (Forecast.Part p : forecast.parts(whole)) {
            double now = p.hour().celsius();
            if (Double.isNaN(focused)) {
                focused = now;
            }
            if (Math.abs(now - focused) >= FocusMark.REFOCUS_CELSIUS) {
                all.add(new Refocus(p.of().start(), now, now - focused));
                focused = now;
            }
        }
        return all;
    }
}
