package org.halfdusk.optics;

import java.util.List;
import java.util.Objects;
import java.util.OptionalDouble;
import org.halfdusk.photometry.Iso;

/**
 * A camera by its figures.
 *
 * @param lowestIso and highestIso: the useful range
 * @param shortestSeconds and longestTimedSeconds: nominal marks of the shutter dial; longer needs bulb
 * @param bulb whether it can hold the shutter open for a timer
 * @param rawMegabytes size of one raw file
 * @param jpegMegabytes size of one JPEG, 0 where none is written
 * @param bufferFrames raw frames it takes before it has to wait
 * @param writeMegabytesPerSecond to the card
 * @param batteryFrames frames from one charge at 20 °C
 * @param batteryMinutes minutes of exposing from one charge at 20 °C
 * @param mirror whether one has to be locked up
 * @param stabiliserStops of the camera or its usual lens, 0 to 10
 * @param filmExponent p of the reciprocity law t' = t^p of a film, 1 to 2; nothing for a sensor. A film's ISO is its own:
 *     lowest and highest are then the same
 * @param coldLoss share of a charge lost per degree under 20 °C
 * @param heatLoss share of a charge lost per degree over 40 °C
 * @param timer what counts its frames
 * @param readNoise how its noise of reading goes with ISO; of no account on film
 */
public record Camera(
        String name,
        Sensor sensor,
        int lowestIso,
        int highestIso,
        double shortestSeconds,
        double longestTimedSeconds,
        boolean bulb,
        double rawMegabytes,
        double jpegMegabytes,
        int bufferFrames,
        double writeMegabytesPerSecond,
        int batteryFrames,
        int batteryMinutes,
        boolean mirror,
        double stabiliserStops,
        OptionalDouble filmExponent,
        double coldLoss,
        double heatLoss,
        IntervalTimer timer,
        ReadNoise readNoise) {
    /** A percent a degree (a working figure). */
    public static final double USUAL_LOSS = 0.01;

    public Camera {
        name = Figures.name(name);
        Objects.requireNonNull(sensor, "sensor is missing");
        // Not in what was written before cameras had one.
        timer = Objects.requireNonNullElse(timer, IntervalTimer.USUAL);
        readNoise = Objects.requireNonNullElse(readNoise, ReadNoise.STEADY);
        Figures.within("lowest ISO", lowestIso, Iso.LOWEST, Iso.HIGHEST, "");
        Figures.within("highest ISO", highestIso, lowestIso, Iso.HIGHEST, "");
        Figures.within("shortest shutter time", shortestSeconds, 1.0 / 64_000, 1, "s");
        Figures.within("longest timed shutter", longestTimedSeconds, 1, 3600, "s");
        Figures.within("raw file", rawMegabytes, 0, 2000, "MB");
        Figures.within("JPEG file", jpegMegabytes, 0, 2000, "MB");
        Figures.within("buffer", bufferFrames, 1, 100_000, "frames");
        Figures.within("write speed", writeMegabytesPerSecond, 0.1, 20_000, "MB/s");
        Figures.within("battery", batteryFrames, 1, 100_000, "frames");
        Figures.within("battery", batteryMinutes, 1, 10_000, "min");
        Figures.within("stabiliser", stabiliserStops, 0, 10, "stops");
        Figures.within("loss in the cold", coldLoss, 0, 0.05, "of a charge per °C");
        Figures.within("loss in the heat", heatLoss, 0, 0.05, "of a charge per °C");
        if (filmExponent.isPresent()) {
            Figures.within("reciprocity exponent", filmExponent.getAsDouble(), 1, 2, "");
            if (lowestIso != highestIso) {
                throw new IllegalArgumentException("ISO " + lowestIso + " to " + highestIso
                        + " is a range; for a film one ISO is allowed, lowest and highest the same");
            }
        }
    }

    /** A camera without mirror, stabiliser or film, with the usual losses and timer. */
    public Camera(
            String name,
            Sensor sensor,
            int lowestIso,
            int highestIso,
            double shortestSeconds,
            double longestTimedSeconds,
            boolean bulb,
            double rawMegabytes,
            double jpegMegabytes,
            int bufferFrames,
            double writeMegabytesPerSecond,
            int batteryFrames,
            int batteryMinutes) {
        this(
                name,
                sensor,
                lowestIso,
                highestIso,
                shortestSeconds,
                longestTimedSeconds,
                bulb,
                rawMegabytes,
                jpegMegabytes,
                bufferFrames,
                writeMegabytesPerSecond,
                batteryFrames,
                batteryMinutes,
                false,
                0,
                OptionalDouble.empty(),
                USUAL_LOSS,
                USUAL_LOSS,
                IntervalTimer.USUAL,
                ReadNoise.STEADY);
    }

    /** The same counted by another timer. */
    public Camera with(IntervalTimer other) {
        return new Camera(
                name,
                sensor,
                lowestIso,
                highestIso,
                shortestSeconds,
                longestTimedSeconds,
                bulb,
                rawMegabytes,
                jpegMegabytes,
                bufferFrames,
                writeMegabytesPerSecond,
                batteryFrames,
                batteryMinutes,
                mirror,
                stabiliserStops,
                filmExponent,
                coldLoss,
                heatLoss,
                other,
                readNoise);
    }

    /** Marks of sensitivity that it has, lowest first. */
    public List<Iso> isos() {
        return Iso.available(lowestIso, highestIso);
    }

    public boolean film() {
        return filmExponent.isPresent();
    }

    /** Frames of a roll of 35 mm film. */
    public static final int FRAMES_OF_A_ROLL = 36;

    /** Rolls of film that so many frames take. */
    public static int rolls(int frames) {
        return (frames + FRAMES_OF_A_ROLL - 1) / FRAMES_OF_A_ROLL;
    }
}
