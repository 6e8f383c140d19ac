package org.halfdusk.exposure;

import java.util.ArrayList;
import java.util.List;
import org.halfdusk.photometry.Iso;
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

    /**
     * Whole settings about a middle one, from dark to bright: longer times inside the motion limit, then ISO unless that is fixed, and
     * only what is left by a blurred time.
     */
    public List<Setting> settings(
            Setting middle, double limitSeconds, List<ShutterTime> marks, List<Iso> isos, boolean fixedIso) {
        List<Setting> all = new ArrayList<>();
        for (int i = 0; i < count; i++) {
            double stops = (i - (count - 1) / 2.0) * thirds / 3.0;
            Setting s = spread(middle, Math.pow(2, stops), limitSeconds, marks, isos, fixedIso);
            if (!all.contains(s)) {
                all.add(s);
            }
        }
        return all;
    }

    /** A setting that takes in so many times the light, spread in that order. */
    public static Setting spread(
            Setting s, double times, double limitSeconds, List<ShutterTime> marks, List<Iso> isos, boolean fixedIso) {
        double wished = s.shutter().realSeconds() * times;
        if (fixedIso || wished <= limitSeconds * (1 + ShutterTime.FORGIVEN)) {
            return s.with(ShutterTime.nearest(wished, marks), s.iso());
        }
        ShutterTime inside = ShutterTime.roundDown(limitSeconds, marks).orElse(s.shutter());
        ShutterTime longest = inside.realSeconds() > s.shutter().realSeconds() ? inside : s.shutter();
        Iso iso = s.iso().times(wished / longest.realSeconds()).nearest(isos);
        double left = wished / longest.realSeconds() * s.iso().value() / iso.value();
        // A third of a stop is a mark of the ISO.
        return left < Math.pow(2, 1 / 3.0) + ShutterTime.FORGIVEN
                ? s.with(longest, iso)
                : s.with(ShutterTime.nearest(longest.realSeconds() * left, marks), iso);
    }
}
