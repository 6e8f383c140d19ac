package org.halfdusk.exposure.noise;

import java.util.Arrays;
import java.util.List;
import org.halfdusk.optics.ReadNoise;
import org.halfdusk.photometry.Iso;

/**
 * Low ISO lifted afterwards, or high ISO in the camera: the same light reaches the sensor, so shot noise is the same; what differs is the
 * noise of reading it, and how much over it clips.
 *
 * @param headroomStops by which the lower clips later
 */
public record LowOrHigh(Iso low, Iso high, double headroomStops, List<Answer> answers) {
    /** Stops that people lift a raw file without a second thought†. */
    private static final double LIFTED = 3;

    /** A loss of less is not seen†. */
    private static final double SEEN = 0.1;

    /**
     * For a class of sensors.
     *
     * @param atLow signal-to-noise of a shadow there, lifted; and atHigh as it comes
     */
    public record Answer(ReadNoise read, double atLow, double atHigh) {
        /** Share of the signal-to-noise that the lower ISO loses, 0 to 1. */
        public double loss() {
            return 1 - atLow / atHigh;
        }

        /** Whether it may be lifted from there without its being seen. */
        public boolean liftable() {
            return loss() < SEEN;
        }
    }

    /**
     * About a setting.
     *
     * @param shadowLuxSeconds focal-plane exposure of the shadow that counts
     * @param isos that the camera has, lowest first
     */
    public static LowOrHigh of(
            double shadowLuxSeconds, double seconds, double pitchMicrometres, double celsius, Iso set, List<Iso> isos) {
        Iso low = set.times(Math.pow(2, -LIFTED)).nearest(isos);
        return new LowOrHigh(
                low,
                set,
                set.stopsOver(low),
                Arrays.stream(ReadNoise.values())
                        .map(r -> new Answer(
                                r,
                                new Noise(pitchMicrometres, celsius, low, r).ratio(shadowLuxSeconds, seconds),
                                new Noise(pitchMicrometres, celsius, set, r).ratio(shadowLuxSeconds, seconds)))
                        .toList());
    }
}
